/** A point in a picture, px, x right and y down, the middle of the first pixel at 0.5, 0.5; or on a plane, mm. */
export type Point = readonly [x: number, y: number]

/** The point of a line that lies nearest to another; that other where the line has none. */
export function nearestOn(line: readonly (readonly [number, number])[], to: readonly [number, number]): Point {
  let best: Point = [line[0]?.[0] ?? to[0], line[0]?.[1] ?? to[1]]
  const off = ([x, y]: Point) => Math.hypot(x - to[0], y - to[1])
  for (const [n, b] of line.slice(1).entries()) {
    const a = line[n]!
    const [dx, dy] = [b[0] - a[0], b[1] - a[1]]
    const long = dx * dx + dy * dy
    const share = long > 0 ? Math.max(0, Math.min(1, ((to[0] - a[0]) * dx + (to[1] - a[1]) * dy) / long)) : 0
    const at: Point = [a[0] + share * dx, a[1] + share * dy]
    if (off(at) < off(best)) best = at
  }
  return best
}
