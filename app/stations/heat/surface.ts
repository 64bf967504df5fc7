import type { DrawnPart } from '~/workers/heat'

/**
 * The skin of a part in cells, as triangles: four corners a face, two triangles, the slot each face takes its colour
 * from.
 */
export interface Surface {
  positions: Float32Array
  indices: Uint32Array
  /** By face. */
  slots: Int32Array
  /** By face: 0 … 5 for left, right, front, back, bottom, top. */
  sides: Uint8Array
}

/** Cells beyond this plane are taken away, so that the inside shows. */
export interface Cut {
  axis: 0 | 1 | 2
  share: number
}

const SIDES = [
  {
    step: [-1, 0, 0],
    corners: [
      [0, 0, 0],
      [0, 0, 1],
      [0, 1, 1],
      [0, 1, 0],
    ],
  },
  {
    step: [1, 0, 0],
    corners: [
      [1, 0, 0],
      [1, 1, 0],
      [1, 1, 1],
      [1, 0, 1],
    ],
  },
  {
    step: [0, -1, 0],
    corners: [
      [0, 0, 0],
      [1, 0, 0],
      [1, 0, 1],
      [0, 0, 1],
    ],
  },
  {
    step: [0, 1, 0],
    corners: [
      [0, 1, 0],
      [0, 1, 1],
      [1, 1, 1],
      [1, 1, 0],
    ],
  },
  {
    step: [0, 0, -1],
    corners: [
      [0, 0, 0],
      [0, 1, 0],
      [1, 1, 0],
      [1, 0, 0],
    ],
  },
  {
    step: [0, 0, 1],
    corners: [
      [0, 0, 1],
      [1, 0, 1],
      [1, 1, 1],
      [0, 1, 1],
    ],
  },
] as const
export const SIDE_FACES = ['left', 'right', 'front', 'back', 'bottom', 'top'] as const

/** Every face between metal and no metal (or the cut), in millimetres. */
export function surfaceOf({ nx, ny, nz, stepMm, originMm, slots }: DrawnPart, cut: Cut | null): Surface {
  const size = [nx, ny, nz]
  const last = size.map((cells, axis) =>
    cut?.axis === axis ? Math.max(0, Math.ceil(cells * cut.share) - 1) : cells - 1,
  )
  const solid = (i: number, j: number, k: number) =>
    i >= 0 && j >= 0 && k >= 0 && i <= last[0]! && j <= last[1]! && k <= last[2]! ? slots[i + nx * (j + ny * k)]! : -1
  const positions: number[] = [],
    indices: number[] = [],
    faceSlots: number[] = [],
    sides: number[] = []
  for (let k = 0; k <= last[2]!; k++) {
    for (let j = 0; j <= last[1]!; j++) {
      for (let i = 0; i <= last[0]!; i++) {
        const slot = solid(i, j, k)
        if (slot < 0) continue
        SIDES.forEach(({ step, corners }, side) => {
          if (solid(i + step[0], j + step[1], k + step[2]) >= 0) return
          const first = positions.length / 3
          for (const [di, dj, dk] of corners)
            positions.push(
              originMm[0] + (i + di) * stepMm[0],
              originMm[1] + (j + dj) * stepMm[1],
              originMm[2] + (k + dk) * stepMm[2],
            )
          indices.push(first, first + 1, first + 2, first, first + 2, first + 3)
          faceSlots.push(slot)
          sides.push(side)
        })
      }
    }
  }
  return {
    positions: Float32Array.from(positions),
    indices: Uint32Array.from(indices),
    slots: Int32Array.from(faceSlots),
    sides: Uint8Array.from(sides),
  }
}
