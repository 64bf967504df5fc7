import type { Caution, Step } from '../ask/question'
import { equilibriumC, STILL_AIR, type LumpedBody } from '../heat/lumped'
import { spotRise, type Spot } from '../heat/spot'
import type { Alloy } from '../metal/alloys.table'
import { conductivityWmK } from '../metal/conductivity'
import { familyById } from '../metal/families.table'
import { caution } from '../safety/cautions.table'
import { fuelOf, SPOT_MM } from './fuels.table'

/** A puddle that takes rod stands this far over the liquidus, K: judgement. */
const PUDDLE_OVER_K = 30
/** A flame held in one place for longer than this warms the part, not the puddle, s: judgement. */
const LONGEST_S = 20
/**
 * A flame that only just makes a puddle cannot be carried along: the puddle is asked of this share of it. Judgement,
 * set once so that walls of 3 to 6 mm come to the 75 to 100 L of acetylene an hour for each millimetre that is common
 * practice.
 */
const IN_HAND = 0.75
/** A casting is warmed to this at most before a flame, °C; common practice, no source. */
const MOST_PREHEAT_C = 300
const CURVE_POINTS = 40

export interface FlameInput {
  base: Alloy
  gas: string
  wallMm: number
  massKg: number
  areaMm2: number
  sourceW: number
  efficiencyPct: number
  ambientC: number
  startC: number
  layMin: number
}
export interface FlamePlan {
  verdict: 'good' | 'preheat' | 'too-small' | 'refused'
  reason: string
  /** What the spot must come to, °C. */
  puddleC: number
  /** The part's own heat from which the spot gets there, °C; where the start is enough, the start. */
  fromC: number
  /** Until there is a puddle, from there, s; null where there is none. */
  toPuddleS: number | null
  /** Least flame for this wall warmed as far as it may be, W, before its efficiency. */
  leastSourceW: number
  /** Fuel burnt while warming to the puddle and laying, L; null where the gas names no fuel. */
  fuelL: number | null
  /** The spot's temperature over time, held still. */
  curve: { s: number; c: number }[]
  steps: string[]
  cautions: Caution[]
  working: Step[]
}

/** First second at which the spot has risen so far; Infinity where it has not within the longest. */
function secondsTo(spot: Spot, riseK: number): number {
  if (riseK <= 0) return 0
  let [low, high] = [0, LONGEST_S]
  if (spotRise(spot, high) < riseK) return Infinity
  for (let i = 0; i < 24; i++) {
    const middle = (low + high) / 2
    if (spotRise(spot, middle) < riseK) low = middle
    else high = middle
  }
  return high
}

/**
 * Whether a flame makes a puddle on this wall, from what heat, and how soon: welding with oxygen and fuel gas, rod and
 * flux.
 *
 * The spot's rise over the part's own heat by `spotRise` (no losses, no edge: an edge or a corner melts sooner); the
 * part's heat as one lump. Latent heat is left out, so seconds are too few by about a third. Accuracy: to the share
 * absorbed and the width of the cone, a third; the least flame against the trade's own rule, a fifth on 3 to 6 mm.
 */
