import type { Element } from './element'
import type { Lattice } from './lattice'
import { BODY, Coarse, OVER } from './coarse'
import { startKernel, type KernelExports } from './kernel'
import type { Levels } from './levels'

/** A corner's three entries and a fourth that stays 0, in single precision. */
const WIDE = 4
const BYTES = 16
/** A kernel keeps its own things below this. */
const BASE = 1024

/** Steps have lost their way once this many times as much is left as there was. */
const LOST = 100

/** How far a run of steps has come. */
export interface Run {
  /** What is left of the force that it began with, as a share of it. */
  left: number
}

/** Chebyshev's shares for smoothing between two bounds of the spectrum. */
export interface Smoothing {
  first: number
  rest: readonly { keep: number; share: number }[]
}

/** Smoothing by so many steps between a lower and an upper bound. Source: Saad, Iterative Methods, alg. 12.1. */
export function smoothing(low: number, high: number, steps: number): Smoothing {
  const [middle, half] = [(high + low) / 2, (high - low) / 2]
  const rest: { keep: number; share: number }[] = []
  let rho = half / middle
  for (let step = 1; step < steps; step++) {
    const next = 1 / ((2 * middle) / half - rho)
    rest.push({ keep: rho * next, share: (2 * next) / half })
    rho = next
  }
  return { first: 1 / middle, rest }
}

/**
 * A part's corners in single precision, four numbers at a time: conjugate gradients smoothed on the corners and guided
 * by the levels, for a force to a few figures; what they leave is worked out in double precision outside.
 */
export class Fine {
  private readonly kernel: KernelExports
  private readonly at: Record<'corner' | 'blocks' | 'apart' | 'body' | 'off' | Vector, number>
  private readonly cells: number
  private readonly coarse: Coarse

  constructor(
    private readonly lattice: Lattice,
    element: Element,
    there: Uint8Array | null,
    apart: Float64Array,
    levels: Levels,
    private readonly smooth: Smoothing,
  ) {
    const { nodes } = lattice
    this.cells = there ? there.reduce((sum, is) => sum + (is ? 1 : 0), 0) : lattice.cells
    let next = BASE
    const take = (bytes: number) => {
      const at = next
      next += Math.ceil(bytes / BYTES) * BYTES
      return at
    }
    const vectors = Object.fromEntries(VECTORS.map(name => [name, take(BYTES * nodes)])) as Record<Vector, number>
    this.at = {
      ...vectors,
      corner: take(32 * this.cells),
      blocks: take(8 * 3 * BYTES),
      apart: take(BYTES * nodes),
      body: take(4 * nodes),
      off: take(BYTES * nodes),
    }
    this.coarse = new Coarse(levels, take)
    this.kernel = startKernel(next)
    this.coarse.fill(this.kernel, levels)
    this.fill(element, there, apart, levels)
  }

  /** Memory that it takes, bytes. */
  get bytes(): number {
    return this.kernel.memory.buffer.byteLength
  }

  private floats(name: keyof typeof this.at, count: number): Float32Array {
    return new Float32Array(this.kernel.memory.buffer, this.at[name], count)
  }
  private fill(element: Element, there: Uint8Array | null, apart: Float64Array, levels: Levels) {
    const { lattice, at } = this
    const corner = new Uint32Array(this.kernel.memory.buffer, at.corner, 8 * this.cells)
    let to = 0
    for (let cell = 0; cell < lattice.cells; cell++) {
      if (there && !there[cell]) continue
      for (let n = 0; n < 8; n++) corner[to++] = BYTES * lattice.corner[8 * cell + n]!
    }
    const blocks = this.floats('blocks', 8 * 3 * WIDE)
    for (let klass = 0; klass < 8; klass++)
      for (let row = 0; row < 3; row++)
        for (let col = 0; col < 3; col++)
          blocks[WIDE * (3 * klass + col) + row] = element.blocks[9 * klass + 3 * row + col]!
    const body = new Uint32Array(this.kernel.memory.buffer, at.body, lattice.nodes)
    const [off, own] = [this.floats('off', WIDE * lattice.nodes), this.floats('apart', WIDE * lattice.nodes)]
    for (let node = 0; node < lattice.nodes; node++) {
      body[node] = 4 * BODY * levels.body[node]!
      for (let c = 0; c < 3; c++) {
        off[WIDE * node + c] = levels.offMm[3 * node + c]!
        own[WIDE * node + c] = apart[3 * node + c]!
      }
    }
  }

