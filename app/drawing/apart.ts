type Point = readonly [number, number]

/** Ways out from a point, the upper ones first: a hand on a tablet covers what stands below. */
const WAYS: readonly Point[] = [
  [1, -1],
  [-1, -1],
  [0, -1],
  [1, 0],
  [-1, 0],
  [1, 1],
  [-1, 1],
  [0, 1],
]

/**
 * Places for round numbers beside their points, so that none lies on another, on another's point or outside the
 * drawing where there is room: each the first of eight ways out, near ones before far ones, that hides least.
 * Lengths are in the drawing's own units; with a `reach` of 0 the point itself is tried first.
 */
export function balloonsApart(
  points: readonly Point[],
  radius: number,
  reach: number,
  [wide, high]: Point,
): [number, number][] {
  const placed: [number, number][] = []
  for (const [n, [x, y]] of points.entries()) {
    // Towards the nearer edge first: the part's middle stays clear.
    const ways = WAYS.toSorted((a, b) => Math.sign(x - wide / 2) * (b[0] - a[0]) || 0)
    const tried = [
      ...(reach === 0 ? [[x, y] as const] : []),
      ...[reach || radius * 1.5, (reach || radius) * 2, (reach || radius) * 3].flatMap(far =>
        ways.map(([dx, dy]) => [x + dx * far, y + dy * far] as const),
      ),
    ]
    const hides = ([tx, ty]: Point) =>
      placed.filter(([px, py]) => Math.hypot(px - tx, py - ty) < 2 * radius + 1).length * 10 +
      points.filter(([px, py], m) => m !== n && Math.hypot(px - tx, py - ty) < radius + 3).length +
      (tx < radius || ty < radius || tx > wide - radius || ty > high - radius ? 8 : 0)
    let best = tried[0]!
    for (const each of tried) if (hides(each) < hides(best)) best = each
    placed.push([best[0], best[1]])
  }
  return placed
}

/** How far down each box is moved, in their order from the top, so that none lies on one above it. */
export function shiftsDown(
  boxes: readonly { left: number; top: number; wide: number; high: number }[],
  gap = 2,
): number[] {
  const shifts = boxes.map(() => 0)
  const order = boxes.map((_, n) => n).toSorted((a, b) => boxes[a]!.top - boxes[b]!.top)
  const set: { left: number; right: number; bottom: number; top: number }[] = []
  for (const n of order) {
    const { left, top, wide, high } = boxes[n]!
    let at = top
    for (let moved = true; moved;) {
      const under = set.find(
        other => left < other.right && other.left < left + wide && at < other.bottom + gap && other.top < at + high,
      )
      moved = under !== undefined
      if (under) at = under.bottom + gap
    }
    shifts[n] = at - top
    set.push({ left, right: left + wide, top: at, bottom: at + high })
  }
  return shifts
}
