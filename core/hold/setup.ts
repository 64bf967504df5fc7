import { NoAnswer } from '../ask/question'
import { mechanicalOf } from '../metal/mechanical.table'
import { softenedMPa } from '../metal/softened.table'
import { proofOf } from '../metal/temper'
import { cut } from '../solid/mask'
import { cellMm, latticeOf, nodeMm, type Lattice } from '../warp/lattice'
import { cracked, type Crack } from './cracked'
import { categoryOf, type Category } from './category.table'
import type { HoldInput, OnSkin } from './schema'
import { coveredBy, skinOf, type SkinFace } from './skin'

/** Cells past which a run takes minutes here. */
const MOST_CELLS = 250_000

/** A zone of the part, with what its metal bears. */
export interface HeldZone {
  id: string
  yieldMPa: number
  category: Category
  cells: Int32Array
}
export interface HoldSetup {
  lattice: Lattice
  skin: readonly SkinFace[]
  youngMPa: number
  poisson: number
  /** 1 where an entry of a corner cannot move. */
  fixed: Uint8Array
  /** Force on every entry of every corner, N. */
  force: Float64Array
  /** All loads together, N. */
  loadN: [number, number, number]
  /** The base first. */
  zones: HeldZone[]
  watch: readonly (readonly [number, number, number])[]
  times: number | null
}
export interface Misplaced {
  path: (string | number)[]
  message: string
}

const spot = (at: readonly number[]) => `${at.map(value => Number(value.toPrecision(5))).join(', ')} mm`
const words = (on: OnSkin): string =>
  'face' in on
    ? `the ${on.face}`
    : 'hole' in on
      ? `a hole of ${on.hole.diameterMm} mm at ${spot(on.hole.atMm)}`
      : spot(on.atMm)
const placeKey = (on: OnSkin) => ('face' in on ? 'face' : 'hole' in on ? 'hole' : 'atMm')

/** Cells whose middles lie in a box; of a box too thin for any, those that it goes through. */
function cellsIn(lattice: Lattice, boxMm: readonly number[]): number[] {
  const [through, middles]: [number[], number[]] = [[], []]
  for (let cell = 0; cell < lattice.cells; cell++) {
    const middle = cellMm(lattice, cell)
    let [inside, touches] = [true, true]
    for (let way = 0; way < 3; way++) {
      const [low, high] = [boxMm[way]!, boxMm[way]! + boxMm[way + 3]!]
      const half = lattice.stepMm[way]! / 2
      if (middle[way]! < low - 1e-9 || middle[way]! > high + 1e-9) inside = false
      if (middle[way]! + half < low + 1e-9 || middle[way]! - half > high - 1e-9) touches = false
    }
    if (inside) middles.push(cell)
    if (touches) through.push(cell)
  }
  return middles.length ? middles : through
}

const crackOf = (boxMm: readonly number[]): Crack => {
  const axis = boxMm.slice(3).indexOf(0) as Crack['axis']
  return { axis, atMm: boxMm[axis]!, from: boxMm.slice(0, 3), to: [0, 1, 2].map(way => boxMm[way]! + boxMm[way + 3]!) }
}

/** Every corner's piece of metal: corners that hang together through cells have one number. */
function piecesOf({ corner, cells, nodes }: Lattice): Int32Array {
  const parent = Int32Array.from({ length: nodes }, (_, n) => n)
  const find = (n: number): number => {
    let top = n
    while (parent[top] !== top) top = parent[top]!
    while (parent[n] !== top) [n, parent[n]] = [parent[n]!, top] as [number, number]
    return top
  }
  for (let cell = 0; cell < cells; cell++)
    for (let n = 1; n < 8; n++) parent[find(corner[8 * cell + n]!)] = find(corner[8 * cell]!)
  return parent.map((_, n) => find(n))
}

/**
 * That nothing can move as a whole: each piece of metal is held at three corners that do not lie in one line.
 * @throws NoAnswer that says which is not
 */
function heldFast(lattice: Lattice, fixed: Uint8Array): void {
  const pieces = piecesOf(lattice)
  const held = new Map<number, number[]>()
  for (let node = 0; node < lattice.nodes; node++)
    if (fixed[3 * node]) held.set(pieces[node]!, [...(held.get(pieces[node]!) ?? []), node])
  for (const piece of new Set(pieces)) {
    const nodes = held.get(piece) ?? []
    const where = spot(nodeMm(lattice, piece))
    const [first] = nodes
    if (first === undefined)
      throw new NoAnswer(
        `nothing holds the piece of metal at ${where}: it can move as a whole; fix it by a face, a patch or a hole`,
      )
    const a = nodeMm(lattice, first)
    const far = nodes.reduce((best, node) => (away(lattice, node, a) > away(lattice, best, a) ? node : best), first)
    const along = nodeMm(lattice, far).map((value, way) => value - a[way]!)
    const long = Math.hypot(...along)
    const square = nodes.some(node => {
      const off = nodeMm(lattice, node).map((value, way) => value - a[way]!)
      const cross = [0, 1, 2].map(
        n => off[(n + 1) % 3]! * along[(n + 2) % 3]! - off[(n + 2) % 3]! * along[(n + 1) % 3]!,
      )
      return long > 0 && Math.hypot(...cross) / long > 1e-6
    })
    if (!square)
      throw new NoAnswer(
        `the piece of metal at ${where} is held in one line and can still turn about it; hold it over a wider place, or at another beside`,
      )
  }
}
const away = (lattice: Lattice, node: number, from: readonly number[]) =>
  Math.hypot(...nodeMm(lattice, node).map((value, way) => value - from[way]!))

