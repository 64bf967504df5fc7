import { PURE_MELTING_C, SECOND_PHASES, SOLUTES, SOLUTE_NAMES } from './solutes.table'

export interface FreezingPoint {
  solidFraction: number
  temperatureC: number
}

export interface FreezingPath {
  liquidusC: number
  /** Where the last liquid freezes, under cooling as fast as a weld's. */
  solidusC: number
  curve: FreezingPoint[]
  /** Liquid left when the first second phase appears. */
  eutecticFraction: number
  /**
   * Share of the last liquid's freezing-point depression that is not due to magnesium, 0 to 1: copper-, zinc- and
   * silicon-rich films are the weak ones.
   */
  weakFilmShare: number
}

/** Points on the path while only aluminium freezes, crowded towards the end where the liquid changes fastest. */
const PRIMARY_POINTS = 24
/**
 * Share of what is still liquid that freezes in a step, once a second phase has come, and the longest step in solid
 * fraction.
 */
const STEP_OF_LIQUID = 0.13
const LONGEST_STEP = 0.05
/** The path ends here: what is left is thinner than the films that matter. */
const LAST_LIQUID = 0.005
/** A phase counts as saturated within this; tighter only costs time. */
const SATURATED_WITHIN = 1e-4
/**
 * Slope of the silicon liquidus beyond the eutectic, K per wt %: 17 % Si begins to freeze at about 650 °C (ASM Handbook
 * vol. 3, recalled).
 */
const SILICON_LIQUIDUS_K_PER_PCT = 16.5
const AL_SI_EUTECTIC_C = 577

const COUNT = SOLUTE_NAMES.length
const SLOPE = SOLUTE_NAMES.map(name => SOLUTES[name]!.m)
const PARTITION = SOLUTE_NAMES.map(name => SOLUTES[name]!.k)
/** 1 − 2αk of each solute. */
const OPEN = SOLUTE_NAMES.map(name => 1 - 2 * SOLUTES[name]!.alpha * SOLUTES[name]!.k)
const POWER = SOLUTE_NAMES.map((_, i) => (PARTITION[i]! - 1) / OPEN[i]!)
const MAGNESIUM = SOLUTE_NAMES.indexOf('Mg')
const PHASES = SECOND_PHASES.map(phase => ({
  excess: phase.excess,
  contains: SOLUTE_NAMES.map(name => phase.contains[name] ?? 0),
  needs: SOLUTE_NAMES.flatMap((name, i) => (name in phase.contains ? [i] : [])),
}))
type Phase = (typeof PHASES)[number]

function depressionK(liquid: Float64Array): number {
  let sum = 0
  for (let i = 0; i < COUNT; i++) sum += SLOPE[i]! * liquid[i]!
  return sum
}

/** The liquid while only aluminium freezes: C = C₀ [1 − (1 − 2αk) f]^((k − 1)/(1 − 2αk)), Brody and Flemings (1966). */
function primaryLiquid(start: Float64Array, solid: number, into: Float64Array): void {
  for (let i = 0; i < COUNT; i++) into[i] = start[i] === 0 ? 0 : start[i]! * (1 - OPEN[i]! * solid) ** POWER[i]!
}

function saturated(phases: readonly Phase[], liquid: Float64Array): boolean {
  for (const phase of phases) if (phase.excess(liquid) > 0) return true
  return false
}

/**
 * The liquid after an amount of a phase has frozen out of `before`. @returns how far it still is over the phase's
 * surface
 */
function freezeOut(phase: Phase, before: Float64Array, solid: number, share: number, liquid: Float64Array): number {
  for (let i = 0; i < COUNT; i++) {
    if (before[i] === 0) continue
    const value = before[i]! + ((before[i]! - phase.contains[i]!) * share) / (1 - OPEN[i]! * solid)
    liquid[i] = value > 0 ? value : 0
  }
  return phase.excess(liquid)
}

/**
 * Lets every phase that the liquid holds too much of freeze out until it is back on its surface; changes the liquid.
 * A round or two over the phases, since each disturbs the others. The amount by the secant method, from none at all and
 * from about as much as may form: nearly linear, so two or three turns do.
 * @param hint about how much may form @returns solid formed
 */
function precipitate(
  phases: readonly Phase[],
  liquid: Float64Array,
  solid: number,
  hint: number,
  before: Float64Array,
): number {
  let formed = 0
  for (let round = 0; round < 2; round++) {
    const formedBefore = formed
    for (const phase of phases) {
      const excess = phase.excess(liquid)
      if (excess <= SATURATED_WITHIN) continue
      before.set(liquid)
      const already = Math.min(1 - LAST_LIQUID / 4, solid + formed)
      const most = 0.6 * (1 - already)
      let previous = 0
      let atPrevious = excess
      let share = Math.min(hint, most)
      let value = freezeOut(phase, before, already, share, liquid)
      for (let i = 0; i < 10 && Math.abs(value) > SATURATED_WITHIN && value !== atPrevious; i++) {
        const next = share - (value * (share - previous)) / (value - atPrevious)
        previous = share
        atPrevious = value
        share = Math.min(Math.max(next, 0), most)
        value = freezeOut(phase, before, already, share, liquid)
      }
      formed += share
    }
    if (formed === formedBefore) break
  }
  return formed
}

