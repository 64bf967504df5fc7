import type { LanguageId } from '../../words/languages.table'
import { findAlloy } from '../../metal/find-alloy'
import { read } from '../../quantity/read'
import { KEY_UNITS, type UnitKey } from '../../quantity/units.table'
import { threadName } from '../../thread/find'
import { ENGLISH_UNITS, GERMAN_UNITS } from './topics.table'

/** Something that words say outright, and where among them it stands. */
export type Said =
  | { kind: 'thread'; text: string; at: number }
  | { kind: 'alloy'; text: string; isFiller: boolean; at: number }
  /** `to`: where its unit stands. */
  | { kind: 'size'; text: string; units: ReadonlySet<UnitKey>; at: number; to: number }
  | { kind: 'number'; value: number; at: number }

export interface Heard {
  /** Words in their order, small; what was said outright leaves its place empty. */
  words: string[]
  said: Said[]
}

const ALL_KEYS = Object.keys(KEY_UNITS) as UnitKey[]
const THREADS = [
  /\bM\s?\d+(?:[.,]\d+)?(?:\s?[x×*]\s?\d+(?:[.,]\d+)?)?(?![\w.])/gi,
  /#?\b\d+(?:\s?\/\s?\d+)?\s?-\s?\d+(?:\s?(?:UNC|UNF|UNEF|NPTF?|BSW|BSF))?\b/gi,
  /\b\d+(?:\s?\/\s?\d+)?["″]?\s?(?:UNC|UNF|UNEF|NPTF?|BSW|BSF|BSPP|BSPT|BSP)\b/gi,
  /\b(?:G|Rp|Rc|R)\s?\d+(?:\s?\/\s?\d+)?(?![\w.])/gi,
]
const NUMBER = String.raw`\d+\s+\d+\/\d+|\d+\/\d+|\d+(?:[.,]\d+)?`
const SIZE = new RegExp(
  String.raw`(?<![\w.,/])([-−]?(?:${NUMBER}))\s*(["″'%°]?[\p{L}µ²³·/]*(?:\.[\p{L}]+)?[²³]?)`,
  'giu',
)
const ALLOY =
  /(?<![\w.])(?:ER\s?|AA\s?|EN\s?AW-?\s?)?[A-Z]{0,2}\d{3,4}[A-Z]{0,2}(?:[-\s](?:T\d+|H\d+|O|F)(?![\p{L}\d]))?(?:\.[0-2])?(?![\w])/giu

/** A figure with its unit as a question reads it; null where that is none. */
function sizeOf(figure: string, unit: string, language: LanguageId): { text: string; units: Set<UnitKey> } | null {
  const spelled = unit.toLowerCase()
  const signed = figure.replace('−', '-')
  const plain = language === 'de' ? signed.replace(',', '.') : signed
  const own = (language === 'de' ? GERMAN_UNITS[spelled] : undefined) ?? ENGLISH_UNITS[spelled] ?? unit
  for (const text of [`${plain} ${own}`, `${plain}${own}`]) {
    const units = new Set(ALL_KEYS.filter(key => read(text, key).ok))
    if (units.size) return { text: own === unit ? `${plain} ${unit}`.trim() : text, units }
  }
  return null
}

/** A metal before the word "in": "6082 in salt water" is no length. */
const isBefore = (figure: string, unit: string, all: string) =>
  unit.toLowerCase() === 'in' && /\s/.test(all) && /^\d{3,4}$/.test(figure) && findAlloy(figure) !== undefined

/** A range says its unit once, after its second figure; sizes by one another after the last. */
const spread = (words: string): string =>
  words
    .replace(
      /(?<![\p{L}\d.,])(\d+(?:[.,]\d+)?)\s*[x×]\s*(?:(\d+(?:[.,]\d+)?)\s*[x×]\s*)?(\d+(?:[.,]\d+)?)\s*(mm|cm|in|inch|inches|zoll)(?![\p{L}])/giu,
      (_all, one: string, two: string | undefined, last: string, unit: string) =>
        [one, two, last].flatMap(figure => (figure ? [`${figure} ${unit}`] : [])).join(' x '),
    )
    .replace(
      /(\d+(?:[.,]\d+)?)\s+(to|bis|auf|–)\s+(\d+(?:[.,]\d+)?)\s*(°?\p{L}+|%)/giu,
      (all, low: string, to: string, high: string, unit: string) =>
        findAlloy(low) ? all : `${low} ${unit} ${to} ${high} ${unit}`,
    )

/** What a sentence says outright: threads, sizes with their units, alloys, then numbers alone. */
export function heard(written: string, language: LanguageId): Heard {
  const words = spread(written.normalize('NFC'))
  let left = words
  const said: Said[] = []
  const taken = (from: number, to: number) => {
    left = `${left.slice(0, from)}${' '.repeat(to - from)}${left.slice(to)}`
  }
  for (const pattern of THREADS)
    for (const { 0: text, index } of left.matchAll(pattern)) {
      const plain = text.replace(/\s*([x×*/-])\s*/g, '$1').replace(/^(M|G|R)\s+/i, '$1')
      if (!threadName.safeParse(plain).success) continue
      said.push({ kind: 'thread', text: plain, at: index })
      taken(index, index + text.length)
    }
  for (const { 0: all, 1: figure, 2: unit, index } of left.matchAll(SIZE)) {
    const found = unit && !isBefore(figure!, unit, all) ? sizeOf(figure!, unit, language) : null
    if (!found) continue
    said.push({ kind: 'size', ...found, at: index, to: index + all.trimEnd().length - 1 })
    taken(index, index + all.length)
  }
  for (const { 0: text, index } of left.matchAll(ALLOY)) {
    const alloy = findAlloy(text)
    if (!alloy) continue
    said.push({ kind: 'alloy', text: text.trim(), isFiller: alloy.form === 'filler', at: index })
    taken(index, index + text.length)
  }
  for (const { 0: text, index } of left.matchAll(/(?<![\w.,])[-−]?\d+(?:[.,]\d+)?(?![\w])/g)) {
    said.push({ kind: 'number', value: Number(text.replace('−', '-').replace(',', '.')), at: index })
    taken(index, index + text.length)
  }
  // Places are counted in words: a figure stands where its word would.
  const starts = [...words.matchAll(/\S+/g)].map(({ index }) => index)
  const nth = (at: number) =>
    Math.max(
      0,
      starts.findLastIndex(start => start <= at),
    )
  return {
    words: starts.map((start, n) =>
      left
        .slice(start, starts[n + 1] ?? left.length)
        .toLowerCase()
        .replace(/[^\p{L}\p{N}ø-]/gu, ''),
    ),
    said: said
      .map(one => ({ ...one, at: nth(one.at), ...(one.kind === 'size' ? { to: nth(one.to) } : {}) }) as Said)
      .toSorted((a, b) => a.at - b.at),
  }
}
