import type { SEEN } from './tests.table'

export type Form = (typeof SEEN)['form'][number]

/**
 * What a part's name says it was made from, in English or German, whole words or the compounds they stand in. The first
 * that fits counts: a cast cover plate is cast. Common practice, no source.
 */
const NAMED: readonly (readonly [Form, RegExp])[] = [
  ['casting', /(?<!\p{L})(?:die[- ]?)?cast(?:ing)?s?(?!\p{L})|guss(?!\p{L}*stahl)|guß/iu],
  ['forging', /(?<!\p{L})forged|(?<!\p{L})forging|schmiede/iu],
  ['machined-all-over', /(?<!\p{L})billet(?!\p{L})|from the solid|aus dem vollen/iu],
  [
    'extrusion',
    /(?<!\p{L})(?:extru\p{L}*|tub(?:e|ing)|pipe|bar|rail|angle iron|channel)s?(?!\p{L})|rohr|profil|stange|strangpress/iu,
  ],
  ['sheet', /(?<!\p{L})(?:sheet|chequer plate|checker plate|plate)(?!\p{L})|blech/iu],
]

/** What a part was made from where its name says so; null where it does not. */
export const formInName = (name: string): Form | null => NAMED.find(([, words]) => words.test(name))?.[0] ?? null
