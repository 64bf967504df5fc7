import { z } from 'zod'
import { NoAnswer, question } from '../ask/question'
import { positive, quantity } from '../quantity/schema'
import { learn } from './learn'
import { quote } from './quote'
import * as answers from './answers'

const money = z.number({ error: 'an amount of money' }).min(0).max(1e7)
const name = z.string().trim().min(1).max(80)

export const jobQuote = question({
  name: 'job.quote',
  purpose: 'Price of a repair from minutes by phase, filler, gas, power and extras, against a new part',
  input: z.strictObject({
    phases: z.array(z.strictObject({ name, minutes: quantity('min', { min: 0, max: 1e6 }) })).max(60),
    ratePerHour: money,
    filler: z
      .strictObject({ rods: z.number().min(0).max(1e5), pricePerRod: money })
      .default({ rods: 0, pricePerRod: 0 }),
    gas: z.strictObject({ litres: z.number().min(0).max(1e7), pricePerL: money }).default({ litres: 0, pricePerL: 0 }),
    power: z.strictObject({ kWh: z.number().min(0).max(1e6), pricePerKWh: money }).default({ kWh: 0, pricePerKWh: 0 }),
    other: z
      .array(z.strictObject({ name, price: money }))
      .max(60)
      .default([]),
    newPrice: money.optional(),
  }),
  output: answers.jobQuote,
  example: {
    phases: [
      { name: 'Open up', minutes: 35 },
      { name: 'Warm', minutes: 12 },
      { name: 'Weld', minutes: 20 },
      { name: 'Dress and prove', minutes: 30 },
    ],
    ratePerHour: 48,
    filler: { rods: 2, pricePerRod: 0.6 },
    gas: { litres: 70, pricePerL: 0.012 },
    power: { kWh: 1.1, pricePerKWh: 0.3 },
    other: [{ name: 'New seal', price: 4.5 }],
    newPrice: 420,
  },
  solve: input => {
    const { working, ...answer } = quote(input)
    const cautions =
      answer.ofNewPct !== undefined && answer.ofNewPct > 60
        ? [
            {
              code: 'dear-against-new',
              level: 'note' as const,
              text: 'The repair comes near the price of a new part: say so before starting.',
            },
          ]
        : []
    return { answer, working, cautions }
  },
})

export const logLearn = question({
  name: 'log.learn',
  purpose:
    "What the shop's own finished jobs say: success and time by family, process, soak, filler and kind of mend, with intervals",
  input: z.strictObject({
    records: z
      .array(
        z.strictObject({
          success: z.boolean(),
          family: z.string().max(60).optional(),
          process: z.string().max(60).optional(),
          soak: z.string().max(60).optional(),
          filler: z.string().max(60).optional(),
          mends: z.array(z.string().max(60)).max(40).optional(),
          plannedMin: positive('min').optional(),
          actualMin: positive('min').optional(),
        }),
      )
      .max(50_000),
  }),
  output: answers.logLearn,
  example: {
    records: [
      { success: true, family: 'cast-al-si-mg', process: 'ac-tig', soak: 'oily', plannedMin: 60, actualMin: 75 },
      {
        success: false,
        family: 'cast-al-si-mg',
        process: 'ac-tig',
        soak: 'oil-soaked',
        plannedMin: 80,
        actualMin: 140,
      },
    ],
  },
  solve: ({ records }) => {
    if (!records.length)
      throw new NoAnswer('there are no finished jobs yet: lessons begin with the first one handed over')
    const { working, ...answer } = learn(records)
    return { answer, working, cautions: [] }
  },
})
