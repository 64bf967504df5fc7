import { flag, needed, usually } from '../../field/field'

export const fields = {
  diameterMm: needed('mm', 'Hole across', { max: 500 }),
  through: flag('Right through', true),
  deepMm: usually('mm', 'How deep, where it is blind', 0, { min: 0, max: 500, help: 'empty: two thirds of the wall' }),
  plated: flag('Plated inside', false),
  capMm: usually('mm', 'Proud', 1.5, { min: 0, max: 20 }),
}
