import { ROOM_C } from '../arc/least-preheat'
import { remembered } from '../ask/remembered'
import { airC } from './air'
import { fuelOf, SPOT_MM } from '../flame/fuels.table'
import { lossW, STILL_AIR, type LumpedBody } from '../heat/lumped'
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
/** A rod is flowed into so much of a run before the flame goes on, mm. Common practice, no source. */
export const BRAZED_RUN_MM = 60
/** How far to each side of a run a flame is kept moving where a place is warmed and not melted, mm. Judgement. */
const SWEPT_MM = 60
/** Longer with a torch in the hand is given up, min: judgement. */
const MOST_MIN = 60

/** Deviation of the spot that a torch heats, mm. */
export const spotMm = ({ gas }: Torch): number => (fuelOf(gas).oxygen ? SPOT_MM.oxygen : SPOT_MM.air)

/** Where little of a torch's flame is left, mm: a Gaussian of its deviation has fallen to 1/e² at twice of it. */
export const spreadsToMm = (torch: Torch): number => 2 * spotMm(torch)

export interface Place {
  atEdge?: boolean
  startC?: number
  runMm?: number
  /** Held on the spot, as for a rod that must flow there; left out, kept moving about the place. */
  held?: boolean
}
interface ReachAsk extends Required<Place> {
  torch: Torch
  part: Warmed
  alloy: Alloy
  wallMm: number
}

/** Steps of the march are even in the logarithm of time, this far apart. */
const STEP = 0.05

interface Marched {
  s: number
  c: number
}

/**
 * A place under a flame, step by step: what comes in, less what the metal that the heat has reached loses at its mean,
 * over that metal, which grows until it is all of the part.
 */
function* marched({ torch, part, alloy, wallMm, atEdge, startC, runMm, held }: ReachAsk): Generator<Marched> {
  const absorbedW = (torch.powerW * torch.efficiencyPct) / 100
  const conductivity = conductivityWmK(alloy)
  const densityKgM3 = alloy.densityGcm3 * 1000
  const diffusivity = conductivity / (densityKgM3 * alloy.specificHeatJkgK)
  // Variances add: run² ÷ 12 of a flame swept along it.
  const sigmaMm = Math.hypot(spotMm(torch), runMm / Math.sqrt(12), held ? 0 : SWEPT_MM)
  const [sigma, wall] = [sigmaMm / 1000, wallMm / 1000]
  const massKg = part.massG / 1000
  const body: LumpedBody = {
    massKg,
    specificHeatJkgK: alloy.specificHeatJkgK,
    areaMm2: part.skinMm2,
    ambientC: airC(startC),
    absorbedW,
    ...STILL_AIR,
    ...(torch.fitted ? { filmWm2K: torch.fitted.filmWm2K } : {}),
  }
  // At an edge the heat has half the plate to go into.
  const perM2 = (2 * Math.PI * densityKgM3 * wall) / (atEdge ? 2 : 1)
  /** Of the flame's heat, what is left once the metal it has reached, at its mean, has lost its share, W; over what. */
  const at = (s: number, heatJ: number) => {
    const share = Math.min(1, (perM2 * (sigma ** 2 + 2 * diffusivity * s)) / massKg)
    const perK = share * massKg * alloy.specificHeatJkgK
    return { keptW: absorbedW - share * lossW(body, startC + heatJ / perK), perK }
  }
  const unitS = sigma ** 2 / (2 * diffusivity)
  // The face under a flame held still stands over the middle of the wall by what its heat takes to get in: q h ÷ 3k.
  const overK = held ? (absorbedW / (2 * Math.PI * sigma ** 2)) * (wall / (3 * conductivity)) : 0
  let [s, c, heatJ] = [0, startC, 0]
  yield { s, c: startC }
  for (let u = STEP; s < MOST_MIN * 60; u += STEP) {
    const [next, middle] = [unitS * Math.expm1(u), unitS * Math.expm1(u - STEP / 2)]
    const half = heatJ + at(s, heatJ).keptW * (middle - s)
    const { keptW, perK } = at(middle, half)
    heatJ += keptW * (next - s)
    c += (keptW / perK) * (next - s)
    s = next
    yield { s, c: c + overK }
  }
}

