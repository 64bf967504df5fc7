import { tooMuchJson } from './depth'
import type { Asked, Registry } from './registry'

/** More values than the largest question takes. */
const MOST_VALUES = 400_000

const invalid = (message: string): Asked => ({
  ok: false,
  error: { kind: 'invalid-input', issues: [{ path: '', message }] },
})

/** JSON text as a question's input, or the refusal of it; no text at all is an empty input. */
export function readInput(text: string): { readonly input: unknown } | { readonly refused: Asked } {
  const tooMuch = tooMuchJson(text, MOST_VALUES)
  if (tooMuch) return { refused: invalid(`the body is too much: ${tooMuch}`) }
  try {
    return { input: text.trim() === '' ? {} : JSON.parse(text) }
  } catch {
    return { refused: invalid('the body is not JSON') }
  }
}

/**
 * Asks one question by the text of its input.
 * @param mostMs a question that is likely to take longer is not worked out: null comes back
 */
export function askText(questions: Registry, name: string, text: string, mostMs = Infinity): Asked | null {
  const read = readInput(text)
  if ('refused' in read) return questions.get(name) ? read.refused : questions.ask(name, {})
  if (mostMs < Infinity && questions.costMs(name, read.input) > mostMs) return null
  return questions.ask(name, read.input)
}
