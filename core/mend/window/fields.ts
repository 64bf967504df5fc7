import { maybe, maybeSides, needed, usually } from '../../field/field'

export const fields = {
  wideMm: needed('mm', 'Hole wide', { max: 5000 }),
  highMm: needed('mm', 'Hole high', { max: 5000 }),
  patchMm: maybe('mm', 'Patch thick', { above: 0, max: 200, help: 'empty: as the wall' }),
  sides: maybeSides('Welded from', 'empty: both from 10 mm of wall on'),
  cornerMm: usually('mm', 'Corners rounded', 6, { min: 0, max: 500 }),
  includedDeg: usually('deg', 'Included angle', 70, { min: 0, max: 160 }),
  rootRadiusMm: usually('mm', 'Radius at its bottom', 1, { min: 0, max: 50 }),
  capMm: usually('mm', 'Cap', 1, { min: 0, max: 20 }),
}
