import { z } from 'zod'
import { question } from '../ask/question'
import { positive, quantity } from '../quantity/schema'
import { caution } from '../safety/cautions.table'
import { leakDecay, STANDARD_KPA } from './decay'
import * as answers from './answers'

/** Above this an air test is no bench test any more: judgement (a blow of this energy breaks bones). */
const MOST_STORED_J = 200

export const leakDecayQuestion = question({
  name: 'leak.decay',
  purpose: 'Leak, hole and stored energy from the fall of pressure in a closed part',
  input: z.strictObject({
    volumeL: positive('l', { max: 1e5 }),
    startKPa: quantity('kPa', { min: -101, max: 1e5 }),
    endKPa: quantity('kPa', { min: -101, max: 1e5 }),
    seconds: positive('s'),
    startC: quantity('c', { min: -60, max: 300 }).default(20),
    endC: quantity('c', { min: -60, max: 300 }).optional(),
    baroKPa: positive('kPa', { min: 30, max: 120 }).default(STANDARD_KPA),
  }),
  output: answers.leakDecay,
  example: { volumeL: 2.4, startKPa: 10, endKPa: 9.2, seconds: 300, startC: 20 },
  solve: input => {
    const { working, ...answer } = leakDecay({ ...input, endC: input.endC ?? input.startC })
    return {
      answer,
      working,
      cautions: [
        caution('pressure-test'),
        ...(answer.storedJ > MOST_STORED_J
          ? [
              {
                code: 'stored-energy',
                level: 'stop' as const,
                title: 'Stored energy',
                text: 'This much air under pressure can kill when the part lets go. Do it with water, or at a few kPa.',
              },
            ]
          : []),
      ],
    }
  },
})
