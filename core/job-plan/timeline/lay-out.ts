import { CHECK_CAUTIONS, checkMin } from '../checks.table'
import type { Ordered } from '../decide/order'
import type { Readied } from '../readied'
import type { Made } from '../step'
import { benchFor, type LayOut } from './bench'
import { layMend } from './lay-mend'
import { coolAll, driveOut, setUp, takeItIn, warmUp } from './make-ready'
import { ownWork } from './own-work'
import { runOver } from './run-over'

export interface LaidOut {
  steps: Made[]
  /** Mends that a limit keeps from being laid, with its code. */
  stopped: Map<string, string>
}

/** Mends that are begun together: those that wait for none, then those that wait for these. */
function roundsOf(mends: readonly Readied[], order: readonly Ordered[]): Readied[][] {
  const waits = new Map(order.map(one => [one.id, one.waitsFor]))
  const there = new Set(mends.map(({ given }) => given.id))
  const depth = new Map<string, number>()
  const depthOf = (id: string): number => {
    const known = depth.get(id)
    if (known !== undefined) return known
    depth.set(id, 0)
    const found = Math.max(0, ...(waits.get(id) ?? []).filter(one => there.has(one)).map(one => depthOf(one) + 1))
    depth.set(id, found)
    return found
  }
  const rounds: Readied[][] = []
  for (const mend of mends) {
    const at = depthOf(mend.given.id)
    ;(rounds[at] ??= []).push(mend)
  }
  return rounds.filter(round => round !== undefined)
}

/**
 * All that is done, in the order it is done, with the heat that runs along it: what is shared once, each mend opened,
 * warmed and laid in turn under every limit, cooled, rebuilt and proved. Limits put waits in; one that would ask for
 * longer than anybody waits stops its mend.
 */
export function layOut(given: LayOut): LaidOut {
  const bench = benchFor(given)
  const { heat, mends, order, checks, chain } = bench
  const startC = heat.c
  takeItIn(bench)
  const rounds = roundsOf(mends, order)
  rounds.forEach((round, n) => {
    const waits = new Map<string, string>()
    const openings = round.flatMap(mend =>
      mend.work.opening.filter(step => !step.betweenSides).map(step => ({ mend, step })),
    )
    bench.gate = [...chain.values()]
    for (const { mend, step } of openings.filter(one => one.step.ahead)) ownWork(bench, mend, step, 'opening', waits)
    for (const { mend, step } of openings.filter(one => !one.step.ahead && !one.step.at))
      ownWork(bench, mend, step, 'opening', waits)
    if (n === 0) {
      driveOut(bench)
      setUp(bench)
    }
    warmUp(bench, round, startC)
    for (const mend of round.filter(({ kind }) => kind.turn === 'first'))
      for (const step of mend.work.rebuild.filter(each => !each.cold)) ownWork(bench, mend, step, 'rebuild', waits)
    for (const mend of round) {
      for (const { step } of openings.filter(one => one.mend === mend && one.step.at))
        ownWork(bench, mend, step, 'opening', waits)
      if (mend.lays.length) layMend(bench, mend)
    }
    if (n === rounds.length - 1) coolAll(bench, 'cool-to-hand')
    for (const mend of round)
      for (const step of mend.work.rebuild.filter(each => each.cold || mend.kind.turn !== 'first'))
        ownWork(bench, mend, step, 'rebuild', waits)
  })
  const again = bench.laying.map(mend => runOver(bench, mend))
  if (again.some(Boolean)) coolAll(bench, 'cool-to-hand')
  const all = [...chain.values()]
  for (const { code, mends: asking, weldMm2 } of checks)
    bench.addShared(
      {
        code: `check-${code}`,
        kind: 'hand',
        trade: 'check',
        phase: 'prove',
        stage: 'check',
        minutes: checkMin(code, asking, weldMm2),
        cautions: CHECK_CAUTIONS[code] ?? [],
      },
      all,
    )
  for (const { id, price } of given.job.doing?.extras ?? [])
    bench.addShared({ code: `extra-${id}`, kind: 'hand', phase: 'extra', minutes: 0, extra: price })
  return { steps: bench.steps, stopped: bench.stopped }
}
