import type { ArcRow } from './process'

/** A spool gun, run cold in stitches on thin sheet and sprayed on more. */
export const migSpool: ArcRow = {
  name: 'spool-gun MIG, cold',
  fusion: true,
  flux: false,
  cautions: [],
  dirt: [0.15, 0.2, 0.35, 0.6],
  cyclic: 0.3,
  staticLoad: 0.1,
  watertight: 0.05,
  tight: 0.15,
  walls: [1.5, 5],
  wallOff: 0.35,
  setUpMin: 12,
  mm2PerMin: 600,
  school: 'short cold stitches for thin, corroded sheet that must only hold water',
  points: { seal: -3, static: -2, cyclic: -10 },
  lays: 'wire',
  arc: { needShare: 0.8, enters: 0.75, volts: 18, loadV: [14, 0.05], minutesShare: 0.18, gun: 'stitched' },
  flame: null,
}
