import type { Element } from './element'
import { pull, type Lattice } from './lattice'
import { eased, levelsOf, OVER, type Levels } from './levels'

export interface Solver {
  lattice: Lattice
  element: Element
  there: Uint8Array | null
  fixed: Uint8Array | null
  levels: Levels
  /** One over the stiffness of every entry by itself. */
  apart: Float64Array
  /** Largest of what a cell's stiffness is of its own diagonal: bounds it for the whole part. */
  most: number
}
export interface Solved {
  iterations: number
  /** What is left of the force, as a share of it. */
  left: number
}

const POWER_STEPS = 60
/** Smoothing takes on the upper part of the spectrum, from this share of it. */
const LOWER = 1 / 8
const DEGREE = 2

function mostOf({ full, diagonal }: Element): number {
  let x = Float64Array.from({ length: 24 }, (_, n) => Math.sin(7 * n + 1))
  let value = 1
  for (let step = 0; step < POWER_STEPS; step++) {
    const y = new Float64Array(24)
    for (let row = 0; row < 24; row++)
      for (let col = 0; col < 24; col++) y[row]! += (full[24 * row + col]! * x[col]!) / diagonal[row % 3]!
    value = Math.hypot(...y)
    x = y.map(each => each / value)
  }
  return value
}

/** Everything a part's solver keeps: made again when metal is laid or the part is held otherwise. */
export function solverOf(
  lattice: Lattice,
  element: Element,
  there: Uint8Array | null = null,
  fixed: Uint8Array | null = null,
): Solver {
  const apart = new Float64Array(3 * lattice.nodes)
  for (let cell = 0; cell < lattice.cells; cell++) {
    if (there && !there[cell]) continue
    for (let n = 0; n < 8; n++)
      for (let c = 0; c < 3; c++) apart[3 * lattice.corner[8 * cell + n]! + c]! += element.diagonal[c]!
  }
  for (let n = 0; n < apart.length; n++) apart[n] = apart[n]! > 0 && !fixed?.[n] ? 1 / apart[n]! : 0
  return {
    lattice,
    element,
    there,
    fixed,
    levels: levelsOf(lattice, element, there, fixed),
    apart,
    most: mostOf(element),
  }
}

/** z = p(K) r by Chebyshev, begun at rest. Source: Saad, Iterative Methods for Sparse Linear Systems, alg. 12.1. */
function smooth(solver: Solver, r: Float64Array, z: Float64Array, rest: Float64Array, step: Float64Array) {
  const { apart, most } = solver
  const [low, high] = [most * LOWER, most]
  const [middle, half] = [(high + low) / 2, (high - low) / 2]
  let rho = half / middle
  for (let n = 0; n < z.length; n++) {
    step[n] = (apart[n]! * r[n]!) / middle
    z[n] = step[n]!
  }
  for (let pass = 1; pass < DEGREE; pass++) {
    pull(solver.lattice, solver.element, solver.there, solver.fixed, z, rest)
    const next = 1 / ((2 * middle) / half - rho)
    for (let n = 0; n < z.length; n++) {
      step[n] = rho * next * step[n]! + ((2 * next) / half) * apart[n]! * (r[n]! - rest[n]!)
      z[n]! += step[n]!
    }
    rho = next
  }
}

/** Forces on the first level's bodies from forces on corners. */
function gathered({ lattice, levels, fixed }: Solver, r: Float64Array, into: Float64Array) {
  const { body, offMm } = levels
  into.fill(0)
  for (let node = 0; node < lattice.nodes; node++) {
    const n = 3 * node
    const o = 6 * body[node]!
    const x = offMm[n]!
    const y = offMm[n + 1]!
    const z = offMm[n + 2]!
    const a = fixed?.[n] ? 0 : r[n]!
    const b = fixed?.[n + 1] ? 0 : r[n + 1]!
    const c = fixed?.[n + 2] ? 0 : r[n + 2]!
    into[o]! += a
    into[o + 1]! += b
    into[o + 2]! += c
    into[o + 3]! += y * c - z * b
    into[o + 4]! += z * a - x * c
    into[o + 5]! += x * b - y * a
  }
}
function carried({ lattice, levels, fixed }: Solver, moves: Float64Array, to: Float64Array) {
  const { body, offMm } = levels
  for (let node = 0; node < lattice.nodes; node++) {
    const n = 3 * node
    const o = 6 * body[node]!
    const x = offMm[n]!
    const y = offMm[n + 1]!
    const z = offMm[n + 2]!
    const p = moves[o + 3]!
    const q = moves[o + 4]!
    const s = moves[o + 5]!
    if (!fixed?.[n]) to[n]! += OVER * (moves[o]! + q * z - s * y)
    if (!fixed?.[n + 1]) to[n + 1]! += OVER * (moves[o + 1]! + s * x - p * z)
    if (!fixed?.[n + 2]) to[n + 2]! += OVER * (moves[o + 2]! + p * y - q * x)
  }
}

