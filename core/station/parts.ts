import type { Caution, Step } from '../ask/question'
import type { BasisValue } from '../job/job.schema'
import type { StationId } from '../job/stations.table'
import type { UnitKey } from '../quantity/units.table'

/** A piece of a sentence: words, or a figure that is shown in the reader's units and opens its working. */
export type Part =
  | string
  | { readonly figure: number; readonly unit: UnitKey; readonly ref?: string }
  | { readonly words: string; readonly ref: string }

export type Sentence = readonly Part[]

/** The working behind a number: the question asked, what was put in, and the steps. */
export interface Working {
  readonly title: string
  readonly question?: string
  readonly input?: unknown
  readonly steps: readonly Step[]
}

/** What a station has to say: the call, why, what could hurt, what would change it. */
export interface StationPlan<Data = unknown> {
  readonly id: StationId
  /** Five words for the strip. */
  readonly short: string
  /** What it still wants, in words; empty when it can make its call. */
  readonly wants: readonly string[]
  readonly call: Sentence
  readonly why: readonly Sentence[]
  readonly change: readonly Sentence[]
  /** What practised hands do here. */
  readonly hands?: readonly string[]
  readonly cautions: readonly Caution[]
  readonly workings: Readonly<Record<string, Working>>
  /** Clocks worth starting here, with their times. */
  readonly clocks?: readonly { readonly name: string; readonly seconds: number }[]
  /** What was decided, by codes: a settled station that now decides otherwise is stale. */
  readonly outcomes: Readonly<Record<string, BasisValue>>
  readonly data: Data
}

export const figure = (value: number, unit: UnitKey, ref?: string): Part =>
  ref === undefined ? { figure: value, unit } : { figure: value, unit, ref }
/** A length that is read to thousandths: a turned diameter, a miss, an unevenness. */
export const fine = (mm: number, ref?: string): Part => figure(mm * 1000, 'um', ref)
export const words = (text: string, ref: string): Part => ({ words: text, ref })

const NUMBER_WORDS = [
  'no',
  'one',
  'two',
  'three',
  'four',
  'five',
  'six',
  'seven',
  'eight',
  'nine',
  'ten',
  'eleven',
  'twelve',
]

/** Seven passes, one rod: small counts in words. */
export function count(n: number, one: string, many = `${one}s`): string {
  return `${NUMBER_WORDS[n] ?? n} ${n === 1 ? one : many}`
}

/** What a station without an arc says and counts: brazing, or welding with a flame. */
export type NoArcStation = Omit<StationPlan, 'id' | 'data'> & { minutes: number }

/** First letter large. */
export const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1)

/** A, b and c. */
/** What a headline says while something is wanted. */
export const wantsCall = (wants: readonly string[]): Sentence => [`Still wanted: ${wants.join(', ')}.`]

export function list(items: readonly string[]): string {
  return items.length < 2 ? items.join('') : `${items.slice(0, -1).join(', ')} and ${items.at(-1)}`
}
