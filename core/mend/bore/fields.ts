import { needed, maybe } from '../../field/field'

export const fields = {
  boreMm: maybe('mm', 'Bore', { above: 0, max: 2000 }),
  deepMm: maybe('mm', 'Deep', { above: 0, max: 2000 }),
  areaMm2: maybe('mm2', 'Area', { above: 0, max: 1e7 }),
  wideMm: maybe('mm', 'Wide', { above: 0, max: 5000 }),
  longMm: maybe('mm', 'Long', { above: 0, max: 5000 }),
  lowMm: needed('mm', 'How much is missing, on the radius', { max: 50 }),
}
