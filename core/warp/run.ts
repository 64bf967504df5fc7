import { NoAnswer } from '../ask/question'
import { FACE_AXIS, type Face } from '../solid/stored/faces.table'
import type { Mask } from '../solid/mask'
import { crackRun, type CrackRun } from './crack'
import { elementOf } from './element'
import { addStress, cellMm, latticeOf, nodeMm, pull, strainOf, type Lattice } from './lattice'
import { greatestPrincipal, greatestTension, type Tension } from './principal'
import { ALL_WAYS, rigidFit, withMotion, type Motion, type Place } from './rigid'
import { solve, solverOf, type Solver } from './solve'
import { faceNodes, readerOf, type Watch, type Watched } from './watch'
import { misesOf, returned } from './yielding'
import { zoneOf, type Bead } from './zone'

export interface WarpSetup {
  mask: Mask
  youngMPa: number
  poisson: number
  beads: readonly (Bead & { yieldMPa: number })[]
  hold: { free: true } | { pressed: readonly { atMm: Place; radiusMm: number }[]; on: Face }
  watch: readonly Watch[]
  plastic: boolean
  yieldMPa: number
  /** After the last bead it is kept so hot that this share of its yield is left, and cooled slowly. */
  keptShare?: number
  tolerance?: number
  /** Keep every corner's displacement after each bead. */
  keep?: boolean
}
export interface WarpStage {
  id: string
  watched: Watched[]
  /** Von Mises stress in the mean over the metal, MPa. */
  meanMPa: number
  /** The same two before it is let go, where it is held. */
  held?: Watched[]
  heldMeanMPa?: number
  /** Displacement of every corner let go, whole motion taken off; where it was asked to be kept. */
  movedMm?: Float32Array
}
export interface Warped {
  byBead: WarpStage[]
  watched: Watched[]
  peakMPa: number
  overYieldPct: number
  cells: number
  solves: number
  iterations: number
  /** Displacement of every corner at the end, whole motion taken off, and the corners themselves. */
  lattice: Lattice
  displacementMm: Float64Array
  /** Von Mises stress by cell, MPa. */
  misesMPa: Float32Array
  /** Where it is left pulling hardest, and along what: a crack would next run square to that. */
  tension: Tension & { atMm: Place }
  /** Where that crack would run over the part; null where nothing there is pulled. */
  crack: CrackRun | null
}
export interface WarpProgress {
  share: number
  /** Beads whose answer is in. */
  done: WarpStage[]
}

/** Ways a part held against a face can still slide: in the face's plane, and round its normal. */
const SLIDES: Record<0 | 1 | 2, readonly number[]> = { 0: [1, 2, 3], 1: [0, 2, 4], 2: [0, 1, 5] }
/** Rounds of flow at most, and the change of stress, as a share of yield, at which it has settled. */
const MOST_FLOWS = 40
const SETTLED = 0.02
/** A cell that a filling bead takes up by this share or more is not there before it. */
const FILLS = 0.5
/** What the stage after slow cooling is called. */
const COOLED = 'kept hot and cooled slowly'
/** Past yield by this much a cell is counted as over it: what a settled flow may leave. */
const OVER_SHARE = 0.999

/**
 * Corners pressed down: those within reach of each place at its own level, a floor's as well as a rim's; of the
 * outermost face where the place lies at no level of the cells. @throws NoAnswer where a place reaches none
 */
function pressedNodes(lattice: Lattice, on: Face, pressed: readonly { atMm: Place; radiusMm: number }[]): Set<number> {
  const axis = FACE_AXIS[on]
  const outermost = faceNodes(lattice, on)
  const levelOf = (node: number) => lattice.nodeAt[3 * node + axis]!
  const found = new Set<number>()
  for (const { atMm, radiusMm } of pressed) {
    const near: number[] = []
    const level = Math.round((atMm[axis] - lattice.originMm[axis]) / lattice.stepMm[axis])
    const isNear = (node: number) =>
      Math.hypot(...nodeMm(lattice, node).map((value, way) => (way === axis ? 0 : value - atMm[way]!))) <= radiusMm
    for (let node = 0; node < lattice.nodes; node++) if (levelOf(node) === level && isNear(node)) near.push(node)
    if (!near.length) near.push(...outermost.filter(isNear))
    if (!near.length) throw new NoAnswer(`nothing of that face lies within ${radiusMm} mm of ${atMm.join(', ')} mm`)
    near.forEach(node => found.add(node))
  }
  return found
}

