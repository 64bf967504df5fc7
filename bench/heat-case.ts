import { shapeSchema, type Shape } from '../core/solid/shape.schema'
import { cut, type Mask } from '../core/solid/mask'
import { coarsen, gridOf, slotAt, type Grid } from '../core/heat/field/grid'
import { march, finish, type March } from '../core/heat/field/march'
import { explicitReference, walked, type ReferenceSetup } from '../core/heat/field/explicit.reference'
import { orbit, pathLengthMm } from '../core/heat/field/path'
import type { Losses, Material, Place } from '../core/heat/field/setup'

/** The standard case: a hollow housing with a boss on its top, a torch on it for ten minutes, on a cold bench. */
const housing = (scale: number): Shape =>
  shapeSchema.parse({
    kind: 'union',
    parts: [
      {
        shape: { kind: 'hollow-box', xMm: 180 * scale, yMm: 120 * scale, zMm: 80 * scale, wallMm: 6 },
        atMm: [0, 0, 0],
      },
      { shape: { kind: 'disc', diameterMm: 40, thickMm: 30 }, atMm: [70, 40, 80 * scale] },
    ],
  })
/** A356: ASM Handbook vol. 2, recalled from memory. */
const METAL: Material = { densityKgm3: 2680, specificHeatJkgK: 963, conductivityWmK: 151 }
const LOSSES: Losses = { filmWm2K: 10, emissivity: 0.2, ambientC: 20, contactWm2K: 150 }
const ABSORBED_W = 700
const RADIUS_MM = 15
const CENTRE: Place = [90, 60, 110]
const ORBIT = orbit([90, 60, 80], 45, 40)
const SPEED_MM_S = pathLengthMm(ORBIT) / 23
/** Cells: the boss's top, the foot of the boss, a corner of the top, the middle of a side wall, the floor's middle. */
const PROBES = [
  [45, 30, 54],
  [56, 30, 39],
  [2, 2, 39],
  [0, 30, 20],
  [45, 30, 0],
] as const

export interface HeatCase {
  mask: Mask
  grid: Grid
  durationS: number
  timesS: number[]
  walk: boolean
}

export function heatCase(cellMm: number, durationS: number, walk: boolean, scale = 1): HeatCase {
  const mask = cut(housing(scale), cellMm)
  return {
    mask,
    grid: gridOf(mask),
    durationS,
    walk,
    timesS: Array.from({ length: Math.round(durationS / 2.5) + 1 }, (_, n) => n * 2.5),
  }
}

export function fast(
  { mask, grid, durationS, timesS, walk }: HeatCase,
  options: { tolerance?: number; factor?: number } = {},
): March {
  const factor = options.factor ?? 1
  const coarse = factor > 1 ? coarsen(mask, grid, factor) : grid
  const window = { startS: 0, endS: durationS }
  return finish(
    march({
      grid: coarse,
      finer: factor > 1 ? { grid, factor } : undefined,
      material: METAL,
      startC: 20,
      losses: LOSSES,
      durationS,
      timesS,
      tolerance: options.tolerance,
      sources: [
        {
          kind: 'torch',
          absorbedW: ABSORBED_W,
          face: 'top',
          atMm: CENTRE,
          radiusMm: RADIUS_MM,
          ...window,
          ...(walk ? { pathMm: ORBIT, speedMmS: SPEED_MM_S } : { speedMmS: 0 }),
        },
      ],
      probes: PROBES.map(([i, j, k]) => [
        { slot: slotAt(coarse, Math.floor(i / factor), Math.floor(j / factor), Math.floor(k / factor)), weight: 1 },
      ]),
    }),
  )
}

export function slow({ mask, durationS, timesS, walk }: HeatCase): ReturnType<typeof explicitReference> {
  const setup: ReferenceSetup = {
    mask,
    material: METAL,
    losses: LOSSES,
    startC: 20,
    absorbedW: ABSORBED_W,
    radiusMm: RADIUS_MM,
    durationS,
    timesS,
    probes: PROBES,
    spotAt: walk ? walked(ORBIT, SPEED_MM_S) : () => CENTRE,
  }
  return explicitReference(setup)
}

/**
 * Worst misfit of any probe at any time, as a share of that probe's greatest rise; and of the field at the end, as a
 * share of its own.
 */
export function misfit(
  { mask, grid }: HeatCase,
  found: March,
  reference: ReturnType<typeof explicitReference>,
): { probePct: number; fieldPct: number } {
  const probePct = Math.max(
    ...reference.probesC.map((series, n) => {
      const rise = Math.max(...series) - 20
      return (Math.max(...series.map((value, at) => Math.abs(value - found.probesC[n]![at]!))) / rise) * 100
    }),
  )
  let [worst, rise] = [0, 0]
  for (let at = 0, cell = 0; at < mask.solid.length; at++) {
    if (!mask.solid[at]) continue
    const slot = slotAt(grid, at % mask.nx, Math.floor(at / mask.nx) % mask.ny, Math.floor(at / mask.nx / mask.ny))
    worst = Math.max(worst, Math.abs(reference.endC[cell]! - found.endC[slot]!))
    rise = Math.max(rise, reference.endC[cell]! - 20)
    cell += 1
  }
  return { probePct, fieldPct: (worst / rise) * 100 }
}
