import { mendKind, PLAIN } from '../kind'
import { facing, finishing, wipe } from '../steps'
import { section, sketch } from './drawing'
import { fields } from './fields'
import { trued } from '../how'
import { PROUD_MM } from './proud'
import { words } from './words'

const SCRAPE_MIN = 2
const SCRAPE_MIN_PER_CM2 = 0.15

/** A sealing face pitted, burnt, low or bent: a skin over its area, then facing. */
export const face = mendKind({
  id: 'face',
  name: 'sealing face',
  is: ['facing'],
  fields,
  words,
  finish: 'machined',
  turn: 'moved-by-others',
  check: ({ how, lowMm }) =>
    how === 'laid' && lowMm <= 0 ? { reading: 'lowMm', message: 'must be over 0 mm where metal is laid' } : null,
  sketch,
  section,
  plan: ({ values, bodies: [body], opened, finish }) => {
    const areaMm2 = values.areaMm2 ?? (values.wideMm ?? 0) * (values.longMm ?? 0)
    const runMm = values.longMm ?? Math.sqrt(areaMm2)
    if (values.how !== 'laid' && areaMm2 > 0)
      return {
        ...PLAIN,
        wallMm: body.wallMm,
        joint: 'flat',
        laid: [],
        way: values.how,
        rebuild: trued(values.how, areaMm2, values.lowMm),
        checks: ['look', 'flatness'],
      }
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
        ...(opened
          ? []
          : [
              {
                code: 'scrape-face',
                trade: 'cut' as const,
                handMin: SCRAPE_MIN + (SCRAPE_MIN_PER_CM2 * areaMm2) / 100,
              },
            ]),
        wipe,
      ],
      rebuild: finishing(finish, laid, [facing(areaMm2, PROUD_MM)]),
      checks: ['look', 'flatness'],
    }
  },
})
