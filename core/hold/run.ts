import { NoAnswer } from '../ask/question'
import { elementOf } from '../warp/element'
import { cellMm, pull, type Lattice } from '../warp/lattice'
import { greatestPrincipal } from '../warp/principal'
import { solve, solverOf } from '../warp/solve'
import { misesOf } from '../warp/yielding'
import { lifeOf } from './category.table'
import { cellsAt, STEPPED, type HoldSetup } from './setup'
import { stressAt, type Local } from './stress'

type Triple = [number, number, number]
export interface ZoneStress {
  zone: string
  peakMPa: number
  atMm: Triple
  yieldMPa: number
  /** Yield over von Mises. */
  factor: number
}
export interface ZoneLife {
  zone: string
  rangeMPa: number
  category: number
  slope: number
  source: string
  cycles: number
  lowCycles: number
  highCycles: number
}
export interface Held {
  movedMm: Triple[]
  vonMisesMPa: number[]
  principalMPa: Triple[]
  reactionN: Triple
  by: ZoneStress[]
  weakest: string
  life: ZoneLife[]
  cells: number
  imbalancePct: number
  iterations: number
  /** Displacement of every corner, mm, and von Mises by cell, the greater of its middle and its skin, MPa. */
  displacementMm: Float64Array
  misesMPa: Float32Array
}

const TOLERANCE = 1e-7
/** More than this left of the forces is no answer. */
const LEFT = 1e-4
const MIDDLE: Local = [0, 0, 0]

/** Principal stresses, the greatest pull first. */
function principals(stress: Float64Array): Triple {
  const first = greatestPrincipal(stress)
  const third = -greatestPrincipal(stress.map(value => -value))
  return [first, stress[0]! + stress[1]! + stress[2]! - first - third, third]
}

/** Where a cell's stress is looked at for a place: at its middle, carried to the skin where the place lies on it. */
function carriedTo(lattice: Lattice, cell: number, at: readonly number[], onSkin: ReadonlySet<string>): Local {
  const middle = cellMm(lattice, cell)
  return [0, 1, 2].map(way => {
    const local = (at[way]! - middle[way]!) / (lattice.stepMm[way]! / 2)
    const out = local > 0 ? 1 : -1
    return Math.abs(local) > 0.99 && onSkin.has(`${cell} ${way} ${out}`) ? out : 0
  }) as unknown as Local
}

/** How a place in a cell moves, by its corners. */
function movedIn(lattice: Lattice, cell: number, at: readonly number[], u: Float64Array): Triple {
  const middle = cellMm(lattice, cell)
  const local = middle.map((value, way) => Math.min(1, Math.max(-1, (at[way]! - value) / (lattice.stepMm[way]! / 2))))
  const moved: Triple = [0, 0, 0]
  for (let n = 0; n < 8; n++) {
    const share = local.reduce((product, value, way) => product * (1 + (n & (1 << way) ? 1 : -1) * value), 1) / 8
    const node = 3 * lattice.corner[8 * cell + n]!
    for (let c = 0; c < 3; c++) moved[c]! += share * u[node + c]!
  }
  return moved
}

/** Cells that a place lies on, else the nearest that its steps stand off. */
function cellsOf(lattice: Lattice, at: readonly number[]): number[] {
  const on = cellsAt(lattice, at)
  if (on.length) return on
  const near = cellsAt(lattice, at, STEPPED)
  const away = (cell: number) => Math.hypot(...cellMm(lattice, cell).map((value, way) => value - at[way]!))
  return near.toSorted((a, b) => away(a) - away(b)).slice(0, 1)
}

const mean = (list: readonly (readonly number[])[]): Triple =>
  [0, 1, 2].map(c => list.reduce((sum, one) => sum + one[c]!, 0) / list.length) as Triple

/**
 * A part held and loaded: small-strain linear elasticity on its cells, eight-node boxes with incompatible modes. Stress
 * of a cell is that at its middle and at the middles of its sides that see air.
 *
 * Source: Wilson, Taylor, Doherty and Ghaboussi 1973. Within 1 % of an independent finite-element program on the same
 * cells (tested); beside closed forms as `docs/method.md` says. Estimates, not a proof.
 * @throws NoAnswer where its cells hang together by edges alone
 */
