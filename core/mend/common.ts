import { flag, maybe, maybeChoice, namesGiven, onDemand, usually } from '../field/field'
import { MUST_NOT_MOVE } from '../part/words.table'
import { FINISHES } from './finishes.table'

/** Where a plate, patch, slug, insert or new boss comes from. */
export const SUPPLIED = { made: 'made here', bought: 'bought' } as const

/** What may be said of any mend, whatever its kind. */
export const common = onDemand({
  on: namesGiven('It lies on', MUST_NOT_MOVE),
  finish: maybeChoice('Left', FINISHES, { help: 'empty: by its kind and what it lies on' }),
  rodMm: maybe('mm', 'Rod', { min: 0.5, max: 10, help: 'empty: by the wall' }),
  alongWeld: flag('It runs along an old weld', false),
  unweldedMm: usually('mm', 'A stretch left unwelded', 0, { min: 0, max: 20_000 }),
  runOver: flag('Run over once more without rod, when it is dressed', false),
  supplied: maybeChoice('The piece for it', SUPPLIED, { help: 'empty: made here' }),
  boughtFor: maybe('number', 'Bought, the piece costs', { min: 0, max: 1e6, help: "in the shop's money" }),
  spare: flag('The part does its work without it', false),
  after: namesGiven('Only after'),
  elsewhere: namesGiven('Done by another shop'),
})
export type Common = typeof common
