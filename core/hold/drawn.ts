import type { Held } from './run'
import type { HoldSetup } from './setup'

/** The farthest that any corner moves, mm. */
export function mostMovedMm({ displacementMm }: Held): number {
  let most = 0
  for (let n = 0; n < displacementMm.length; n += 3)
    most = Math.max(most, Math.hypot(displacementMm[n]!, displacementMm[n + 1]!, displacementMm[n + 2]!))
  return most
}

/** How near each cell is to its own yield, in tenths of a percent, no further than yield. */
export function towardsYield({ lattice, zones }: HoldSetup, { misesMPa }: Held): Int16Array {
  const tenths = new Int16Array(lattice.cells)
  for (const { cells, yieldMPa } of zones)
    for (const cell of cells) tenths[cell] = Math.round(1000 * Math.min(1, misesMPa[cell]! / yieldMPa))
  return tenths
}
