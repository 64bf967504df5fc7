import { erf } from '../../quantity/erf'
import type { Face, Place } from './setup'
import { forEachCell, slotAt, type Grid } from './grid'

const AXES: Record<Face, { across: [0 | 1 | 2, 0 | 1 | 2]; along: 0 | 1 | 2; fromTop: boolean }> = {
  top: { across: [0, 1], along: 2, fromTop: true },
  bottom: { across: [0, 1], along: 2, fromTop: false },
  left: { across: [1, 2], along: 0, fromTop: false },
  right: { across: [1, 2], along: 0, fromTop: true },
  front: { across: [0, 2], along: 1, fromTop: false },
  back: { across: [0, 2], along: 1, fromTop: true },
}

/**
 * The cells seen from one side: for each column of cells, which slots its light falls on and what share of the column
 * each takes.
 */
export interface Seen {
  nu: number
  nv: number
  stepMm: [number, number]
  originMm: [number, number]
  axes: [0 | 1 | 2, 0 | 1 | 2]
  start: Int32Array
  slot: Int32Array
  share: Float32Array
}

/**
 * Cells seen from a side. On a grid put together from a finer one the finer one says where its faces lie.
 * @param aheadOf where a flame begins along its way, mm: what stands nearer to the torch than this is behind it, and
 *   takes nothing
 */
export function seenFrom(grid: Grid, face: Face, finer?: { grid: Grid; factor: number }, aheadOf?: number): Seen {
  const { across: axes, along, fromTop } = AXES[face]
  const fine = finer?.grid ?? grid
  const factor = finer?.factor ?? 1
  const size = (of: Grid) => [of.nx, of.ny, of.nz]
  const [fu, fv] = axes.map(axis => size(fine)[axis]!) as [number, number]
  const first = new Int32Array(fu * fv).fill(-1)
  const outermost = aheadOf === undefined ? null : Math.floor((aheadOf - fine.originMm[along]) / fine.stepMm[along])
  const isAhead = (depth: number) => outermost === null || (fromTop ? depth <= outermost : depth >= outermost)
  forEachCell(fine, (_, ...cell) => {
    if (!isAhead(cell[along]!)) return
    const column = cell[axes[0]]! + fu * cell[axes[1]]!
    const depth = cell[along]!
    if (first[column]! < 0 || (fromTop ? depth > first[column]! : depth < first[column]!)) first[column] = depth
  })
  const [nu, nv] = axes.map(axis => size(grid)[axis]!) as [number, number]
  const shares = new Map<number, Map<number, number>>()
  const cell: [number, number, number] = [0, 0, 0]
  for (let v = 0; v < fv; v++) {
    for (let u = 0; u < fu; u++) {
      const depth = first[u + fu * v]!
      if (depth < 0) continue
      if (depth === outermost) {
        // Metal on both sides of where the flame begins has no face there.
        cell[axes[0]] = u
        cell[axes[1]] = v
        cell[along] = depth + (fromTop ? 1 : -1)
        if (slotAt(fine, ...cell) >= 0) continue
      }
      cell[axes[0]] = Math.floor(u / factor)
      cell[axes[1]] = Math.floor(v / factor)
      cell[along] = Math.floor(depth / factor)
      const column = cell[axes[0]]! + nu * cell[axes[1]]!
      const taking = shares.get(column) ?? shares.set(column, new Map()).get(column)!
      const slot = slotAt(grid, ...cell)
      taking.set(slot, (taking.get(slot) ?? 0) + 1 / factor ** 2)
    }
  }
  const start = new Int32Array(nu * nv + 1)
  const [slots, parts]: [number[], number[]] = [[], []]
  for (let column = 0; column < nu * nv; column++) {
    start[column] = slots.length
    for (const [slot, share] of shares.get(column) ?? []) {
      slots.push(slot)
      parts.push(share)
    }
  }
  start[nu * nv] = slots.length
  return {
    nu,
    nv,
    axes,
    start,
    slot: Int32Array.from(slots),
    share: Float32Array.from(parts),
    stepMm: [grid.stepMm[axes[0]], grid.stepMm[axes[1]]],
    originMm: [grid.originMm[axes[0]], grid.originMm[axes[1]]],
  }
}

