import { threadName } from '../../thread/find'
import {
  asked,
  choice,
  choices,
  flag,
  maybe,
  maybeChoice,
  needed,
  neededText,
  usually,
  usualText,
} from '../../field/field'
import { namesOf } from '../../field/names-of'
import { COLD } from '../../fit/cold.table'
import { USUAL_CHAMFER_MM, USUAL_FACED_MM } from '../../fit/weld-groove'
import { alloyName } from '../../metal/find-alloy'
import { STATES, WAYS } from './states.table'

/** A slug's own readings; those that are left empty are worked out. */
const slug = asked('pressed-slug', {
  slugAlloy: usualText('Slug of', alloyName, '6061'),
  slugMm: maybe('mm', 'Bore for it', { above: 0, max: 500, help: 'empty: worked out' }),
  interferenceMm: maybe('mm', 'Interference', { min: 0, max: 10, help: 'empty: by wall and alloy' }),
  clearanceMm: usually('mm', 'Loose by, going in', 0.02, { min: 0, max: 10 }),
  cold: choice('The slug is cooled in', namesOf(COLD), 'freezer'),
  hubC: maybe('c', 'Body heated to', { min: -60, max: 400, help: 'empty: as it must be' }),
  chamferMm: usually('mm', 'Chamfers', USUAL_CHAMFER_MM, { above: 0, max: 50 }),
  facedMm: usually('mm', 'Faced off after', USUAL_FACED_MM, { min: 0, max: 50 }),
})

export const fields = {
  thread: neededText('Thread', threadName),
  deepMm: needed('mm', 'How deep it is', { max: 1000 }),
  bossMm: maybe('mm', 'Boss across', { above: 0, max: 1000, help: 'empty: two and a half threads' }),
  beneathMm: maybe('mm', 'Down to what lies beneath', { above: 0, max: 5000, help: 'empty: nothing near' }),
  torqueNm: maybe('nm', 'Tightened to', { above: 0, max: 10_000 }),
  state: choices('It is', STATES, ['stripped']),
  soundMm: usually('mm', 'Sound thread left', 0, { min: 0, max: 1000 }),
  damagedMm: maybe('mm', 'How much of it is damaged', { above: 0, max: 1000, help: 'empty: all but what is sound' }),
  through: flag('The hole goes right through', false),
  way: maybeChoice('Given back by', WAYS),
  ...slug,
}
