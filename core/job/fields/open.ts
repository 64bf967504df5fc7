import { done, oneOrTwo, reading } from './declared'

const sized = { above: 0, max: 5000 }

/** Opening up, for the whole part: a plate over a weak arm, left empty none; and what is done once. */
export const open = {
  armWideMm: reading('mm', 'Arm, wide', sized),
  armHighMm: reading('mm', 'Arm, deep as it bends', sized),
  armLongMm: reading('mm', 'Arm, root to load', sized),
  plateMm: reading('mm', 'Plate, thick', { above: 0, max: 500, help: 'empty: no plate' }),
  plateSides: oneOrTwo('Plates on', 1),
  done: done('Done of the opening'),
}
