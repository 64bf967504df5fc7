import type { JudgeVerdict } from '../call/judge'
import { EVENS_PCT } from '../call/judge.table'

const VERDICTS: Readonly<Record<JudgeVerdict, string>> = {
  repair: 'mend it',
  'repair-with-limits': 'mend it, with limits',
  refer: 'send it on',
  decline: 'say no',
}

/**
 * What was decided, in the words that stand wherever it is said: what is likelier to fail than to last is never told to
 * be mended, whoever decided it.
 * @param chancePct that it lasts; left out where only the decision is told
 */
export const verdictWords = (took: JudgeVerdict, chancePct = 100): string =>
  isAgainstOdds(took, chancePct) ? 'likelier to fail than to last' : VERDICTS[took]

/** Mended though it is likelier to fail. */
export const isAgainstOdds = (took: JudgeVerdict, chancePct: number): boolean =>
  (took === 'repair' || took === 'repair-with-limits') && chancePct < EVENS_PCT
