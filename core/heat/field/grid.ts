import type { Mask } from '../../solid/mask'
import { exposedFaces } from './exposed'

/**
 * Figures in `segments` for each stretch of solid cells along x, and in `runs` for each piece of one with the same
 * neighbours.
 */
export const SEGMENT = 5
export const RUN = 6

/**
 * The solid cells of a part, packed: every stretch of cells along x lies in consecutive slots with a ghost slot at each
 * end, so that a cell's neighbours are at slot ± 1 and at offsets that stay the same along a run. An absent neighbour
 * has offset 0: the cell itself, across which no heat flows.
 */
export interface Grid {
  nx: number
  ny: number
  nz: number
  stepMm: readonly [number, number, number]
  originMm: readonly [number, number, number]
  count: number
  slots: number
  /** First slot, length, and the i, j, k of its first cell. */
  segments: Int32Array
  /** First slot, length, and the offsets of the neighbours at −y, +y, −z, +z. */
  runs: Int32Array
  /** Index of a row's first segment, by j + ny·k; one more at the end. */
  rowStart: Int32Array
  /** Skin in reach of the air, mm², by slot. */
  areaMm2: Float32Array
  /**
   * Where cells are put together from finer ones: the share of each that is metal, and of its faces to +x, +y, +z that
   * carry heat.
   */
  shares: { volume: Float32Array; x: Float32Array; y: Float32Array; z: Float32Array } | null
}

/** Slots before the first and after the last, so that a vector read past either end stays inside. */
export const MARGIN = 8

interface Box {
  nx: number
  ny: number
  nz: number
  solid: Uint8Array
}

function stretches({ nx, ny, nz, solid }: Box): { segments: Int32Array; rowStart: Int32Array; slots: number } {
  const found: number[] = []
  const rowStart = new Int32Array(ny * nz + 1)
  let slot = MARGIN
  for (let row = 0; row < ny * nz; row++) {
    rowStart[row] = found.length / SEGMENT
    const base = row * nx
    for (let i = 0; i < nx; i++) {
      if (!solid[base + i]) continue
      const first = i
      while (i < nx && solid[base + i]) i += 1
      found.push(slot + 1, i - first, first, row % ny, Math.floor(row / ny))
      slot += i - first + 2
    }
  }
  rowStart[ny * nz] = found.length / SEGMENT
  return { segments: Int32Array.from(found), rowStart, slots: slot + MARGIN }
}

function splitRuns({ nx, ny, nz }: Box, segments: Int32Array, rowStart: Int32Array): Int32Array {
  const runs: number[] = []
  const row = (j: number, k: number) => {
    const map = new Int32Array(nx)
    if (j < 0 || k < 0 || j >= ny || k >= nz) return map
    for (let s = rowStart[j + ny * k]!; s < rowStart[j + ny * k + 1]!; s++) {
      const [slot, length, i] = segments.subarray(s * SEGMENT, s * SEGMENT + 3) as unknown as [number, number, number]
      for (let n = 0; n < length; n++) map[i + n] = slot + n
    }
    return map
  }
  // Maps of slots for the rows round the one at hand; 0 stands for no cell, since the margin keeps slot 0 free.
  const planes = new Map<number, Int32Array[]>()
  const plane = (k: number) =>
    planes.get(k) ??
    planes
      .set(
        k,
        Array.from({ length: ny }, (_, j) => row(j, k)),
      )
      .get(k)!
  const none = new Int32Array(nx)
  for (let k = 0; k < nz; k++) {
    planes.delete(k - 2)
    const [here, below, above] = [plane(k), k > 0 ? plane(k - 1) : null, k < nz - 1 ? plane(k + 1) : null]
    for (let j = 0; j < ny; j++) {
      const beside = [here[j - 1] ?? none, here[j + 1] ?? none, below?.[j] ?? none, above?.[j] ?? none]
      for (let s = rowStart[j + ny * k]!; s < rowStart[j + ny * k + 1]!; s++) {
        const [slot, length, first] = segments.subarray(s * SEGMENT, s * SEGMENT + 3) as unknown as [
          number,
          number,
          number,
        ]
        let begun = -1
        for (let n = 0; n < length; n++) {
          const offsets = beside.map(map => (map[first + n] ? map[first + n]! - slot - n : 0))
          if (begun >= 0 && offsets.every((offset, d) => offset === runs[begun + 2 + d])) runs[begun + 1]! += 1
          else {
            begun = runs.length
            runs.push(slot + n, 1, ...offsets)
          }
        }
      }
    }
  }
  return Int32Array.from(runs)
}

