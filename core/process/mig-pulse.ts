import type { ArcRow } from './process'

/** A gun whose current is pulsed: a drop a pulse. */
export const migPulse: ArcRow = {
  name: 'pulsed MIG',
  fusion: true,
  flux: false,
  cautions: ['pulsed-noise'],
  dirt: [0.1, 0.18, 0.4, 0.65],
  cyclic: 0.08,
  staticLoad: 0.03,
  watertight: 0.15,
  tight: 0.12,
  walls: [3, 25],
  wallOff: 0.3,
  setUpMin: 15,
  mm2PerMin: 900,
  school:
    'one school rules it out on castings, since dirt is trapped; the other fills grooves with it in a tenth of the time, often inside a TIG border',
  points: { seal: -3, static: -2, cyclic: -4 },
  lays: 'wire',
  arc: { needShare: 0.85, enters: 0.75, volts: 21, loadV: [14, 0.05], minutesShare: 0.12, gun: 'pulsed' },
  flame: null,
}
