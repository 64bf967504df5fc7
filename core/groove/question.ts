import { z } from 'zod'
import { question } from '../ask/question'
import { percent, positive, quantity } from '../quantity/schema'
import { alloyName } from '../metal/find-alloy'
import { caution } from '../safety/cautions.table'
import { planBuildUp } from './build-up'
import { planGroove } from './plan'
import { reinforce } from './reinforce'
import { ENDS } from './run'
import * as answers from './answers'

export const grooveInput = z.strictObject({
  crackMm: positive('mm', { max: 20000 }),
  wallMm: positive('mm', { max: 500 }),
  sides: z.union([z.literal(1), z.literal(2)], { error: '1 or 2' }).default(1),
  includedDeg: quantity('deg', { min: 0, max: 160 }).default(70),
  rootRadiusMm: quantity('mm', { min: 0, max: 100 }).default(2),
  landMm: quantity('mm', { min: 0, max: 500 }).default(0),
  capMm: quantity('mm', { min: 0, max: 50 }).default(1.5),
  stopHoleMm: quantity('mm', { min: 0, max: 50 }).default(3.2),
  pastTipMm: quantity('mm', { min: 0, max: 500 }).default(4),
  fillerMm: positive('mm', { min: 0.5, max: 10 }).default(2.4),
  rodMm: positive('mm', { min: 10, max: 5000 }).default(914),
  efficiencyPct: percent({ min: 5 }).default(90),
  closed: z.boolean().default(false),
  startsIn: z.enum(ENDS).default('tip'),
  endsIn: z.enum(ENDS).default('tip'),
  filler: alloyName.default(() => alloyName.parse('4043')),
})

export const groovePlan = question({
  name: 'groove.plan',
  purpose: 'Groove depth, section, metal, rods, passes, stop-holes and arc minutes for a crack',
  input: grooveInput,
  output: answers.groovePlan,
  example: {
    crackMm: '4 3/8 in',
    wallMm: '0.315 in',
    sides: 1,
    includedDeg: 70,
    rootRadiusMm: '3/32 in',
    landMm: 2,
    capMm: 1.5,
    stopHoleMm: '1/8 in',
    pastTipMm: '3/16 in',
    fillerMm: '3/32 in',
  },
  solve: ({ filler, ...input }) => {
    const { working, ...answer } = planGroove({ ...input, fillerDensityGcm3: filler.densityGcm3 })
    const cautions = [caution('chlorinated-solvent'), caution('aluminium-dust'), caution('rotating-tools')]
    if (input.rootRadiusMm === 0)
      cautions.push({
        code: 'square-root',
        level: 'note',
        text: 'Aluminium wets a rounded groove better than a sharp one: round the bottom.',
      })
    return { answer, working, cautions }
  },
})

export const grooveBuildUp = question({
  name: 'groove.buildUp',
  purpose: 'Layers, beads, rods and arc minutes to build up a lost edge or corner',
  input: z.strictObject({
    longMm: positive('mm', { max: 5000 }),
    wideMm: positive('mm', { max: 1000 }),
    highMm: positive('mm', { max: 1000 }),
    proudMm: quantity('mm', { min: 0, max: 50 }).default(1.5),
    fillerMm: positive('mm', { min: 0.5, max: 10 }).default(2.4),
    rodMm: positive('mm', { min: 10, max: 5000 }).default(914),
    efficiencyPct: percent({ min: 5 }).default(90),
    filler: alloyName.default(() => alloyName.parse('4043')),
  }),
  output: answers.grooveBuildUp,
  example: { longMm: '30 mm', wideMm: '8 mm', highMm: '12 mm', proudMm: 1.5, fillerMm: '3/32 in' },
  solve: ({ filler, ...input }) => {
    const { working, ...answer } = planBuildUp({ ...input, fillerDensityGcm3: filler.densityGcm3 })
    return { answer, working, cautions: [caution('chlorinated-solvent'), caution('aluminium-dust')] }
  },
})

export const plateReinforce = question({
  name: 'plate.reinforce',
  purpose: 'What a plate welded on a bar does to its stiffness and strength in bending',
  input: z.strictObject({
    widthMm: positive('mm'),
    heightMm: positive('mm'),
    plateMm: positive('mm'),
    plateWidthMm: positive('mm').optional(),
    sides: z.union([z.literal(1), z.literal(2)], { error: '1 or 2' }).default(1),
  }),
  output: answers.plateReinforce,
  example: { widthMm: 30, heightMm: 12, plateMm: 4, sides: 1 },
  solve: ({ widthMm, heightMm, plateMm, plateWidthMm, sides }) => {
    const { working, ...answer } = reinforce(widthMm, heightMm, plateMm, plateWidthMm ?? widthMm, sides)
    return {
      answer,
      working,
      cautions: [
        {
          code: 'stress-moves',
          level: 'note' as const,
          text: 'The stress moves to where the plate ends: taper its ends, and keep them and their welds away from the old crack.',
        },
      ],
    }
  },
})
