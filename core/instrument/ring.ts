/**
 * The last readings of a channel, in memory taken once: newer ones push the oldest out. Counts what came and what is
 * missing between the numbers that came, so that a gap is known and not papered over.
 */
export class ReadingRing {
  private readonly timesMs: Float64Array
  private readonly values: Float64Array
  private newest = -1
  came = 0
  missing = 0

  constructor(readonly capacity: number) {
    this.timesMs = new Float64Array(capacity)
    this.values = new Float64Array(capacity)
  }

  /** @returns false for a reading that was here already (a reconnected stream may repeat itself) */
  push(n: number, atMs: number, value: number): boolean {
    if (n <= this.newest) return false
    this.missing += n - this.newest - 1
    this.newest = n
    const at = this.came % this.capacity
    this.timesMs[at] = atMs
    this.values[at] = value
    this.came += 1
    return true
  }

  get size() {
    return Math.min(this.came, this.capacity)
  }
  /** The number of the newest reading; −1 before the first. */
  get last() {
    return this.newest
  }

  /** The reading a number of places back from the newest (0 is the newest), or null. */
  back(places: number): { atMs: number; value: number } | null {
    if (places < 0 || places >= this.size) return null
    const at = (this.came - 1 - places) % this.capacity
    return { atMs: this.timesMs[at]!, value: this.values[at]! }
  }

  /** At most so many readings, oldest first, evenly thinned; the newest is always among them. */
  series(most: number): { atMs: number; value: number }[] {
    const step = Math.max(1, Math.ceil(this.size / most))
    const found: { atMs: number; value: number }[] = []
    for (let places = 0; places < this.size; places += step) found.push(this.back(places)!)
    return found.reverse()
  }
}
