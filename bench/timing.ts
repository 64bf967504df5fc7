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
