import { transfer } from 'comlink'
import { NoAnswer } from '#core/ask/question'
import { findAlloy } from '#core/metal/find-alloy'
import { askedOf } from '#core/heat/bench/asked'
import { backwards, type Backwards } from '#core/heat/bench/backwards'
import { oneChanges, type Changed } from '#core/heat/bench/changes'
import { partKeeper, quickFactor } from '#core/heat/bench/quick'
import type { HeatSetup } from '#core/heat/bench/setup.schema'
import { toSimulate, type Surroundings } from '#core/heat/bench/to-simulate'
import { heatVerdict, type HeatVerdict } from '#core/heat/bench/verdict'
import { coldestZone } from '#core/heat/bench/zone'
import { march, type March, type Progress } from '#core/heat/field/march'
import { setUp, simulated, simulationWorking, type CutPart } from '#core/heat/simulate'
import { softening, type Softening } from '#core/heat/softening'
import type { Step } from '#core/ask/question'
import { questions } from '#core/questions'
import type { Asked } from '#core/ask/registry'

/** The part in cells for drawing: which are solid, and where each cell's figure stands in a frame. */
export interface DrawnPart {
  nx: number
  ny: number
  nz: number
  stepMm: [number, number, number]
  originMm: [number, number, number]
  slots: Int32Array
}
export interface HeatRun {
  coarse: boolean
  part: DrawnPart
  framesS: number[]
  /** Tenths of a degree by slot, one after another. */
  frames: Int16Array[]
  times: number[]
  /** By place; a weld zone's is the coldest within its reach. */
  probes: number[][]
  peakC: number
  solidusC: number
  verdict: HeatVerdict
  softening: Softening | null
  working: Step[]
  imbalancePct: number
}
export type Told<T> = { ok: true; value: T } | { ok: false; reason: string } | { ok: 'stopped' }

/** Fields kept over a run: as many as a slider wants, fewer where cells are many, since each takes two bytes a cell. */
const MOST_FRAMES = 61
const LEAST_FRAMES = 13
const FRAME_CELLS = 2e7
const framesFor = (cells: number) => Math.max(LEAST_FRAMES, Math.min(MOST_FRAMES, Math.floor(FRAME_CELLS / cells)))
const TELL_EVERY_MS = 40
const keeper = partKeeper()
let wanted = 0

/** Lets messages in: a stop, or a newer wish. */
const breathe = () =>
  new Promise<void>(resolve => {
    setTimeout(resolve, 0)
  })

/** Runs a generator to its end, telling how far it is and letting a newer wish stop it. */
async function drive<Step, Out>(
  ticket: number,
  running: Generator<Step, Out>,
  tell: (step: Step) => void,
): Promise<{ done: true; value: Out } | { done: false }> {
  let last = Date.now()
  for (;;) {
    const next = running.next()
    if (next.done) return { done: true, value: next.value }
    if (Date.now() - last < TELL_EVERY_MS) continue
    tell(next.value)
    await breathe()
    if (ticket !== wanted) return { done: false }
    last = Date.now()
  }
}

function drawn({ mask }: CutPart, grid: CutPart['grid'], factor: number): DrawnPart {
  const [nx, ny, nz] = factor === 1 ? [mask.nx, mask.ny, mask.nz] : [grid.nx, grid.ny, grid.nz]
  const slots = new Int32Array(nx * ny * nz).fill(-1)
  for (let s = 0; s < grid.segments.length; s += 5) {
    const [slot, length, i, j, k] = grid.segments.subarray(s, s + 5) as unknown as [
      number,
      number,
      number,
      number,
      number,
    ]
    for (let n = 0; n < length; n++) slots[i + n + nx * (j + ny * k)] = slot + n
  }
  return {
    nx,
    ny,
    nz,
    stepMm: [...grid.stepMm] as [number, number, number],
    originMm: [...grid.originMm] as [number, number, number],
    slots,
  }
}

function softened(alloyName: string, setup: HeatSetup, times: number[], probes: number[][]): Softening | null {
  const zone = setup.places.findIndex(place => place.kind === 'weld-zone')
  if (zone < 0) return null
  try {
    return softening(findAlloy(alloyName)!, times, probes[zone]!)
  } catch (error) {
    if (error instanceof NoAnswer) return null
    throw error
  }
}

async function guarded<T>(work: () => Promise<Told<T>>): Promise<Told<T>> {
  try {
    return await work()
  } catch (error) {
    if (error instanceof NoAnswer) return { ok: false, reason: error.message }
    return {
      ok: false,
      reason:
        error instanceof RangeError
          ? 'there is not enough memory for this many cells: take larger ones'
          : 'the run broke off: change the set-up, or reload',
    }
  }
}

