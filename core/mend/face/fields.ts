import { maybe, needed } from '../../field/field'

export const fields = {
  areaMm2: maybe('mm2', 'Area', { above: 0, max: 1e7 }),
  wideMm: maybe('mm', 'Wide', { above: 0, max: 5000 }),
  longMm: maybe('mm', 'Long', { above: 0, max: 5000 }),
  lowMm: needed('mm', 'How much is missing', { max: 50 }),
}