/** Packs the solid cells of a box. */
function pack(box: Box, place: Pick<Mask, 'stepMm' | 'originMm' | 'count'>): Omit<Grid, 'areaMm2' | 'shares'> {
  const { segments, rowStart, slots } = stretches(box)
  return {
    nx: box.nx,
    ny: box.ny,
    nz: box.nz,
    ...place,
    segments,
    rowStart,
    slots,
    runs: splitRuns(box, segments, rowStart),
  }
}

/** The slot of a cell, or −1 where there is no metal. */
export function slotAt(grid: Grid, i: number, j: number, k: number): number {
  if (i < 0 || j < 0 || k < 0 || i >= grid.nx || j >= grid.ny || k >= grid.nz) return -1
  const row = j + grid.ny * k
  for (let s = grid.rowStart[row]!; s < grid.rowStart[row + 1]!; s++) {
    const first = grid.segments[s * SEGMENT + 2]!
    if (i >= first && i < first + grid.segments[s * SEGMENT + 1]!) return grid.segments[s * SEGMENT]! + i - first
  }
  return -1
}

/** Goes over every solid cell. */
export function forEachCell(grid: Grid, visit: (slot: number, i: number, j: number, k: number) => void): void {
  for (let s = 0; s < grid.segments.length; s += SEGMENT) {
    const [slot, length, i, j, k] = [
      grid.segments[s]!,
      grid.segments[s + 1]!,
      grid.segments[s + 2]!,
      grid.segments[s + 3]!,
      grid.segments[s + 4]!,
    ]
    for (let n = 0; n < length; n++) visit(slot + n, i + n, j, k)
  }
}

/** The grid of a mask, with the skin that air reaches. */
export function gridOf(mask: Mask): Grid {
  const packed = pack(mask, mask)
  const areaMm2 = new Float32Array(packed.slots)
  const grid: Grid = { ...packed, areaMm2, shares: null }
  const faces = exposedFaces(mask)
  forEachCell(grid, (slot, i, j, k) => {
    areaMm2[slot] = faces(i, j, k)
  })
  return grid
}

/**
 * A grid of cells `factor` times as large, each with the share of it that is metal and the share of each face that
 * carries heat, so that thin walls keep their mass, their conductance and their skin.
 */
export function coarsen(mask: Mask, fine: Grid, factor: number): Grid {
  const [nx, ny, nz] = [mask.nx, mask.ny, mask.nz].map(n => Math.ceil(n / factor)) as [number, number, number]
  const solid = new Uint8Array(nx * ny * nz)
  let count = 0
  forEachCell(fine, (_, i, j, k) => {
    const at = Math.floor(i / factor) + nx * (Math.floor(j / factor) + ny * Math.floor(k / factor))
    count += solid[at] ? 0 : 1
    solid[at] = 1
  })
  const stepMm = mask.stepMm.map(step => step * factor) as [number, number, number]
  const packed = pack({ nx, ny, nz, solid }, { stepMm, originMm: mask.originMm, count })
  const blank = () => new Float32Array(packed.slots)
  const shares = { volume: blank(), x: blank(), y: blank(), z: blank() }
  const grid: Grid = { ...packed, areaMm2: blank(), shares }
  forEachCell(fine, (slot, i, j, k) => {
    const [I, J, K] = [Math.floor(i / factor), Math.floor(j / factor), Math.floor(k / factor)]
    const coarse = slotAt(grid, I, J, K)
    grid.areaMm2[coarse]! += fine.areaMm2[slot]!
    shares.volume[coarse]! += 1 / factor ** 3
    if (i % factor === factor - 1 && slotAt(fine, i + 1, j, k) >= 0) shares.x[coarse]! += 1 / factor ** 2
    if (j % factor === factor - 1 && slotAt(fine, i, j + 1, k) >= 0) shares.y[coarse]! += 1 / factor ** 2
    if (k % factor === factor - 1 && slotAt(fine, i, j, k + 1) >= 0) shares.z[coarse]! += 1 / factor ** 2
  })
  return grid
}
