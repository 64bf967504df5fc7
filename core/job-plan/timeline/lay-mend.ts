import { ampsNeed } from '../../arc/amps'
import { mostCurrent, strongest } from '../../arc/machine-reach'
import { postflowS } from '../../arc/setup'
import { PROCESSES, type ProcessId } from '../../call/process.table'
import type { Kit } from '../../job/job.schema'
import { BETWEEN_PASSES_MIN } from '../../mend/minutes.table'
import { currentFor, ENTERS, VOLTS } from '../../warm/current'
import { arcKWh } from '../cost'
import { isArc } from '../decide/process'
import { isBoiled, type Readied, type ReadyLay } from '../readied'
import { NOTHING_USED, type ArcSet } from '../step'
import { sum } from '../sum'
import type { Draft } from '../steps/maker'
import { BOIL_OUT, BOIL_SHARE } from '../steps/minutes.table'
import { passByPass } from '../steps/pass-order'
import type { Bench } from './bench'
import { MOST_WAIT_MIN } from './heat'
import { layByFlame } from './lay-by-flame'
import { keptCap, metalLimitC } from './limits'
import { ownWork } from './own-work'

/** Shielding gas, where nobody set it: a No. 5 to 6 cup. Common practice, no source. */
const FLOW_L_MIN = 7
/** Below this an arc's heat leaves hardly any room under a limit, as a share of what the limit is over the air. */
const LEAST_ROOM = 0.3
/** Less than this share of what a wall wants is no current to lay with, whatever somebody sets. */
const LEAST_SHARE = 0.2

/** A mend laid pass by pass under every limit, boiled out first where it is dirty; what was ground out laid again. */
export function layMend(bench: Bench, mend: Readied): void {
  const {
    job: { kit, part, doing },
    mass,
    warm,
    heat,
    kept,
    stopped,
    addFor,
    dutyOf,
  } = bench
  const { given, work: planned, bodies, lays } = mend
  const { id } = given
  const [body, second] = bodies
  const { alloy } = body
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
  const setOf = (a: number): ArcSet => ({
    a,
    gasLMin: doing?.flowLMin ?? FLOW_L_MIN,
    postflowS: postflowS(Math.max(1, a)),
  })
  const arc = (draft: Draft & { process: ProcessId }, a: number, minutes: number, uses = NOTHING_USED) => {
    const { process } = draft
    if (!isArc(process)) return
    const machine = strongest(kit.machines, process)
    const joule = a * VOLTS[process] * ENTERS[process] * minutes * 60
    const limitC = waited(machine, a, minutes, joule)
    const set = setOf(a)
    const gasL = set.gasLMin * (minutes + set.postflowS / 60)
    addFor(id, {
      ...draft,
      kind: 'arc',
      stage: 'laying',
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

  const boiled = isBoiled(lays[0]?.lay.process, part.soak)
  if (boiled && lays[0]) {
    const row = BOIL_OUT[part.soak]
    for (const side of [...new Set(planned.laid.map(one => one.side))]) {
      const runMm = Math.max(...planned.laid.filter(one => one.side === side).map(one => one.runMm))
      const { process } = lays[0].lay
      arc(
        { code: 'boil-out', kind: 'arc', minutes: 0, side, process },
        Math.min(BOIL_SHARE * currentOf(process).wants, currentOf(process).limitA),
        row.startMin + (row.per100Mm * runMm) / 100,
      )
      addFor(id, {
        code: 'grind-out',
        kind: 'hand',
        trade: 'cut',
        stage: 'laying',
        side,
        minutes: row.grindStartMin + (row.grindPer100Mm * runMm) / 100,
      })
    }
  }

  const passes = passByPass(lays, given.order)
  const firstOf = new Map<number, number>()
  const lastOf = new Map<number, number>()
  passes.forEach(({ of }, n) => {
    if (!firstOf.has(of.lay.side)) firstOf.set(of.lay.side, n)
    lastOf.set(of.lay.side, n)
  })
  const arcTotalMin = sum(lays.map(({ means }) => means.arcMin))
  let turned = false
  let flamed: ProcessId | null = null
  passes.forEach(({ lay, of }, n) => {
    const { process, filler, side } = of.lay
    if (side === 2 && !turned) {
      turned = true
      for (const step of planned.opening.filter(each => each.betweenSides))
        ownWork(bench, mend, step, 'laying', new Map())
    }
    const common = {
      code: firstOf.get(side) === n ? 'root' : lastOf.get(side) === n ? 'cap' : 'fill',
      lay,
      pass: n + 1,
      side,
      process,
      filler,
      massG: of.means.massG / of.means.passes,
      phase: 'mend' as const,
    }
    const rods = of.rods > 0 ? [{ filler, diameterMm: of.rodMm, count: of.rods / of.means.passes }] : []
    const uses = { ...NOTHING_USED, rods, wireM: of.means.wireM / of.means.passes }
    if (isArc(process)) {
      const { a, wants, limitA } = currentOf(process)
      // A current short of what the wall wants melts in the more slowly.
      const minutes = of.means.arcMin / of.means.passes / Math.min(1, Math.max(LEAST_SHARE, a / wants))
      const { easedA } = currentFor({
        wallMm: planned.wallMm,
        joint: planned.joint,
        process,
        startC: Math.min(heat.c, metalC),
        arcMin: minutes,
        passes: 1,
        ...mass,
        alloy,
        zoneWallMm: Math.min(body.wallMm, second?.wallMm ?? body.wallMm),
        limitA,
      })
      arc({ ...common, kind: 'arc', minutes, easedA: Math.min(a, easedA) }, a, minutes, uses)
    } else {
      flamed = process
      layByFlame(bench, mend, of, { ...common, uses }, n === 0, ready)
    }
    addFor(id, { code: 'brush-pass', kind: 'hand', trade: 'clean', stage: 'laying', minutes: BETWEEN_PASSES_MIN })
  })
  const again = doing?.again[id] ?? 0
  if (again > 0 && passes.length && !flamed) {
    const [{ lay: firstLay }] = lays as [ReadyLay]
    const times = Math.min(1, again / passes.length)
    const { a } = currentOf(firstLay.process)
    arc(
      { code: 'lay-again', kind: 'arc', minutes: 0, process: firstLay.process, filler: firstLay.filler },
      a,
      times * arcTotalMin,
      {
        ...NOTHING_USED,
        rods: lays
          .filter(({ rods }) => rods > 0)
          .map(({ lay, rodMm, rods }) => ({ filler: lay.filler, diameterMm: rodMm, count: times * rods })),
        wireM: times * sum(lays.map(({ means }) => means.wireM)),
      },
    )
  }
}
