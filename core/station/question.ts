import { z } from 'zod'
import { NoAnswer, question } from '../ask/question'
import { answered } from '../job-plan/answered'
import * as answers from '../job-plan/answers'
import { givenFields } from '../job-plan/input.schema'
import type { JobGiven } from '../job-plan/job-given'
import { planWhole } from '../job-plan/plan'
import { STARTER_KIT } from '../job-plan/starter-kit'
import { checkJob } from '../job/files'
import { kitSchema, type Job, type Kit } from '../job/job.schema'
import { planKnow } from './know/know'
import { wholeOf } from './mends/whole-of'

/** A job as it stands in a file, of this version or an earlier one. */
const storedJob = z.unknown().transform((held, context): Job => {
  const read = checkJob(held)
  if (read.ok) return read.job
  for (const { path, message } of read.issues) context.addIssue({ code: 'custom', path: path ? [path] : [], message })
  return z.NEVER
})
const { part, warm, mends } = givenFields

interface Asked {
  kit?: Kit
  stored?: Job
  given?: Omit<JobGiven, 'kit'>
}

export const jobPlan = question({
  name: 'job.plan',
  purpose:
    'A part and its mends: decisions, ordered steps, warming, metal, minutes, checks and price of each and of all',
  input: z
    .strictObject({
      kit: kitSchema.optional(),
      stored: storedJob.optional(),
      part: part.optional(),
      warm,
      mends: mends.optional(),
    })
    .superRefine((asked, context) => {
      const wanted = (['part', 'mends'] as const).filter(
        key => (asked[key] === undefined) !== (asked.stored !== undefined),
      )
      for (const key of wanted)
        context.addIssue({
          code: 'custom',
          path: [key],
          message: asked.stored === undefined ? 'is wanted, or a stored job' : 'stands in the stored job',
        })
    })
    .transform(({ kit, stored, part: itsPart, mends: itsMends, ...rest }): Asked => ({
      ...(kit ? { kit } : {}),
      ...(stored ? { stored } : {}),
      ...(itsPart && itsMends
        ? { given: { ...rest, part: itsPart as JobGiven['part'], mends: itsMends } as Omit<JobGiven, 'kit'> }
        : {}),
    })) as unknown as z.ZodType<Asked, Record<string, unknown>>,
  output: answers.jobPlan,
  example: {
    part: {
      does: 'seal',
      soak: 'oily',
      lengthMm: 220,
      widthMm: 160,
      heightMm: 45,
      newPrice: 420,
      bodies: [{ id: 'cover', alloy: '356', wallMm: 6 }],
    },
    mends: [
      { id: 'flange', kind: 'crack', lengthMm: '60 mm', startsIn: 'hole' },
      { id: 'drain', kind: 'thread', thread: 'M10', deepMm: 18, bossMm: 26, state: 'stripped' },
      { id: 'gasket', kind: 'face', wideMm: 12, longMm: 60, lowMm: 0.8 },
    ],
  },
  solve: ({ kit = STARTER_KIT, stored, given }) => {
    if (given) return answered(planWhole({ ...given, kit }))
    if (!stored) throw new NoAnswer('neither a part with its mends nor a stored job was given')
    const { planned, trouble, ready } = wholeOf(stored, kit, planKnow(stored).data, true)
    if (planned) return answered(planned)
    const wants = ready.flatMap(({ found }) => ('wants' in found ? found.wants : []))
    throw new NoAnswer(trouble ?? (wants.length ? `its mends still want ${wants.join(', ')}` : 'it has no mend yet'))
  },
})
