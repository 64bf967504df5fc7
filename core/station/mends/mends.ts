import type { Job, Kit } from '../../job/job.schema'
import { isOfKind, kindOf } from '../../mend/registry'
import type { JobPlanned, PlannedMend } from '../../job-plan/job-planned'
import { wireG } from '../../job-plan/cost'
import type { Made } from '../../job-plan/step'
import { shownDecisions } from '../decision-words'
import { shownSteps } from '../step-words'
import type { KnowData } from '../know/know'
import { mendLog, NO_LOG } from '../weld/pass-log'
import { facingOf, groovedOf, rodOf } from './grooved-row'
import type { WholeOfJob } from './whole-of'
import { patchOf } from './patch-of-mend'
import { bendOfMend } from './bend-of-mend'
import { plateOfMend } from './plate-of-mend'
import { isArc } from '../../process/registry'
import { flameOfMend } from '../weld/flame-of-mend'
import { placeOfMend } from '../weld/flame-place'
import { arcWOf, interpassOf, turnDownOf } from '../weld/soak-up'
import { airC } from '../../warm/air'
import type { Alloy } from '../../metal/alloys.table'
import type { Body as SizedBody } from '../take-in/body'
import type { WarmData } from '../warm/warm'
import type { MendRow, MendsData } from './mend-row'
import { setUpsOf, type MendSetUp } from './mend-set-up'
import { NOTHING_SAID, type Shown } from './said'
import { stationSays } from './station-says'
import { threadOfMend } from './thread-of-mend'

function turnOf(order: JobPlanned['order'], id: string): MendRow['turn'] {
  const at = order.findIndex(one => one.id === id)
  return at < 0 ? null : { place: at + 1, of: order.length, why: order[at]!.why }
}

/** What weighs less melts before a hand is on the dial. */
const LEAST_KG = 0.01

/** A gun of a mend, turned down as the part soaks up its heat. */
function turnedDown(
  setUp: MendSetUp,
  { foundC }: PlannedMend,
  sized: SizedBody | null,
  alloy: Alloy,
  { startC }: WarmData,
): MendSetUp {
  const { mig } = setUp.set
  if (!mig || !sized || sized.massKg < LEAST_KG) return setUp
  const arcW = arcWOf(setUp.process, setUp.set)
  return { ...setUp, turnDown: turnDownOf(sized, alloy, foundC, airC(startC), mig, arcW, setUp.arcMin) }
}

/** Every place being mended, worked out by the same plan that answers `job.plan`. */
export function planMends(
  job: Job,
  kit: Kit,
  { alloy }: KnowData,
  { part, assumedG, bodies, ready, planned, trouble }: WholeOfJob,
  sized: SizedBody | null,
  warm: WarmData,
): MendsData {
  const rows = ready.map(({ mend, found }): MendRow => {
    const own = planned?.mends.find(one => one.id === mend.id) ?? null
    const setUps = own ? setUpsOf(job, kit, own, planned?.steps ?? []) : []
    const body = part.bodies[0]!
    const rodMm = rodOf(found, own?.wallMm ?? body.wallMm)
    const otherMm = bodies.find(({ id }) => id === mend.id)?.wallMm ?? body.wallMm
    const steps = planned?.steps.filter(step => step.mend === mend.id) ?? []
    const log = own ? mendLog(job, mend, steps) : NO_LOG
    const given =
      'values' in found ? { values: found.values, wallMm: body.wallMm, otherMm, way: own?.way ?? null } : null
    const grooved = groovedOf(mend, given, own, rodMm, log)
    const tried = own?.process ?? own?.tried
    const place = own && tried && given && !isArc(tried) ? placeOfMend(mend, own, given.values, steps) : null
    const row: MendRow = {
      id: mend.id,
      kind: mend.kind,
      name: mend.name || kindOf(mend.kind).name,
      wants: 'wants' in found ? found.wants : [],
      reason: 'reason' in found && found.reason ? found.reason : 'values' in found ? trouble : null,
      planned: own,
      log,
      setUps: own ? setUps.map(setUp => turnedDown(setUp, own, sized, alloy, warm)) : [],
      place,
      flame: tried && place ? flameOfMend(job, kit, sized, alloy, warm, tried, place) : null,
      interpass: own ? interpassOf(steps, alloy) : null,
      turn: turnOf(planned?.order ?? [], mend.id),
      section: given && kindOf(mend.kind).section(given),
      ...grooved,
      rodMm,
      facing: facingOf(own, given, grooved.groove),
      opened: mend.opened,
      says: NOTHING_SAID,
      back: given && own?.ways ? threadOfMend(job, kit, body.alloy, given) : null,
      patch: given && isOfKind(mend.kind, 'let-in') ? patchOf(given) : null,
      bend: given && isOfKind(mend.kind, 'pressed') && body.alloy ? bendOfMend(body.alloy, given) : null,
      plated: given && isOfKind(mend.kind, 'laid-over') ? plateOfMend(given) : null,
    }
    const says = (station: Shown) => stationSays(job, kit, row, station)
    return { ...row, says: { open: says('open'), weld: says('weld'), rebuild: says('rebuild') } }
  })
  const steps = planned?.steps ?? []
  return {
    rows,
    warm: planned?.warm ?? null,
    decision: planned?.decision ?? null,
    totals: planned?.totals ?? null,
    steps: shownSteps(job, steps),
    decisions: shownDecisions(job, planned?.decisions ?? []),
    assumedG,
    bakeMin: waitOf(steps, 'bake'),
    coolMin: waitOf(steps, 'cool'),
  }
}

/** Minutes that a wait of the whole part takes by itself. */
const waitOf = (steps: readonly Made[], wait: string): number =>
  steps.reduce((sum, { code, minutes }) => sum + (code === wait ? minutes : 0), 0)

/** Wire that the mends take by what it is of, g. */
export const wireOf = ({ rows }: Pick<MendsData, 'rows'>): { filler: string; massG: number }[] =>
  rows.flatMap(({ planned: own }) =>
    own && own.wireM > 0 ? [{ filler: own.filler ?? '', massG: wireG(own.wireM, own.filler) }] : [],
  )
