import { NoAnswer } from '../../ask/question'
import { reachOf } from './chebyshev'
import { Field, type Drift } from './field'
import { forEachCell, type Grid } from './grid'
import { heatingOf, restingOf } from './heating'
import type { Losses, Material, Source } from './setup'

/** Stages past which single precision would tell in the recurrence. */
const MOST_STAGES = 200
/**
 * First step after a source starts or stops, as dt × greatest eigenvalue; short enough that an error estimate means
 * something.
 */
const FIRST_REACH = 4
/**
 * Greatest estimated error of a step, as a share of the greatest rise so far: where all sources stand still, and where
 * one moves, whose steps are held short by its way and whose estimate is mostly the spot's own passing.
 */
const STILL_TOLERANCE = 2.5e-3
const MOVING_TOLERANCE = 0.3
/** Least rise against which the error is measured, K. */
const LEAST_SCALE_K = 2
const SOON = 1e-9
/**
 * Where a moving spot is looked at in a step, as shares of it (Gauss and Legendre, five places). What it gives each
 * cell is taken as a straight line in time with the same sum and the same first moment; `tilt` is each place's part in
 * half of that line's rise.
 */
const GAUSS = [
  [0.5, 128 / 225],
  ...[-1, 1].flatMap(sign => [
    [0.5 + (sign * Math.sqrt(5 - 2 * Math.sqrt(10 / 7))) / 6, (322 + 13 * Math.sqrt(70)) / 900],
    [0.5 + (sign * Math.sqrt(5 + 2 * Math.sqrt(10 / 7))) / 6, (322 - 13 * Math.sqrt(70)) / 900],
  ]),
] as unknown as readonly (readonly [number, number])[]
const WAY_PLACES = GAUSS.map(([at, weight]) => ({ at, share: weight / 2, tilt: (3 * (2 * at - 1) * weight) / 2 }))
/** From one step that needs no estimate to the next it grows by so much. */
const SURE_GROWS = 1.5
/** The last steps of a moving spot go no further than this share of its longest. */
const LAST_WAY_SHARE = 0.2
const HELD_PLACE = [{ at: 0, share: 1, tilt: 0 }]

export type Probe = readonly { slot: number; weight: number }[]

export interface Setup {
  grid: Grid
  /** The finer grid of which `grid` is put together. */
  finer?: { grid: Grid; factor: number } | undefined
  material: Material
  startC: number
  losses: Losses
  sources: readonly Source[]
  durationS: number
  probes: readonly Probe[]
  /** When the probes are read, s, ascending. */
  timesS: readonly number[]
  /** When the whole field is kept, s, ascending. */
  framesS?: readonly number[] | undefined
  /** Greatest estimated error of a step, as a share of the greatest rise so far; left out, fit for the sources. */
  tolerance?: number | undefined
}

export interface March {
  /** By probe, at each of the times asked for, °C. */
  probesC: number[][]
  /** Fields at the frames asked for, tenths of a degree, by slot. */
  frames: Int16Array[]
  /** The field at the end, °C, by slot. */
  endC: Float32Array
  peakC: number
  /** Given by sources, taken by air and bench, and left in the part, J. */
  absorbedJ: number
  lostJ: number
  storedJ: number
  /** Least share of a spot that fell on the part, 0 … 1. */
  onPart: number
  steps: number
  stages: number
  bytesPerCell: number
}

/** How far a march is; the probes' readings so far, as they grow. */
export interface Progress {
  atS: number
  share: number
  probesC: readonly (readonly number[])[]
  /** The fields kept so far, as they grow. */
  frames: readonly Int16Array[]
}

/** The cubic through both ends of a step and the rates there (Hermite), at a share x of it. */
function cubic(
  x: number,
  dt: number,
): (before: number, after: number, rateBefore: number, rateAfter: number) => number {
  const [h1, h2, h3] = [x * x * (3 - 2 * x), x * (1 - x) ** 2 * dt, x * x * (x - 1) * dt]
  return (before, after, rateBefore, rateAfter) => before + (after - before) * h1 + rateBefore * h2 + rateAfter * h3
}

/** Gathers what changes at a few of many slots. */
class Change {
  private readonly values: Float32Array
  private slots: number[] = []
  constructor(slots: number) {
    this.values = new Float32Array(slots)
  }
  readonly add = (slot: number, perS: number): void => {
    if (this.values[slot] === 0) this.slots.push(slot)
    this.values[slot]! += perS
  }
  clear(): void {
    for (const slot of this.slots) this.values[slot] = 0
    this.slots = []
  }
  drift(): Drift {
    const slots = Int32Array.from(new Set(this.slots))
    return { slots, perS: Float32Array.from(slots, slot => this.values[slot]!) }
  }
}

