import type { PlanStep } from '../step'

/** When each step begins and ends, min from the first, in this order by one pair of hands; waits go by themselves. */
export function scheduled(steps: readonly PlanStep[]): { startMin: number; endMin: number }[] {
  const ends = new Map<string, number>()
  let handsMin = 0
  return steps.map(({ id, kind, minutes, after }) => {
    const readyMin = Math.max(0, ...after.map(each => ends.get(each) ?? 0))
    const alone = kind === 'wait' || kind === 'elsewhere'
    const startMin = alone ? readyMin : Math.max(readyMin, handsMin)
    const endMin = startMin + minutes
    if (!alone) handsMin = endMin
    ends.set(id, endMin)
    return { startMin, endMin }
  })
}

export const elapsedOf = (steps: readonly PlanStep[]): number =>
  Math.max(0, ...scheduled(steps).map(({ endMin }) => endMin))
