import type { Caution } from '../ask/question'
import { kept } from '../job/basis'
import { showText } from '../quantity/show'
import type { Sentence } from './parts'

export interface Change {
  readonly what: string
  readonly before: string
  readonly after: string
}

/**
 * What every station rests on beside its own readings: its headline and its cautions, whatever it was that changed
 * them.
 */
const CALL = 'the call'
const CAUTIONS = 'cautions'
/** What the mends come to, and the threads they give back. */
export const MENDS_TAKE = 'what they take'
export const THREADS = 'threads given back'
/** What all of it comes to. */
export const PRICE = 'price'
/** A station settled before they were kept, or while they stood in other words, is not stale for them. */
const LATER = new Set([CALL, CAUTIONS, MENDS_TAKE, THREADS, PRICE])

/** A sentence as plain text, in one system of units whoever reads it. */
export const plainSentence = (sentence: Sentence): string =>
  sentence
    .map(part =>
      typeof part === 'string' ? part : 'words' in part ? part.words : showText(part.figure, part.unit, 'metric'),
    )
    .join('')

/** What a station's call rests on, as it is remembered when the station is settled. */
export const basisOf = (
  basis: Readonly<Record<string, string>>,
  call: Sentence,
  cautions: readonly Caution[],
): Record<string, string> =>
  Object.fromEntries(
    Object.entries({
      ...basis,
      [CALL]: plainSentence(call),
      [CAUTIONS]: cautions
        .map(caution => caution.title ?? caution.code.replaceAll('-', ' '))
        .toSorted()
        .join(', '),
    }).map(([what, text]) => [what, kept(text)]),
  )

/** What differs between the basis a station was settled on and the basis now. */
export function changesSince(
  settled: Readonly<Record<string, string>>,
  now: Readonly<Record<string, string>>,
): Change[] {
  return Object.keys({ ...settled, ...now })
    .filter(what => (settled[what] ?? '') !== (now[what] ?? '') && !(LATER.has(what) && settled[what] === undefined))
    .map(what => ({ what, before: settled[what] ?? '', after: now[what] ?? '' }))
}
