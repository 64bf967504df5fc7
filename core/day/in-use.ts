/** How much of one resource is in use, as steps in time: from each moment on so much, until the next. */
export class InUse {
  private readonly at: Float64Array
  private readonly used: Int16Array
  private steps = 1

  /** @param mostTasks that ever take it before it is cleared */
  constructor(
    private readonly capacity: number,
    mostTasks: number,
  ) {
    this.at = new Float64Array(2 * mostTasks + 1)
    this.used = new Int16Array(2 * mostTasks + 1)
    this.at[0] = -Infinity
  }

  clear(): void {
    this.steps = 1
  }

  /** The step that a moment falls in: most are asked of the end, so it looks from there. */
  private stepAt(moment: number): number {
    let step = this.steps - 1
    while (this.at[step]! > moment) step -= 1
    return step
  }

  /** First minute from `from` at which so much more is free for so long. */
  freeFrom(from: number, minutes: number, wanted: number): number {
    const { at, used, capacity, steps } = this
    let start = from
    for (let step = this.stepAt(from); step < steps && at[step]! < start + minutes; step++)
      if (used[step]! + wanted > capacity) start = at[step + 1]!
    return start
  }

  /** Takes so much from a minute to a later one. */
  take(from: number, to: number, wanted: number): void {
    const first = this.split(from)
    const last = this.split(to)
    for (let step = first; step < last; step++) this.used[step]! += wanted
  }

  /** The step that begins at a moment, cut there where none does. */
  private split(moment: number): number {
    const step = this.stepAt(moment)
    if (this.at[step] === moment) return step
    // Mostly the last few: moved one by one, which then takes less time than moving them as a block.
    for (let last = this.steps; last > step + 1; last--) {
      this.at[last] = this.at[last - 1]!
      this.used[last] = this.used[last - 1]!
    }
    this.at[step + 1] = moment
    this.used[step + 1] = this.used[step]!
    this.steps += 1
    return step + 1
  }
}