/**
 * A question as the runner takes it: cells parted along their cracks, what is held, forces on corners, zones; with
 * every place that lies on no metal.
 * @throws NoAnswer for too many cells, or a part that can still move as a whole
 */
export function holdSetup(input: HoldInput): { setup: HoldSetup } | { misplaced: Misplaced[] } {
  const mask = cut(input.shape, input.cellMm)
  if (mask.count > MOST_CELLS)
    throw new NoAnswer(
      `${mask.count} cells are more than the ${MOST_CELLS} that are loaded here: take cells of about ${Math.ceil(input.cellMm * Math.cbrt(mask.count / MOST_CELLS) * 10) / 10} mm`,
    )
  const misplaced: Misplaced[] = []
  const whole = latticeOf(mask)
  const cracks = input.zones.flatMap((zone, n) => (zone.kind === 'crack' ? [{ n, crack: crackOf(zone.boxMm) }] : []))
  const parted = cracked(
    whole,
    cracks.map(({ crack }) => crack),
  )
  if ('idle' in parted)
    misplaced.push({
      path: ['zones', cracks[parted.idle]!.n, 'boxMm'],
      message: 'no metal is parted by it: it lies outside, or on the skin',
    })
  const lattice = 'lattice' in parted ? parted.lattice : whole
  const skin = skinOf(lattice)
  const fixed = new Uint8Array(3 * lattice.nodes)
  input.fixed.forEach((on, n) => {
    const covered = coveredBy(skin, lattice, on)
    if (!covered.length)
      misplaced.push({ path: ['fixed', n, placeKey(on)], message: `there is no metal at ${words(on)}` })
    const half = Math.max(...covered.map(({ share }) => share)) / 2
    for (const { face, share } of covered)
      if (share >= half) for (const node of face.nodes) fixed.fill(1, 3 * node, 3 * node + 3)
  })
  const force = new Float64Array(3 * lattice.nodes)
  const loadN: [number, number, number] = [0, 0, 0]
  input.loads.forEach(({ on, forceN, pressureMPa = 0 }, n) => {
    const covered = coveredBy(skin, lattice, on)
    if (!covered.length)
      misplaced.push({ path: ['loads', n, 'on', placeKey(on)], message: `there is no metal at ${words(on)}` })
    const areaMm2 = covered.reduce((sum, { face, share }) => sum + share * face.areaMm2, 0)
    for (const { face, share } of covered) {
      const own = share * face.areaMm2
      const pull = forceN ? forceN.map(value => (value * own) / areaMm2) : [0, 0, 0]
      if (!forceN) pull[face.axis]! -= face.out * pressureMPa * own
      for (const node of face.nodes) for (let way = 0; way < 3; way++) force[3 * node + way]! += pull[way]! / 4
      for (let way = 0; way < 3; way++) loadN[way]! += pull[way]!
    }
  })
  const inZone = new Map<number, number>()
  const zoned = input.zones.flatMap((zone, n) => {
    if (zone.kind === 'crack') return []
    const cells = cellsIn(lattice, zone.boxMm)
    if (!cells.length) misplaced.push({ path: ['zones', n, 'boxMm'], message: 'no metal lies in it' })
    // Of two that lie over one another, the one said later is what is there.
    for (const cell of cells) inZone.set(cell, n)
    return [{ zone, n }]
  })
  input.watch.forEach((at, n) => {
    if (!isOnMetal(lattice, at)) misplaced.push({ path: ['watch', n], message: `there is no metal at ${spot(at)}` })
  })
  if (misplaced.length) return { misplaced }
  heldFast(lattice, fixed)
  const { youngMPa, poisson } = mechanicalOf(input.alloy.alloy)
  const all = Array.from({ length: lattice.cells }, (_, cell) => cell)
  const base: HeldZone = {
    id: 'base',
    yieldMPa: input.yieldMPa ?? proofOf(input.alloy).proofMPa,
    category: categoryOf('base', input.alloy.alloy),
    cells: Int32Array.from(all.filter(cell => !inZone.has(cell))),
  }
  const zones = zoned.map(({ zone, n }): HeldZone => {
    const usual = categoryOf(zone.kind === 'weld' ? 'weld' : 'softened', input.alloy.alloy)
    return {
      id: zone.id,
      yieldMPa: zone.yieldMPa ?? Math.min(base.yieldMPa, softenedMPa(input.alloy.alloy)),
      category: zone.category ? { ...usual, mPa: zone.category, source: 'as it was said' } : usual,
      cells: Int32Array.from(all.filter(cell => inZone.get(cell) === n)),
    }
  })
  return {
    setup: {
      lattice,
      skin,
      youngMPa,
      poisson,
      fixed,
      force,
      loadN,
      zones: [base, ...zones].filter(({ cells }) => cells.length > 0),
      watch: input.watch,
      times: input.times ?? null,
    },
  }
}

/** Cells that a place lies in or on, to within a thousandth of a cell; those beside it where it lies just outside. */
export function cellsAt(lattice: Lattice, at: readonly number[], slack = 1e-3): number[] {
  const found: number[] = []
  for (let cell = 0; cell < lattice.cells; cell++) {
    const middle = cellMm(lattice, cell)
    if (middle.every((value, way) => Math.abs(at[way]! - value) <= (0.5 + slack) * lattice.stepMm[way]!))
      found.push(cell)
  }
  return found
}
/** A smooth skin stands up to so much of a cell off its steps. */
export const STEPPED = 0.75
const isOnMetal = (lattice: Lattice, at: readonly number[]) => cellsAt(lattice, at, STEPPED).length > 0
