import { answerRows, type AnswerRows } from '#core/ask/answer-rows'
import { fieldsOf, type QuestionField } from '#core/ask/fields'
import type { Asked } from '#core/ask/registry'
import type { Job, Kit } from '#core/job/job.schema'
import type { ShownDecision } from '#core/station/decision-words'
import { nearLines } from '#core/station/near-lines'
import { heatMaps } from '#core/station/warm/heat-maps'
import { news, type News } from '#core/station/news'
import { planJob, type JobPlan } from '#core/station/plan-job'
import type { HeatMap } from '#core/warm/heat-map'
import { keptWork, takenBack } from './kept-work'

/** Every question there is; read once one is asked by itself, so that the first plan need not wait for them. */
const all = async () => (await import('#core/questions')).questions

/** The plan that the page was told last. */
let told: JobPlan | null = null

/** The core, off the page's thread: whole plans and single questions. */
export const bench = {
  ...keptWork,
  /** What is new in a job's plan since the last one that was asked for, of whatever job. */
  planNews: async (job: Job, kit: Kit): Promise<News> => {
    await takenBack
    const plan = planJob(job, kit)
    const since = news(told, plan)
    told = plan
    return since
  },
  /** Decisions that a reading nearby would turn. */
  nearLines: async (job: Job, kit: Kit): Promise<ShownDecision[]> => {
    await takenBack
    return nearLines(job, kit)
  },
  /** The part in colours, of each zone that is warmed. */
  heatMaps: async (job: Job, kit: Kit): Promise<HeatMap[]> => {
    await takenBack
    return heatMaps(job, kit)
  },
  list: async (): Promise<{ name: string; purpose: string }[]> => {
    const questions = await all()
    return questions.names.map(name => ({ name, purpose: questions.get(name)!.purpose }))
  },
  fields: async (name: string): Promise<QuestionField[]> => {
    const found = (await all()).get(name)
    return found ? fieldsOf(found) : []
  },
  ask: async (name: string, input: unknown): Promise<Asked> => (await all()).ask(name, input),
  /** An answer laid out for a page beside it. */
  askLaidOut: async (name: string, input: unknown): Promise<{ asked: Asked; laid: AnswerRows | null }> => {
    const questions = await all()
    const asked = questions.ask(name, input)
    return { asked, laid: asked.ok ? answerRows(asked.answer, questions.get(name)!.output) : null }
  },
}
