import { Matrix, solve as solveMatrix } from 'ml-matrix'

export type Place = readonly [number, number, number]
/** A small motion of the whole: shift, mm, and turn, rad, about the origin. */
export type Motion = readonly number[]

/** Ways a whole can move that are looked for: all six, or those that leave heights over a face as they are. */
export const ALL_WAYS = [0, 1, 2, 3, 4, 5] as const

const carried = (way: number, [x, y, z]: Place): Place => {
  if (way < 3) return [way === 0 ? 1 : 0, way === 1 ? 1 : 0, way === 2 ? 1 : 0]
  if (way === 3) return [0, -z, y]
  return way === 4 ? [z, 0, -x] : [-y, x, 0]
}

/** The motion of a whole that is nearest, in least squares, to how places moved. Source: normal equations. */
export function rigidFit(
  count: number,
  placeOf: (n: number) => Place,
  movedOf: (n: number) => Place,
  ways: readonly number[] = ALL_WAYS,
): Motion {
  const middle = [0, 0, 0]
  for (let n = 0; n < count; n++) placeOf(n).forEach((value, axis) => (middle[axis]! += value / count))
  const normal = Matrix.zeros(ways.length, ways.length)
  const right = Matrix.zeros(ways.length, 1)
  for (let n = 0; n < count; n++) {
    const at = placeOf(n).map((value, axis) => value - middle[axis]!) as unknown as Place
    const moved = movedOf(n)
    const columns = ways.map(way => carried(way, at))
    columns.forEach((a, i) => {
      right.set(i, 0, right.get(i, 0) + a[0] * moved[0] + a[1] * moved[1] + a[2] * moved[2])
      columns.forEach((b, j) => normal.set(i, j, normal.get(i, j) + a[0] * b[0] + a[1] * b[1] + a[2] * b[2]))
    })
  }
  // Places in one line say nothing of a turn about it: it is held by next to nothing.
  const scale = Math.max(...ways.map((_, n) => normal.get(n, n)), 1e-30)
  ways.forEach((_, n) => normal.set(n, n, normal.get(n, n) + 1e-12 * scale))
  const found = solveMatrix(normal, right).to1DArray()
  const motion = [0, 0, 0, 0, 0, 0]
  ways.forEach((way, n) => (motion[way] = found[n]!))
  // About the origin instead of the middle.
  const turn = motion.slice(3) as [number, number, number]
  const [x, y, z] = middle as [number, number, number]
  motion[0]! -= turn[1] * z - turn[2] * y
  motion[1]! -= turn[2] * x - turn[0] * z
  motion[2]! -= turn[0] * y - turn[1] * x
  return motion
}

/** How a place moves with a whole. */
export function withMotion(motion: Motion, [x, y, z]: Place): [number, number, number] {
  const [a, b, c, p, q, r] = motion as [number, number, number, number, number, number]
  return [a + q * z - r * y, b + r * x - p * z, c + p * y - q * x]
}
