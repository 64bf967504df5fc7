import { words as thread } from '../thread/words'

/** What a boss's mend says, by code. */
export const words = {
  ...thread,
  'open-boss':
    'Groove the split in the boss right through, both ends found, and close it before the thread is touched.',
} as const
