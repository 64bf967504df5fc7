import type { SimulateInput } from '../simulate.schema'

/** A case of the field that an independent finite-element program has worked out on the same cells. */
export interface FiniteElementCase {
  name: string
  asked: SimulateInput & { shape: unknown }
  /** Boxes of metal, mm: corner and size; the same as `asked.shape` says. */
  boxes: readonly (readonly [x: number, y: number, z: number, dx: number, dy: number, dz: number])[]
}

const BOXES = [
  [0, 0, 0, 60, 40, 6],
  [40, 0, 6, 6, 40, 12],
] as const
const part = {
  shape: {
    kind: 'union' as const,
    parts: BOXES.map(([x, y, z, xMm, yMm, zMm]) => ({
      shape: { kind: 'box' as const, xMm, yMm, zMm },
      atMm: [x, y, z] as [number, number, number],
    })),
  },
  cellMm: 2,
  alloy: 'A356',
}
/** Middles of cells: under the torch, across the plate, on the rib's top, at the far corner. */
const probes = [
  { xMm: 15, yMm: 21, zMm: 5 },
  { xMm: 31, yMm: 21, zMm: 1 },
  { xMm: 43, yMm: 21, zMm: 17 },
  { xMm: 59, yMm: 1, zMm: 1 },
]

/**
 * A plate with a rib: a torch held on it while it stands on two strips, the same in moving air with a dull skin, and a
 * torch walked along it once.
 */
export const CASES: readonly FiniteElementCase[] = [
  {
    name: 'strips',
    boxes: BOXES,
    asked: {
      ...part,
      probes,
      durationS: 120,
      sources: [{ kind: 'torch', powerW: 300, efficiencyPct: 30, atMm: [15, 20, 6], radiusMm: 12 }],
      losses: { filmWm2K: 10, emissivity: 0.2, benchWm2K: 150, stripMm: 8 },
    },
  },
  {
    name: 'windy',
    boxes: BOXES,
    asked: {
      ...part,
      probes,
      durationS: 120,
      sources: [{ kind: 'torch', powerW: 300, efficiencyPct: 30, atMm: [15, 20, 6], radiusMm: 12 }],
      losses: { filmWm2K: 60, emissivity: 0.6 },
    },
  },
  {
    name: 'walked',
    boxes: BOXES,
    asked: {
      ...part,
      probes,
      durationS: 50,
      sources: [
        {
          kind: 'torch',
          powerW: 600,
          efficiencyPct: 30,
          pathMm: [
            [10, 20, 6],
            [30, 20, 6],
          ],
          speedMmS: 0.4,
          endS: 50,
          radiusMm: 10,
        },
      ],
      losses: { filmWm2K: 10, emissivity: 0.2 },
    },
  },
]