export const bench = {
  /** Stops whatever runs. */
  stop: (): void => {
    wanted += 1
  },

  /** The part alone, for drawing before anything has run. */
  cut: (setup: HeatSetup, around: Surroundings): Promise<Told<DrawnPart>> =>
    guarded(async () => {
      const part = keeper(toSimulate(setup, around))
      return { ok: true, value: drawn(part, part.grid, 1) }
    }),

  /** One run; coarse for a first picture. Tells the share done. */
  run: (
    setup: HeatSetup,
    around: Surroundings,
    coarse: boolean,
    tell: (share: number) => void,
  ): Promise<Told<HeatRun>> =>
    guarded(async () => {
      const ticket = ++wanted
      const part = keeper(toSimulate(setup, around))
      const input = askedOf(setup, around, part)
      const factor = coarse ? Math.max(2, quickFactor(part)) : 1
      const frames = framesFor(part.grid.count / factor ** 3)
      const framesS = Array.from({ length: frames }, (_, n) => (input.durationS * n) / (frames - 1))
      const ready = setUp(input, part, { factor, framesS })
      const result = await drive<Progress, March>(ticket, march(ready), progress => tell(progress.share))
      if (!result.done) return { ok: 'stopped' }
      const { value } = result
      const answer = simulated(input, ready, value)
      const run: HeatRun = {
        coarse,
        part: drawn(part, ready.grid, factor),
        framesS,
        frames: value.frames,
        times: answer.times,
        probes: setup.places.map((place, n) =>
          place.kind === 'weld-zone' ? coldestZone(setup, answer.probes)! : answer.probes[n]!,
        ),
        peakC: answer.peak,
        solidusC: input.alloy.solidusC,
        verdict: heatVerdict(setup, answer, around.targetC, around.ambientC, setup.onS.value ?? 0),
        softening: softened(around.alloy, setup, answer.times, answer.probes),
        working: simulationWorking(input, ready, value),
        imbalancePct: answer.imbalancePct,
      }
      return transfer({ ok: true, value: run }, [run.part.slots.buffer, ...run.frames.map(frame => frame.buffer)])
    }),

  changes: (
    setup: HeatSetup,
    around: Surroundings,
    tell: (share: number) => void,
  ): Promise<Told<{ asIs: HeatVerdict; changed: Changed[] }>> =>
    guarded<{ asIs: HeatVerdict; changed: Changed[] }>(async () => {
      const ticket = ++wanted
      const result = await drive(ticket, oneChanges(setup, around, keeper(toSimulate(setup, around))), tell)
      return result.done ? { ok: true, value: result.value } : { ok: 'stopped' }
    }),

  backwards: (setup: HeatSetup, around: Surroundings, tell: (share: number) => void): Promise<Told<Backwards>> =>
    guarded<Backwards>(async () => {
      const ticket = ++wanted
      const result = await drive(ticket, backwards(setup, around, keeper(toSimulate(setup, around))), tell)
      return result.done ? { ok: true, value: result.value } : { ok: 'stopped' }
    }),

  /** What a place reads over time, for the stand-in thermometer. */
  read: (
    setup: HeatSetup,
    around: Surroundings,
    placeId: string,
  ): Promise<Told<{ times: number[]; values: number[] }>> =>
    guarded<{ times: number[]; values: number[] }>(async () => {
      const part = keeper(toSimulate(setup, around))
      const ready = setUp(askedOf(setup, around, part), part)
      const result = await drive<Progress, March>(++wanted, march(ready), () => {})
      const n = setup.places.findIndex(place => place.id === placeId)
      return result.done && n >= 0
        ? { ok: true, value: { times: [...ready.timesS], values: result.value.probesC[n]! } }
        : { ok: 'stopped' }
    }),

  /** Source and film from readings at one of the set-up's places. */
  fit: (
    setup: HeatSetup,
    around: Surroundings,
    placeId: string,
    readings: { s: number; C: number }[],
    offS: number,
  ): Asked => {
    const input = askedOf(setup, around, keeper(toSimulate(setup, around)))
    const n = setup.places.findIndex(place => place.id === placeId)
    const { alloy, ...rest } = input
    return questions.ask('heat.fitSource', {
      readings,
      shape: rest.shape,
      cellMm: rest.cellMm,
      alloy: alloy.name,
      sources: rest.sources,
      losses: rest.losses,
      probe: rest.probes[n],
      startC: rest.startC,
      offS,
    })
  },
}
