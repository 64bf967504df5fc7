import { atRebuild, choice, flag, maybe, needed, onlyWhen, sides, usually } from '../../field/field'
import { WHERE_IT_ENDS } from '../words'

export const fields = {
  lengthMm: needed('mm', 'Crack you can see', { max: 20_000 }),
  closed: flag('A ring: no ends', false),
  ...onlyWhen('closed', false, {
    startsIn: choice('It starts', WHERE_IT_ENDS, 'tip'),
    endsIn: choice('It ends', WHERE_IT_ENDS, 'tip'),
    pastTipMm: usually('mm', 'Past its tip', 4.8, { min: 0, max: 100 }),
    stopHoleMm: usually('mm', 'Stop-hole', 3.2, { min: 0, max: 30 }),
  }),
  sides: sides('Welded from', 1),
  keepBreak: flag('Keep the middle of the break as the locator', false),
  landMm: usually('mm', 'Root face left', 0, { min: 0, max: 200 }),
  includedDeg: usually('deg', 'Included angle of the groove', 70, { min: 0, max: 160 }),
  rootRadiusMm: usually('mm', 'Radius at its bottom', 2, { min: 0, max: 50 }),
  capMm: usually('mm', 'Cap', 1.5, { min: 0, max: 20 }),
  ...atRebuild({
    machined: flag('Machined afterwards', false),
    ...onlyWhen('machined', true, {
      /** Over-built before machining by about 1.5 mm (1/16 in): common practice, no source. */
      proudMm: usually('mm', 'Built up proud by', 1.5, { min: 0, max: 100 }),
      /** Left out, the groove's own width. */
      faceWideMm: maybe('mm', 'Width of the face', { above: 0, max: 5000, help: "empty: the groove's own width" }),
    }),
  }),
}
