import { labelOfKey } from '../ask/fields'
import type { z } from 'zod'
import type { Caution, Question } from '../ask/question'
import { askQuestion } from '../ask/registry'
import type { Working } from './parts'

export interface PlanAnswer<Out> {
  answer: Out
  working: Working
  cautions: readonly Caution[]
}
export type AskedForPlan<Out> = ({ ok: true } & PlanAnswer<Out>) | { ok: false; reason: string }

/**
 * The core is pure, so an answer stands for its input for good; typing in one field leaves most questions of a plan as
 * they were.
 */
const remembered = new Map<string, AskedForPlan<unknown>>()
const MOST_REMEMBERED = 400

/**
 * Asks a question on behalf of a plan, so that a station's number and the command line's are the same call.
 * A refusal comes back as plain words.
 */
export function askFor<In extends z.ZodType, Out extends z.ZodType, Answer>(
  question: Question<In, Out, Answer>,
  title: string,
  input: z.input<In>,
): AskedForPlan<Answer> {
  const key = `${question.name} ${title} ${JSON.stringify(input)}`
  const known = remembered.get(key)
  if (known) return known as AskedForPlan<Answer>
  const fresh = askAfresh(question, title, input)
  if (remembered.size >= MOST_REMEMBERED) remembered.delete(remembered.keys().next().value!)
  remembered.set(key, fresh)
  return fresh
}

function askAfresh<In extends z.ZodType, Out extends z.ZodType, Answer>(
  question: Question<In, Out, Answer>,
  title: string,
  input: z.input<In>,
): AskedForPlan<Answer> {
  const asked = askQuestion(question, input)
  if (asked.ok)
    return {
      ok: true,
      answer: asked.answer,
      working: { title, question: question.name, input, steps: asked.working },
      cautions: asked.cautions,
    }
  const { error } = asked
  return {
    ok: false,
    reason:
      error.kind === 'no-answer'
        ? error.reason
        : error.kind === 'invalid-input'
          ? error.issues
              .map(issue => (issue.path ? `the ${labelOfKey(issue.path)} ${issue.message}` : issue.message))
              .join('; ')
          : error.kind === 'fault'
            ? `${error.reason} (${error.code})`
            : `no question ${error.name}`,
  }
}
