/** A column of metal and how high it stands, in cells. */
export interface Standing {
  column: number
  level: number
}

/**
 * Where so many cells of liquid run on columns that stand unlike high: into the lowest until it is level with the next,
 * then into both, and so on. What is shared out adds up to what was given.
 */
export function levelOut(columns: readonly Standing[], cells: number): { column: number; more: number }[] {
  const order = [...columns].sort((a, b) => a.level - b.level)
  if (!order.length) return []
  let [left, upTo, level] = [cells, 1, order[0]!.level]
  while (upTo < order.length && left > (order[upTo]!.level - level) * upTo) {
    left -= (order[upTo]!.level - level) * upTo
    level = order[upTo]!.level
    upTo++
  }
  level += left / upTo
  return order.slice(0, upTo).map(({ column, level: from }) => ({ column, more: level - from }))
}
