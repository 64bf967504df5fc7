import type { Element } from './element'
import { pull, type Lattice } from './lattice'
import { Fine, smoothing } from './fine'
import { levelsOf } from './levels'

export interface Solver {
  lattice: Lattice
  element: Element
  there: Uint8Array | null
  fixed: Uint8Array | null
  /** One over the stiffness of every entry by itself; 0 where it cannot move. */
  apart: Float64Array
  fine: Fine
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

/** Largest of what a cell's stiffness is of its own diagonal: bounds it for the whole part. */
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
  const most = mostOf(element)
  for (let n = 0; n < apart.length; n++) apart[n] = apart[n]! > 0 && !fixed?.[n] ? 1 / apart[n]! : 0
  return {
    lattice,
    element,
    there,
    fixed,
    apart,
    fine: new Fine(
      lattice,
      element,
      there,
      apart,
      levelsOf(lattice, element, there, fixed),
      smoothing(most * LOWER, most, DEGREE),
    ),
  }
}

const dot = (a: Float64Array, b: Float64Array) => {
  let sum = 0
  for (let n = 0; n < a.length; n++) sum += a[n]! * b[n]!
  return sum
}

/**
 * Single precision takes a force down to this share of it at once; what is left is worked out in double, and taken on
 * anew.
 */
const AT_ONCE = 1e-4

/**
 * Displacement under forces, from where `u` stands: conjugate gradients, smoothed and guided by the coarser levels, in
 * single precision, with what they leave worked out in double until that is small enough. A part that is free finds its
 * answer up to a motion of the whole, which the forces must not push.
 *
 * Source: Hestenes and Stiefel 1952; iterative refinement (Wilkinson 1963). Yields after every step, so that a long run
 * can be stopped.
 */
export function* solve(
  solver: Solver,
  force: Float64Array,
  u: Float64Array,
  tolerance = 1e-6,
  most = 400,
): Generator<Solved, Solved> {
  const { lattice, element, there, fixed, apart } = solver
  const size = u.length
  const rest = new Float64Array(size)
  let whole = 0
  for (let n = 0; n < size; n++) if (!fixed?.[n]) whole += force[n]! ** 2
  whole = Math.sqrt(whole)
  let iterations = 0
  for (;;) {
    pull(lattice, element, there, fixed, u, rest)
    for (let n = 0; n < size; n++) rest[n] = apart[n] ? force[n]! - rest[n]! : 0
    const left = Math.sqrt(dot(rest, rest)) / whole
    if (!(whole > 0) || left <= tolerance || iterations >= most) return { iterations, left: whole > 0 ? left : 0 }
    const aim = Math.max(AT_ONCE, (0.9 * tolerance) / left)
    const running = solver.fine.run(rest, u, aim, most - iterations)
    for (;;) {
      const next = running.next()
      if (next.done) {
        // What single precision reaches by itself it is sure of: a tenth is left for its rounding.
        if (next.value && aim > AT_ONCE) return { iterations, left: aim * left }
        break
      }
      iterations += 1
      yield { iterations, left: left * next.value.left }
    }
  }
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
