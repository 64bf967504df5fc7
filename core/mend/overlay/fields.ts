import { maybe, needed } from '../../field/field'

export const fields = {
  wideMm: needed('mm', 'Patch wide', { max: 5000 }),
  highMm: needed('mm', 'Patch high', { max: 5000 }),
  patchMm: maybe('mm', 'Patch thick', { above: 0, max: 200, help: 'empty: as the wall' }),
}
