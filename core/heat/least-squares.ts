import { Matrix, inverse, solve } from 'ml-matrix'

export interface Fit {
  values: number[]
  standardErrors: number[]
  /** Root mean square of what is left over, per degree of freedom. */
  residual: number
  /** Correlation of the first two values. */
  correlation: number
  evaluations: number
}

const MOST_ROUNDS = 40
/** Relative change of the sum of squares at which it has settled. */
const SETTLED = 1e-9

/**
 * Non-linear least squares by Levenberg and Marquardt's method with differences for slopes; values stay at or above
 * `least`.
 * Standard errors: square roots of the diagonal of s² (JᵀJ)⁻¹, s² the residual variance, where `floor` is the least
 * standard deviation a reading can have (a thermometer's own).
 * Source: Press et al., Numerical Recipes, 15.5. Exact on linear models (tested).
 * @param model figures at the given values, as many as `measured`
 */
export function leastSquares(
  model: (values: readonly number[]) => readonly number[],
  measured: readonly number[],
  first: readonly number[],
  options: { least: readonly number[]; scale: readonly number[]; floor?: number },
): Fit {
  const { least, scale, floor = 0 } = options
  let evaluations = 0
  const residuals = (values: readonly number[]) => {
    evaluations += 1
    return model(values).map((value, n) => measured[n]! - value)
  }
  const squares = (list: readonly number[]) => list.reduce((sum, value) => sum + value * value, 0)
  let values = [...first]
  let left = residuals(values)
  let jacobian = new Matrix(1, 1)
  let damping = 1e-3
  for (let round = 0; round < MOST_ROUNDS; round++) {
    jacobian = new Matrix(measured.length, values.length)
    values.forEach((value, p) => {
      const step = Math.max(Math.abs(value), scale[p]! * 0.1) * 1e-3
      const shifted = residuals(values.map((other, q) => (q === p ? other + step : other)))
      shifted.forEach((residual, n) => jacobian.set(n, p, (left[n]! - residual) / step))
    })
    const normal = jacobian.transpose().mmul(jacobian)
    const pull = jacobian.transpose().mmul(Matrix.columnVector([...left]))
    let improved = false
    let settled = false
    for (let attempt = 0; attempt < 12 && !improved; attempt++) {
      const damped = normal.clone()
      values.forEach((_, p) => damped.set(p, p, normal.get(p, p) * (1 + damping) + 1e-12 / scale[p]! ** 2))
      const move = solve(damped, pull, true).getColumn(0)
      const tried = values.map((value, p) => Math.max(least[p]!, value + move[p]!))
      const after = residuals(tried)
      const [before, now] = [squares(left), squares(after)]
      if (now <= before) {
        improved = true
        settled = before - now <= SETTLED * before + 1e-18
        ;[values, left] = [tried, after]
        damping = Math.max(1e-9, damping / 5)
      } else damping *= 8
    }
    if (!improved || settled) break
  }
  const freedom = Math.max(1, measured.length - values.length)
  const variance = Math.max(squares(left) / freedom, floor ** 2)
  const scaled = jacobian.transpose().mmul(jacobian)
  values.forEach((_, p) => scaled.set(p, p, scaled.get(p, p) + 1e-12 / scale[p]! ** 2))
  const covariance = inverse(scaled, true).mul(variance)
  const standardErrors = values.map((_, p) => Math.sqrt(Math.max(0, covariance.get(p, p))))
  const correlation =
    values.length > 1 && standardErrors[0]! * standardErrors[1]! > 0
      ? covariance.get(0, 1) / standardErrors[0]! / standardErrors[1]!
      : 0
  return { values, standardErrors, residual: Math.sqrt(squares(left) / freedom), correlation, evaluations }
}
