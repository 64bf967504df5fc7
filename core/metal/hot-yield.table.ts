/**
 * Yield that is left of 6061-T6 kept hot, MPa: 0.2 % proof by temperature after long holding. Source: The Aluminum
 * Association, Aluminum Standards and Data (typical tensile properties at various temperatures), from memory.
 */
const HOT_YIELD: readonly (readonly [c: number, mpa: number])[] = [
  [24, 276],
  [100, 262],
  [149, 214],
  [204, 103],
  [260, 34],
  [316, 19],
  [371, 12],
]

/**
 * Share of its cold yield that hot aluminium keeps, between the rows in a straight line; as at 371 °C beyond. One alloy
 * stands for all: others lie within a factor of about two of it at 200 °C, and an hour takes less than long holding.
 */
export function yieldShareAt(c: number): number {
  const [[coldC, cold]] = HOT_YIELD as [readonly [number, number]]
  if (c <= coldC) return 1
  for (let n = 1; n < HOT_YIELD.length; n++) {
    const [fromC, from] = HOT_YIELD[n - 1]!
    const [toC, to] = HOT_YIELD[n]!
    if (c <= toC) return (from + ((to - from) * (c - fromC)) / (toC - fromC)) / cold
  }
  return HOT_YIELD.at(-1)![1] / cold
}
