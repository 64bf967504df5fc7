import { NoAnswer } from '../../ask/question'
import type { Fields } from '../../field/field'
import { drawnGroove, type DrawnGroove } from '../../groove/drawn'
import type { Job, Kit } from '../../job/job.schema'
import type { StoredMend } from '../../job/mend.schema'
import type { Drawn } from '../../mend/kind'
import { kindOf } from '../../mend/registry'
import { findAlloy } from '../../metal/find-alloy'
import type { WarmAsk } from '../../warm/decide'
import type { MendGiven } from '../../whole/job-given'
import type { JobPlanned, PlannedMend } from '../../whole/job-planned'
import { planWhole } from '../../whole/plan'
import { wireG } from '../../whole/price'
import type { KnowData } from '../know/know'
import { torchFirst, warmWish } from '../warm/warm-decision'
import { mendLog, NO_LOG, type MendLog } from '../weld/pass-log'
import { patchOf } from './patch-of-mend'
import { bendOfMend } from './bend-of-mend'
import { PROCESSES } from '../../call/process.table'
import { placeOfMend } from '../weld/flame-place'
import { partOf, resolved } from './mend-given'
import { rowMinutes, type MendRow, type MendsData } from './mend-row'
import { setUpsOf } from './mend-set-up'
import { threadOfMend } from './thread-of-mend'

const NOTHING: Omit<MendsData, 'rows'> = {
  minutes: 0,
  rods: 0,
  wire: [],
  gasL: 0,
  checks: [],
  shared: [],
  warm: null,
  assumedG: null,
}

function turnOf(order: JobPlanned['order'], id: string): MendRow['turn'] {
  const at = order.findIndex(one => one.id === id)
  return at < 0 ? null : { place: at + 1, of: order.length, why: order[at]!.why }
}

/** The groove of a mend with the passes of its log in it, where it is opened to one. */
function grooveOf(mend: StoredMend, given: Drawn<Fields>, { passes }: MendLog): DrawnGroove | null {
  const cut = kindOf(mend.kind).cut?.(given)
  if (!cut) return null
  return drawnGroove(cut, passes, { keepBreak: given.values.keepBreak === true, turnAbout: mend.order === 'alternate' })
}

/** Every place being mended beside the opening, worked out by the same plan that answers `job.plan`. */
export function planMends(job: Job, kit: Kit, know: KnowData, alsoArcs: WarmAsk['arcs'] = []): MendsData {
  if (!job.mends.length) return { rows: [], ...NOTHING }
  const { part, assumedG } = partOf(job, know)
  const ready = job.mends.map(mend => ({ mend, found: resolved(mend) }))
  const bodies = [...part.bodies]
  const given = ready.flatMap(({ mend, found }): MendGiven[] => {
    if (!('values' in found)) return []
    const other = findAlloy(mend.other.alloy)
    const wallMm = mend.other.wallMm.value
    if (mend.kind === 'joint' && (other || wallMm))
      bodies.push({ id: mend.id, alloy: other ?? part.bodies[0]!.alloy, wallMm: wallMm || part.bodies[0]!.wallMm })
    return [
      {
        id: mend.id,
        kind: mend.kind,
        bodies: bodies.some(body => body.id === mend.id) ? ['part', mend.id] : ['part'],
        opened: mend.opened,
        order: mend.order,
        values: found.values,
        ...(mend.lays.length
          ? {
              lays: mend.lays.map(({ process, filler, upTo }) => ({
                process: process ?? undefined,
                filler: filler || undefined,
                upTo,
              })),
            }
          : {}),
      },
    ]
  })
  const { wanted, school, startC } = warmWish(job)
  let planned: JobPlanned | null = null
  let trouble: string | null = null
  try {
    planned = given.length
      ? planWhole({
          kit: torchFirst(kit, job),
          part: { ...part, bodies },
          warm: wanted,
          warmSchool: school,
          startC,
          alsoArcs,
          mends: given,
        })
      : null
  } catch (error) {
    if (!(error instanceof NoAnswer)) throw error
    trouble = error.message
  }
  const rows = ready.map(({ mend, found }): MendRow => {
    const own = planned?.mends.find(one => one.id === mend.id) ?? null
    const log = own ? mendLog(job, mend, own) : NO_LOG
    const given =
      'values' in found
        ? {
            values: found.values,
            wallMm: part.bodies[0]!.wallMm,
            otherMm: bodies.find(body => body.id === mend.id)?.wallMm ?? part.bodies[0]!.wallMm,
            way: own?.way ?? null,
          }
        : null
    return {
      id: mend.id,
      kind: mend.kind,
      name: mend.name || kindOf(mend.kind).name,
      wants: 'wants' in found ? found.wants : [],
      reason: 'reason' in found && found.reason ? found.reason : 'values' in found ? trouble : null,
      planned: own,
      log,
      setUps: own ? setUpsOf(job, kit, own) : [],
      place: own?.process && given && !PROCESSES[own.process].needsAmps ? placeOfMend(mend, own, given.values) : null,
      flame: null,
      interpass: null,
      turn: turnOf(planned?.order ?? [], mend.id),
      section: given && kindOf(mend.kind).section(given),
      groove: given && grooveOf(mend, given, log),
      back: given && own?.ways ? threadOfMend(job, kit, part.bodies[0]!.alloy, given) : null,
      patch: given && mend.kind === 'window' ? patchOf(given) : null,
      bend: given && mend.kind === 'bent' && part.bodies[0]!.alloy ? bendOfMend(part.bodies[0]!.alloy, given) : null,
    }
  })
  const all = planned?.mends ?? []
  const sum = (of: (mend: PlannedMend) => number) => all.reduce((total, mend) => total + of(mend), 0)
  return {
    rows,
    minutes: rows.reduce((total, row) => total + rowMinutes(row), 0),
    rods: rows.reduce((total, { planned: own, log }) => total + (own?.rods ?? 0) + log.again.rods, 0),
    wire: all.flatMap(mend => (mend.wireM > 0 ? [{ filler: mend.filler ?? '', massG: wireG(mend.wireM) }] : [])),
    gasL: sum(mend => mend.gasL),
    checks: [...new Set(all.flatMap(mend => mend.checks))],
    shared: planned?.totals.shared ?? [],
    warm: planned?.warm ?? null,
    assumedG,
  }
}
