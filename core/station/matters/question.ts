import { z } from 'zod'
import { NoAnswer, question } from '../../ask/question'
import type { JobGiven } from '../../job-plan/job-given'
import { mattersOf } from '../../matters/look'
import type { Unsure } from '../../matters/spread'
import { eitherOr, jobAsked, JOB_EXAMPLE, jobFields, type JobAsked } from '../job-asked'
import { atOnce, jobGiven } from '../job-given'
import { jobMattersAnswer } from './answer'
import { standsInJob } from './stands-in-job'
import { saidSure, standsAt, sureSchema, unsureOf, type SureGiven } from './unsure'

interface MattersAsked extends JobAsked {
  draws: number
  sure: SureGiven[]
}

/** The job, where it can be planned: one that can't says so when it is answered. */
function jobOrNull(asked: JobAsked): JobGiven | null {
  try {
    return jobGiven(asked)
  } catch (error) {
    if (error instanceof NoAnswer) return null
    throw error
  }
}

export const jobMatters = question({
  name: 'job.matters',
  purpose: "Which of a job's readings matter: its price, hours and chance with their spread, and what to measure next",
  input: z
    .strictObject({
      ...jobFields,
      sure: z.array(sureSchema).max(60).default([]),
      draws: z.number().int().min(20).max(4000).default(400),
    })
    .superRefine(eitherOr)
    .transform(({ sure, draws, ...rest }, context): MattersAsked => {
      const asked = { ...jobAsked(rest), sure, draws }
      const job = sure.length ? jobOrNull(asked) : null
      const issues = job ? saidSure(job, sure).issues : []
      for (const issue of issues) context.addIssue({ code: 'custom', ...issue })
      return asked
    }) as unknown as z.ZodType<MattersAsked, Record<string, unknown>>,
  output: jobMattersAnswer,
  costMs: ({ draws }) => 6 * draws,
  example: {
    ...JOB_EXAMPLE,
    sure: [
      { path: 'part.bodies[0].wallMm', plusMinus: '1 mm' },
      {
        path: 'part.bodies[0].alloy',
        oneOf: [
          { value: '356', pct: 80 },
          { value: '380', pct: 20 },
        ],
      },
    ],
  },
  solve: ({ sure, draws, ...asked }, input) => {
    const job = jobGiven(asked)
    const stands = asked.stored ? standsInJob(asked.stored, job) : (path: string) => standsAt(input, path)
    const unsure: Unsure[] = unsureOf(job, stands, saidSure(job, sure).said)
    const found = atOnce(mattersOf(job, unsure, draws))
    return {
      answer: found,
      working: [
        {
          label: 'Drawn',
          formula: 'each reading at once from its own spread, two standard deviations what was said',
          value: found.drawn,
          unit: '',
          source: 'Latin hypercube: McKay, Beckman and Conover 1979',
        },
        {
          label: 'Share of the spread',
          formula: 'variance of the mean of the price at each value of a reading / variance of the price',
          value: found.readings.length,
          unit: '',
          source: 'first-order index: Sobol’ 1993; by cosines: Plischke 2010',
        },
        {
          label: 'Worth',
          formula: 'fall of the mean of price × (1 − chance) by planning with a reading known, the others as said',
          value: found.readings[0]?.worth ?? 0,
          unit: '',
          source: 'value of information, by definition; how sure readings are: common practice, no source',
        },
      ],
      cautions: [],
    }
  },
})
