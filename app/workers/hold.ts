import { mostMovedMm, towardsYield } from '#core/hold/drawn'
import { hold } from '#core/hold/run'
import { benchSetup } from '#core/station/hold/bench-setup'
import type { HoldCase } from '#core/station/hold/hold-bench'
import type { HeldState } from '#core/station/hold/hold-says'
import type { HeatMap } from '#core/warm/heat-map'
import { longRuns, type Told } from './to-its-end'

/** A state worked out: what it bears, where it is weakest, and how near each cell is to its yield, in colours. */
export interface HeldRun extends HeldState {
  atMm: readonly [number, number, number]
  map: HeatMap
}

const runs = longRuns()

/** One state of a part under its load. */
function* held({ id, asked }: HoldCase): Generator<{ share: number }, HeldRun> {
  const setup = benchSetup({ asked })
  const result = yield* hold(setup)
  const { by, weakest, life, cells, imbalancePct } = result
  const [x, y, z] = setup.lattice.originMm
  const [dx, dy, dz] = setup.lattice.stepMm
  return {
    id,
    by,
    weakest,
    cells,
    imbalancePct,
    givesMm: mostMovedMm(result),
    atMm: by.find(({ zone }) => zone === weakest)!.atMm,
    life: life.toSorted((a, b) => a.cycles - b.cycles)[0] ?? null,
    map: {
      originMm: [x, y, z],
      stepMm: [dx, dy, dz],
      cells: Uint16Array.from(setup.lattice.cellAt),
      moments: [{ s: 0, flame: 'on', tenths: towardsYield(setup, result) }],
    },
  }
}

export const bench = {
  stop: runs.stop,
  run: (one: HoldCase, tell: (share: number) => void): Promise<Told<HeldRun>> =>
    runs.run(
      () => held(one),
      ({ share }) => share,
      tell,
      'the run broke off: change the part or its load, or reload',
    ),
}
