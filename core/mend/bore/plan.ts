import { KIND_POINTS } from '../../call/judge.table'
import { mendKind, PLAIN } from '../kind'
import { BORE_MIN, MILL_FIND_MIN } from '../minutes.table'
import { finishing, wipe } from '../steps'
import { ringMm3 } from '../volumes'
import { section, sketch } from './drawing'
import { fields } from './fields'
import { PROUD_MM } from './proud'
import { words } from './words'

const SCRUB_MIN = 3
const [BORE_MOVES_POINTS] = KIND_POINTS.bore

/** A bore or bearing seat worn, scored or cracked through: a skin inside, then boring. */
export const bore = mendKind({
  id: 'bore',
  name: 'bore or bearing seat',
  is: ['built-up'],
  fields,
  words,
  finish: 'machined',
  turn: 'moved-by-others',
  sketch,
  section,
  plan: ({ values, bodies: [body], opened, finish }) => {
    const { boreMm, deepMm, lowMm } = values
    const areaMm2 =
      boreMm && deepMm ? Math.PI * boreMm * deepMm : (values.areaMm2 ?? (values.wideMm ?? 0) * (values.longMm ?? 0))
    const volumeMm3 =
      boreMm && deepMm
        ? ringMm3(boreMm + 2 * lowMm, Math.max(0, boreMm - 2 * PROUD_MM), deepMm)
        : areaMm2 * (lowMm + PROUD_MM)
    const runMm = boreMm ? Math.PI * boreMm : Math.sqrt(areaMm2)
    const goes = boreMm ? ('round' as const) : undefined
    const laid =
      areaMm2 > 0 ? [{ side: 1 as const, volumeMm3, runMm, wideMm: areaMm2 / runMm, ...(goes && { goes }) }] : []
    return {
      ...PLAIN,
      wallMm: body.wallMm,
      joint: 'flat',
      laid,
      refused: areaMm2 > 0 ? null : 'no-area',
      risks: [{ code: 'bore-moves', points: BORE_MOVES_POINTS }],
      opening: [...(opened ? [] : [{ code: 'scrub-bore', trade: 'cut' as const, handMin: SCRUB_MIN }]), wipe],
      rebuild: finishing(finish, laid, [
        { code: 'bore-to-size', trade: 'dress', handMin: MILL_FIND_MIN, machineMin: BORE_MIN, mill: true, cold: true },
      ]),
      checks: ['look', 'bore', 'fit'],
    }
  },
})
