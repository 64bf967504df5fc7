import { SIX } from './bodies'
import type { KernelExports } from './kernel'
import { takeOut, type Last } from './last-level'
import type { Levels } from './levels'

/** A body's shift and turn and two of nothing, and a block's six columns of as many, in single precision. */
export const BODY = 8
const BODY_BYTES = 4 * BODY
const BLOCK_FLOATS = SIX * BODY

/** Bodies that move rigidly are stiffer together than what they stand for: their answer is taken this much larger. */
export const OVER = 1.8
/** How often each level asks the next. */
const TWICE = 2

/** Where a level lies in the kernel's memory. */
interface Place {
  bodies: number
  blocks: number
  rows: number
  column: number
  block: number
  own: number
  parent: number
  lever: number
  right: number
  x: number
  rest: number
}

/** The levels in a kernel's memory, and how forces on the first one's bodies become their motion. */
export class Coarse {
  private readonly places: Place[]
  private kernel!: KernelExports
  private readonly whole: Last['whole']
  private readonly last: { size: number; factor: number; x: number }

  /** @param take keeps so many bytes of the kernel's memory, and says where */
  constructor(all: Levels, take: (bytes: number) => number) {
    this.places = all.levels.map(({ bodies, column }) => ({
      bodies,
      blocks: column.length,
      rows: take(4 * (bodies + 1)),
      column: take(4 * column.length),
      block: take(4 * BLOCK_FLOATS * column.length),
      own: take(4 * BLOCK_FLOATS * bodies),
      parent: take(4 * bodies),
      lever: take(16 * bodies),
      right: take(BODY_BYTES * bodies),
      x: take(BODY_BYTES * bodies),
      rest: take(BODY_BYTES * bodies),
    }))
    const { size, whole } = all.last
    this.whole = whole
    this.last = { size, factor: take(8 * size * size), x: take(8 * size) }
  }

  /** Where forces on the first level's bodies are put, and where their motion is found. */
  get right(): number {
    return this.places[0]!.right
  }
  get x(): number {
    return this.places[0]!.x
  }
  get bodies(): number {
    return this.places[0]!.bodies
  }

  /** Puts the levels there; what they were made of is not kept. */
  fill(kernel: KernelExports, { levels, last }: Levels) {
    this.kernel = kernel
    const { buffer } = kernel.memory
    new Float64Array(buffer, this.last.factor, last.factor.length).set(last.factor)
    const columns = (to: Float32Array, blocks: Float32Array, count: number) => {
      for (let n = 0; n < count; n++)
        for (let p = 0; p < SIX; p++)
          for (let q = 0; q < SIX; q++) to[BLOCK_FLOATS * n + BODY * q + p] = blocks[36 * n + SIX * p + q]!
    }
    this.places.forEach((place, depth) => {
      const level = levels[depth]!
      const next = levels[depth + 1]
      new Uint32Array(buffer, place.rows, place.bodies + 1).set(level.rowStart)
      const column = new Uint32Array(buffer, place.column, place.blocks)
      for (let n = 0; n < place.blocks; n++) column[n] = BODY_BYTES * level.column[n]!
      columns(new Float32Array(buffer, place.block, BLOCK_FLOATS * place.blocks), level.block, place.blocks)
      columns(new Float32Array(buffer, place.own, BLOCK_FLOATS * place.bodies), level.own, place.bodies)
      if (!next) return
      const parent = new Uint32Array(buffer, place.parent, place.bodies)
      const lever = new Float32Array(buffer, place.lever, 4 * place.bodies)
      for (let n = 0; n < place.bodies; n++) {
        parent[n] = BODY_BYTES * level.parent[n]!
        for (let axis = 0; axis < 3; axis++)
          lever[4 * n + axis] = level.middleMm[3 * n + axis]! - next.middleMm[3 * level.parent[n]! + axis]!
      }
    })
  }

  private lastSolved(place: Place) {
    const right = new Float32Array(this.kernel.memory.buffer, place.right, BODY * place.bodies)
    const x = new Float32Array(this.kernel.memory.buffer, place.x, BODY * place.bodies)
    const { size, factor } = this.last
    const moved = new Float64Array(this.kernel.memory.buffer, this.last.x, size)
    for (let n = 0; n < place.bodies; n++) for (let p = 0; p < SIX; p++) moved[SIX * n + p] = right[BODY * n + p]!
    for (const way of this.whole) takeOut(way, moved)
    this.kernel.solveFactored(size, factor, this.last.x)
    for (const way of this.whole) takeOut(way, moved)
    for (let n = 0; n < place.bodies; n++) for (let p = 0; p < SIX; p++) x[BODY * n + p] = moved[SIX * n + p]!
  }

  /** Motion of a level's bodies under the forces put on them, near enough to guide what is finer. */
  ease(depth = 0): void {
    const { kernel } = this
    const place = this.places[depth]!
    const next = this.places[depth + 1]
    if (!next) {
      this.lastSolved(place)
      return
    }
    const { bodies, rows, column, block, own, right, x, rest, parent, lever } = place
    kernel.clear(bodies, x)
    for (let time = 0; time < TWICE; time++) {
      kernel.relax(bodies, rows, column, block, own, right, x, 0)
      kernel.bodiesLeft(bodies, rows, column, block, right, x, rest)
      kernel.gatherBodies(bodies, parent, lever, rest, next.right, next.bodies)
      this.ease(depth + 1)
      kernel.spreadBodies(bodies, parent, lever, next.x, x, OVER)
      kernel.relax(bodies, rows, column, block, own, right, x, 1)
    }
  }
}
