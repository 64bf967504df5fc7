import type { SeenInPuddle } from '../../job/words.table'

/** The lesson for what a log saw. */
export const LESSON_FOR: Partial<Record<SeenInPuddle, string>> = {
  'black-specks': 'boil-out',
  bubbles: 'boil-out',
  scum: 'boil-out',
  pinhole: 'crater',
  reopens: 'layers',
  'tungsten-touched': 'travel',
  'arc-wanders': 'thick-thin',
  'burns-through': 'copper',
  sags: 'small-part',
  'too-hot': 'small-part',
}
