import { facingCutsMm } from '../../face/facing-cuts'
import { mendKind, PLAIN } from '../kind'
import { facing, wipe } from '../steps'
import { section, sketch } from './drawing'
import { fields } from './fields'
import { PROUD_MM } from './proud'
import { words } from './words'

const SCRAPE_MIN = 2
const SCRAPE_MIN_PER_CM2 = 0.15

/** A sealing face pitted, burnt, low or bent: a skin over its area, then facing. */
export const face = mendKind({
  id: 'face',
  name: 'sealing face',
  fields,
  words,
  sketch,
  section,
  plan: ({ values, bodies: [body], opened }) => {
    const areaMm2 = values.areaMm2 ?? (values.wideMm ?? 0) * (values.longMm ?? 0)
    const runMm = values.longMm ?? Math.sqrt(areaMm2)
    const laid =
      areaMm2 > 0
        ? [{ side: 1 as const, volumeMm3: areaMm2 * (values.lowMm + PROUD_MM), runMm, wideMm: areaMm2 / runMm }]
        : []
    return {
      ...PLAIN,
      wallMm: body.wallMm,
      joint: 'flat',
      laid,
      refused: areaMm2 > 0 ? null : 'no-area',
      opening: [
        ...(opened ? [] : [{ code: 'scrape-face', handMin: SCRAPE_MIN + (SCRAPE_MIN_PER_CM2 * areaMm2) / 100 }]),
        wipe,
      ],
      rebuild: [facing(areaMm2, facingCutsMm(PROUD_MM).length)],
      checks: ['look', 'flatness'],
    }
  },
})
