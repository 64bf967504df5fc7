import { needed } from '../../field/field'

export const fields = {
  longMm: needed('mm', 'Plate long', { max: 5000 }),
  wideMm: needed('mm', 'Plate wide', { max: 2000 }),
  plateMm: needed('mm', 'Plate thick', { max: 200 }),
}
