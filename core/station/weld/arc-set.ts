import type { DialReads } from '../../arc/balance'
import type { gasUseQuestion } from '../../arc/question'
import type { AnswerTo } from '../../ask/question'
import type { WeldSettings } from './weld-settings'

/** What is set on a machine, and what its arc takes in all. */
export interface ArcSet extends Omit<WeldSettings, 'workings'> {
  gas: AnswerTo<typeof gasUseQuestion> | null
  elapsedMin: number
}

/** What a balance dial counts, in words. */
export const DIAL_WORDS: Readonly<Record<DialReads, string>> = {
  'en-share': 'share electrode negative',
  'cleaning-share': 'share cleaning',
  'ep-minus-en': 'positive less negative',
}
