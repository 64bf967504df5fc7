import type { z } from 'zod'
import type { holdFields } from '../schema'

/** A case that an independent finite-element program has worked out on the same cells. */
export interface HoldCase {
  name: string
  asked: z.input<typeof holdFields>
}

const union = (...parts: { at: [number, number, number]; box: [number, number, number] }[]) => ({
  kind: 'union' as const,
  parts: parts.map(({ at, box: [xMm, yMm, zMm] }) => ({ shape: { kind: 'box' as const, xMm, yMm, zMm }, atMm: at })),
})

/** An angle bracket hung from its flange; a strip with a crack from its edge; a plate with a hole, its bore pulled. */
export const HOLD_CASES: readonly HoldCase[] = [
  {
    name: 'bracket',
    asked: {
      shape: union({ at: [0, 0, 0], box: [80, 40, 8] }, { at: [0, 0, 8], box: [8, 40, 56] }),
      cellMm: 4,
      alloy: '6061-T6',
      fixed: [{ face: 'left' }],
      loads: [{ id: 'hung', on: { atMm: [68, 20, 8], radiusMm: 9 }, forceN: [0, 0, -600] }],
      watch: [
        [80, 20, 8],
        [80, 0, 8],
        [40, 20, 8],
        [40, 20, 0],
        [8, 20, 8],
      ],
    },
  },
  {
    name: 'cracked',
    asked: {
      shape: union({ at: [0, 0, 0], box: [120, 40, 6] }),
      cellMm: 2,
      alloy: '356-T6',
      fixed: [{ face: 'left' }],
      loads: [{ id: 'pulled', on: { face: 'right' }, forceN: [6000, 0, 0] }],
      zones: [{ id: 'crack', kind: 'crack', boxMm: [60, 0, 0, 0, 16, 6] }],
      watch: [
        [58, 1, 3],
        [62, 1, 3],
        [120, 0, 3],
        [120, 40, 3],
        [60, 30, 3],
      ],
    },
  },
  {
    name: 'holed',
    asked: {
      shape: {
        kind: 'union',
        parts: [
          { shape: { kind: 'plate', lengthMm: 100, widthMm: 60, thickMm: 8 } },
          { shape: { kind: 'disc', diameterMm: 20, thickMm: 8 }, atMm: [60, 20, 0], cut: true },
        ],
      },
      cellMm: 2,
      alloy: '5083-H321',
      fixed: [{ face: 'left' }],
      loads: [
        { id: 'bolt', on: { hole: { atMm: [70, 30, 4], axis: 'z', diameterMm: 20 } }, forceN: [3000, 0, 500] },
        { id: 'inside', on: { face: 'top' }, pressureMPa: 0.05 },
      ],
      watch: [
        [100, 30, 8],
        [100, 0, 8],
        [70, 40, 4],
        [40, 30, 8],
        [20, 10, 0],
      ],
    },
  },
]
