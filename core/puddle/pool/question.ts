import { z } from 'zod'
import { question } from '../../ask/question'
import { alloyName } from '../../metal/find-alloy'
import { percent, positive, quantity } from '../../quantity/schema'
import { caution } from '../../safety/cautions.table'
import { runPuddle } from './run'
import { DIRT, type Dirt } from './surface.table'
import * as answers from './answers'

const seconds = () => quantity('s', { min: 0, max: 600 })
const entry = z.strictObject({
  s: seconds(),
  xMm: quantity('mm', { min: -500, max: 5000 }),
  yMm: quantity('mm', { min: -500, max: 5000 }),
  arcMm: quantity('mm', { min: 0, max: 1000 }).default(3),
  a: quantity('a', { min: 0, max: 1000 }).default(0),
  dip: z.boolean().default(false),
  speedMmS: positive('mmS', { max: 1000 }).optional(),
  powerW: quantity('w', { min: 0, max: 50_000 }).optional(),
  radiusMm: positive('mm', { max: 100 }).optional(),
})

export const puddleRun = question({
  name: 'puddle.run',
  purpose:
    'What a puddle does under a given hand: when it comes, how wide and deep it runs, what wets, the bead it leaves',
  input: z.strictObject({
    plate: z.strictObject({
      xMm: positive('mm', { max: 1000 }),
      yMm: positive('mm', { max: 1000 }),
      zMm: positive('mm', { max: 200 }),
    }),
    alloy: alloyName,
    filler: alloyName.prefault('4043'),
    rodMm: positive('mm', { max: 10 }).default(2.4),
    startC: quantity('c', { min: -50, max: 500 }).default(20),
    dirt: z.enum(Object.keys(DIRT) as [Dirt, ...Dirt[]]).default('clean'),
    enPct: percent().default(68),
    cellMm: positive('mm', { max: 20 }).default(1),
    hand: z
      .array(entry)
      .min(1, { error: 'one entry at least' })
      .max(5000)
      .refine(list => list.every((each, n) => n === 0 || each.s >= list[n - 1]!.s), { error: 'entries go on in time' }),
    durationS: quantity('s', { above: 0, max: 600 }),
  }),
  output: answers.puddleRun,
  costMs: ({ plate, cellMm, durationS }) => 30 + (plate.xMm * plate.yMm * plate.zMm * durationS) / (40 * cellMm ** 3),
  example: {
    plate: { xMm: 40, yMm: 30, zMm: 4 },
    alloy: '6061',
    filler: '4043',
    hand: [
      { s: 0, xMm: 12, yMm: 15, a: 110 },
      { s: 3, xMm: 12, yMm: 15, a: 90, dip: true },
      { s: 5, xMm: 18, yMm: 15, a: 85, dip: true },
    ],
    durationS: 5,
  },
  solve: given => {
    const answer = runPuddle(given)
    return {
      answer,
      working: [
        {
          label: 'Heat',
          formula: 'enthalpy with melting, conducted in three ways',
          value: answer.imbalancePct,
          unit: '%',
          source: 'Voller and Cross 1981; what the energy misses by',
        },
        {
          label: 'Wetting, cleaning, dirt',
          formula: 'rates by the cleaning half-wave and the heat',
          value: answer.wettedPct,
          unit: '%',
          source: 'judgement',
        },
      ],
      cautions: [caution('ozone-uv')],
    }
  },
})
