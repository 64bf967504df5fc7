import '../quantity/zod-config'
import type { z } from 'zod'

/** One step of a working: enough for a person to follow how a number came out. */
export interface Step {
  readonly label: string
  /** The formula with symbols or the figures put in. */
  readonly formula: string
  readonly value: number | string
  readonly unit: string
  /** A published source, `common practice`, or `judgement`; says so where the value was recalled from memory. */
  readonly source: string
}

export type CautionLevel = 'note' | 'caution' | 'stop'

export interface Caution {
  readonly code: string
  readonly level: CautionLevel
  /** A few words to find it by. */
  readonly title?: string
  readonly text: string
}

export interface Solved<Out> {
  readonly answer: Out
  readonly working: readonly Step[]
  readonly cautions: readonly Caution[]
}

/** A question the core answers: a name, schemas of what goes in and out, and the pure function between them. */
export interface Question<In extends z.ZodType = z.ZodType, Out = unknown> {
  readonly name: string
  /** What it is for, in one line. */
  readonly purpose: string
  readonly input: In
  /** An input a person can start from. */
  readonly example: z.input<In>
  /** @throws NoAnswer where a well-formed input has no physical answer */
  readonly solve: (input: z.output<In>) => Solved<Out>
}

/** Declares a question; the types of the input flow into `solve`. */
export function question<In extends z.ZodType, Out>(definition: Question<In, Out>): Question<In, Out> {
  return definition
}

/**
 * A well-formed input that has no physical answer; the message is the reason in plain words, its figures no longer than
 * anyone can measure.
 */
export class NoAnswer extends Error {
  override readonly name = 'NoAnswer'
  constructor(reason: string) {
    super(reason.replace(/\d+\.\d{4,}/g, figure => String(Number(Number(figure).toPrecision(4)))))
  }
}
