import { z } from 'zod'
import { question } from '../ask/question'
import { quantity } from '../quantity/schema'
import { mostAbovePct } from './bound'
import { dayOf } from './model'
import { schedule, scheduled } from './search'
import * as answers from './answers'

const minutes = () => quantity('min', { min: 0, max: 1e6 })
const id = z.string().min(1).max(80)

export const dayInput = z
  .strictObject({
    jobs: z
      .array(
        z.strictObject({
          id,
          due: minutes().optional(),
          tasks: z
            .array(
              z.strictObject({
                id,
                name: z.string().max(120).optional(),
                minutes: minutes(),
                needs: z.array(id).max(10).default([]),
                after: z.array(id).max(50).default([]),
                unattended: z.boolean().default(false),
                earliestMin: minutes().optional(),
                maxWaitMin: minutes().optional(),
              }),
            )
            .max(400),
        }),
      )
      .max(200),
    resources: z.array(z.strictObject({ id, count: z.number().int().min(1).max(100).default(1) })).max(100),
    /** Left out, the hands are there all the time. */
    shifts: z
      .array(
        z
          .strictObject({ startMin: minutes(), endMin: minutes() })
          .refine(shift => shift.endMin > shift.startMin, { path: ['endMin'], error: 'must come after the start' }),
      )
      .max(400)
      .default([]),
    /** How long it looks for something better, over the usual. */
    effort: z.number().min(0.01).max(20).default(1),
  })
  .refine(day => day.jobs.reduce((sum, job) => sum + job.tasks.length, 0) <= 2000, {
    path: ['jobs'],
    error: 'at most 2000 tasks',
  })

export const daySchedule = question({
  name: 'day.schedule',
  purpose:
    'What to do when, across jobs: attended and unattended work on hands, mill, oven and freezer, with a bound on the best',
  input: dayInput,
  output: answers.daySchedule,
  costMs: ({ jobs, effort }) => 20 + 10 * effort * jobs.reduce((sum, job) => sum + job.tasks.length, 0),
  example: {
    jobs: [
      {
        id: 'cover',
        due: 420,
        tasks: [
          { id: 'open', minutes: 60, needs: ['hands'] },
          { id: 'bake', minutes: 60, needs: ['oven'], after: ['open'], unattended: true },
          { id: 'weld', minutes: 80, needs: ['hands', 'machine'], after: ['bake'], maxWaitMin: 30 },
        ],
      },
      {
        id: 'boss',
        tasks: [
          { id: 'bore', minutes: 40, needs: ['hands', 'mill'] },
          { id: 'freeze', minutes: 90, needs: ['freezer'], unattended: true },
          { id: 'press', minutes: 10, needs: ['hands'], after: ['bore', 'freeze'], maxWaitMin: 60 },
        ],
      },
    ],
    resources: [{ id: 'hands' }, { id: 'machine' }, { id: 'mill' }, { id: 'oven' }, { id: 'freezer' }],
    shifts: [{ startMin: 0, endMin: 480 }],
  },
  solve: ({ effort, ...given }) => {
    const day = dayOf(given)
    const found = day.tasks.length
      ? scheduled(schedule(day, effort))
      : { starts: [], makespanMin: 0, lateMin: 0, lowerBoundMin: 0, tries: 0 }
    return {
      answer: {
        starts: day.tasks
          .map((task, n) => ({ task: task.id, startMin: found.starts[n]!, endMin: found.starts[n]! + task.minutes }))
          .toSorted((a, b) => a.startMin - b.startMin),
        makespanMin: found.makespanMin,
        lowerBoundMin: found.lowerBoundMin,
        lateMin: found.lateMin,
      },
      working: [
        {
          label: 'No plan can be shorter than',
          formula:
            'longest chain; busiest resource with what must come before and after it; attended work in the hours there are',
          value: found.lowerBoundMin,
          unit: 'min',
          source: "Carlier (1982), Jackson's preemptive bound",
        },
        {
          label: 'Found',
          formula: `${found.tries} lists laid by the serial scheme, tabu search`,
          value: found.makespanMin,
          unit: 'min',
          source: 'Kolisch and Hartmann (1999); Nowicki and Smutnicki (1996)',
        },
        {
          label: 'At most above the best',
          formula: '(found − bound) ÷ bound',
          value: mostAbovePct(found.makespanMin, found.lowerBoundMin),
          unit: '%',
          source: 'the two above',
        },
        {
          label: 'Late, all jobs',
          formula: 'Σ what each ends after its due time',
          value: found.lateMin,
          unit: 'min',
          source: 'definition',
        },
      ],
      cautions: [],
    }
  },
})
