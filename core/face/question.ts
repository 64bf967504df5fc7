import { z } from 'zod'
import { boltCircle } from './bolt-circle'
import { BRAZE_ROD_IDS } from '../braze/rods.table'
import { finishAdvice, type AfterFinish } from './finish'
import { CURES } from './finish.table'
import { straighten } from './straighten'
import { alloyName } from '../metal/find-alloy'
import { mechanicalOf } from '../metal/mechanical.table'
import { question } from '../ask/question'
import { positive, quantity } from '../quantity/schema'
import { balance } from './balance'
import { runOut } from './run-out'
import * as answers from './answers'

export const runoutEvaluate = question({
  name: 'runout.evaluate',
  purpose: 'Total run-out, eccentricity, high spot and lobes from dial readings round a turn',
  input: z.strictObject({
    readingsMm: z
      .array(quantity('mm', { min: -1000, max: 1000 }))
      .min(3)
      .max(3600),
  }),
  output: answers.runoutEvaluate,
  example: { readingsMm: [0.02, 0.05, 0.09, 0.1, 0.08, 0.04, 0.01, 0] },
  solve: ({ readingsMm }) => {
    const { working, ...answer } = runOut(readingsMm)
    return { answer, working, cautions: [] }
  },
})

export const balanceCorrect = question({
  name: 'balance.correct',
  purpose: 'Unbalance from metal put on a turning part, and the mass that puts it right',
  input: z
    .strictObject({
      radiusMm: quantity('mm', { min: 0 }),
      addedG: quantity('g').optional(),
      volumeMm3: positive('mm3').optional(),
      densityGcm3: positive('gcm3').optional(),
      replacedDensityGcm3: positive('gcm3').optional(),
      atRadiusMm: positive('mm'),
    })
    .superRefine((input, context) => {
      if (input.addedG === undefined && (input.volumeMm3 === undefined || input.densityGcm3 === undefined))
        context.addIssue({ code: 'custom', path: ['addedG'], message: 'give addedG, or volumeMm3 with densityGcm3' })
    }),
  output: answers.balanceCorrect,
  example: { radiusMm: 60, volumeMm3: 800, densityGcm3: 6.6, replacedDensityGcm3: 2.68, atRadiusMm: 55 },
  solve: input => {
    const { working, ...answer } = balance(input)
    return { answer, working, cautions: [] }
  },
})

const hole = z.strictObject({
  xMm: quantity('mm', { min: -1e5, max: 1e5 }),
  yMm: quantity('mm', { min: -1e5, max: 1e5 }),
})

export const holesCircle = question({
  name: 'holes.circle',
  purpose: 'The even bolt circle nearest to measured holes, and how far each is off it',
  input: z.strictObject({ holes: z.array(hole).min(3).max(200), places: z.number().int().min(3).max(200).optional() }),
  output: answers.holesCircle,
  example: {
    holes: [
      { xMm: 30.02, yMm: 0 },
      { xMm: 0, yMm: 29.97 },
      { xMm: -30, yMm: 0.05 },
      { xMm: 0.01, yMm: -30 },
    ],
  },
  solve: ({ holes, places }) => {
    const { working, ...answer } = boltCircle(holes, places ?? holes.length)
    return { answer, working, cautions: [] }
  },
})

export const bendStraighten = question({
  name: 'bend.straighten',
  purpose: 'Pressing a bent flange or rim back in steps: how far past each time, and what it should then read',
  input: z.strictObject({
    outMm: positive('mm', { max: 500 }),
    overMm: positive('mm', { max: 5000 }),
    thickMm: positive('mm', { max: 200 }),
    alloy: alloyName,
  }),
  output: answers.bendStraighten,
  example: { outMm: 4, overMm: 60, thickMm: 5, alloy: '6061' },
  solve: ({ alloy, ...input }) => {
    const { working, ...answer } = straighten(input.outMm, input.overMm, input.thickMm, mechanicalOf(alloy))
    return {
      answer,
      working,
      cautions: answer.mayCrack
        ? [
            {
              code: 'may-crack',
              level: 'caution' as const,
              text: 'A bend this sharp may crack as it goes back: warm it to a hand-hot 120 to 150 °C first, look with dye after each step.',
            },
          ]
        : [],
    }
  },
})

const oneOf = <T extends string>(ids: readonly T[]) => z.enum(ids as [T, ...T[]], { error: `one of ${ids.join(', ')}` })

export const finishAfter = question({
  name: 'finish.after',
  purpose:
    'What paint, powder, plating or anodising afterwards does to temper, to the look of the bead, and to a brazed joint',
  input: z.strictObject({
    after: oneOf(Object.keys(CURES) as AfterFinish[]),
    baseAlloy: alloyName,
    filler: alloyName.optional(),
    brazeRod: oneOf(BRAZE_ROD_IDS).optional(),
  }),
  output: answers.finishAfter,
  example: { after: 'anodised', baseAlloy: '6061', filler: '4043' },
  solve: ({ after, baseAlloy, filler, brazeRod }) => {
    const answer = finishAdvice(after, baseAlloy, filler ?? null, brazeRod ?? null)
    const cure = CURES[after]
    return {
      answer,
      working: cure
        ? [
            {
              label: 'Cure or bath',
              formula: cure.name,
              value: `${cure.c} °C for ${cure.min} min`,
              unit: '',
              source: 'common practice, no source; the maker of the coating comes first',
            },
          ]
        : [],
      cautions: [],
    }
  },
})
