import { z } from 'zod'
import { question } from '../ask/question'
import { positive, quantity } from '../quantity/schema'
import { balance } from './balance'
import { runOut } from './run-out'

export const runoutEvaluate = question({
  name: 'runout.evaluate',
  purpose: 'Total run-out, eccentricity, high spot and lobes from dial readings round a turn',
  input: z.object({ readingsMm: z.array(quantity('mm', { min: -1000, max: 1000 })).min(3).max(3600) }),
  example: { readingsMm: [0.02, 0.05, 0.09, 0.1, 0.08, 0.04, 0.01, 0] },
  solve: ({ readingsMm }) => {
    const { working, ...answer } = runOut(readingsMm)
    return { answer, working, cautions: [] }
  },
})

export const balanceCorrect = question({
  name: 'balance.correct',
  purpose: 'Unbalance from metal put on a turning part, and the mass that puts it right',
  input: z.object({
    radiusMm: quantity('mm', { min: 0 }),
    addedG: quantity('g').optional(),
    volumeMm3: positive('mm3').optional(),
    densityGcm3: positive('gcm3').optional(),
    replacedDensityGcm3: positive('gcm3').optional(),
    atRadiusMm: positive('mm'),
  }).superRefine((input, context) => {
    if (input.addedG === undefined && (input.volumeMm3 === undefined || input.densityGcm3 === undefined)) context.addIssue({ code: 'custom', path: ['addedG'], message: 'give addedG, or volumeMm3 with densityGcm3' })
  }),
  example: { radiusMm: 60, volumeMm3: 800, densityGcm3: 6.6, replacedDensityGcm3: 2.68, atRadiusMm: 55 },
  solve: (input) => {
    const { working, ...answer } = balance(input)
    return { answer, working, cautions: [] }
  },
})
