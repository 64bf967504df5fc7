import type { z } from 'zod'
import { read } from '../../quantity/read'
import type { UnitKey } from '../../quantity/units.table'
import { findThread } from '../../thread/find'
import type { LanguageId } from '../../words/languages.table'
import { fieldsOf, unitOfKey, type QuestionField } from '../../ask/fields'
import type { Question } from '../../ask/question'
import { PROCESS_IDS } from '../../process/registry'
import { heard, type Heard, type Said } from './said'
import {
  BEFORE_ONLY,
  CHOICE_WORDS,
  FIELD_HINTS,
  LABEL_NOISE,
  LIKELY,
  LOW_AND_HIGH,
  TOPICS,
  WEIGHS_FILLERS,
  WITHIN,
} from './topics.table'

/** A question that words may have meant, with what they said put into it. */
export interface Found {
  question: string
  input: Record<string, unknown>
  /** What it still wants. */
  missing: string[]
  /** How sure, 0 to 1, beside the others. */
  sure: number
}

const [SAYS_IT, SAYS_SOME] = [3, 1]
/** What each figure that finds its field speaks for a question, each left over and each field wanted against it. */
const [PLACED, LEFT_OVER, WANTED] = [1.2, -1.4, -0.25]
/** Less than this speaks for nothing. */
const LEAST = 0.6
/** A hint counts no further off than this many words. */
const NEAR = 4

/** German joins words: its long stems are also looked for at a word's end. */
const LONG_STEM = 5
const begins = (word: string, stem: string) =>
  word === stem || (stem.length > 2 && word.startsWith(stem)) || (stem.length >= LONG_STEM && word.endsWith(stem))
const stemsOf = (text: string) => text.split(' ')
/** Whether words say a topic's stem: all of those that `+` joins, or a whole word before `$`. */
const says = (words: readonly string[], stem: string) =>
  stem.split('+').every(one => words.some(word => (one.endsWith('$') ? word === one.slice(0, -1) : begins(word, one))))

/** How far words speak for a question by themselves. */
function spokenFor(question: string, words: readonly string[]): number {
  const topic = TOPICS[question]
  if (!topic) return 0
  let points = 0
  for (const stem of [...stemsOf(topic.en), ...stemsOf(topic.de)]) {
    const strong = stem.startsWith('!')
    const plain = strong ? stem.slice(1) : stem
    if (says(words, plain)) points += strong ? SAYS_IT : SAYS_SOME
  }
  return points
}

/** How near to a figure a word stands that hints at a field, 0 to 1. */
function hinted({ key, label }: QuestionField, from: number, to: number, words: readonly string[]): number {
  const ofLabel = label
    .toLowerCase()
    .split(/\W+/)
    .filter(stem => !BEFORE_ONLY.has(stem) && !LABEL_NOISE.has(stem))
  const stems = [...stemsOf(FIELD_HINTS[key] ?? ''), ...ofLabel].filter(stem => stem.length > 1 || stem === 'ø')
  let best = 0
  words.forEach((word, n) => {
    const away = n > to ? n - to : from - n
    if (n > to && BEFORE_ONLY.has(word)) return
    if (away > 0 && away <= NEAR && word && stems.some(stem => begins(word, stem)))
      best = Math.max(best, 1 - away / (NEAR + 1))
  })
  return best
}

const ALLOY_FIELDS = ['alloy', 'baseAlloy', 'baseA', 'base', 'bodyAlloy', 'hubAlloy', 'baseB', 'slugAlloy', 'name']
const FILLER_FIELDS = ['filler', 'rod', 'name']

/** Whether a figure is one that its field may hold. */
function isLikely(said: Extract<Said, { kind: 'size' }>, field: string, unit: UnitKey): boolean {
  const range = LIKELY[field]
  const value = range && read(said.text, unit)
  return !range || (value !== undefined && value.ok && value.value >= range[0] && value.value <= range[1])
}