/**
 * Beads laid one after another: each shrinks its zone by its own strain; the metal of one that fills is not there
 * before it. Held, the pressed corners keep to a flat and are let go after the last bead. Small strains; elastic, or
 * perfectly plastic after von Mises.
 *
 * Source: inherent strain (Ueda, Murakawa and Ma, Welding Deformation and Residual Stress Prevention, 2012); eight-node
 * boxes with incompatible modes. Within 3 % of an independent finite-element program on the same cells (tested).
 * @throws NoAnswer where a bead misses the part, or nothing is there at what is held or watched
 */
export function* warp(setup: WarpSetup): Generator<WarpProgress, Warped> {
  const lattice = latticeOf(setup.mask)
  const element = elementOf(lattice.stepMm, setup.youngMPa, setup.poisson)
  const shearMPa = setup.youngMPa / (2 * (1 + setup.poisson))
  const size = 3 * lattice.nodes
  const zones = setup.beads.map(bead => {
    const zone = zoneOf(lattice, bead)
    if (!zone.cells.length) throw new NoAnswer(`the bead ${bead.id} misses the part`)
    return zone
  })
  const there = setup.beads.some(bead => bead.fills) ? new Uint8Array(lattice.cells).fill(1) : null
  setup.beads.forEach((bead, n) => {
    if (bead.fills) zones[n]!.cells.forEach((cell, m) => zones[n]!.share[m]! >= FILLS && (there![cell] = 0))
  })
  const yields = new Float32Array(lattice.cells).fill(setup.yieldMPa)
  let fixed: Uint8Array | null = null
  let ways: readonly number[] = ALL_WAYS
  if ('pressed' in setup.hold) {
    const axis = FACE_AXIS[setup.hold.on]
    fixed = new Uint8Array(size)
    for (const node of pressedNodes(lattice, setup.hold.on, setup.hold.pressed)) fixed[3 * node + axis] = 1
    ways = SLIDES[axis]
  }
  const readers = setup.watch.map(watch => readerOf(lattice, watch))

  const u = new Float64Array(size)
  const inside = new Float64Array(size)
  const stress = new Float64Array(6 * lattice.cells)
  const work = new Float64Array(size)
  const strain = new Float64Array(6)
  const trial = new Float64Array(6)
  const before = new Float64Array(6)
  /** Where a cell's own strain stands among those of its bead; none of it, -1. */
  const ownAt = new Int32Array(lattice.cells).fill(-1)
  let [solves, iterations] = [0, 0]
  const stages: WarpStage[] = []
  const steps = setup.beads.length + (fixed ? 1 : 0) + (setup.keptShare === undefined ? 0 : 1)
  const [lame, shear] = [element.hooke[1]!, element.hooke[21]!]
  const stressOf = (given: ArrayLike<number>, at: number, into: Float64Array) => {
    const swell = lame * (given[at]! + given[at + 1]! + given[at + 2]!)
    into[0] = swell + 2 * shear * given[at]!
    into[1] = swell + 2 * shear * given[at + 1]!
    into[2] = swell + 2 * shear * given[at + 2]!
    into[3] = shear * given[at + 3]!
    into[4] = shear * given[at + 4]!
    into[5] = shear * given[at + 5]!
  }

  /** Brings the part to rest after new strain in some cells, or after being let go. */
  function* settle(
    solver: Solver,
    cells: Int32Array,
    own: Float64Array,
    doneBefore: number,
  ): Generator<WarpProgress, void> {
    const du = new Float64Array(size)
    const force = new Float64Array(size)
    const flowed = setup.plastic ? new Float64Array(6 * lattice.cells) : null
    cells.forEach((cell, n) => (ownAt[cell] = 6 * n))
    for (let n = 0; n < size; n++) force[n] = -inside[n]!
    for (let n = 0; n < cells.length; n++) {
      if (there && !there[cells[n]!]) continue
      stressOf(own, 6 * n, trial)
      addStress(lattice, cells[n]!, trial, force)
    }
    for (let flow = 0; flow < MOST_FLOWS; flow++) {
      const running = solve(solver, force, du, setup.tolerance ?? 1e-6)
      for (;;) {
        const next = running.next()
        if (next.done) {
          iterations += next.value.iterations
          break
        }
        yield { share: (doneBefore + Math.min(0.95, next.value.iterations / 60)) / steps, done: stages }
      }
      solves += 1
      if (!flowed) break
      let most = 0
      for (let cell = 0; cell < lattice.cells; cell++) {
        if (there && !there[cell]) continue
        strainOf(lattice, cell, du, strain, 0)
        const at = ownAt[cell]!
        if (at >= 0) for (let n = 0; n < 6; n++) strain[n]! -= own[at + n]!
        for (let n = 0; n < 6; n++) strain[n]! -= before[n] = flowed[6 * cell + n]!
        stressOf(strain, 0, trial)
        for (let n = 0; n < 6; n++) trial[n]! += stress[6 * cell + n]!
        if (!returned(trial, yields[cell]!, shearMPa, flowed, 6 * cell)) continue
        for (let n = 0; n < 6; n++) strain[n] = flowed[6 * cell + n]! - before[n]!
        stressOf(strain, 0, trial)
        addStress(lattice, cell, trial, force)
        most = Math.max(most, misesOf(trial) / yields[cell]!)
      }
      if (most < SETTLED) break
    }
    pull(lattice, element, there, null, du, work)
    for (let n = 0; n < size; n++) {
      u[n]! += du[n]!
      inside[n]! += work[n]!
    }
    for (let n = 0; n < cells.length; n++) {
      if (there && !there[cells[n]!]) continue
      stressOf(own, 6 * n, trial)
      for (let p = 0; p < 6; p++) trial[p]! *= -1
      addStress(lattice, cells[n]!, trial, inside)
    }
    for (let cell = 0; cell < lattice.cells; cell++) {
      if (there && !there[cell]) continue
      strainOf(lattice, cell, du, strain, 0)
      const at = ownAt[cell]!
      for (let n = 0; n < 6; n++) strain[n]! -= (flowed ? flowed[6 * cell + n]! : 0) + (at < 0 ? 0 : own[at + n]!)
      stressOf(strain, 0, trial)
      for (let n = 0; n < 6; n++) stress[6 * cell + n]! += trial[n]!
      if (flowed && flowed.subarray(6 * cell, 6 * cell + 6).some(value => value !== 0)) {
        stressOf(flowed, 6 * cell, trial)
        for (let p = 0; p < 6; p++) trial[p]! *= -1
        addStress(lattice, cell, trial, inside)
      }
    }
    for (const cell of cells) ownAt[cell] = -1
  }
  const wholeMotion = (allowed: readonly number[]): Motion =>
    rigidFit(
      lattice.nodes,
      node => nodeMm(lattice, node),
      node => [u[3 * node]!, u[3 * node + 1]!, u[3 * node + 2]!],
      allowed,
    )
  const read = (allowed: readonly number[]) => {
    const motion = wholeMotion(allowed)
    return readers.map(reader => reader(u, motion))
  }

  const meanStress = () => {
    let [sum, counted] = [0, 0]
    for (let cell = 0; cell < lattice.cells; cell++) {
      if (there && !there[cell]) continue
      sum += misesOf(stress, 6 * cell)
      counted += 1
    }
    return sum / counted
  }
  /** Every corner's displacement with the motion of the whole taken off. */
  const offWhole = () => {
    const motion = wholeMotion(ALL_WAYS)
    const found = u.slice()
    for (let node = 0; node < lattice.nodes; node++)
      withMotion(motion, nodeMm(lattice, node)).forEach((value, axis) => (found[3 * node + axis]! -= value))
    return found
  }
  const stageOf = (id: string, held?: Pick<WarpStage, 'held' | 'heldMeanMPa'>): WarpStage => ({
    id,
    watched: read(ALL_WAYS),
    meanMPa: meanStress(),
    ...held,
    ...(setup.keep && { movedMm: Float32Array.from(offWhole()) }),
  })

  const NONE: [Int32Array, Float64Array] = [new Int32Array(0), new Float64Array(0)]
  let solver: Solver | null = null
  let free: Solver | null = null
  for (const [n, bead] of setup.beads.entries()) {
    const zone = zones[n]!
    if (bead.fills) {
      zone.cells.forEach((cell, m) => zone.share[m]! >= FILLS && (there![cell] = 1))
      solver = null
      free = null
    }
    zone.cells.forEach(cell => (yields[cell] = Math.min(yields[cell]!, bead.yieldMPa)))
    solver ??= solverOf(lattice, element, there, fixed)
    yield* settle(solver, zone.cells, zone.strain, n)
    if (fixed) {
      const held = { held: read(ways), heldMeanMPa: meanStress() }
      // What it would be if it were let go now is worked out aside and put back.
      const kept = [u.slice(), inside.slice(), stress.slice()] as const
      free ??= solverOf(lattice, element, there, null)
      yield* settle(free, ...NONE, n + 0.5)
      stages.push(stageOf(bead.id, held))
      if (n < setup.beads.length - 1) {
        u.set(kept[0])
        inside.set(kept[1])
        stress.set(kept[2])
      }
    } else stages.push(stageOf(bead.id))
    yield { share: (n + 1) / steps, done: stages }
  }

  if (setup.keptShare !== undefined) {
    // Hot all through, it flows until nothing is past the yield it has there; cooling evenly it pulls no more.
    const cold = yields.slice()
    for (let cell = 0; cell < yields.length; cell++) yields[cell]! *= setup.keptShare
    free ??= solverOf(lattice, element, there, null)
    yield* settle(free, ...NONE, steps - 1)
    yields.set(cold)
    stages.push(stageOf(COOLED))
    yield { share: 1, done: stages }
  }

  const misesMPa = new Float32Array(lattice.cells)
  let [peakMPa, over, counted, tightest, most] = [0, 0, 0, 0, -Infinity]
  for (let cell = 0; cell < lattice.cells; cell++) {
    if (there && !there[cell]) continue
    misesMPa[cell] = misesOf(stress, 6 * cell)
    peakMPa = Math.max(peakMPa, misesMPa[cell]!)
    counted += 1
    const pulls = greatestPrincipal(stress, 6 * cell)
    if (pulls > most) [tightest, most] = [cell, pulls]
    if (misesMPa[cell]! >= OVER_SHARE * yields[cell]!) over += 1
  }
  const tension = { ...greatestTension(stress, 6 * tightest), atMm: cellMm(lattice, tightest) }
  const laidBy =
    setup.beads[
      Math.max(
        0,
        zones.findLastIndex(zone => zone.cells.includes(tightest)),
      )
    ]
  return {
    byBead: stages,
    watched: stages.at(-1)!.watched,
    peakMPa,
    overYieldPct: (100 * over) / counted,
    cells: lattice.cells,
    solves,
    iterations,
    lattice,
    displacementMm: offWhole(),
    misesMPa,
    tension,
    crack: laidBy ? crackRun(lattice, stress, tension.atMm, laidBy.face) : null,
  }
}

/** A run to its end, for questions and tests. */
export function warped(setup: WarpSetup): Warped {
  const running = warp(setup)
  for (;;) {
    const next = running.next()
    if (next.done) return next.value
  }
}
