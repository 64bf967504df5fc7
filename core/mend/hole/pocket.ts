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

/** Which side of the line from a to b a point lies on: over 0 to its left. */
const side = ([ax, ay]: Outline[number], [bx, by]: Outline[number], [x, y]: Outline[number]) =>
  Math.sign((bx - ax) * (y - ay) - (by - ay) * (x - ax))

/** Whether two sides of an outline that share no corner cross. */
export const crossesItself = (corners: Outline): boolean => {
  const sides = corners.map((from, n) => [from, corners[(n + 1) % corners.length] ?? from] as const)
  return sides.some(([a, b], n) =>
    sides.some(
      ([c, d], m) =>
        m > n && a !== d && b !== c && side(a, b, c) * side(a, b, d) < 0 && side(c, d, a) * side(c, d, b) < 0,
    ),
  )
}

/** Less is no pocket, mm². */
const LEAST_MM2 = 1
/** What is wrong with the corners of a pocket; null where nothing is, or none is said. */
export function wrongCorners(corners: Outline | undefined): string | null {
  if (!corners) return null
  if (crossesItself(corners)) return 'its sides cross one another'
  return outlineOf(corners).areaMm2 < LEAST_MM2 ? 'its corners enclose nothing' : null
}
