import type { Job, Kit } from '../../job/job.schema'
import { BAKE_MIN } from '../../mend/minutes.table'
import { coolMinOf } from '../../job-plan/cool'
import { firstOf } from '../../job-plan/first'
import { kindOf } from '../../mend/registry'
import type { JobPlanned } from '../../job-plan/job-planned'
import { wireG } from '../../job-plan/price'
import type { KnowData } from '../know/know'
import { passCurrents } from '../weld/pass-currents'
import { mendLog, NO_LOG } from '../weld/pass-log'
import { facingOf, groovedOf, rodOf } from './grooved-row'
import { wholeOf } from './whole-of'
import { patchOf } from './patch-of-mend'
import { bendOfMend } from './bend-of-mend'
import { plateOfMend } from './plate-of-mend'
import { PROCESSES } from '../../call/process.table'
import { placeOfMend } from '../weld/flame-place'
import { rowMinutes, type MendRow, type MendsData } from './mend-row'
import { setUpsOf, type MendSetUp } from './mend-set-up'
import { NOTHING_SAID } from './station-says'
import { threadOfMend } from './thread-of-mend'

function turnOf(order: JobPlanned['order'], id: string): MendRow['turn'] {
  const at = order.findIndex(one => one.id === id)
  return at < 0 ? null : { place: at + 1, of: order.length, why: order[at]!.why }
}

/** Shielding gas as the flow is set on this job. */
const litresOf = (setUps: readonly MendSetUp[]) => setUps.reduce((total, { set }) => total + (set.gas?.litres ?? 0), 0)

/** Every place being mended, worked out by the same plan that answers `job.plan`. */
export function planMends(job: Job, kit: Kit, know: KnowData): MendsData {
  const { part, assumedG, bodies, ready, planned, trouble } = wholeOf(job, kit, know)
  const rows = ready.map(({ mend, found }): MendRow => {
    const own = planned?.mends.find(one => one.id === mend.id) ?? null
    const setUps = own ? setUpsOf(job, kit, own) : []
    const body = part.bodies[0]!
    const rodMm = rodOf(found, own?.wallMm ?? body.wallMm)
    const otherMm = bodies.find(({ id }) => id === mend.id)?.wallMm ?? body.wallMm
    const currents =
      own && planned ? passCurrents(own, setUps[0]?.set, planned.part, know.alloy, Math.min(body.wallMm, otherMm)) : []
    const log = own ? mendLog(job, mend, own, currents) : NO_LOG
    const given =
      'values' in found ? { values: found.values, wallMm: body.wallMm, otherMm, way: own?.way ?? null } : null
    const grooved = groovedOf(mend, given, own, rodMm, log)
    return {
      id: mend.id,
      kind: mend.kind,
      name: mend.name || kindOf(mend.kind).name,
      wants: 'wants' in found ? found.wants : [],
      reason: 'reason' in found && found.reason ? found.reason : 'values' in found ? trouble : null,
      planned: own,
      log,
      setUps,
      place: own?.process && given && !PROCESSES[own.process].needsAmps ? placeOfMend(mend, own, given.values) : null,
      flame: null,
      interpass: null,
      turn: turnOf(planned?.order ?? [], mend.id),
      section: given && kindOf(mend.kind).section(given),
      ...grooved,
      rodMm,
      facing: facingOf(own, given, grooved.groove),
      opened: mend.opened,
      says: NOTHING_SAID,
      back: given && own?.ways ? threadOfMend(job, kit, body.alloy, given) : null,
      patch: given && mend.kind === 'window' ? patchOf(given) : null,
      bend: given && mend.kind === 'bent' && body.alloy ? bendOfMend(body.alloy, given) : null,
      plated: given && mend.kind === 'plate' ? plateOfMend(given) : null,
    }
  })
  const all = planned?.mends ?? []
  const laid = all.filter(({ lays }) => lays.length)
  const flame = laid.some(({ process }) => process && !PROCESSES[process].needsAmps)
  return {
    rows,
    minutes: rows.reduce((total, row) => total + rowMinutes(row), 0),
    rods: rows.reduce((total, { planned: own, log }) => total + (own?.rods ?? 0) + log.again.rods, 0),
    wire: rows.flatMap(({ planned: own, log }) =>
      own && own.wireM > 0
        ? [{ filler: own.filler ?? '', massG: wireG(own.wireM, own.filler) * (1 + log.again.share) }]
        : [],
    ),
    gasL: rows.reduce((total, { setUps, log }) => total + litresOf(setUps) * (1 + log.again.share), 0),
    checks: [...new Set(all.flatMap(mend => mend.checks))],
    shared: planned?.totals.shared ?? firstOf(part),
    warm: planned?.warm ?? null,
    assumedG,
    bakeMin: part.soak === 'oil-soaked' && laid.length ? BAKE_MIN : 0,
    coolMin: laid.length && planned ? coolMinOf(planned.part.massG, flame) : 0,
  }
}
