/** Damping of the stability polynomial; 2/13 as in the reference below. */
const DAMPING = 2 / 13

export interface Stage {
  mu: number
  nu: number
  mu1: number
  gamma1: number
  /** When the stage before stands, as a share of the step. */
  from: number
}
export interface Stages {
  /** Share of the step's rate that the first stage adds. */
  first: number
  /** Stages 2 … s. */
  rest: Stage[]
}

const known = new Map<number, Stages>()

/**
 * Coefficients of the Runge–Kutta–Chebyshev method of second order with `s` stages.
 * Source: Sommeijer, Shampine and Verwer, J. Comput. Appl. Math. 88 (1998) 315, eqs. 2.1–2.4; recalled from memory,
 * checked by order and by stability (tests).
 */
export function chebyshevStages(s: number): Stages {
  const found = known.get(s)
  if (found) return found
  const w0 = 1 + DAMPING / s ** 2
  const t = [1, w0],
    dt = [0, 1],
    ddt = [0, 0]
  for (let j = 2; j <= s; j++) {
    t[j] = 2 * w0 * t[j - 1]! - t[j - 2]!
    dt[j] = 2 * t[j - 1]! + 2 * w0 * dt[j - 1]! - dt[j - 2]!
    ddt[j] = 4 * dt[j - 1]! + 2 * w0 * ddt[j - 1]! - ddt[j - 2]!
  }
  const w1 = dt[s]! / ddt[s]!
  const b = t.map((_, j) => (j < 2 ? 0 : ddt[j]! / dt[j]! ** 2))
  b[0] = b[1] = b[2]!
  const when = t.map((_, j) => (j < 2 ? 0 : (w1 * ddt[j]!) / dt[j]!))
  when[1] = when[2]! / dt[2]!
  const stages: Stages = { first: b[1]! * w1, rest: [] }
  for (let j = 2; j <= s; j++) {
    const mu1 = (2 * w1 * b[j]!) / b[j - 1]!
    stages.rest.push({
      mu: (2 * w0 * b[j]!) / b[j - 1]!,
      nu: -b[j]! / b[j - 2]!,
      mu1,
      gamma1: -(1 - b[j - 1]! * t[j - 1]!) * mu1,
      from: when[j - 1]!,
    })
  }
  known.set(s, stages)
  return stages
}

/**
 * Stages with which a step is stable where dt × (greatest eigenvalue) is `reach`: the real interval is ⅔(s² − 1)(1 −
 * 2/15 damping).
 */
export function stagesFor(reach: number): number {
  return Math.max(2, Math.ceil(Math.sqrt(1 + reach / ((2 / 3) * (1 - (2 / 15) * DAMPING)))))
}

/** The greatest dt × eigenvalue that `s` stages stand. */
export const reachOf = (s: number) => (2 / 3) * (s * s - 1) * (1 - (2 / 15) * DAMPING)
