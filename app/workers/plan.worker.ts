import { expose } from 'comlink'
import { answerRows, type AnswerRows } from '#core/ask/answer-rows'
import { fieldsOf, type QuestionField } from '#core/ask/fields'
import type { Asked } from '#core/ask/registry'
import type { Job, Kit } from '#core/job/job.schema'
import { planJob, type JobPlan } from '#core/plan/plan-job'
import { questions } from '#core/questions'
import { keptWork, takenBack } from './kept-work'

/** The core, off the page's thread: whole plans and single questions. */
const bench = {
  ...keptWork,
  plan: async (job: Job, kit: Kit): Promise<JobPlan> => {
    await takenBack
    return planJob(job, kit)
  },
  list: (): { name: string; purpose: string }[] =>
    questions.names.map(name => ({ name, purpose: questions.get(name)!.purpose })),
  fields: (name: string): QuestionField[] => {
    const found = questions.get(name)
    return found ? fieldsOf(found) : []
  },
  ask: (name: string, input: unknown): Asked => questions.ask(name, input),
  /** An answer laid out for a page beside it. */
  askLaidOut: (name: string, input: unknown): { asked: Asked; laid: AnswerRows | null } => {
    const asked = questions.ask(name, input)
    return { asked, laid: asked.ok ? answerRows(asked.answer, questions.get(name)!.output) : null }
  },
}

export type BenchWorker = typeof bench

expose(bench)
