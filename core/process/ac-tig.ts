import type { ArcRow } from './process'

/** AC TIG: an arc without wire, and a rod in the other hand. */
export const acTig: ArcRow = {
  name: 'AC TIG',
  fusion: true,
  flux: false,
  cautions: [],
  dirt: [0, 0.02, 0.1, 0.3],
  cyclic: 0,
  staticLoad: 0,
  watertight: 0,
  tight: 0.05,
  walls: [0.8, 16],
  wallOff: 0.2,
  setUpMin: 15,
  mm2PerMin: 110,
  school: 'the arc can sit on the metal and boil dirt out before any rod goes in',
  points: { seal: 0, static: 0, cyclic: 0 },
  lays: 'rod',
  arc: { needShare: 1, enters: 0.6, volts: 15, loadV: [10, 0.04], minutesShare: 1, gun: null },
  flame: null,
}