/**
 * Freezing path of an aluminium weld metal with several solutes at once.
 *
 * Each solute follows (1 − (1 − 2αk) f) dC = (1 − k) C df: Scheil (1942) and Gulliver (1913) with the back-diffusion of
 * Brody and Flemings (1966), in the differential form of Clyne and Kurz (1981); in closed form until a second phase
 * appears.
 * The liquidus is T = Tm + Σ m C. When the liquid passes a second phase's surface, that phase freezes out until it is
 * back on it, so that eutectics hold the temperature by themselves.
 *
 * @param pct weight percent by element; elements without slopes here do not count
 * Valid for aluminium with up to about 20 % of all solutes. Accuracy: liquidus within 15 K over the alloy table, final
 * temperature within 20 K of published values for those alloys whose published solidus is a weld's (tested).
 */
export function freezingPath(pct: Readonly<Record<string, number>>): FreezingPath {
  const start = Float64Array.from(SOLUTE_NAMES, name => Math.max(0, pct[name] ?? 0))
  const liquid = Float64Array.from(start)
  const scratch = new Float64Array(COUNT)
  const phases = PHASES.filter(phase => phase.needs.every(i => start[i]! > 0))
  const curve: FreezingPoint[] = []
  let solid = 0
  let eutecticFraction = 0
  const note = (temperatureC: number) => {
    // Within a step a second phase may overshoot by rounding; a freezing metal does not warm up.
    const last = curve.at(-1)
    curve.push({ solidFraction: solid, temperatureC: last ? Math.min(last.temperatureC, temperatureC) : temperatureC })
  }
  const silicon = pct.Si ?? 0
  const copper = pct.Cu ?? 0
  const hypereutectic = silicon > 12.6 - 0.27 * Math.min(40, copper)
  note(
    hypereutectic
      ? AL_SI_EUTECTIC_C - 1.7 * copper + SILICON_LIQUIDUS_K_PER_PCT * Math.max(0, silicon - 12.6)
      : PURE_MELTING_C + depressionK(liquid),
  )

  if (saturated(phases, liquid)) {
    solid = Math.min(0.5, precipitate(phases, liquid, 0, 0.05, scratch))
    eutecticFraction = 1 - solid
    note(PURE_MELTING_C + depressionK(liquid))
  } else {
    // Where the first second phase appears; solid fraction to 1e-5.
    let until = 1 - LAST_LIQUID
    primaryLiquid(start, until, liquid)
    if (saturated(phases, liquid)) {
      let low = 0
      for (let i = 0; i < 16; i++) {
        const middle = (low + until) / 2
        primaryLiquid(start, middle, liquid)
        if (saturated(phases, liquid)) until = middle
        else low = middle
      }
      eutecticFraction = 1 - until
    }
    for (let point = 1; point <= PRIMARY_POINTS; point++) {
      solid = until * (1 - (1 - point / PRIMARY_POINTS) ** 1.8)
      primaryLiquid(start, solid, liquid)
      note(PURE_MELTING_C + depressionK(liquid))
    }
  }
  while (1 - solid > LAST_LIQUID + 1e-9 && curve.length < 400) {
    const df = Math.min(LONGEST_STEP, STEP_OF_LIQUID * (1 - solid))
    for (let i = 0; i < COUNT; i++) {
      if (liquid[i] === 0) continue
      const gain = 1 - PARTITION[i]!
      // Midpoint rule: the step is short against the liquid left.
      const middle = liquid[i]! * (1 + (gain * df) / 2 / (1 - OPEN[i]! * solid))
      liquid[i] = liquid[i]! + ((gain * middle) / (1 - OPEN[i]! * (solid + df / 2))) * df
    }
    solid += df
    solid = Math.min(1 - LAST_LIQUID / 2, solid + precipitate(phases, liquid, solid, df / 2, scratch))
    note(PURE_MELTING_C + depressionK(liquid))
  }
  const drop = depressionK(liquid)
  const weakFilmShare = drop < 0 ? 1 - (SLOPE[MAGNESIUM]! * liquid[MAGNESIUM]!) / drop : 0
  return {
    liquidusC: curve[0]!.temperatureC,
    solidusC: curve.at(-1)!.temperatureC,
    curve,
    eutecticFraction,
    weakFilmShare,
  }
}

/** Temperature on the path at a solid fraction, by linear interpolation. */
export function temperatureAt(path: FreezingPath, solidFraction: number): number {
  const after = path.curve.findIndex(point => point.solidFraction >= solidFraction)
  if (after < 0) return path.solidusC
  if (after === 0) return path.curve[0]!.temperatureC
  const a = path.curve[after - 1]!
  const b = path.curve[after]!
  const span = b.solidFraction - a.solidFraction
  return span <= 0
    ? b.temperatureC
    : a.temperatureC + ((b.temperatureC - a.temperatureC) * (solidFraction - a.solidFraction)) / span
}
