import { ROOM_C } from '../../arc/least-preheat'
import { STILL_AIR, lossW, type LumpedBody } from '../../heat/lumped'
import type { Alloy } from '../../metal/alloys.table'
import { conductivityWmK } from '../../metal/conductivity'

/** How far from its middle a mend's heat is spread before any of it runs off, mm: as far as a flame is kept moving. */
const PLACE_MM = 63
/** A part is cool to the hand at this, °C. Common practice, no source. */
export const HAND_C = 45
/** A wait longer than this is no plan, min. Judgement. */
export const MOST_WAIT_MIN = 480

/**
 * How much of a part is warm with the place that is mended, g, once heat has gone out from it for so many minutes: the
 * mass under a Gaussian that spreads in a plate, no more than the part. Carslaw and Jaeger 1959, 10.4.
 */
export function warmMassG(alloy: Alloy, wallMm: number, massG: number, minutes: number): number {
  const densityKgM3 = alloy.densityGcm3 * 1000
  const diffusivity = conductivityWmK(alloy) / (densityKgM3 * alloy.specificHeatJkgK)
  const spreadM2 = (PLACE_MM / 1000) ** 2 + 2 * diffusivity * 60 * minutes
  return Math.min(massG, 1000 * 2 * Math.PI * densityKgM3 * (wallMm / 1000) * spreadM2)
}

export interface HeatGiven {
  alloy: Alloy
  massG: number
  skinMm2: number
  /** What of the part is warm with the place. */
  warmG: number
  startC: number
}

/**
 * What the place that is mended stands at, along the steps: one lump that steps put heat into and air takes it from.
 * Losses by `heat.preheat`'s own film and emissivity, as an exponential at what they are where each step begins.
 */
export interface Heat {
  /** Of the place, °C. */
  readonly c: number
  readonly airC: number
  /** What the place rises by for so much heat, K. */
  riseK(joule: number): number
  /** What the whole part stands at on average when the place is at a temperature, °C, and the other way about. */
  meanOf(placeC: number): number
  placeOf(meanC: number): number
  put(joule: number): void
  to(c: number): void
  pass(minutes: number): void
  /** Minutes until it has cooled to a temperature; infinite where it never does. */
  coolMin(toC: number): number
  /** What it loses at a temperature, J a minute. */
  lossJMin(c: number): number
}

export function heatAlong({ alloy, massG, skinMm2, warmG, startC }: HeatGiven): Heat {
  const airC = Math.min(ROOM_C, startC)
  const share = warmG / massG
  const capacityJK = (warmG / 1000) * alloy.specificHeatJkgK
  const body: LumpedBody = {
    massKg: warmG / 1000,
    specificHeatJkgK: alloy.specificHeatJkgK,
    areaMm2: skinMm2 * share,
    ambientC: airC,
    absorbedW: 0,
    ...STILL_AIR,
  }
  let c = startC
  /** Minutes in which it loses two thirds of its heat, at what it stands at. */
  const constantMin = (atC: number) => (capacityJK * Math.max(1e-6, atC - airC)) / lossW(body, atC) / 60
  return {
    get c() {
      return c
    },
    airC,
    riseK: joule => joule / capacityJK,
    meanOf: placeC => airC + (placeC - airC) * share,
    placeOf: meanC => airC + (meanC - airC) / share,
    put(joule) {
      // Past where it melts the heat is in the puddle.
      c = Math.max(c, Math.min(alloy.solidusC, c + joule / capacityJK))
    },
    to(toC) {
      c = toC
    },
    pass(minutes) {
      if (c > airC + 1e-6) c = airC + (c - airC) * Math.exp(-minutes / constantMin(c))
    },
    coolMin: toC => (c <= toC ? 0 : toC <= airC ? Infinity : constantMin(c) * Math.log((c - airC) / (toC - airC))),
    lossJMin: atC => 60 * lossW(body, atC),
  }
}