export function planFlame(input: FlameInput): FlamePlan {
  const { base, wallMm, sourceW, efficiencyPct, startC, ambientC } = input
  const family = familyById(base.family)
  const { oxygen, mjM3 } = fuelOf(input.gas)
  const conductivity = conductivityWmK(base)
  const spot: Spot = {
    absorbedW: (sourceW * efficiencyPct) / 100,
    sigmaMm: oxygen ? SPOT_MM.oxygen : SPOT_MM.air,
    wallMm,
    conductivityWmK: conductivity,
    diffusivityM2s: conductivity / (base.densityGcm3 * 1000 * base.specificHeatJkgK),
  }
  const puddleC = base.liquidusC + PUDDLE_OVER_K
  const riseK = IN_HAND * spotRise(spot, LONGEST_S)
  const body: LumpedBody = {
    massKg: input.massKg,
    specificHeatJkgK: base.specificHeatJkgK,
    areaMm2: input.areaMm2,
    ambientC,
    absorbedW: spot.absorbedW,
    ...STILL_AIR,
  }
  // The flame itself cannot warm the part past where it settles.
  const mostC = Math.max(startC, Math.min(MOST_PREHEAT_C, equilibriumC(body)))
  const neededC = Math.max(startC, puddleC - riseK)
  const fromC = Math.min(neededC, mostC)
  const reaches = neededC <= mostC + 1e-9
  const toPuddleS = reaches ? secondsTo(spot, puddleC - fromC - 1e-6) : null
  const leastSourceW = (sourceW * (puddleC - Math.max(startC, MOST_PREHEAT_C))) / riseK
  const refusal =
    base.family === 'magnesium' || base.family === 'zinc-alloy'
      ? `${family?.name ?? base.name} is not welded with a flame here`
      : family?.fusion === 'never'
        ? `${base.name} is not fusion welded`
        : null
  const verdict = refusal ? 'refused' : !reaches ? 'too-small' : neededC > startC ? 'preheat' : 'good'
  const burnsMin = input.layMin + (toPuddleS ?? 0) / 60
  return {
    verdict,
    puddleC,
    fromC,
    toPuddleS: refusal ? null : toPuddleS,
    leastSourceW: Math.max(0, leastSourceW),
    fuelL:
      mjM3 === null || verdict === 'refused' || verdict === 'too-small'
        ? null
        : (sourceW * burnsMin * 60) / (mjM3 * 1000),
    curve: Array.from({ length: CURVE_POINTS + 1 }, (_, n) => ({
      s: (LONGEST_S * n) / CURVE_POINTS,
      c: fromC + spotRise(spot, (LONGEST_S * n) / CURVE_POINTS),
    })),
    reason:
      refusal ??
      (verdict === 'too-small'
        ? `${oxygen ? 'this cone' : 'a flame that draws its own air is too wide, and'} with a quarter kept in hand brings the spot to ${Math.round(fromC + riseK)} °C on ${Number(wallMm.toPrecision(3))} mm, and a puddle wants ${Math.round(puddleC)} °C`
        : verdict === 'preheat'
          ? `cold, the wall carries the heat away faster than the flame brings it: warm all of it to ${Math.round(fromC)} °C first`
          : 'the flame brings more than this wall carries away'),
    steps: [
      'Both sides and the rod bright, then flux as a paste on groove and rod.',
      `Flame neutral, or with the least feather of fuel; the whole part to ${Math.round(Math.max(fromC, startC))} °C first.`,
      'Flux that runs like water says the metal is close: nothing glows, the skin dulls and wrinkles, then it is all puddle at once.',
      'Forehand, cone flat to the work and kept moving; rod inside the flame, dipped into the puddle, and the flame lifted the moment it sags.',
      'Cool slowly, covered; then hot water and a brush within the hour until no flux is left: it eats the metal.',
    ],
    cautions: [caution('oxygen-fuel'), caution('welding-flux'), caution('flame-glare')],
    working: [
      {
        label: 'Into the metal',
        formula: 'source × share absorbed',
        value: spot.absorbedW,
        unit: 'W',
        source: 'share absorbed: judgement',
      },
      {
        label: 'A puddle wants',
        formula: `liquidus ${base.liquidusC} °C + ${PUDDLE_OVER_K} K`,
        value: puddleC,
        unit: '°C',
        source: 'ASM Handbook vol. 2, from memory; overheat: judgement',
      },
      {
        label: 'Rise under the cone',
        formula: `Gaussian spot of ${spot.sigmaMm} mm deviation on ${Number(wallMm.toPrecision(3))} mm, held ${LONGEST_S} s, at ${100 * IN_HAND} % of the flame`,
        value: riseK,
        unit: 'K',
        source: 'Carslaw and Jaeger (1959), 10.4 and 14.9; width of the cone: judgement',
      },
      {
        label: 'The part must be at',
        formula: 'puddle − rise, at least where it starts',
        value: neededC,
        unit: '°C',
        source: 'superposition',
      },
      {
        label: 'Least flame',
        formula: `the same rise from ${MOST_PREHEAT_C} °C`,
        value: Math.max(0, leastSourceW),
        unit: 'W',
        source: 'the rise is as the power',
      },
      ...(mjM3 === null
        ? []
        : [
            {
              label: 'Fuel',
              formula: `source × ${burnsMin.toPrecision(3)} min ÷ ${mjM3} MJ/m³`,
              value: (sourceW * burnsMin * 60) / (mjM3 * 1000),
              unit: 'L',
              source: 'AWS Welding Handbook vol. 2, from memory',
            },
          ]),
    ],
  }
}
