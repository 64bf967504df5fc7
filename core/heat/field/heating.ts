import { NoAnswer } from '../../ask/question'
import type { Field } from './field'
import type { Grid } from './grid'
import { pathLengthMm, placeAlong } from './path'
import type { Losses, Source } from './setup'
import { restingMm2, seenAreaMm2, seenByFlame, seenFrom, spread } from './spot'

/**
 * A moving spot goes at most this many of its radii in one step, and heat spreads in one that needs no estimate at most
 * this share of the square of it: both set so that the walked housing keeps its limits against the plain method.
 */
const WAY_SHARE = 1.6
const SURE_SHARE = 0.5

/** One source made ready for a grid. */
export interface Heating {
  startS: number
  endS: number
  /** Longest step it stands, s. */
  longestS: number
  moves: boolean
  /** A step so short needs no estimate of its error, s: what tells there is only the spot's own passing. */
  sureS: number
  /**
   * Gives each slot its rate at a time, K/s. @returns the power that falls on the part, W, and what share of the spot
   * that is
   */
  give(atS: number, rate: (slot: number, perS: number) => void): { powerW: number; onPart: number }
  /** Gives each slot what ties it to another temperature. */
  tie?(tie: (slot: number, perS: number, toC: number) => void): void
}

type Finer = { grid: Grid; factor: number } | undefined
const NOTHING = { powerW: 0, onPart: 1 }

/** @throws NoAnswer where the source does not reach the part */
export function heatingOf(source: Source, grid: Grid, finer: Finer, field: Field): Heating | null {
  const window = { startS: source.startS, endS: source.endS, longestS: Infinity, moves: false, sureS: 0 }
  if (source.kind === 'oven') return null
  if (source.kind === 'volume') {
    const perS = source.absorbedW / field.capacityJK
    return {
      ...window,
      give: (_atS, rate) => {
        for (let slot = 0; slot < grid.slots; slot++) rate(slot, perS)
        return { powerW: source.absorbedW, onPart: 1 }
      },
    }
  }
  if (source.kind === 'face') {
    const seen = seenFrom(grid, source.face, finer)
    const perMm2 = (source.absorbedW / seenAreaMm2(seen)) * seen.stepMm[0] * seen.stepMm[1]
    return {
      ...window,
      give: (_atS, rate) => {
        seen.slot.forEach((slot, entry) => {
          rate(slot, (perMm2 * seen.share[entry]!) / field.capacityOf(slot))
        })
        return { powerW: source.absorbedW, onPart: 1 }
      },
    }
  }
  const aims = source.kind === 'hot-air' ? [source.atMm] : (source.pathMm ?? [source.atMm])
  const seen = seenByFlame(grid, source.face, aims, source.radiusMm, finer)
  if (source.kind === 'hot-air') {
    const [stepU, stepV] = seen.stepMm
    // A film that is 1/e² at the radius holds this much over its whole spot, W/K.
    const wholeWK = ((source.filmWm2K * Math.PI * source.radiusMm ** 2) / 2) * 1e-6
    const ties: { slot: number; perS: number }[] = []
    const onPart = spread(seen, source.atMm, source.radiusMm, (slot, share) => {
      ties.push({ slot, perS: (share * wholeWK) / field.capacityOf(slot) })
    })
    if (onPart <= 0 || stepU * stepV <= 0) throw new NoAnswer('the hot air points past the part')
    return {
      ...window,
      give: () => ({ ...NOTHING, onPart }),
      tie: tie => ties.forEach(({ slot, perS }) => tie(slot, perS, source.airC)),
    }
  }
  const path = source.pathMm && source.pathMm.length > 1 && source.speedMmS > 0 ? source.pathMm : null
  const lastS =
    path && source.kind === 'arc'
      ? Math.min(source.endS, source.startS + pathLengthMm(path) / source.speedMmS)
      : source.endS
  const lay = (placeMm: readonly [number, number, number], watts: number, rate: (slot: number, perS: number) => void) =>
    spread(seen, placeMm, source.radiusMm, (slot, share) => {
      rate(slot, (watts * share) / field.capacityOf(slot))
    })
  if (!path) {
    const held: { slot: number; perS: number }[] = []
    const onPart = lay(source.pathMm?.[0] ?? source.atMm, source.absorbedW, (slot, perS) => {
      held.push({ slot, perS })
    })
    if (onPart < 1e-3)
      throw new NoAnswer(`the ${source.kind} points past the part: nothing of its spot falls on the ${source.face}`)
    return {
      ...window,
      give: (_atS, rate) => {
        for (const { slot, perS } of held) rate(slot, perS)
        return { powerW: source.absorbedW * onPart, onPart }
      },
    }
  }
  return {
    ...window,
    endS: lastS,
    moves: true,
    longestS: (WAY_SHARE * source.radiusMm) / source.speedMmS,
    sureS: (SURE_SHARE * source.radiusMm ** 2) / field.spreadMm2S,
    give: (atS, rate) => {
      const onPart = lay(
        placeAlong(path, (atS - source.startS) * source.speedMmS, source.kind === 'torch'),
        source.absorbedW,
        rate,
      )
      return { powerW: source.absorbedW * onPart, onPart }
    },
  }
}

/** What the part rests on: which slots are tied to it and how strongly, and how it warms. */
export interface Resting {
  cells: readonly { slot: number; perS: number; wattsPerK: number }[]
  /** Its heat capacity, J/K; infinite for a bench. */
  capacityJK: number
  longestS: number
}

/** @throws NoAnswer never; a part that rests on nothing has no cells */
export function restingOf(losses: Losses, grid: Grid, finer: Finer, field: Field): Resting {
  if (losses.contactWm2K === 0) return { cells: [], capacityJK: Infinity, longestS: Infinity }
  const [from, long] = [grid.originMm[0], grid.nx * grid.stepMm[0]]
  const strip = losses.stripMm
  // Two strips, at a sixth of the length from each end.
  const rests =
    strip === undefined
      ? () => true
      : (x: number) =>
          [1 / 6, 5 / 6].some(share => Math.abs(x - from - share * long) <= Math.max(strip, 2 * grid.stepMm[0]) / 2)
  const cells = [...restingMm2(grid, rests, finer)].map(([slot, areaMm2]) => {
    const wattsPerK = losses.contactWm2K * areaMm2 * 1e-6
    // What rests loses heat through the contact only.
    field.cover(slot, areaMm2)
    return { slot, perS: wattsPerK / field.capacityOf(slot), wattsPerK }
  })
  const capacityJK = losses.backingJK ?? Infinity
  const wattsPerK = cells.reduce((sum, cell) => sum + cell.wattsPerK, 0)
  return { cells, capacityJK, longestS: Number.isFinite(capacityJK) ? (0.1 * capacityJK) / wattsPerK : Infinity }
}
