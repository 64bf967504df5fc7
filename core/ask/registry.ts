import type { z } from 'zod'
import { NoAnswer, type Question, type Solved } from './question'
import { nearest } from './nearest'

export interface InputIssue { readonly path: string, readonly message: string }

export type AskError =
  | { readonly kind: 'invalid-input', readonly issues: readonly InputIssue[] }
  | { readonly kind: 'no-answer', readonly reason: string }
  | { readonly kind: 'unknown-question', readonly name: string, readonly nearest: readonly string[] }

export type Asked<Out = unknown> = ({ readonly ok: true } & Solved<Out>) | { readonly ok: false, readonly error: AskError }

type AnyQuestion = Question<z.ZodType, unknown>

export interface Registry {
  readonly names: readonly string[]
  get(name: string): AnyQuestion | undefined
  ask(name: string, input: unknown): Asked
}

const GONE_WRONG = 'the figures put in lie outside what can be worked out'

function pathText(path: readonly PropertyKey[]): string {
  return path.map((key, index) => typeof key === 'number' ? `[${key}]` : `${index ? '.' : ''}${String(key)}`).join('')
}

/** A union's own message says little; the branch that came furthest says what is wrong. */
function flatten(issue: z.core.$ZodIssue, prefix: readonly PropertyKey[] = []): InputIssue[] {
  const path = [...prefix, ...issue.path]
  if (issue.code === 'invalid_union' && issue.errors?.length) {
    const furthest = [...issue.errors].sort((a, b) => a.length - b.length)[0]
    if (furthest?.length && furthest.some(inner => inner.path.length > 0)) return furthest.flatMap(inner => flatten(inner, path))
  }
  return [{ path: pathText(path), message: issue.message }]
}

/** Turns Zod's issues into paths and messages a person can act on. */
export function readIssues(error: z.ZodError): InputIssue[] {
  return error.issues.flatMap(issue => flatten(issue))
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
    ask(name, input) {
      const found = byName.get(name)
      if (!found) return { ok: false, error: { kind: 'unknown-question', name: String(name).slice(0, 80), nearest: nearest(String(name).slice(0, 80), names) } }
      const parsed = found.input.safeParse(input)
      if (!parsed.success) return { ok: false, error: { kind: 'invalid-input', issues: readIssues(parsed.error) } }
      try {
        const solved = found.solve(parsed.data)
        const bad = firstNonFinite(solved.answer)
        return bad ? { ok: false, error: { kind: 'no-answer', reason: `${GONE_WRONG} (${bad})` } } : { ok: true, ...solved }
      }
      catch (error) {
        return { ok: false, error: { kind: 'no-answer', reason: error instanceof NoAnswer ? error.message : GONE_WRONG } }
      }
    },
  }
}
