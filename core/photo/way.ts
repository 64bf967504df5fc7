import type { Point } from './point'

const DIAGONAL = Math.SQRT2

/** A heap of grid points by the cost of their way; a point may stand in it several times, the cheapest counts. */
class Heap {
  private costs = new Float64Array(1024)
  private items = new Int32Array(1024)
  size = 0
  push(cost: number, item: number): void {
    if (this.size === this.items.length) {
      const [costs, items] = [new Float64Array(2 * this.size), new Int32Array(2 * this.size)]
      costs.set(this.costs)
      items.set(this.items)
      this.costs = costs
      this.items = items
    }
    let at = this.size++
    while (at > 0) {
      const up = (at - 1) >> 1
      if (this.costs[up]! <= cost) break
      this.costs[at] = this.costs[up]!
      this.items[at] = this.items[up]!
      at = up
    }
    this.costs[at] = cost
    this.items[at] = item
  }
  pop(): number {
    const top = this.items[0]!
    const [cost, item] = [this.costs[--this.size]!, this.items[this.size]!]
    let at = 0
    for (;;) {
      let low = 2 * at + 1
      if (low >= this.size) break
      if (low + 1 < this.size && this.costs[low + 1]! < this.costs[low]!) low++
      if (this.costs[low]! >= cost) break
      this.costs[at] = this.costs[low]!
      this.items[at] = this.items[low]!
      at = low
    }
    this.costs[at] = cost
    this.items[at] = item
    return top
  }
}

/**
 * The cheapest way over a grid from one cell to another, by steps to the eight neighbours, each costing its length
 * times the mean of the two cells' costs; those that lie towards the end are looked at first (Hart, Nilsson and
 * Raphael 1968). Cells as pairs of whole numbers, both ends in the answer.
 * @param least no cell costs less than this: what makes the first way found the cheapest
 */
export function cheapestWay(
  cost: Float32Array,
  wide: number,
  high: number,
  [fromX, fromY]: Point,
  [toX, toY]: Point,
  least: number,
): Point[] {
  const [start, end] = [fromY * wide + fromX, toY * wide + toX]
  const best = new Float64Array(wide * high).fill(Infinity)
  const before = new Int32Array(wide * high).fill(-1)
  const heap = new Heap()
  const left = (x: number, y: number) => {
    const [dx, dy] = [Math.abs(x - toX), Math.abs(y - toY)]
    return least * (Math.max(dx, dy) + (DIAGONAL - 1) * Math.min(dx, dy))
  }
  const done = new Uint8Array(wide * high)
  best[start] = 0
  heap.push(0, start)
  while (heap.size > 0) {
    const item = heap.pop()
    if (item === end) break
    if (done[item]) continue
    done[item] = 1
    const sofar = best[item]!
    const [x, y] = [item % wide, Math.floor(item / wide)]
    for (let j = -1; j <= 1; j++)
      for (let i = -1; i <= 1; i++) {
        const [u, v] = [x + i, y + j]
        if ((i === 0 && j === 0) || u < 0 || v < 0 || u >= wide || v >= high) continue
        const next = v * wide + u
        const step = sofar + ((cost[item]! + cost[next]!) / 2) * (i !== 0 && j !== 0 ? DIAGONAL : 1)
        if (step < best[next]!) {
          best[next] = step
          before[next] = item
          heap.push(step + left(u, v), next)
        }
      }
  }
  const way: Point[] = []
  for (let at = end; at >= 0; at = before[at]!) way.push([at % wide, Math.floor(at / wide)])
  return way.reverse()
}
