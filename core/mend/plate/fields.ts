import { maybe, needed, sides } from '../../field/field'

export const fields = {
  longMm: needed('mm', 'Plate long', { max: 5000 }),
  wideMm: needed('mm', 'Plate wide', { max: 2000 }),
  plateMm: needed('mm', 'Plate thick', { max: 200 }),
  sides: sides('Plates on', 1),
  armWideMm: maybe('mm', 'Arm, wide', { above: 0, max: 5000, help: 'empty: nothing is said of how strong it gets' }),
  armHighMm: maybe('mm', 'Arm, deep as it bends', { above: 0, max: 5000 }),
  armLongMm: maybe('mm', 'Arm, root to load', { above: 0, max: 5000 }),
}