export function* hold(setup: HoldSetup): Generator<{ share: number }, Held> {
  const { lattice, skin, fixed, force, loadN, zones, watch, times } = setup
  const element = elementOf(lattice.stepMm, setup.youngMPa, setup.poisson)
  const u = new Float64Array(3 * lattice.nodes)
  const given = force.slice()
  for (let n = 0; n < given.length; n++) if (fixed[n]) given[n] = 0
  const running = solve(solverOf(lattice, element, null, fixed), given, u, TOLERANCE, 2000)
  let next = running.next()
  while (!next.done) {
    yield { share: Math.min(0.95, next.value.iterations / 80) }
    next = running.next()
  }
  const { iterations, left } = next.value
  if (left > LEFT) throw new NoAnswer('its cells hang together by an edge alone somewhere: take smaller cells')
  const inside = new Float64Array(u.length)
  pull(lattice, element, null, null, u, inside)
  const reactionN: Triple = [0, 0, 0]
  for (let n = 0; n < u.length; n++) if (fixed[n]) reactionN[n % 3]! += inside[n]! - force[n]!
  const whole = forceSize(force)
  const imbalance = Math.hypot(...reactionN.map((value, way) => value + loadN[way]!))

  const sides = new Map<number, Local[]>()
  const onSkin = new Set<string>()
  for (const { cell, axis, out } of skin) {
    onSkin.add(`${cell} ${axis} ${out}`)
    const at: [number, number, number] = [0, 0, 0]
    at[axis] = out
    const list = sides.get(cell)
    if (list) list.push(at)
    else sides.set(cell, [at])
  }
  const stress = new Float64Array(6)
  const misesMPa = new Float32Array(lattice.cells)
  const by: ZoneStress[] = []
  const life: ZoneLife[] = []
  for (const { id, cells, yieldMPa, category } of zones) {
    let [peakMPa, rangeMPa] = [0, 0]
    let atMm: Triple = cellMm(lattice, cells[0]!)
    for (const cell of cells)
      for (const at of [MIDDLE, ...(sides.get(cell) ?? [])]) {
        stressAt(lattice, element, cell, at, u, stress)
        const mises = misesOf(stress)
        misesMPa[cell] = Math.max(misesMPa[cell]!, mises)
        rangeMPa = Math.max(rangeMPa, greatestPrincipal(stress))
        if (mises <= peakMPa) continue
        peakMPa = mises
        atMm = cellMm(lattice, cell).map((value, way) => value + (at[way]! * lattice.stepMm[way]!) / 2) as Triple
      }
    by.push({ zone: id, peakMPa, atMm, yieldMPa, factor: factorOf(yieldMPa, peakMPa) })
    if (times !== null && rangeMPa > 1e-6)
      life.push({
        zone: id,
        rangeMPa,
        category: category.mPa,
        slope: category.slope,
        source: category.source,
        ...lifeOf(rangeMPa, category),
      })
  }
  const weakest = by.reduce((worst, one) => (one.factor < worst.factor ? one : worst))
  const watched = watch.map(at => {
    const cells = cellsOf(lattice, at)
    const sum = new Float64Array(6)
    for (const cell of cells) {
      stressAt(lattice, element, cell, carriedTo(lattice, cell, at, onSkin), u, stress)
      for (let n = 0; n < 6; n++) sum[n]! += stress[n]! / cells.length
    }
    return {
      moved: mean(cells.map(cell => movedIn(lattice, cell, at, u))),
      mises: misesOf(sum),
      principal: principals(sum),
    }
  })
  return {
    movedMm: watched.map(({ moved }) => moved),
    vonMisesMPa: watched.map(({ mises }) => mises),
    principalMPa: watched.map(({ principal }) => principal),
    reactionN,
    by,
    weakest: weakest.zone,
    life,
    cells: lattice.cells,
    imbalancePct: whole > 0 ? (100 * imbalance) / whole : 0,
    iterations,
    displacementMm: u,
    misesMPa,
  }
}

/** Where nothing pulls, a factor is as large as anybody would write down. */
const MOST_FACTOR = 1e6
const factorOf = (yieldMPa: number, peakMPa: number) => Math.min(MOST_FACTOR, yieldMPa / Math.max(1e-9, peakMPa))
/** All forces on corners without regard to their way, N: what a balance is a share of. */
function forceSize(force: Float64Array): number {
  let sum = 0
  for (let n = 0; n < force.length; n += 3) sum += Math.hypot(force[n]!, force[n + 1]!, force[n + 2]!)
  return sum
}
