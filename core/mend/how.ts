import { facingCutCount } from '../face/facing-cuts'
import type { Work } from './kind'
import { FACE_CUT_MIN, FACE_CUT_MIN_PER_CM2, MILL_FIND_MIN } from './minutes.table'

/** How a face or a turned place is made true. */
export const HOW = {
  laid: 'metal laid, then machined',
  lapped: 'lapped by hand',
  skimmed: 'skimmed',
  machined: 'machined down',
} as const
export type How = keyof typeof HOW

/** Lapping by hand: setting it up with its plate and paper, and each cubic centimetre. Common practice, no source. */
const LAP_START_MIN = 6
const LAP_MIN_PER_CM3 = 9
/** A skim takes this off, mm, however little is missing. Common practice, no source. */
const SKIM_MM = 0.25

/** What makes a place true where no metal is laid. */
export function trued(how: Exclude<How, 'laid'>, areaMm2: number, lowMm: number): Work[] {
  if (how === 'lapped')
    return [
      {
        code: 'lap-face',
        trade: 'dress',
        handMin: LAP_START_MIN + (LAP_MIN_PER_CM3 * areaMm2 * lowMm) / 1000,
        cold: true,
      },
    ]
  const cuts = facingCutCount(Math.max(SKIM_MM, lowMm))
  return [
    {
      code: how === 'skimmed' ? 'skim' : 'machine-down',
      trade: 'dress',
      handMin: MILL_FIND_MIN,
      machineMin: cuts * (FACE_CUT_MIN + (FACE_CUT_MIN_PER_CM2 * areaMm2) / 100),
      mill: true,
      cold: true,
    },
  ]
}
