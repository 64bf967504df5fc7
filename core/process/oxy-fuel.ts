import type { FlameRow } from './process'

/** A flame fed with oxygen that melts the metal itself, with rod and flux. */
export const oxyFuel: FlameRow = {
  name: 'oxy-fuel with rod and flux',
  fusion: true,
  flux: true,
  cautions: ['welding-flux'],
  dirt: [0.2, 0.25, 0.4, 0.55],
  cyclic: 0.2,
  staticLoad: 0.1,
  watertight: 0.1,
  tight: 0.1,
  walls: [2, 12],
  wallOff: 0.3,
  setUpMin: 20,
  mm2PerMin: 70,
  school: 'the old way on castings; slow, much heat, flux to be washed off',
  points: { seal: -4, static: -4, cyclic: -8 },
  lays: 'flame',
  arc: null,
  flame: { cm3Min: 0.6, rod: null, wants: 'oxygen' },
}