/** How well something that was said goes into a field; 0 where it does not. */
function fits(said: Said, field: QuestionField, words: readonly string[]): number {
  if (said.kind === 'thread') return field.key === 'designation' ? 2 : 0
  if (said.kind === 'alloy') {
    const fields = said.isFiller ? FILLER_FIELDS : ALLOY_FIELDS
    const place = fields.indexOf(field.key)
    return place < 0 ? 0 : 2 - place / 10
  }
  const { unit } = unitOfKey(field.key)
  if (said.kind === 'size') {
    const key = field.key === 'tpi' ? 'tpi' : field.key === 'seconds' ? 's' : field.key === 'v' ? 'v' : unit
    if (!key || !said.units.has(key) || !isLikely(said, field.key, key)) return 0
    return 1 + (field.key in LIKELY ? 0.3 : 0) + 2 * hinted(field, said.at, said.to, words) + (field.required ? 0.4 : 0)
  }
  if (field.choices.some(choice => String(choice) === String(said.value))) return 2
  const isCount = unit === null && field.kind === 'quantity'
  return isCount ? 0.3 + hinted(field, said.at, said.at, words) : 0
}

const valueOf = (said: Said, field: QuestionField): unknown => {
  if (said.kind === 'number') return field.choices.find(choice => String(choice) === String(said.value)) ?? said.value
  if (said.kind === 'alloy' && field.key === 'base') return { alloy: said.text }
  return said.text
}

/** Each thing said put into the field that it goes into best, the best first. */
function placed(
  question: string,
  { said, words }: Heard,
  fields: readonly QuestionField[],
): { input: Record<string, unknown>; left: number } {
  const pairs = said
    .flatMap((one, n) => fields.map((field, m) => ({ one, n, field, fit: fits(one, field, words) - (n + m) / 1000 })))
    .filter(({ fit }) => fit > 0.25)
    .toSorted((a, b) => b.fit - a.fit)
  const input: Record<string, unknown> = {}
  const done = new Set<number>()
  for (const { one, n, field } of pairs) {
    if (done.has(n) || field.key in input) continue
    done.add(n)
    input[field.key] = valueOf(one, field)
  }
  const ofItself = said.filter(
    (one, n) => !done.has(n) && one.kind === 'alloy' && one.isFiller && WEIGHS_FILLERS.has(question),
  )
  return { input: inOrder(input), left: said.length - done.size - ofItself.length }
}

/** The less before the greater, where a question has a field for each. */
function inOrder(input: Record<string, unknown>): Record<string, unknown> {
  for (const [low, high] of LOW_AND_HIGH) {
    const { unit } = unitOfKey(low)
    const figures = [input[low], input[high]].map(text => (unit && typeof text === 'string' ? read(text, unit) : null))
    const [one, other] = figures
    if (one?.ok && other?.ok && one.value > other.value) return { ...input, [low]: input[high], [high]: input[low] }
  }
  return input
}

/** What words say of a field inside a field. */
const within = (question: string, words: readonly string[]): Record<string, unknown> => {
  const input: Record<string, Record<string, unknown>> = {}
  for (const { question: of, field, key, value, stems } of WITHIN)
    if (of === question && stemsOf(stems).some(stem => words.some(word => begins(word, stem))))
      input[field] = { ...input[field], [key]: value }
  return input
}

/** A thread to be cut is a tap of its size and pitch. */
function tapped(question: string, what: Heard): Heard {
  if (question !== 'cut.speed') return what
  const said = what.said.flatMap((one): Said[] => {
    const thread = one.kind === 'thread' ? findThread(one.text) : null
    if (!thread) return [one]
    const size = { kind: 'size', at: one.at, to: one.at, units: new Set<UnitKey>(['mm']) } as const
    return [
      { ...size, text: `${thread.majorMm} mm` },
      { ...size, text: `${thread.pitchMm} mm` },
    ]
  })
  return { ...what, said }
}

/** A question's fields, read off its schema once. */
const known = new WeakMap<Question, QuestionField[]>()
function fieldsFor(question: Question): QuestionField[] {
  const fields = known.get(question) ?? fieldsOf(question)
  known.set(question, fields)
  return fields
}

