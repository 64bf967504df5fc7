export interface RunningBar {
  reason: string
  effect: number
  from: number
  to: number
}

/** Parts that add up, each as the bar from the sum before it to the sum after it. */
export function runningTotals(parts: readonly { reason: string; effect: number }[]): RunningBar[] {
  let sum = 0
  return parts.map(({ reason, effect }) => {
    const from = sum
    sum += effect
    return { reason, effect, from, to: sum }
  })
}
