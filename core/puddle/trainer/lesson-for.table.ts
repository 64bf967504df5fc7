import type { SeenInPuddle } from '../../job/words.table'

/** The lesson for what a log saw. */
export const LESSON_FOR: Partial<Record<SeenInPuddle, string>> = {
  'black-specks': 'boil-out',
  bubbles: 'boil-out',
  scum: 'boil-out',
  pinhole: 'crater',
  reopens: 'layers',
  'tungsten-touched': 'tungsten',
  'arc-wanders': 'tungsten',
  'burns-through': 'copper',
  sags: 'root',
  'too-hot': 'small-part',
}
