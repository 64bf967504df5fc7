import type { Outline } from '../../field/field'

/** Area and way round of an outline: the shoelace formula. Plane geometry. */
export function outlineOf(corners: Outline): { areaMm2: number; roundMm: number } {
  let [twice, roundMm] = [0, 0]
  corners.forEach(([x, y], n) => {
    const [nextX, nextY] = corners[(n + 1) % corners.length] ?? [x, y]
    twice += x * nextY - nextX * y
    roundMm += Math.hypot(nextX - x, nextY - y)
  })
  return { areaMm2: Math.abs(twice) / 2, roundMm }
}

/** The round hole that holds as much as a pocket, mm across. */
export const roundOf = (corners: Outline): number => 2 * Math.sqrt(outlineOf(corners).areaMm2 / Math.PI)
