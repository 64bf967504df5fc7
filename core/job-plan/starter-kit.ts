import { EMPTY_KIT } from '../job/empty-kit'
import type { Kit } from '../job/job.schema'

/**
 * The bench that is taken where nobody has said which: one machine, one torch, the usual rods. Prices are a start, not
 * a rule.
 */
export const STARTER_KIT: Kit = {
  ...EMPTY_KIT,
  machines: [
    {
      id: 'tig',
      name: 'TIG machine',
      process: 'ac-tig',
      lowA: 5,
      highA: 200,
      ratedA: 200,
      ratedPct: 25,
      torchA: 200,
      supplyV: null,
      breakerA: null,
      ranges: '',
      currentDial: 'amps',
      dialReads: 'en-share',
      halves: 'together',
      paid: null,
      lowHz: 50,
      highHz: 200,
    },
  ],
  torches: [{ id: 'torch', name: 'propylene torch', gas: 'propylene', powerW: 2000, efficiencyPct: 35 }],
  rods: [
    { id: 'r4043', filler: '4043', diameterMm: 2.4, lengthMm: 914, price: 1, count: 20 },
    { id: 'r5356', filler: '5356', diameterMm: 2.4, lengthMm: 914, price: 1.1, count: 20 },
  ],
  gases: [{ id: 'argon', name: 'argon', cylinderL: 2000, price: 46, leftL: null }],
}
