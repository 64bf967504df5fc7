/** Error function; Abramowitz and Stegun 7.1.26, absolute error under 1.5e-7. */
export function erf(x: number): number {
  const t = 1 / (1 + 0.3275911 * Math.abs(x))
  const tail =
    t * (0.254829592 + t * (-0.284496736 + t * (1.421413741 + t * (-1.453152027 + t * 1.061405429)))) * Math.exp(-x * x)
  return x < 0 ? tail - 1 : 1 - tail
}

/** Standard normal distribution: share below x. */
export const normalShare = (x: number): number => (1 + erf(x / Math.SQRT2)) / 2