const asked = (
  torch: Torch,
  part: Warmed,
  alloy: Alloy,
  wallMm: number,
  { atEdge = false, startC = ROOM_C, runMm = 0, held = false }: Place,
): ReachAsk => ({ torch, part, alloy, wallMm, atEdge, startC, runMm, held })

/** The place under a flame over time, evenly spaced, °C: what `torchReach` goes by. */
export function zoneCurve(
  torch: Torch,
  part: Warmed,
  alloy: Alloy,
  wallMm: number,
  place: Place,
  durationS: number,
  points = 40,
): { s: number; c: number }[] {
  const path = [...marched(asked(torch, part, alloy, wallMm, place))]
  return Array.from({ length: points + 1 }, (_, n) => {
    const s = (durationS * n) / points
    const at = path.findIndex(point => point.s >= s)
    const [low, high] = [path[Math.max(0, at - 1)], path[at]]
    if (!low || !high || high.s === low.s) return { s, c: (high ?? low)?.c ?? 0 }
    return { s, c: low.c + ((s - low.s) / (high.s - low.s)) * (high.c - low.c) }
  })
}

/**
 * How long a torch takes to bring a place of the part to a temperature; null where it never does. One model from the
 * spot to the whole part: the heat goes out into a plate until it has reached as much metal as the part has, and from
 * then on all of it rises as one lump; what it has reached loses to the air. Where a flame kept moving covers the whole
 * part from the beginning, that is `heat.preheat`.
 * Sources: a Gaussian source on a plate of no end (Carslaw and Jaeger 1959, 10.4), whose middle rises by P ÷ (c m), m
 * being the metal under it, 2πρh (σ² + 2at); checked against their spot on a plate of any thickness
 * (`core/heat/spot.ts`); `heat.preheat`. Accuracy: the torch's efficiency, a fifth.
 */
export function torchReach(
  torch: Torch,
  part: Warmed,
  alloy: Alloy,
  wallMm: number,
  toC: number,
  place: Place = {},
): Reach | null {
  return reachOf({ ask: asked(torch, part, alloy, wallMm, place), toC })
}

const reachOf = remembered(
  2000,
  ({ ask, toC }: { ask: ReachAsk; toC: number }): Reach | null => {
    const where = isWhole(ask) ? 'whole' : 'zone'
    if (toC <= ask.startC) return { minutes: 0, where }
    let before: Marched | null = null
    for (const now of marched(ask)) {
      if (before && now.c >= toC)
        return { minutes: (before.s + ((toC - before.c) / (now.c - before.c)) * (now.s - before.s)) / 60, where }
      before = now
    }
    return null
  },
  ({ ask: { torch, part, alloy, ...place }, toC }) =>
    [
      torch.powerW,
      torch.efficiencyPct,
      torch.gas,
      torch.fitted?.filmWm2K,
      part.massG,
      part.skinMm2,
      alloy.name,
      place.wallMm,
      place.runMm,
      place.startC,
      place.atEdge,
      place.held,
      toC,
    ].join(),
)

/** Whether a flame kept moving about the place covers the whole part from the beginning. */
function isWhole({ torch, part, alloy, wallMm, runMm, held, atEdge }: ReachAsk): boolean {
  const sigmaMm = Math.hypot(spotMm(torch), runMm / Math.sqrt(12), held ? 0 : SWEPT_MM)
  return ((2 * Math.PI * alloy.densityGcm3) / 1000) * wallMm * sigmaMm ** 2 >= part.massG * (atEdge ? 2 : 1)
}

/** The torch that is there soonest, and how long it takes; null where none gets there. */
export function soonest<T extends Torch>(
  torches: readonly T[],
  part: Warmed,
  alloy: Alloy,
  wallMm: number,
  toC: number,
  place: Place = {},
): (Reach & { torch: T }) | null {
  const found = torches.flatMap(torch => {
    const reach = torchReach(torch, part, alloy, wallMm, toC, place)
    return reach ? [{ ...reach, torch }] : []
  })
  return found.length ? found.reduce((a, b) => (b.minutes < a.minutes ? b : a)) : null
}
