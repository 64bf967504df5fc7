import { z } from 'zod'
import { NoAnswer, question } from '../ask/question'
import { answered } from '../job-plan/answered'
import * as answers from '../job-plan/answers'
import { planWhole } from '../job-plan/plan'
import { STARTER_KIT } from '../job-plan/starter-kit'
import { eitherOr, jobAsked, JOB_EXAMPLE, jobFields, type JobAsked } from './job-asked'
import { planKnow } from './know/know'
import { wantsStill, wholeOf } from './mends/whole-of'

export const jobPlan = question({
  name: 'job.plan',
  purpose:
    'A part and its mends: decisions, ordered steps, warming, metal, minutes, checks and price of each and of all',
  input: z.strictObject(jobFields).superRefine(eitherOr).transform(jobAsked) as unknown as z.ZodType<
    JobAsked,
    Record<string, unknown>
  >,
  output: answers.jobPlan,
  costMs: ({ given }) => 10 * (1 + (given?.mends.length ?? 4)),
  example: JOB_EXAMPLE,
  solve: ({ kit = STARTER_KIT, stored, given }) => {
    if (given) return answered(planWhole({ ...given, kit }))
    if (!stored) throw new NoAnswer('neither a part with its mends nor a stored job was given')
    const { planned, trouble, ready } = wholeOf(stored, kit, planKnow(stored).data, true)
    if (planned) return answered(planned)
    throw new NoAnswer(trouble ?? wantsStill(ready))
  },
})
