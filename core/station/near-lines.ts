import type { Job, Kit } from '../job/job.schema'
import { shownDecisions, type ShownDecision } from './decision-words'
import { planKnow } from './know/know'
import { wholeOf } from './mends/whole-of'

/**
 * The decisions of a job that a reading nearby would turn, with those readings. Looked for apart from the plan: takes
 * several times as long, and one station shows it.
 */
export const nearLines = (job: Job, kit: Kit): ShownDecision[] =>
  shownDecisions(job, wholeOf(job, kit, planKnow(job).data, true).planned?.decisions ?? []).filter(
    ({ near }) => near.length,
  )
