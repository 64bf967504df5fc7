import { fields as crack } from '../../mend/crack/fields'
import { WHERE_IT_ENDS } from '../../mend/words'
import { OPENING_WORKS } from '../words.table'
import { done, flag, oneOrTwo, pick, reading, sameAs } from './declared'

const sized = { above: 0, max: 5000 }

/** How the first crack is opened: its readings are those of a mend that is a crack. */
export const open = {
  work: pick('What is mended', OPENING_WORKS, 'crack'),
  crackMm: sameAs(crack.lengthMm),
  startsIn: pick(crack.startsIn.label, WHERE_IT_ENDS, crack.startsIn.usual),
  endsIn: pick(crack.endsIn.label, WHERE_IT_ENDS, crack.endsIn.usual),
  /** A plate over a weak arm; left empty, none. */
  armWideMm: reading('mm', 'Arm, wide', sized),
  armHighMm: reading('mm', 'Arm, deep as it bends', sized),
  armLongMm: reading('mm', 'Arm, root to load', sized),
  plateMm: reading('mm', 'Plate, thick', { above: 0, max: 500, help: 'empty: no plate' }),
  plateSides: oneOrTwo('Plates on', 1),
  sides: oneOrTwo(crack.sides.label, crack.sides.usual),
  closed: flag('It runs round and meets itself', false),
  keepBreak: flag(crack.keepBreak.label, true),
  /** Of a break that is kept: about 2 mm of it still locates the part. */
  landMm: sameAs(crack.landMm, { usual: 2 }),
  includedDeg: sameAs(crack.includedDeg, { usual: crack.includedDeg.usual }),
  rootRadiusMm: sameAs(crack.rootRadiusMm, { usual: crack.rootRadiusMm.usual }),
  capMm: sameAs(crack.capMm, { usual: crack.capMm.usual }),
  stopHoleMm: sameAs(crack.stopHoleMm, { usual: crack.stopHoleMm.usual }),
  pastTipMm: sameAs(crack.pastTipMm, { usual: crack.pastTipMm.usual }),
  fillerMm: reading('mm', 'Rod', { usual: 2.4, above: 0, max: 10 }),
  done: done('Done of the opening'),
}
