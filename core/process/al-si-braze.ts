import type { FlameRow } from './process'

/** Rod of aluminium and silicon, with flux. */
export const alSiBraze: FlameRow = {
  name: 'aluminium-silicon rod and flux',
  fusion: false,
  flux: true,
  cautions: ['welding-flux'],
  dirt: [0.25, 0.35, 0.6, 0.85],
  cyclic: 0.45,
  staticLoad: 0.15,
  watertight: 0.1,
  tight: 0.1,
  walls: [1, 6],
  wallOff: 0.35,
  setUpMin: 20,
  mm2PerMin: 70,
  school: 'clean thin work of a high melting range, flux washed off to the last trace',
  points: { seal: -5, static: -8, cyclic: -30 },
  lays: 'flame',
  arc: null,
  flame: { cm3Min: 0.7, rod: '4047', wants: 'its-rod' },
}
