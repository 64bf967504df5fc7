import { maybe, needed, neededChoice, sides } from '../../field/field'
import { reach } from '../reach'

export const JOINTS = {
  butt: 'edge to edge',
  tee: 'one standing on the other',
  lap: 'one over the other',
  corner: 'at a corner',
} as const

export const fields = {
  joint: neededChoice('The two meet', JOINTS),
  lengthMm: needed('mm', 'Length of the joint', { max: 20_000 }),
  legMm: maybe('mm', 'Leg of the fillet', { above: 0, max: 100, help: 'empty: the thinner wall' }),
  sidesWelded: sides('Welded on', 2),
  reach: reach(),
}
