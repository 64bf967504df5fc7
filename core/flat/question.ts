import { z } from 'zod'
import { question } from '../ask/question'
import { positive, quantity } from '../quantity/schema'
import { alloyName } from '../metal/find-alloy'
import { mechanicalOf } from '../metal/mechanical.table'
import { boltedFlat, MUCH_LOCKED } from './decide'
import { evaluateFlatness } from './evaluate'
import { HAND_RATE_MM3_MIN, planLapping } from './lap'
import { spansPlane } from './plane'
import * as answers from './answers'

const coordinate = () => quantity('mm', { min: -1e4, max: 1e4 })
const points = z
  .array(z.strictObject({ xMm: coordinate(), yMm: coordinate(), zMm: coordinate() }))
  .min(4)
  .max(5000)
  .refine(spansPlane, { error: 'all in one place or on one line: a face wants readings spread over it' })
const EXAMPLE = [
  { xMm: 0, yMm: 0, zMm: 0 },
  { xMm: 60, yMm: 0, zMm: 0.03 },
  { xMm: 120, yMm: 0, zMm: 0.01 },
  { xMm: 0, yMm: 40, zMm: 0.05 },
  { xMm: 60, yMm: 40, zMm: 0.11 },
  { xMm: 120, yMm: 40, zMm: 0.06 },
  { xMm: 0, yMm: 80, zMm: 0.01 },
  { xMm: 60, yMm: 80, zMm: 0.04 },
  { xMm: 120, yMm: 80, zMm: 0.02 },
]

export const flatEvaluate = question({
  name: 'flat.evaluate',
  purpose: 'Flatness of a face from readings anywhere on it: minimum zone, shape, high spots, what it stands on',
  input: z.strictObject({ points }),
  output: answers.flatEvaluate,
  costMs: ({ points: given }) => given.length / 10,
  example: { points: EXAMPLE },
  solve: ({ points: given }) => {
    const { working, ...answer } = evaluateFlatness(given)
    return { answer, working, cautions: [] }
  },
})

export const flatLap = question({
  name: 'flat.lap',
  purpose: 'How much to lap off to bring a face within a flatness, where it rubs first, and minutes',
  input: z.strictObject({
    points,
    toMm: quantity('mm', { min: 0, max: 10 }),
    rateMm3Min: positive('mm3Min').default(HAND_RATE_MM3_MIN),
  }),
  output: answers.flatLap,
  costMs: ({ points: given }) => given.length / 3,
  example: { points: EXAMPLE, toMm: '0.02 mm' },
  solve: ({ points: given, toMm, rateMm3Min }) => {
    const { working, ...answer } = planLapping(given, toMm, rateMm3Min)
    return { answer, working, cautions: [] }
  },
})

export const flatBolted = question({
  name: 'flat.bolted',
  purpose: 'Stress that bolting a bowed flange flat locks into it',
  input: z.strictObject({
    bowMm: quantity('mm', { min: 0, max: 100 }),
    overMm: positive('mm', { max: 1e4 }),
    thickMm: positive('mm', { max: 500 }),
    alloy: alloyName,
  }),
  output: answers.flatBolted,
  example: { bowMm: '0.2 mm', overMm: 150, thickMm: 8, alloy: '356' },
  solve: ({ bowMm, overMm, thickMm, alloy }) => {
    const { working, ...answer } = boltedFlat(bowMm, overMm, thickMm, mechanicalOf(alloy))
    return {
      answer,
      working,
      cautions:
        answer.ofProof > MUCH_LOCKED
          ? [
              {
                code: 'locked-in',
                level: 'note' as const,
                text: 'Welded flanges held down this hard tend to crack along the old line after a few heat cycles: flatten it free instead.',
              },
            ]
          : [],
    }
  },
})
