import { z } from 'zod'
import { NoAnswer, question } from '../../ask/question'
import type { JobGiven } from '../../job-plan/job-given'
import { STARTER_KIT } from '../../job-plan/starter-kit'
import { waysOf } from '../../ways/look'
import { eitherOr, jobAsked, JOB_EXAMPLE, jobFields, type JobAsked } from '../job-asked'
import { planKnow } from '../know/know'
import { givenOfJob, wantsStill } from '../mends/whole-of'
import { jobWaysAnswer } from './answer'
import { askedWay } from './asked-way'

/** As few ways as hold the cheapest, the quickest and the surest. */
const FEWEST = 3

/**
 * A whole job as the plan takes it.
 * @throws NoAnswer where a stored job has no mend that can be planned
 */
export function jobGiven({ kit = STARTER_KIT, stored, given }: JobAsked): JobGiven {
  if (given) return { ...given, kit }
  if (!stored) throw new NoAnswer('neither a part with its mends nor a stored job was given')
  const found = givenOfJob(stored, kit, planKnow(stored).data)
  if (!found.hasMends) throw new NoAnswer(wantsStill(found.ready))
  return found.given
}

/** The last that a generator gives: all of it run without a pause. */
export function atOnce<T>(running: Generator<unknown, T>): T {
  for (;;) {
    const next = running.next()
    if (next.done) return next.value
  }
}

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
