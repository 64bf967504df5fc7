import { flag, maybeChoice, needed, usually } from '../../field/field'

/** How a hole is closed. */
const CLOSED_BY = { filled: 'filled solid', patched: 'a round patch let in' } as const

export const fields = {
  diameterMm: needed('mm', 'Hole across', { max: 500 }),
  through: flag('Right through', true),
  deepMm: usually('mm', 'How deep, where it is blind', 0, { min: 0, max: 500, help: 'empty: two thirds of the wall' }),
  plated: flag('Plated inside', false),
  way: maybeChoice('Closed by', CLOSED_BY, {
    help: 'empty: filled where it carries load or is small for its wall, else patched',
  }),
  capMm: usually('mm', 'Proud', 1.5, { min: 0, max: 20 }),
}