/** What a process is called in short: the parts of its own name. */
const processWords = (choice: string | number): string[] => {
  const parts = PROCESS_IDS.some(id => id === choice) ? String(choice).split('-') : []
  return parts.flatMap(part => (part.length < 3 ? [] : part === 'tig' ? [part, 'wig'] : [part]))
}

/** Choices that a word names. */
function chosen(words: readonly string[], fields: readonly QuestionField[], input: Record<string, unknown>): void {
  for (const field of fields) {
    if (field.key in input || !field.choices.length) continue
    const found = field.choices.find(choice => {
      const stems = [...(CHOICE_WORDS[choice] ?? '').split(' '), ...processWords(choice), String(choice)].filter(
        Boolean,
      )
      return stems.some(stem => words.some(word => begins(word, stem)))
    })
    if (found !== undefined) input[field.key] = found
  }
}

/** What of an input a question takes, and what it still wants: its own schema says. */
function checked(
  schema: z.ZodType,
  given: Record<string, unknown>,
): { input: Record<string, unknown>; missing: string[] } {
  let input = given
  for (let n = 0; n <= Object.keys(given).length; n++) {
    const parsed = schema.safeParse(input)
    if (parsed.success) return { input, missing: [] }
    const keys = new Set(parsed.error.issues.map(({ path }) => String(path[0] ?? '')))
    const wrong = [...keys].filter(key => key in input)
    if (!wrong.length) return { input, missing: [...keys].filter(Boolean) }
    input = Object.fromEntries(Object.entries(input).filter(([key]) => !wrong.includes(key)))
  }
  return { input, missing: [] }
}

/** Questions that are asked by a thread, a metal or a size alone. */
const ALONE: readonly [kind: Said['kind'], question: string, points: number][] = [
  ['thread', 'thread.dims', 1.5],
  ['alloy', 'alloy.list', 1.5],
]

/**
 * The questions that words may have meant, likeliest first, with what they said put into their fields; none where none
 * fits. By words that each is asked with and by what finds its field. Accuracy: judgement; of sentences that it was not
 * made with, some nine in ten are understood.
 */
export function found(questions: readonly Question[], words: string, language: LanguageId, most: number): Found[] {
  const what = heard(words, language)
  const named = what.words.filter(Boolean)
  const kinds = new Set(what.said.map(({ kind }) => kind))
  const lengths = what.said.filter(one => one.kind === 'size' && one.units.has('mm')).length
  const all = questions.flatMap(question => {
    const { name } = question
    const fields = fieldsFor(question)
    const { input, left } = placed(name, tapped(name, what), fields)
    const put = Object.keys(input).length
    const spoken = spokenFor(name, named)
    chosen(what.words, fields, input)
    const weighed = WEIGHS_FILLERS.has(name) ? what.said.filter(one => one.kind === 'alloy' && one.isFiller).length : 0
    const sound = checked(question.input, { ...input, ...within(name, what.words) })
    const alone =
      named.length <= 1
        ? ALONE.reduce((sum, [kind, of, points]) => sum + (of === name && kinds.has(kind) ? points : 0), 0) +
          (name === 'thread.identify' && lengths > 0 && !kinds.has('thread') ? 1.2 : 0)
        : 0
    const points = spoken + alone + weighed + PLACED * put + LEFT_OVER * left + WANTED * sound.missing.length
    // Figures with hardly a word beside them are asked of whatever takes them.
    const isAsked =
      spoken > 0 || alone > 0 || weighed > 0 || (put > 0 && (named.length <= 1 || (put > 1 && left === 0)))
    return isAsked && points > LEAST ? [{ question: name, ...sound, points }] : []
  })
  const sum = all.reduce((total, { points }) => total + Math.exp(points / 1.5), Math.E)
  return all
    .toSorted((a, b) => b.points - a.points)
    .slice(0, most)
    .map(({ question, input, missing, points }) => ({ question, input, missing, sure: Math.exp(points / 1.5) / sum }))
}
