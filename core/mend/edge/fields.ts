import { needed, usually } from '../../field/field'

export const fields = {
  longMm: needed('mm', 'Along the edge', { max: 5000 }),
  wideMm: needed('mm', 'Across it', { max: 1000 }),
  highMm: needed('mm', 'How much is gone', { max: 1000 }),
  proudMm: usually('mm', 'Proud all round', 1.5, { min: 0, max: 20 }),
}