  private pull(from: Vector, to: Vector) {
    this.kernel.pull(this.cells, this.at.corner, this.at.blocks, this.at[from], this.at[to], this.lattice.nodes)
  }
  /** The steps of smoothing after the first, on z. */
  private goOn() {
    const { kernel, at, lattice, smooth } = this
    for (const { keep, share } of smooth.rest) {
      this.pull('z', 'pulled')
      kernel.goOn(lattice.nodes, at.apart, at.r, at.pulled, at.step, at.z, keep, share)
    }
  }
  /** z = what the levels and two smoothings make of r. */
  private precondition() {
    const { kernel, at, lattice, coarse, smooth } = this
    const { nodes } = lattice
    kernel.begin(nodes, at.apart, at.r, at.step, at.z, smooth.first)
    this.goOn()
    this.pull('z', 'pulled')
    kernel.leftOver(nodes, at.apart, at.r, at.pulled)
    kernel.gather(nodes, at.body, at.off, at.pulled, coarse.right, coarse.bodies)
    coarse.ease()
    kernel.spread(nodes, at.body, at.off, coarse.x, at.apart, at.z, OVER)
    this.pull('z', 'pulled')
    kernel.goOn(nodes, at.apart, at.r, at.pulled, at.step, at.z, 0, smooth.first)
    this.goOn()
  }
  private dot(a: Vector, b: Vector): number {
    return this.kernel.sumOfProducts(this.lattice.nodes, this.at.apart, this.at[a], this.at[b])
  }

  /**
   * Adds to `u` what moves under a force, until only such a share of the force is left.
   * @returns whether it got there; each step is told
   */
  *run(force: Float64Array, u: Float64Array, share: number, most: number): Generator<Run, boolean> {
    const { kernel, at, lattice } = this
    const { nodes } = lattice
    let whole = 0
    for (const value of force) whole += value ** 2
    whole = Math.sqrt(whole)
    if (!(whole > 0)) return true
    const [r, x] = [this.floats('r', WIDE * nodes), this.floats('x', WIDE * nodes)]
    x.fill(0)
    for (let node = 0; node < nodes; node++)
      for (let c = 0; c < 3; c++) r[WIDE * node + c] = force[3 * node + c]! / whole
    this.precondition()
    kernel.combine(nodes, at.z, at.z, 0, at.p)
    let rz = this.dot('r', 'z')
    let [there, best] = [false, Infinity]
    for (let step = 0; step < most && !there; step++) {
      this.pull('p', 'pulled')
      const alpha = rz / this.dot('p', 'pulled')
      if (!Number.isFinite(alpha)) break
      kernel.combine(nodes, at.x, at.p, alpha, at.x)
      kernel.combine(nodes, at.r, at.pulled, -alpha, at.r)
      const left = Math.sqrt(this.dot('r', 'r'))
      there = left <= share
      yield { left }
      best = Math.min(best, left)
      // Rounding has the better of it: what is left is looked at anew in double precision.
      if (there || left > LOST * best) break
      this.precondition()
      const next = this.dot('r', 'z')
      kernel.combine(nodes, at.z, at.p, next / rz, at.p)
      rz = next
    }
    for (let node = 0; node < nodes; node++) for (let c = 0; c < 3; c++) u[3 * node + c]! += whole * x[WIDE * node + c]!
    return there
  }
}

const VECTORS = ['r', 'z', 'step', 'pulled', 'p', 'x'] as const
type Vector = (typeof VECTORS)[number]
