import type { Step } from '../ask/question'
import { STEFAN_BOLTZMANN_WM2K4, ZERO_C_IN_K } from '../quantity/constants'

/**
 * A bright part in still air: film and grey emissivity. Incropera and DeWitt, tables 1.1 and A.11, from memory, middle
 * of the ranges.
 */
export const STILL_AIR = { filmWm2K: 10, emissivity: 0.2 } as const

export interface LumpedBody {
  massKg: number
  specificHeatJkgK: number
  areaMm2: number
  ambientC: number
  /** What enters the metal, W. */
  absorbedW: number
  filmWm2K: number
  emissivity: number
}

/**
 * Heat lost to air and surroundings at a temperature, W: Newton's law and grey radiation to surroundings at ambient.
 */
export function lossW(body: LumpedBody, temperatureC: number): number {
  const areaM2 = body.areaMm2 * 1e-6
  const t = temperatureC + ZERO_C_IN_K
  const ambient = body.ambientC + ZERO_C_IN_K
  return (
    areaM2 *
    (body.filmWm2K * (temperatureC - body.ambientC) +
      body.emissivity * STEFAN_BOLTZMANN_WM2K4 * (t * t * t * t - ambient * ambient * ambient * ambient))
  )
}

/**
 * Temperature at which the losses take all that comes in, °C: bisection; at most 4000 °C, past which the answer means
 * nothing.
 */
export function equilibriumC(body: LumpedBody): number {
  let low = body.ambientC
  let high = 4000
  if (lossW(body, high) < body.absorbedW) return high
  for (let i = 0; i < 80; i++) {
    const middle = (low + high) / 2
    if (lossW(body, middle) < body.absorbedW) low = middle
    else high = middle
  }
  return (low + high) / 2
}

const rate = (body: LumpedBody, temperatureC: number) =>
  (body.absorbedW - lossW(body, temperatureC)) / (body.massKg * body.specificHeatJkgK)

/** 7-point Gauss–Legendre nodes and weights on [−1, 1]; Abramowitz and Stegun table 25.4. */
const GAUSS = [
  [0, 0.4179591836734694],
  [0.4058451513773972, 0.3818300505051189],
  [-0.4058451513773972, 0.3818300505051189],
  [0.7415311855993945, 0.2797053914892767],
  [-0.7415311855993945, 0.2797053914892767],
  [0.9491079123427585, 0.1294849661688697],
  [-0.9491079123427585, 0.1294849661688697],
] as const

/**
 * Seconds to go from one temperature to a higher (or, cooling, lower) one: the integral of dT over the rate.
 * The intervals crowd towards the far end, where the rate is least. @returns Infinity when it never gets there
 */
export function secondsBetween(body: LumpedBody, fromC: number, toC: number): number {
  if (fromC === toC) return 0
  if (rate(body, toC) * (toC - fromC) <= 0 || rate(body, fromC) * (toC - fromC) <= 0) return Infinity
  const pieces = 60
  const at = (share: number) => toC + (fromC - toC) * (1 - share) ** 3
  let seconds = 0
  for (let piece = 0; piece < pieces; piece++) {
    const a = at(piece / pieces)
    const b = at((piece + 1) / pieces)
    for (const [node, weight] of GAUSS)
      seconds += (weight * (b - a)) / 2 / rate(body, (a + b) / 2 + (node * (b - a)) / 2)
  }
  return seconds
}

/** Temperatures over time, evenly spaced, by the classical Runge–Kutta method of fourth order. */
export function temperatureCurve(
  body: LumpedBody,
  startC: number,
  durationS: number,
  points = 120,
): { s: number; c: number }[] {
  const curve = [{ s: 0, c: startC }]
  // A step no longer than a tenth of the body's own time constant keeps the explicit method far inside its stability
  // limit.
  const slope = Math.max(
    1e-9,
    Math.abs(rate(body, startC + 1) - rate(body, startC)),
    Math.abs(rate(body, startC + 601) - rate(body, startC + 600)),
  )
  const sub = Math.min(400, Math.max(1, Math.ceil((durationS / points) * slope * 10)))
  const dt = durationS / points / sub
  let c = startC
  for (let point = 1; point <= points; point++) {
    for (let i = 0; i < sub; i++) {
      const k1 = rate(body, c)
      const k2 = rate(body, c + (dt / 2) * k1)
      const k3 = rate(body, c + (dt / 2) * k2)
      const k4 = rate(body, c + dt * k3)
      c += (dt / 6) * (k1 + 2 * k2 + 2 * k3 + k4)
    }
    curve.push({ s: (point * durationS) / points, c })
  }
  return curve
}

export interface Preheat {
  reaches: boolean
  timeS?: number
  equilibriumC: number
  curve: { s: number; c: number }[]
  absorbedW: number
  massKg: number
  working: Step[]
}

/**
 * Preheat of a part taken as one lump (aluminium conducts so well that a hand-sized part is nearly at one temperature:
 * Biot number film × thickness ÷ conductivity far below 0.1).
 *
 * Valid for Biot numbers under 0.1 and away from the torch's own spot. Newton cooling with constant film, grey
 * radiation.
 * Source: the lumped-capacitance energy balance, Incropera and DeWitt, ch. 5. Accuracy: the integral to 1e-6 (against
 * the exponential, tested); the physics to the torch's efficiency and the film, usually a fifth.
 */
export function preheat(body: LumpedBody, startC: number, targetC: number): Preheat {
  const settles = equilibriumC(body)
  const seconds = startC >= targetC ? 0 : secondsBetween(body, startC, targetC)
  const reaches = Number.isFinite(seconds)
  const heatJK = body.massKg * body.specificHeatJkgK
  const areaM2 = body.areaMm2 * 1e-6
  const coolingWK =
    areaM2 * (body.filmWm2K + 4 * body.emissivity * STEFAN_BOLTZMANN_WM2K4 * (body.ambientC + ZERO_C_IN_K) ** 3)
  const timeConstantS = coolingWK > 0 ? heatJK / coolingWK : heatJK * 1000
  const durationS = reaches && seconds > 0 ? seconds * 1.5 : reaches ? Math.min(timeConstantS, 3600) : 3 * timeConstantS
  return {
    reaches,
    ...(reaches ? { timeS: seconds } : {}),
    equilibriumC: settles,
    absorbedW: body.absorbedW,
    massKg: body.massKg,
    curve: temperatureCurve(body, startC, Math.min(durationS, 1e7)),
    working: [
      {
        label: 'Heat into the metal',
        formula: 'source × share absorbed',
        value: body.absorbedW,
        unit: 'W',
        source: 'share absorbed: judgement',
      },
      {
        label: 'Heat to warm it one degree',
        formula: `${body.massKg.toPrecision(3)} kg × ${body.specificHeatJkgK} J/(kg·K)`,
        value: heatJK,
        unit: 'J/K',
        source: 'ASM Handbook vol. 2, recalled from memory',
      },
      {
        label: 'Lost at the target',
        formula: 'area × [film × (T − ambient) + emissivity × σ × (T⁴ − ambient⁴)]',
        value: lossW(body, targetC),
        unit: 'W',
        source: 'Newton; Stefan–Boltzmann',
      },
      {
        label: 'Where it would settle',
        formula: 'losses = heat in',
        value: settles,
        unit: '°C',
        source: 'energy balance',
      },
      {
        label: 'Time',
        formula: '∫ mass × heat ÷ (heat in − losses) dT, start to target',
        value: reaches ? seconds : 'never',
        unit: 's',
        source: 'lumped capacitance, Incropera and DeWitt ch. 5',
      },
    ],
  }
}
