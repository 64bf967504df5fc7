import type { Job, Kit } from '#core/job/job.schema'
import { shownMatters, type ShownMatters } from '#core/station/matters/shown'
import { shownWays, type ShownWays } from '#core/station/ways/shown'
import { keptWork, takenBack } from './kept-work'
import { longRuns, type Told } from './to-its-end'

const runs = longRuns()
const BROKEN = 'the search broke off: try it again'

/** The ways of a job, and what matters in it: hundreds of plans, off the page's thread and off the plan's own. */
export const bench = {
  ...keptWork,
  stop: runs.stop,
  ways: (job: Job, kit: Kit, tell: (share: number) => void): Promise<Told<ShownWays | null>> =>
    runs.run(
      () => takenBack.then(() => shownWays(job, kit)),
      ({ looked, of }) => looked / of,
      tell,
      BROKEN,
    ),
  matters: (job: Job, kit: Kit, tell: (share: number) => void): Promise<Told<ShownMatters | null>> =>
    runs.run(
      () => takenBack.then(() => shownMatters(job, kit)),
      ({ drawn, of }) => drawn / of,
      tell,
      BROKEN,
    ),
}
