import '../quantity/zod-config'
import { z } from 'zod'

/** Schemas of words that a person wrote; a merge keeps those it overrules. */
export const WORDS = z.registry<{ words: true }>()

/**
 * Letters without a shape that belong in text: a tab, a new line, and the joiners that some scripts are spelled with.
 */
const KEPT = new Set(['\t', '\n', '\u200c', '\u200d'])
const SEEN_INSTEAD = '\ufffd'

/** Letters of which each is seen; most of what is stored is of these alone. */
const ALL_SEEN = /^[ -~¡-¬®-ÿ]*$/

/**
 * Text in which nothing hides: control characters, direction overrides and letters of no width are shown as a mark;
 * line ends are one character.
 */
export const visible = (text: string): string =>
  ALL_SEEN.test(text)
    ? text
    : text
        .replace(/\r\n?/g, '\n')
        .replace(/[\p{Cc}\p{Cf}\p{Cs}]/gu, letter => (KEPT.has(letter) ? letter : SEEN_INSTEAD))

/** Whether anything of a text is seen. */
const hasShape = (text: string) => /[^\s\u200c\u200d\ufffd]/u.test(text)

/** Words of a person, at most so long; empty unless said. */
export const text = (max = 400) =>
  z
    .string()
    .overwrite(visible)
    .max(max, { error: `at most ${max} letters` })
    .register(WORDS, { words: true })
    .default('')

/** A name that must be there and be seen. */
export const name = (max: number) =>
  z
    .string()
    .overwrite(visible)
    .trim()
    .min(1, { error: 'a name is wanted' })
    .max(max, { error: `at most ${max} letters` })
    .refine(hasShape, { error: 'nothing of it would be seen' })
    .register(WORDS, { words: true })

/** What an entry is known by in a file. */
export const idText = z
  .string()
  .min(1)
  .max(64)
  .regex(/^[\w-]+$/, 'letters, figures, - and _ only')

const [FIRST_YEAR, LAST_YEAR] = [1990, 2199]

/** A moment in time as ISO 8601 in UTC, within the years that a bench can mean. */
export const moment = z.iso.datetime({ error: 'a date and time in UTC, such as 2026-11-26T08:00:00Z' }).refine(
  at => {
    const year = Number(at.slice(0, 4))
    return year >= FIRST_YEAR && year <= LAST_YEAR
  },
  { error: `a date from ${FIRST_YEAR} to ${LAST_YEAR}` },
)
