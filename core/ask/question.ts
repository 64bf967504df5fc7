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

/** As it was worked out: nobody changes an answer. */
export type Unchanged<T> = T extends object ? { readonly [K in keyof T]: Unchanged<T[K]> } : T

/** A question the core answers: a name, schemas of what goes in and out, and the pure function between them. */
export interface Question<
  In extends z.ZodType = z.ZodType,
  Out extends z.ZodType = z.ZodType,
  Answer = Unchanged<z.output<Out>>,
> {
  readonly name: string
  /** What it is for, in one line. */
  readonly purpose: string
  readonly input: In
  /** What comes out, each figure with the unit it is in (`output.ts`). */
  readonly output: Out
  /** An input a person can start from. */
  readonly example: z.input<In>
  /** About how long it takes on an ordinary machine, by its sizes, before it is begun; left out, next to nothing. */
  readonly costMs?: (input: z.output<In>) => number
  /**
   * `asked` is the input as it came, for a question that answers with inputs of its own.
   * @throws NoAnswer where a well-formed input has no physical answer
   */
  readonly solve: (input: z.output<In>, asked?: unknown) => Solved<Answer>
}

/** What a question answers. */
export type AnswerTo<Q extends { readonly solve: (input: never) => Solved<unknown> }> = ReturnType<Q['solve']>['answer']

/** Declares a question; the types of what goes in and comes out hold `solve`. */
export function question<In extends z.ZodType, Out extends z.ZodType, Answer extends Unchanged<z.output<Out>>>(
  definition: Question<In, Out, Answer>,
): Question<In, Out, Answer> {
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
