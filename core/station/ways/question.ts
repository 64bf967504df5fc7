import { z } from 'zod'
import { question } from '../../ask/question'
import { waysOf } from '../../ways/look'
import { eitherOr, jobAsked, JOB_EXAMPLE, jobFields, type JobAsked } from '../job-asked'
import { atOnce, jobGiven } from '../job-given'
import { jobWaysAnswer } from './answer'
import { askedWay } from './asked-way'

/** As few ways as hold the cheapest, the quickest and the surest. */
const FEWEST = 3

export const jobWays = question({
  name: 'job.ways',
  purpose: 'The ways to mend a job of which none is worse than another in price, elapsed time and chance all three',
  input: z
    .strictObject({ ...jobFields, most: z.number().int().min(FEWEST).max(60).default(8) })
    .superRefine(eitherOr)
    .transform(({ most, ...rest }) => ({ ...jobAsked(rest), most })) as unknown as z.ZodType<
    JobAsked & { most: number },
    Record<string, unknown>
  >,
  output: jobWaysAnswer,
  costMs: () => 2000,
  example: JOB_EXAMPLE,
  solve: ({ most, ...job }, asked) => {
    const { ways, now, looked, all } = atOnce(waysOf(jobGiven(job), most))
    return {
      answer: {
        ways: ways.map(way => ({
          choices: way.choices,
          price: way.price,
          elapsedMin: way.elapsedMin,
          handMin: way.handMin,
          chancePct: way.chancePct,
          input: askedWay(asked, job.stored, way),
        })),
        now,
        looked,
        all,
      },
      working: [
        {
          label: 'Plans worked out',
          formula: all
            ? 'every combination of process, filler, way, warmth, order, finish and supply that kit and limits allow'
            : 'from what is best of each mend by itself, one thing changed at a time until nothing is better',
          value: looked,
          unit: '',
          source: 'each by the sums of job.plan',
        },
        {
          label: 'Ways shown',
          formula: 'none worse than or equal to another in price, elapsed minutes and chance all three',
          value: ways.length,
          unit: '',
          source: 'Pareto dominance, by definition',
        },
      ],
      cautions: [],
    }
  },
})
