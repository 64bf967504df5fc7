/** What ways are weighed by: money and minutes, the fewer the better, and the chance that it lasts. */
export interface Figures {
  price: number
  elapsedMin: number
  chancePct: number
}

/** Figures nearer to one another than this share are the same: what is left of adding in another order. */
const SAME = 1e-9
const noLess = (a: number, b: number) => a >= b - SAME * Math.max(1, Math.abs(b))

/** Whether a way is worse than another, or no better, in price, elapsed minutes and chance all three. */
export const isNoBetter = (a: Figures, b: Figures): boolean =>
  noLess(a.price, b.price) && noLess(a.elapsedMin, b.elapsedMin) && noLess(b.chancePct, a.chancePct)

/** Ways of which none is worse than or equal to another: what comes in later gives way to its equal. */
export class Front<T extends Figures> {
  kept: T[] = []
  /** Takes a way in; false where one that is kept is as good. */
  add(way: T): boolean {
    if (this.kept.some(one => isNoBetter(way, one))) return false
    this.kept = this.kept.filter(one => !isNoBetter(one, way))
    this.kept.push(way)
    return true
  }
}

const best = <T>(list: readonly T[], of: (one: T) => number): T => list.reduce((a, b) => (of(b) < of(a) ? b : a))

/**
 * So many of a front as are shown, cheapest first: the cheapest, the quickest, the surest and `always`, then each time
 * the one farthest from those shown, every figure as a share of its range.
 */
export function shownOf<T extends Figures>(front: readonly T[], most: number, always: T | null): T[] {
  if (!front.length) return []
  const keys = ['price', 'elapsedMin', 'chancePct'] as const
  const low = keys.map(key => Math.min(...front.map(one => one[key])))
  const range = keys.map((key, n) => Math.max(...front.map(one => one[key])) - low[n]! || 1)
  const place = (one: T) => keys.map((key, n) => (one[key] - low[n]!) / range[n]!)
  const shown = new Set([
    best(front, one => one.price),
    best(front, one => one.elapsedMin),
    best(front, one => -one.chancePct),
  ])
  if (always) shown.add(always)
  const apart = (one: T) =>
    Math.min(...[...shown].map(other => Math.hypot(...place(one).map((value, n) => value - place(other)[n]!))))
  while (shown.size < Math.min(most, front.length))
    shown.add(
      best(
        front.filter(one => !shown.has(one)),
        one => -apart(one),
      ),
    )
  return [...shown].toSorted((a, b) => a.price - b.price)
}
