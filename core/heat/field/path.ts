import type { Place } from './setup'

/** Points nearer than this count as one, mm. */
const SAME_MM = 1e-6

const between = (a: Place, b: Place) => Math.hypot(b[0] - a[0], b[1] - a[1], b[2] - a[2])

/** Length of a path, mm. */
export const pathLengthMm = (path: readonly Place[]) =>
  path.slice(1).reduce((sum, place, i) => sum + between(path[i]!, place), 0)

/**
 * Where one is after `wayMm` along a path: at its end when that lies further; `onward` goes round a closed path again,
 * and back along an open one.
 */
export function placeAlong(path: readonly Place[], wayMm: number, onward: boolean): Place {
  const whole = pathLengthMm(path)
  if (whole < SAME_MM) return path[0]!
  const closed = between(path[0]!, path.at(-1)!) < SAME_MM
  let left = Math.min(wayMm, whole)
  if (onward && closed) left = wayMm % whole
  else if (onward) left = whole - Math.abs((wayMm % (2 * whole)) - whole)
  for (let i = 1; i < path.length; i++) {
    const [from, to] = [path[i - 1]!, path[i]!]
    const piece = between(from, to)
    if (left <= piece && piece > SAME_MM)
      return [0, 1, 2].map(axis => from[axis]! + ((to[axis]! - from[axis]!) * left) / piece) as unknown as Place
    left -= piece
  }
  return path.at(-1)!
}

/** An ellipse about a place as a closed path, level, of `points` pieces. */
export function orbit([x, y, z]: Place, halfXMm: number, halfYMm: number, points = 72): Place[] {
  return Array.from({ length: points + 1 }, (_, n) => {
    const turn = ((n % points) / points) * 2 * Math.PI
    return [x + halfXMm * Math.cos(turn), y + halfYMm * Math.sin(turn), z] as const
  })
}
