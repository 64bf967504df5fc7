import { flag, maybeChoice, neededUnless, outline, usually } from '../../field/field'

/** How a hole is closed. */
const CLOSED_BY = { filled: 'filled solid', patched: 'a round patch let in' } as const

export const fields = {
  diameterMm: neededUnless('pocket', 'mm', 'Hole across', { max: 500 }),
  pocket: outline('Or a pocket by its corners', {
    help: 'blind: across and up of each corner, such as 0 0, 40 0, 20 30',
  }),
  through: flag('Right through', true),
  deepMm: usually('mm', 'How deep, where it is blind', 0, { min: 0, max: 500, help: 'empty: two thirds of the wall' }),
  plated: flag('Plated inside', false),
  way: maybeChoice('Closed by', CLOSED_BY, {
    help: 'empty: filled where it carries load or is small for its wall, else patched',
  }),
  capMm: usually('mm', 'Proud', 1.5, { min: 0, max: 20 }),
}
