import type { Job, Kit } from '../../job/job.schema'
import type { Alloy } from '../../metal/alloys.table'
import { airC } from '../../warm/air'
import type { PlannedMend } from '../../job-plan/job-planned'
import type { Body } from '../take-in/body'
import type { WarmData } from '../warm/warm'
import { flameOfMend } from '../weld/flame-of-mend'
import { arcWOf, interpassOf, turnDownOf, type Interpass } from '../weld/soak-up'
import type { MendRow, MendsData } from './mend-row'
import type { MendSetUp } from './mend-set-up'
import { stationSays, type Shown } from './station-says'

type Heated = readonly [job: Job, kit: Kit, body: Body | null, alloy: Alloy, warm: WarmData]

/** A gun of a mend, turned down as the part soaks up its heat. */
function turnedDown(setUp: MendSetUp, { foundC }: PlannedMend, [, , body, alloy, warm]: Heated): MendSetUp {
  const { mig } = setUp.set
  if (!mig || !body) return setUp
  const turnDown = turnDownOf(
    body,
    alloy,
    foundC,
    airC(warm.startC),
    mig,
    arcWOf(setUp.process, setUp.set),
    setUp.arcMin,
  )
  return { ...setUp, turnDown }
}

/** Under what the next pass of a mend may begin; null where one pass fills it, or a flame lays it. */
function interpass({ planned, setUps }: MendRow, [job, , body, alloy, warm]: Heated): Interpass | null {
  const [first] = setUps
  if (!body || !planned || !first || planned.passes < 2) return null
  const passMin = planned.arcMin / planned.passes
  const wantedC = job.weld.interpassC.value
  return interpassOf(body, alloy, planned.foundC, airC(warm.startC), arcWOf(first.process, first.set), passMin, wantedC)
}

/**
 * The mends with what heat does at them, once it is known what the part is warmed to: rod and flame, the wait between
 * passes, a gun turned down; then what each station says of them.
 */
export const heatedMends = (mends: MendsData, ...given: Heated): MendsData => {
  const [job, kit, body, alloy, warm] = given
  return {
    ...mends,
    rows: mends.rows.map(row => {
      const { planned, place } = row
      const hot: MendRow = planned?.process
        ? {
            ...row,
            flame: place && flameOfMend(job, kit, body, alloy, warm, planned.process, place),
            setUps: row.setUps.map(setUp => turnedDown(setUp, planned, given)),
            interpass: interpass(row, given),
          }
        : row
      const says = (station: Shown) => stationSays(job, kit, hot, station)
      return { ...hot, says: { open: says('open'), weld: says('weld'), rebuild: says('rebuild') } }
    }),
  }
}