/** A torch is held no further than this before the place it is pointed at, mm. Common practice, no source. */
const STANDOFF_MM = 60

/**
 * Cells that a flame pointed at some places falls on: what lies further out than the torch is held takes nothing, as a
 * wall that the torch is held behind. All that is seen from the side, where nothing would be left.
 */
export function seenByFlame(
  grid: Grid,
  face: Face,
  aims: readonly Place[],
  radiusMm: number,
  finer?: { grid: Grid; factor: number },
): Seen {
  const { along, fromTop } = AXES[face]
  const depths = aims.map(at => at[along])
  const aheadOf = fromTop ? Math.max(...depths) + STANDOFF_MM : Math.min(...depths) - STANDOFF_MM
  const ahead = seenFrom(grid, face, finer, aheadOf)
  return aims.some(at => spread(ahead, at, radiusMm, () => {}) > 0) ? ahead : seenFrom(grid, face, finer)
}

/** Share of a Gaussian (1/e² at the radius, along one axis) on each cell of a row, and the first cell of the list. */
function shareByCell(
  at: number,
  radius: number,
  origin: number,
  step: number,
  cells: number,
): { from: number; shares: number[] } {
  const reach = 2.2 * radius
  const from = Math.max(0, Math.floor((at - reach - origin) / step))
  const to = Math.min(cells - 1, Math.floor((at + reach - origin) / step))
  const shares: number[] = []
  let left = erf(((origin + from * step - at) * Math.SQRT2) / radius)
  for (let cell = from; cell <= to; cell++) {
    const right = erf(((origin + (cell + 1) * step - at) * Math.SQRT2) / radius)
    shares.push((right - left) / 2)
    left = right
  }
  return { from, shares }
}

/**
 * Spreads a Gaussian spot over the cells seen, giving each slot its share of the whole; cells are integrated over, not
 * sampled, so that the shares are right however small the spot. What passes beside the part is not given to anyone.
 * @returns the share of the spot that falls on the part
 */
export function spread(seen: Seen, atMm: Place, radiusMm: number, give: (slot: number, share: number) => void): number {
  const u = shareByCell(atMm[seen.axes[0]], radiusMm, seen.originMm[0], seen.stepMm[0], seen.nu)
  const v = shareByCell(atMm[seen.axes[1]], radiusMm, seen.originMm[1], seen.stepMm[1], seen.nv)
  let landed = 0
  for (let n = 0; n < v.shares.length; n++) {
    for (let m = 0; m < u.shares.length; m++) {
      const whole = u.shares[m]! * v.shares[n]!
      const column = u.from + m + seen.nu * (v.from + n)
      for (let entry = seen.start[column]!; entry < seen.start[column + 1]!; entry++) {
        const share = whole * seen.share[entry]!
        landed += share
        give(seen.slot[entry]!, share)
      }
    }
  }
  return landed
}

/** Area of the cells seen, as seen, mm². */
export function seenAreaMm2(seen: Seen): number {
  return seen.share.reduce((sum, share) => sum + share, 0) * seen.stepMm[0] * seen.stepMm[1]
}

/**
 * Where the part rests: the bottom area of the lowest layer by slot, mm², those parts of it whose middle `rests` along
 * x.
 */
export function restingMm2(
  grid: Grid,
  rests: (xMm: number) => boolean,
  finer?: { grid: Grid; factor: number },
): Map<number, number> {
  const fine = finer?.grid ?? grid
  const factor = finer?.factor ?? 1
  const area = fine.stepMm[0] * fine.stepMm[1]
  const bySlot = new Map<number, number>()
  forEachCell(fine, (_, i, j, k) => {
    if (k !== 0 || !rests(fine.originMm[0] + (i + 0.5) * fine.stepMm[0])) return
    const slot = slotAt(grid, Math.floor(i / factor), Math.floor(j / factor), 0)
    bySlot.set(slot, (bySlot.get(slot) ?? 0) + area)
  })
  return bySlot
}
