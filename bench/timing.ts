export function median(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b)
  const middle = Math.floor(sorted.length / 2)
  return sorted.length % 2 ? sorted[middle]! : (sorted[middle - 1]! + sorted[middle]!) / 2
}

/** Median time of a run in milliseconds, after a warm-up. */
export function timed(runs: number, run: (index: number) => unknown): number {
  for (let i = 0; i < Math.min(20, runs); i++) run(i)
  return median(
    Array.from({ length: runs }, (_, i) => {
      const begun = performance.now()
      run(i)
      return performance.now() - begun
    }),
  )
}

/**
 * What the machine gives at this moment: a plain loop of 200 million steps, ms. Where it is shared with others, seconds
 * mean something only beside this.
 */
export function paceMs(): number {
  const from = performance.now()
  let sum = 0
  for (let n = 0; n < 2e8; n++) sum += n % 7
  return sum > 0 ? performance.now() - from : Number.NaN
}
