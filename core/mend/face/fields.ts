import { choice, maybe, neededFrom0 } from '../../field/field'
import { HOW } from '../how'

export const fields = {
  areaMm2: maybe('mm2', 'Area', { above: 0, max: 1e7 }),
  wideMm: maybe('mm', 'Wide', { above: 0, max: 5000 }),
  longMm: maybe('mm', 'Long', { above: 0, max: 5000 }),
  how: choice('Made true by', HOW, 'laid'),
  lowMm: neededFrom0('mm', 'How much is missing', { max: 50, help: 'none, where no metal is laid' }),
}
