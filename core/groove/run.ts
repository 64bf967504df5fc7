/** How a crack ends: at a tip in sound metal, in a hole, or at an edge. */
export const ENDS = ['tip', 'hole', 'edge'] as const
export type End = (typeof ENDS)[number]

/**
 * Round a fitted patch of given size over all with rounded corners, mm: two straight sides each way and one circle.
 * Plane geometry.
 */
export function patchRoundMm(wideMm: number, highMm: number, cornerMm: number): number {
  const corner = Math.min(cornerMm, wideMm / 2, highMm / 2)
  return 2 * (wideMm + highMm) - 8 * corner + 2 * Math.PI * corner
}
