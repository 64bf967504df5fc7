import type { z } from 'zod'
import { NoAnswer, type Question, type Solved, type Step } from './question'
import { tidyFigures } from '../quantity/tidy'
import { nearest } from '../quantity/nearest'

export interface InputIssue {
  readonly path: string
  readonly message: string
}

export type AskError =
  | { readonly kind: 'invalid-input'; readonly issues: readonly InputIssue[] }
  | { readonly kind: 'no-answer'; readonly reason: string }
  | { readonly kind: 'unknown-question'; readonly name: string; readonly nearest: readonly string[] }
  /** A mistake in the program, with a code to quote; nothing is wrong with what was put in. */
  | { readonly kind: 'fault'; readonly code: string; readonly reason: string }

export type Asked<Out = unknown> =
  | ({ readonly ok: true } & Solved<Out>)
  | { readonly ok: false; readonly error: AskError }

type AnyQuestion = Question

export interface Registry {
  readonly names: readonly string[]
  get(name: string): AnyQuestion | undefined
  ask(name: string, input: unknown): Asked
  /** About how long a question takes, by the sizes in its input; nothing for one that is refused. */
  costMs(name: string, input: unknown): number
}

const GONE_WRONG = 'the figures put in lie outside what can be worked out'

/** More issues than these are not read; nor is a longer message. */
export const MOST_ISSUES = 20
const LONGEST_MESSAGE = 300
const LONGEST_PATH = 120

/** A short code for a fault, the same for the same fault: FNV-1a of its name and words, without the figures in them. */
function faultCode(error: unknown): string {
  const text = error instanceof Error ? `${error.name} ${error.message}`.replace(/\d+/g, '#') : String(error)
  let hash = 0x811c9dc5
  for (const letter of text) hash = Math.imul(hash ^ letter.codePointAt(0)!, 0x01000193)
  return `F-${(hash >>> 0).toString(36).toUpperCase()}`
}

function pathText(path: readonly PropertyKey[]): string {
  return shortened(
    path.map((key, index) => (typeof key === 'number' ? `[${key}]` : `${index ? '.' : ''}${String(key)}`)).join(''),
    LONGEST_PATH,
  )
}

const shortened = (text: string, most: number) => (text.length > most ? `${text.slice(0, most - 1)}…` : text)

/** A union's own message says little; the branch that came furthest says what is wrong. */
function flatten(issue: z.core.$ZodIssue, prefix: readonly PropertyKey[] = []): InputIssue[] {
  const path = [...prefix, ...issue.path]
  if (issue.code === 'invalid_union' && issue.errors?.length) {
    const furthest = [...issue.errors].sort((a, b) => a.length - b.length)[0]
    if (furthest?.length && furthest.some(inner => inner.path.length > 0))
      return furthest.flatMap(inner => flatten(inner, path))
  }
  if (issue.code === 'unrecognized_keys') {
    const words = issue.message.split('\n')
    return words.map((message, n) => ({ path: pathText([...path, issue.keys[n] ?? '']), message }))
  }
  return [{ path: pathText(path), message: shortened(issue.message, LONGEST_MESSAGE) }]
}

/** Turns Zod's issues into paths and messages a person can act on; no more than can be read. */
export function readIssues(error: z.ZodError): InputIssue[] {
  return error.issues
    .slice(0, MOST_ISSUES)
    .flatMap(issue => flatten(issue))
    .slice(0, MOST_ISSUES)
}

function firstNonFinite(value: unknown, path = 'answer'): string | undefined {
  if (typeof value === 'number') return Number.isFinite(value) ? undefined : path
  if (value && typeof value === 'object') {
    for (const [key, inner] of Object.entries(value)) {
      const found = firstNonFinite(inner, `${path}.${key}`)
      if (found) return found
    }
  }
  return undefined
}

/** One way of writing figures in every working. */
const tidyStep = (step: Step): Step => ({
  ...step,
  label: tidyFigures(step.label),
  formula: tidyFigures(step.formula),
  value: typeof step.value === 'string' ? tidyFigures(step.value) : step.value,
})

/** Asks one question: its input read by its schema, and what came of it told apart. */
export function askQuestion<In extends z.ZodType, Out extends z.ZodType, Answer>(
  question: Question<In, Out, Answer>,
  input: unknown,
): Asked<Answer> {
  const parsed = question.input.safeParse(input)
  if (!parsed.success) return { ok: false, error: { kind: 'invalid-input', issues: readIssues(parsed.error) } }
  try {
    const solved = question.solve(parsed.data, input)
    const bad = firstNonFinite(solved.answer)
    return bad
      ? { ok: false, error: { kind: 'no-answer', reason: `${GONE_WRONG} (${bad})` } }
      : { ok: true, ...solved, working: solved.working.map(tidyStep) }
  } catch (error) {
    if (error instanceof NoAnswer) return { ok: false, error: { kind: 'no-answer', reason: error.message } }
    return {
      ok: false,
      error: {
        kind: 'fault',
        code: faultCode(error),
        reason: 'a mistake in the program, not in what was put in; it was not worked out',
      },
    }
  }
}

/**
 * Gathers the questions and asks them.
 * @throws Error on a duplicate name: a mistake in the program, not in an input
 */
export function createRegistry(questions: readonly AnyQuestion[]): Registry {
  const byName = new Map<string, AnyQuestion>()
  for (const entry of questions) {
    if (byName.has(entry.name)) throw new Error(`question ${entry.name} is registered twice`)
    byName.set(entry.name, entry)
  }
  const names = [...byName.keys()].sort()
  return {
    names,
    get: name => byName.get(name),
    costMs(name, input) {
      const found = byName.get(name)
      if (!found?.costMs) return 0
      const parsed = found.input.safeParse(input)
      return parsed.success ? found.costMs(parsed.data) : 0
    },
    ask(name, input) {
      const found = byName.get(name)
      if (!found)
        return {
          ok: false,
          error: {
            kind: 'unknown-question',
            name: String(name).slice(0, 80),
            nearest: nearest(String(name).slice(0, 80), names),
          },
        }
      return askQuestion(found, input)
    },
  }
}
