import type { Job } from '../../job/job.schema'
import { FACE_SET_UP_MIN, SET_UP_WELD_MIN } from '../minutes.table'
import type { MendsData } from '../mends/mend-row'
import type { OpenData } from '../open/open'

/** Shared work of the mends that sets a machine up, and what an opening sets up itself. */
const SET_UPS = ['weld-set-up', 'braze-set-up', 'mill-set-up']

/** What the opening sets up with its own phases, by the code that mends share it under. */
const ownSetUps = (job: Job, open: OpenData): Record<string, number> => ({
  ...(open.groove ? { 'weld-set-up': SET_UP_WELD_MIN } : {}),
  ...(job.open.work !== 'none' && job.rebuild.machined ? { 'mill-set-up': FACE_SET_UP_MIN } : {}),
})

/**
 * Work that the mends of a part share and that no phase of its own holds: taking in and guarding where there is no
 * opening, and every machine that the opening has not set up already.
 */
export function sharedMin(job: Job, open: OpenData, { shared }: MendsData): number {
  const own = ownSetUps(job, open)
  return shared
    .filter(({ code }) =>
      SET_UPS.includes(code)
        ? own[code] === undefined
        : job.open.work === 'none' && (code === 'take-in' || code.startsWith('protect-')),
    )
    .reduce((sum, { minutes }) => sum + minutes, 0)
}

/** Setting machines up, of opening and mends together: once, however many parts alike are mended. */
export function setUpMin(job: Job, open: OpenData, { shared }: MendsData): number {
  const all = { ...Object.fromEntries(shared.map(({ code, minutes }) => [code, minutes])), ...ownSetUps(job, open) }
  return SET_UPS.reduce((sum, code) => sum + (all[code] ?? 0), 0)
}
