import type { FlameRow } from './process'

/** A low-melting rod that any hand torch flows. */
export const zincRodBraze: FlameRow = {
  name: 'zinc-aluminium rod',
  fusion: false,
  flux: false,
  cautions: [],
  dirt: [0.15, 0.25, 0.55, 0.85],
  cyclic: 0.9,
  staticLoad: 0.35,
  watertight: 0.1,
  tight: 0.05,
  walls: [1, 8],
  wallOff: 0.3,
  setUpMin: 15,
  mm2PerMin: 60,
  school: 'for a gas torch and no welder; spoils the spot for later fusion welding',
  points: { seal: -6, static: -14, cyclic: -55 },
  lays: 'flame',
  arc: null,
  flame: { cm3Min: 1.2, rod: 'zinc-al', wants: 'any' },
}
