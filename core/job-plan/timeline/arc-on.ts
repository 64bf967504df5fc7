import { ampsNeed } from '../../arc/amps'
import { mostCurrent, strongest } from '../../arc/machine-reach'
import { postflowS } from '../../arc/setup'
import { isArc, PROCESSES, arcOf, isGun, type ProcessId } from '../../process/registry'
import type { Kit } from '../../job/job.schema'
import { arcKWh } from '../cost'
import type { Readied } from '../readied'
import { NOTHING_USED, type ArcSet } from '../step'
import type { Draft } from '../steps/maker'
import type { Bench } from './bench'
import { MOST_WAIT_MIN } from './heat'
import { keptCap, metalLimitC } from './limits'

/** Shielding gas, where nobody set it: a No. 5 to 6 cup. Common practice, no source. */
const FLOW_L_MIN = 7
/** Below this an arc's heat leaves hardly any room under a limit, as a share of what the limit is over the air. */
const LEAST_ROOM = 0.3
/** A gun has no tungsten to keep bright: gas for a moment after its arc, s. Common practice, no source. */
const GUN_POSTFLOW_S = 1
/** What an arc is set to on a place, and what it would be set to if nothing held it back, A. */
export interface Current {
  a: number
  wants: number
  limitA: number
}

/** The arc on one mend: what it is set to, and each of its stretches laid under every limit. */
export interface Arc {
  /** The heat under which the metal is kept as a pass begins, °C. */
  readonly metalC: number
  currentOf(process: ProcessId): Current
  /** One stretch of arc, after whatever it must wait for. `set`: what else is set beside the current. */
  run(
    draft: Draft & { process: ProcessId },
    a: number,
    minutes: number,
    uses?: typeof NOTHING_USED,
    set?: Pick<ArcSet, 'rpm'>,
  ): void
}

export function arcOn(bench: Bench, { given, work: planned, bodies: [{ alloy }] }: Readied): Arc {
  const {
    job: { kit, doing },
    warm,
    heat,
    kept,
    stopped,
    addFor,
    dutyOf,
  } = bench
  const { id } = given
  const ready = bench.shared
  const metalC = Math.max(doing?.interpassC ?? metalLimitC(alloy), warm.need === 'none' ? 0 : warm.toC)
  const cap = keptCap(kept, given.atMm, heat)
  /** What the wall wants at the heat that the place will be at once it may begin. */
  const need = (process: ProcessId) =>
    isArc(process) ? ampsNeed(planned.wallMm, Math.min(heat.c, metalC, 480), process, planned.joint).a : 0

  /** Waits until an arc may begin; what holds it up longest is named. Says what the place may stand at. */
  const waited = (machine: Kit['machines'][number] | null, a: number, minutes: number, joule: number): number => {
    const rise = heat.riseK(joule)
    const keptC = cap ? Math.max(heat.airC + LEAST_ROOM * (cap.c - heat.airC), cap.c - rise) : Infinity
    const limitC = Math.min(metalC, keptC)
    const held = cap && keptC < metalC ? `kept-${cap.id}` : 'interpass'
    const cool = heat.c > limitC ? heat.coolMin(limitC) : 0
    // What one pass brings over what may be is let off in stitches.
    const over = cap && keptC + rise > cap.c ? (joule * (keptC + rise - cap.c)) / rise / heat.lossJMin(cap.c) : 0
    const minutesWaited = cool + over
    if (minutesWaited > MOST_WAIT_MIN || (cap && cap.c <= heat.airC)) stopped.set(id, cap ? 'kept-on-limit' : 'limit')
    if (Number.isFinite(minutesWaited) && minutesWaited > 0) {
      addFor(id, {
        code: 'rest',
        kind: 'wait',
        stage: 'laying',
        minutes: minutesWaited,
        because: held,
        hot: true,
        after: [ready],
      })
      heat.to(Math.min(heat.c, limitC))
    }
    const rests = machine ? dutyOf(machine).restMin(a, minutes) : 0
    if (rests > 0)
      addFor(id, {
        code: 'rest',
        kind: 'wait',
        stage: 'laying',
        minutes: rests,
        because: 'duty',
        hot: true,
        after: [ready],
      })
    return limitC
  }
  const setOf = (process: ProcessId, a: number): ArcSet => ({
    a,
    gasLMin: doing?.flowLMin ?? FLOW_L_MIN,
    postflowS: isGun(process) ? GUN_POSTFLOW_S : postflowS(Math.max(1, a)),
  })
  const run: Arc['run'] = (draft, a, minutes, uses = NOTHING_USED, more = {}) => {
    const { process } = draft
    if (!isArc(process)) return
    const machine = strongest(kit.machines, process)
    const joule = a * arcOf(process).volts * arcOf(process).enters * minutes * 60
    const limitC = waited(machine, a, minutes, joule)
    const set = { ...setOf(process, a), ...more }
    const gasL = set.gasLMin * (minutes + set.postflowS / 60)
    addFor(id, {
      ...draft,
      kind: 'arc',
      stage: draft.stage ?? 'laying',
      minutes,
      set,
      hot: true,
      limitC,
      ...(machine ? { by: machine.id } : {}),
      uses: { ...uses, gasL, kWh: arcKWh(process, a, minutes) },
      after: [ready],
      cautions: PROCESSES[process].cautions,
    })
    if (machine) dutyOf(machine).arc(a, minutes)
    heat.put(joule)
  }
  const currentOf = (process: ProcessId) => {
    const machine = isArc(process) ? strongest(kit.machines, process) : null
    const limitA = machine ? mostCurrent(machine).a : Infinity
    const wants = need(process)
    const a = Math.min(doing?.currentA ?? wants, limitA)
    return { a, wants, limitA }
  }
  return { metalC, currentOf, run }
}
