import { isArc, type ProcessId } from '../../process/registry'
import { BETWEEN_PASSES_MIN } from '../../mend/minutes.table'
import { currentFor } from '../../warm/current'
import { isBoiled, type Readied, type ReadyLay } from '../readied'
import { NOTHING_USED } from '../step'
import { sum } from '../sum'
import { BOIL_OUT, BOIL_SHARE } from '../steps/minutes.table'
import { passByPass } from '../steps/pass-order'
import { arcOn } from './arc-on'
import type { Bench } from './bench'
import { layByFlame } from './lay-by-flame'
import { ownWork } from './own-work'

/** Less than this share of what a wall wants is no current to lay with, whatever somebody sets. */
const LEAST_SHARE = 0.2

/** A mend laid pass by pass under every limit, boiled out first where it is dirty; what was ground out laid again. */
export function layMend(bench: Bench, mend: Readied): void {
  const {
    job: { part, doing },
    mass,
    heat,
    addFor,
  } = bench
  const { given, work: planned, bodies, lays } = mend
  const { id } = given
  const [body, second] = bodies
  const { alloy } = body
  const ready = bench.shared
  const { metalC, currentOf, run: arc } = arcOn(bench, mend)

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
      // A part that is turned under its arc goes round once a pass.
      const turns = mend.kind.turned ? { rpm: 1 / minutes } : {}
      arc({ ...common, kind: 'arc', minutes, easedA: Math.min(a, easedA) }, a, minutes, uses, turns)
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