const dot = (a: Float64Array, b: Float64Array) => {
  let sum = 0
  for (let n = 0; n < a.length; n++) sum += a[n]! * b[n]!
  return sum
}

/**
 * Displacement under forces, from where `u` stands: conjugate gradients, smoothed and guided by the coarser levels. A
 * part that is free finds its answer up to a motion of the whole, which the forces must not push.
 *
 * Source: Hestenes and Stiefel 1952. Yields after every step, so that a long run can be stopped.
 */
export function* solve(
  solver: Solver,
  force: Float64Array,
  u: Float64Array,
  tolerance = 1e-6,
  most = 400,
): Generator<Solved, Solved> {
  const { lattice, element, there, fixed, levels } = solver
  const size = u.length
  const [r, z, p, q, rest, step] = [0, 0, 0, 0, 0, 0].map(() => new Float64Array(size)) as [
    Float64Array,
    Float64Array,
    Float64Array,
    Float64Array,
    Float64Array,
    Float64Array,
  ]
  const coarse = new Float64Array(6 * levels.levels[0]!.bodies)
  const moves = new Float64Array(coarse.length)
  const precondition = () => {
    smooth(solver, r, z, rest, step)
    pull(lattice, element, there, fixed, z, rest)
    for (let n = 0; n < size; n++) rest[n] = r[n]! - rest[n]!
    gathered(solver, rest, coarse)
    eased(levels, 0, coarse, moves)
    carried(solver, moves, z)
    pull(lattice, element, there, fixed, z, rest)
    for (let n = 0; n < size; n++) rest[n] = r[n]! - rest[n]!
    const more = q
    smooth(solver, rest, more, step, p0)
    for (let n = 0; n < size; n++) z[n]! += more[n]!
  }
  const p0 = new Float64Array(size)
  pull(lattice, element, there, fixed, u, q)
  for (let n = 0; n < size; n++) r[n] = fixed?.[n] || !solver.apart[n] ? 0 : force[n]! - q[n]!
  let whole = 0
  for (let n = 0; n < size; n++) if (!fixed?.[n]) whole += force[n]! ** 2
  whole = Math.sqrt(whole)
  let left = Math.sqrt(dot(r, r))
  if (!(whole > 0) || left <= tolerance * whole) return { iterations: 0, left: 0 }
  precondition()
  p.set(z)
  let rz = dot(r, z)
  for (let iterations = 1; iterations <= most; iterations++) {
    pull(lattice, element, there, fixed, p, q)
    const alpha = rz / dot(p, q)
    for (let n = 0; n < size; n++) {
      u[n]! += alpha * p[n]!
      r[n]! -= alpha * q[n]!
    }
    left = Math.sqrt(dot(r, r)) / whole
    if (left <= tolerance) return { iterations, left }
    yield { iterations, left }
    precondition()
    const next = dot(r, z)
    const beta = next / rz
    rz = next
    for (let n = 0; n < size; n++) p[n] = z[n]! + beta * p[n]!
  }
  return { iterations: most, left }
}

/** The same by conjugate gradients scaled by the diagonal alone: what the bench and the tests compare with. */
export function solvePlain(
  solver: Solver,
  force: Float64Array,
  u: Float64Array,
  tolerance = 1e-6,
  most = 20_000,
): Solved {
  const { lattice, element, there, fixed, apart } = solver
  const size = u.length
  const [r, p, q] = [new Float64Array(size), new Float64Array(size), new Float64Array(size)]
  pull(lattice, element, there, fixed, u, q)
  for (let n = 0; n < size; n++) r[n] = apart[n] ? force[n]! - q[n]! : 0
  const whole = Math.sqrt(dot(force, force))
  let rz = 0
  for (let n = 0; n < size; n++) {
    p[n] = apart[n]! * r[n]!
    rz += p[n]! * r[n]!
  }
  for (let iterations = 1; iterations <= most; iterations++) {
    pull(lattice, element, there, fixed, p, q)
    const alpha = rz / dot(p, q)
    for (let n = 0; n < size; n++) {
      u[n]! += alpha * p[n]!
      r[n]! -= alpha * q[n]!
    }
    const left = Math.sqrt(dot(r, r)) / whole
    if (left <= tolerance) return { iterations, left }
    let next = 0
    for (let n = 0; n < size; n++) next += apart[n]! * r[n]! ** 2
    const beta = next / rz
    rz = next
    for (let n = 0; n < size; n++) p[n] = apart[n]! * r[n]! + beta * p[n]!
  }
  return { iterations: most, left: 1 }
}
