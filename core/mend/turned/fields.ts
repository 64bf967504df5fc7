import { choice, needed, usually } from '../../field/field'
import { HOW } from '../how'

export const fields = {
  turnedMm: needed('mm', 'Across the turned part', { max: 5000 }),
  wideMm: needed('mm', 'Wide', { max: 500 }),
  deepMm: needed('mm', 'Deep', { max: 500 }),
  how: choice('Made true by', HOW, 'laid'),
  proudMm: usually('mm', 'Proud', 1.5, { min: 0, max: 20 }),
}
