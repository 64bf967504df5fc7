import type { z } from 'zod'
import type { warpInput } from '../schema'

/** A case that an independent finite-element program has worked out on the same cells. */
export interface WarpCase {
  name: string
  asked: z.input<typeof warpInput>
  /** Places whose movement against one another is compared, corners of cells, mm. */
  placesMm: readonly (readonly [number, number, number])[]
}

const bead = (
  id: string,
  from: [number, number, number],
  to: [number, number, number],
  widthMm: number,
  depthMm: number,
) => ({ id, pathMm: [from, to], face: 'top' as const, widthMm, depthMm, strainAlong: -0.0012, strainAcross: -0.0025 })
const union = (...parts: [number, number, number, number, number, number][]) => ({
  kind: 'union' as const,
  parts: parts.map(([x, y, z, xMm, yMm, zMm]) => ({
    shape: { kind: 'box' as const, xMm, yMm, zMm },
    atMm: [x, y, z] as [number, number, number],
  })),
})

/** A plate with one bead off its middle; a plate with a rib, two beads across; an open box, a bead along its rim. */
export const WARP_CASES: readonly WarpCase[] = [
  {
    name: 'plate',
    asked: {
      shape: union([0, 0, 0, 96, 64, 8]),
      cellMm: 4,
      alloy: '356',
      beads: [bead('one', [0, 24, 8], [96, 24, 8], 16, 4)],
    },
    placesMm: [
      [0, 0, 8],
      [96, 0, 8],
      [96, 64, 8],
      [0, 64, 8],
      [48, 0, 8],
      [48, 32, 8],
      [48, 64, 8],
      [0, 32, 8],
    ],
  },
  {
    name: 'ribbed',
    asked: {
      shape: union([0, 0, 0, 96, 48, 8], [40, 0, 8, 8, 48, 16]),
      cellMm: 4,
      alloy: 'A356',
      beads: [bead('one', [20, 0, 8], [20, 48, 8], 16, 4), bead('two', [72, 0, 8], [72, 48, 8], 16, 8)],
    },
    placesMm: [
      [0, 0, 0],
      [96, 0, 0],
      [96, 48, 0],
      [0, 48, 0],
      [44, 0, 24],
      [44, 48, 24],
      [48, 24, 0],
      [20, 24, 8],
    ],
  },
  {
    name: 'box',
    asked: {
      shape: union(
        [0, 0, 0, 80, 60, 6],
        [0, 0, 6, 80, 6, 24],
        [0, 54, 6, 80, 6, 24],
        [0, 6, 6, 6, 48, 24],
        [74, 6, 6, 6, 48, 24],
      ),
      cellMm: 2,
      alloy: '6061',
      beads: [bead('rim', [0, 3, 30], [80, 3, 30], 6, 6)],
    },
    placesMm: [
      [0, 0, 30],
      [80, 0, 30],
      [80, 60, 30],
      [0, 60, 30],
      [40, 0, 30],
      [40, 60, 30],
      [40, 30, 0],
      [0, 30, 30],
      [80, 30, 30],
    ],
  },
]
