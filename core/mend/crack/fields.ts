import { flag, needed, sides, usually, choice } from '../../field/field'
import { WHERE_IT_ENDS } from '../words'

export const fields = {
  lengthMm: needed('mm', 'Crack you can see', { max: 20_000 }),
  sides: sides('Welded from', 1),
  keepBreak: flag('Keep the middle of the break as the locator', false),
  closed: flag('A ring: no ends', false),
  startsIn: choice('It starts', WHERE_IT_ENDS, 'tip'),
  endsIn: choice('It ends', WHERE_IT_ENDS, 'tip'),
  includedDeg: usually('deg', 'Included angle of the groove', 70, { min: 0, max: 160 }),
  rootRadiusMm: usually('mm', 'Radius at its bottom', 2, { min: 0, max: 50 }),
  landMm: usually('mm', 'Root face left', 0, { min: 0, max: 200 }),
  capMm: usually('mm', 'Cap', 1.5, { min: 0, max: 20 }),
  stopHoleMm: usually('mm', 'Stop-hole', 3.2, { min: 0, max: 30 }),
  pastTipMm: usually('mm', 'Past each tip', 4.8, { min: 0, max: 100 }),
}
