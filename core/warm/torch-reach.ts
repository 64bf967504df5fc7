import { ROOM_C } from '../arc/least-preheat'
import { remembered } from '../ask/remembered'
import { airC } from './air'
import { fuelOf, SPOT_MM } from '../flame/fuels.table'
import { secondsBetween, STILL_AIR } from '../heat/lumped'
import { spotRise, type Spot } from '../heat/spot'
import type { Alloy } from '../metal/alloys.table'
import { conductivityWmK } from '../metal/conductivity'

export interface Torch {
  name: string
  gas: string
  powerW: number
  efficiencyPct: number
  /** What a thermometer has taught of the air about the part. */
  fitted?: { filmWm2K: number } | undefined
}
export interface Warmed {
  massG: number
  skinMm2: number
}
export interface Reach {
  minutes: number
  where: 'whole' | 'zone'
}

/** A zone longer than this is warmed a length at a time, mm. Common practice, no source. */
export const MOST_RUN_MM = 150
/** Longer with a torch in the hand is not sensible, min: judgement. */
const MOST_MIN = 20
/** Times at which the zone is looked at, s. */
const ZONE_TRIES_S = [30, 60, 90, 120, 180, 240, 300, 420, 600, 900]

/** The first of ascending values that does, where all past it do too: by halving, since each look is dear. */
function firstOf(values: readonly number[], does: (value: number) => boolean): number | undefined {
  if (!does(values.at(-1)!)) return undefined
  let [low, high] = [0, values.length - 1]
  while (low < high) {
    const middle = (low + high) >> 1
    if (does(values[middle]!)) high = middle
    else low = middle + 1
  }
  return values[low]
}

/** Deviation of the spot that a torch heats, mm. */
export const spotMm = ({ gas }: Torch): number => (fuelOf(gas).oxygen ? SPOT_MM.oxygen : SPOT_MM.air)

/** The flame as a spot on this wall, swept along a run. */
function spotOf(torch: Torch, alloy: Alloy, wallMm: number, runMm: number): Spot {
  const conductivity = conductivityWmK(alloy)
  return {
    absorbedW: (torch.powerW * torch.efficiencyPct) / 100,
    sigmaMm: Math.hypot(spotMm(torch), runMm / Math.sqrt(12)),
    wallMm,
    conductivityWmK: conductivity,
    diffusivityM2s: conductivity / (alloy.densityGcm3 * 1000 * alloy.specificHeatJkgK),
  }
}

/** The zone under a flame over time, evenly spaced, °C: the spot of `torchReach` in a plate. */
export function zoneCurve(
  torch: Torch,
  alloy: Alloy,
  wallMm: number,
  runMm: number,
  startC: number,
  durationS: number,
  points = 40,
): { s: number; c: number }[] {
  const spot = spotOf(torch, alloy, wallMm, runMm)
  return Array.from({ length: points + 1 }, (_, n) => {
    const s = (durationS * n) / points
    return { s, c: startC + spotRise(spot, s) }
  })
}

/**
 * How long a torch takes to bring the whole part, or where it never does the zone under it, to a temperature; null
 * where it does neither. The whole is one lump; the zone is the middle of a flame swept to and fro along the run, whose
 * spot is as much wider as that (variances add: run² ÷ 12). At an edge the heat has half the plate to go into, so the
 * spot rises twice as far (its image in the edge).
 * Sources: `heat.preheat`, and Carslaw and Jaeger's spot (`core/heat/spot.ts`). Accuracy: the torch's efficiency, a
 * fifth.
 */
export function torchReach(
  torch: Torch,
  part: Warmed,
  alloy: Alloy,
  wallMm: number,
  toC: number,
  { atEdge = false, startC = ROOM_C, runMm = 0 }: { atEdge?: boolean; startC?: number; runMm?: number } = {},
): Reach | null {
  return reachOf({ torch, part, alloy, wallMm, toC, atEdge, startC, runMm })
}

interface ReachAsk {
  torch: Torch
  part: Warmed
  alloy: Alloy
  wallMm: number
  toC: number
  atEdge: boolean
  startC: number
  runMm: number
}

const reachOf = remembered(2000, (ask: ReachAsk): Reach | null => {
  const { torch, part, alloy, wallMm, toC, atEdge, startC, runMm } = ask
  const absorbedW = (torch.powerW * torch.efficiencyPct) / 100
  const lump = {
    massKg: part.massG / 1000,
    specificHeatJkgK: alloy.specificHeatJkgK,
    areaMm2: part.skinMm2,
    ambientC: airC(startC),
    absorbedW,
    ...STILL_AIR,
    ...(torch.fitted ? { filmWm2K: torch.fitted.filmWm2K } : {}),
  }
  const wholeMin = (startC >= toC ? 0 : secondsBetween(lump, startC, toC)) / 60
  if (wholeMin <= MOST_MIN) return { minutes: wholeMin, where: 'whole' }
  const spot = spotOf(torch, alloy, wallMm, runMm)
  const seconds = firstOf(ZONE_TRIES_S, each => startC + (atEdge ? 2 : 1) * spotRise(spot, each) >= toC)
  if (seconds !== undefined) return { minutes: seconds / 60, where: 'zone' }
  return Number.isFinite(wholeMin) ? { minutes: wholeMin, where: 'whole' } : null
})

/** The torch that is there soonest, and how long it takes; null where none gets there. */
export function soonest<T extends Torch>(
  torches: readonly T[],
  part: Warmed,
  alloy: Alloy,
  wallMm: number,
  toC: number,
  place: { runMm?: number; atEdge?: boolean } = {},
): (Reach & { torch: T }) | null {
  const found = torches.flatMap(torch => {
    const reach = torchReach(torch, part, alloy, wallMm, toC, place)
    return reach ? [{ ...reach, torch }] : []
  })
  return found.length ? found.reduce((a, b) => (b.minutes < a.minutes ? b : a)) : null
}