/**
 * Heat in a part over time: the heat equation on its cells by a stabilised explicit method of second order, with film,
 * grey radiation, contact and sources.
 *
 * ρc ∂T/∂t = k∇²T; at the skin h(T − Ta) + εσ(T⁴ − Ta⁴) is lost. Method: Runge–Kutta–Chebyshev (Sommeijer, Shampine and
 * Verwer 1998), the step chosen from its own error estimate and the number of stages from the step, so that every step
 * is stable; losses are linearised at the beginning of each step; what a moving spot gives a cell over a step is a
 * straight line in time with the same sum and first moment. Single precision, of the rise above the air.
 * Constant properties; no melting. Accuracy against a fine-step explicit solver on the same cells: docs/method.md.
 *
 * A generator, so that a worker may show progress and be stopped: it yields after every step, and returns the result.
 * @throws NoAnswer where a source points past the part, or the figures run away
 */
export function* march(setup: Setup): Generator<Progress, March> {
  const { grid, finer, losses, durationS, startC, probes, timesS, framesS = [] } = setup
  const field = new Field(grid, setup.material)
  const heatings = setup.sources
    .map(source => heatingOf(source, grid, finer, field))
    .filter(heating => heating !== null)
  const resting = restingOf(losses, grid, finer, field)
  const events = [
    ...new Set([
      0,
      durationS,
      ...setup.sources.flatMap(source => [source.startS, source.endS]),
      ...heatings.map(heating => heating.endS),
    ]),
  ]
    .filter(s => s >= 0 && s <= durationS)
    .sort((a, b) => a - b)
  const airAt = (s: number) => {
    const oven = setup.sources.find(
      source => source.kind === 'oven' && source.startS <= s + SOON && source.endS > s + SOON,
    )
    return oven?.kind === 'oven' ? oven.airC : losses.ambientC
  }

  const result: March = {
    probesC: probes.map(() => []),
    frames: [],
    endC: new Float32Array(0),
    peakC: startC,
    absorbedJ: 0,
    lostJ: 0,
    storedJ: 0,
    onPart: 1,
    steps: 0,
    stages: 0,
    bytesPerCell: field.bytes / grid.count,
  }
  let airC = airAt(0)
  let backingC = losses.ambientC
  field.fill(startC - airC)
  const read = (values: Float32Array, probe: Probe) =>
    probe.reduce((sum, { slot, weight }) => sum + values[slot]! * weight, 0)
  let [nextTime, nextFrame] = [0, 0]
  let scaleK = LEAST_SCALE_K
  let given: number[] = []
  const change = new Change(grid.slots)

  function keepReadings(fromS: number, dt: number): void {
    const ends = [field.rise, field.riseAfter, field.rate, field.rateAfter] as const
    for (; nextTime < timesS.length && timesS[nextTime]! <= fromS + dt + SOON; nextTime++) {
      const at = cubic((timesS[nextTime]! - fromS) / dt, dt)
      probes.forEach((probe, n) =>
        result.probesC[n]!.push(
          airC + at(...(ends.map(values => read(values, probe)) as [number, number, number, number])),
        ),
      )
    }
    for (; nextFrame < framesS.length && framesS[nextFrame]! <= fromS + dt + SOON; nextFrame++) {
      const at = cubic((framesS[nextFrame]! - fromS) / dt, dt)
      const frame = new Int16Array(grid.slots)
      const [before, after, rateBefore, rateAfter] = ends
      forEachCell(grid, slot => {
        frame[slot] = Math.round(10 * (airC + at(before[slot]!, after[slot]!, rateBefore[slot]!, rateAfter[slot]!)))
      })
      result.frames.push(frame)
    }
  }

  for (let event = 0, t = 0; event + 1 < events.length; event++) {
    const untilS = events[event + 1]!
    if (airAt(t) !== airC) {
      field.shift(airC - airAt(t))
      airC = airAt(t)
    }
    const running = heatings.filter(heating => heating.startS <= t + SOON && heating.endS > t + SOON)
    const tolerance = setup.tolerance ?? (running.some(heating => heating.moves) ? MOVING_TOLERANCE : STILL_TOLERANCE)
    const sureS = running.length ? Math.min(...running.map(heating => heating.sureS)) : 0
    let wantedS = 0
    while (t < untilS - SOON) {
      let drainPerS = field.lose(losses.filmWm2K, losses.emissivity, airC)
      const { drains } = field
      // Ties to bench, backing and jets: a drain on the rise, and a gain towards the other's temperature.
      const ties: { slot: number; perS: number; toC: number }[] = resting.cells.map(({ slot, perS }) => ({
        slot,
        perS,
        toC: backingC,
      }))
      for (const heating of running)
        heating.tie?.((slot, perS, toC) => {
          ties.push({ slot, perS, toC })
        })
      for (const { slot, perS } of ties) drainPerS = Math.max(drainPerS, (drains[slot]! += perS))
      const eigenPerS = field.conductionPerS + drainPerS
      const longestS = Math.min(
        reachOf(MOST_STAGES) / eigenPerS,
        resting.longestS,
        ...running.map(heating => heating.longestS),
      )
      const leftS = untilS - t
      let dt = Math.min(wantedS || FIRST_REACH / eigenPerS, longestS)
      // Two even steps rather than a long one and a crumb.
      // A field is looked at when a march ends: what lies under a moving spot is truest after short steps.
      if (running.some(heating => heating.moves)) dt = Math.min(dt, Math.max(leftS / 3, LAST_WAY_SHARE * longestS))
      if (dt > leftS * 0.999) dt = leftS
      else if (dt > leftS / 2) dt = leftS / 2

      // Gains as they are at the beginning of the step, and how those of moving spots change until its end.
      let powerW = 0
      const give = () => {
        const { gains } = field
        for (const slot of given) gains[slot] = 0
        given = []
        change.clear()
        const put = (slot: number, perS: number) => {
          gains[slot]! += perS
          given.push(slot)
        }
        for (const { slot, perS, toC } of ties) put(slot, perS * (toC - airC))
        powerW = 0
        for (const heating of running) {
          const places = heating.moves ? WAY_PLACES : HELD_PLACE
          for (const { at, share, tilt } of places) {
            const laid = heating.give(t + at * dt, (slot, perS) => {
              put(slot, (share - tilt) * perS)
              if (tilt) change.add(slot, 2 * tilt * perS)
            })
            powerW += share * laid.powerW
            result.onPart = Math.min(result.onPart, laid.onPart)
          }
        }
        const drift = change.drift()
        given.push(...drift.slots)
        return drift
      }
      for (;;) {
        const drift = give()
        field.begin()
        const trial = field.try(dt, eigenPerS, drift)
        result.stages += trial.stages
        const error = trial.worstK / (tolerance * scaleK)
        if (!Number.isFinite(error))
          throw new NoAnswer('with these figures the temperature runs away: check powers, films and sizes')
        wantedS = dt * Math.min(3, Math.max(0.2, 0.8 / Math.cbrt(Math.max(error, 1e-6))))
        if (dt <= sureS) wantedS = Math.max(wantedS, Math.min(sureS, SURE_GROWS * dt))
        if (error <= 1 || dt <= sureS || dt <= FIRST_REACH / eigenPerS) break
        dt = Math.min(wantedS, 0.7 * dt)
      }
      keepReadings(t, dt)
      const tied = ties.reduce((sum, { slot, perS, toC }) => sum + perS * (toC - airC) * field.capacityOf(slot), 0)
      result.lostJ += ((field.lostW(false) + field.lostW(true)) / 2 - tied) * dt
      result.absorbedJ += powerW * dt
      if (Number.isFinite(resting.capacityJK)) {
        const [before, after] = [field.rise, field.riseAfter]
        backingC +=
          (resting.cells.reduce(
            (sum, { slot, wattsPerK }) => sum + wattsPerK * (airC + (before[slot]! + after[slot]!) / 2 - backingC),
            0,
          ) *
            dt) /
          resting.capacityJK
      }
      const hottestC = field.take() + airC
      result.peakC = Math.max(result.peakC, hottestC)
      scaleK = Math.max(scaleK, Math.abs(hottestC - startC))
      t += dt
      result.steps += 1
      yield { atS: t, share: t / durationS, probesC: result.probesC, frames: result.frames }
    }
  }
  result.endC = field.rise.map(rise => rise + airC)
  forEachCell(grid, slot => {
    result.storedJ += field.capacityOf(slot) * (result.endC[slot]! - startC)
  })
  return result
}

/** Runs a march to its end. */
export function finish(running: Generator<Progress, March>): March {
  for (;;) {
    const next = running.next()
    if (next.done) return next.value
  }
}
