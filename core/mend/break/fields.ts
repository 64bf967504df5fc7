import { flag, needed, sides, usually, choice } from '../../field/field'
import { reach } from '../reach'
import { WHERE_IT_ENDS } from '../words'

/** A break mostly goes from edge to edge. */
const ENDS = { edge: WHERE_IT_ENDS.edge, hole: WHERE_IT_ENDS.hole, tip: WHERE_IT_ENDS.tip }

export const fields = {
  lengthMm: needed('mm', 'Length of the break', { max: 20_000 }),
  sides: sides('Welded from', 2),
  reach: reach(),
  keepBreak: flag('Keep the middle of the break as the locator', true),
  startsIn: choice('It starts', ENDS, 'edge'),
  endsIn: choice('It ends', ENDS, 'edge'),
  includedDeg: usually('deg', 'Included angle of the bevel', 70, { min: 0, max: 160 }),
  rootRadiusMm: usually('mm', 'Radius at its bottom', 2, { min: 0, max: 50 }),
  landMm: usually('mm', 'Break kept in the middle', 2, { min: 0, max: 200 }),
  capMm: usually('mm', 'Cap', 1.5, { min: 0, max: 20 }),
  pastTipMm: usually('mm', 'Past its tip', 4.8, { min: 0, max: 100 }),
}
