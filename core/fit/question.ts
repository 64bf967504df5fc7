import { z } from 'zod'
import { question } from '../ask/question'
import { positive, quantity } from '../quantity/schema'
import { alloyName } from '../metal/find-alloy'
import { mechanicalOf } from '../metal/mechanical.table'
import { caution } from '../safety/cautions.table'
import { cutSpeed } from './cutting'
import { FASTEST_RPM, SURFACE_M_MIN, type CuttingTool } from './cutting.table'
import { pressFit } from './press'
import { COLD, SOFTENS_C, type Cold } from './cold.table'
import { shrinkFit } from './shrink'
import { planSlug } from './slug'
import { USUAL_CHAMFER_MM, USUAL_FACED_MM } from './weld-groove'
import * as answers from './answers'

const softensCaution = (hubC: number) =>
  hubC > SOFTENS_C
    ? [
        {
          code: 'softens',
          level: 'caution' as const,
          text: 'That heat softens a heat-treated alloy: cool the slug further, or take less interference.',
        },
      ]
    : []

export const fitPress = question({
  name: 'fit.press',
  purpose: 'Pressure, stresses and push-out of a slug pressed into a hub',
  input: z.strictObject({
    diameterMm: positive('mm', { max: 2000 }),
    interferenceMm: positive('mm', { max: 20 }),
    hubMm: positive('mm', { max: 5000 }),
    lengthMm: positive('mm', { max: 5000 }),
    holeMm: quantity('mm', { min: 0 }).default(0),
    hubAlloy: alloyName,
    slugAlloy: alloyName,
    friction: z.number().min(0).max(2).default(0.2),
  }),
  output: answers.fitPress,
  example: {
    diameterMm: '3/4 in',
    interferenceMm: '1.25 thou',
    hubMm: 36,
    lengthMm: 20,
    hubAlloy: '356',
    slugAlloy: '6061-T6',
  },
  solve: ({ hubAlloy, slugAlloy, ...input }) => {
    const { working, ...answer } = pressFit({ ...input, hub: mechanicalOf(hubAlloy), slug: mechanicalOf(slugAlloy) })
    return {
      answer,
      working,
      cautions:
        answer.yieldFactor < 1
          ? [
              {
                code: 'yields',
                level: 'caution' as const,
                text: 'It yields before it is home: the figures past that are not true, and a casting may split. Less interference or more wall.',
              },
            ]
          : [],
    }
  },
})

export const fitShrink = question({
  name: 'fit.shrink',
  purpose: 'How hot a hub must be to take a cold slug, the gap, and how long until it seizes',
  input: z.strictObject({
    diameterMm: positive('mm', { max: 2000 }),
    interferenceMm: quantity('mm', { min: 0, max: 20 }),
    clearanceMm: quantity('mm', { min: 0, max: 20 }),
    hubAlloy: alloyName,
    slugAlloy: alloyName,
    slugC: quantity('c', { min: -200, max: 300 }),
    ambientC: quantity('c', { min: -60, max: 60 }).default(20),
    hubC: quantity('c', { min: -60, max: 600 }).optional(),
  }),
  output: answers.fitShrink,
  example: {
    diameterMm: 19,
    interferenceMm: 0.03,
    clearanceMm: 0.02,
    hubAlloy: '356',
    slugAlloy: '6061-T6',
    slugC: -18,
    hubC: 100,
  },
  solve: ({ hubAlloy, slugAlloy, ...input }) => {
    const { working, ...answer } = shrinkFit({
      ...input,
      hub: mechanicalOf(hubAlloy),
      slug: mechanicalOf(slugAlloy),
      slugDensityGcm3: slugAlloy.densityGcm3,
      slugHeatJkgK: slugAlloy.specificHeatJkgK,
    })
    return {
      answer,
      working,
      cautions: [
        caution('hot-no-glow'),
        ...softensCaution(answer.hubC),
        ...(answer.gapAtMm <= 0
          ? [{ code: 'will-not-enter', level: 'note' as const, text: 'At this heat it does not go in by itself.' }]
          : []),
      ],
    }
  },
})

export const fitSlug = question({
  name: 'fit.slug',
  purpose:
    'A slug for a stripped boss: size, interference, stresses, heat and cold, the clock of the fit, the weld left after facing',
  input: z.strictObject({
    threadMajorMm: positive('mm', { max: 300 }),
    bossMm: positive('mm', { max: 2000 }),
    depthMm: positive('mm', { max: 1000 }),
    beneathMm: positive('mm', { max: 2000 }).optional(),
    bodyAlloy: alloyName,
    slugAlloy: alloyName.default(() => alloyName.parse('6061')),
    slugMm: positive('mm', { max: 500 }).optional(),
    interferenceMm: quantity('mm', { min: 0, max: 5 }).optional(),
    clearanceMm: quantity('mm', { min: 0, max: 5 }).default(0.02),
    cold: z
      .enum(Object.keys(COLD) as [Cold, ...Cold[]], { error: `one of ${Object.keys(COLD).join(', ')}` })
      .default('freezer'),
    hubC: quantity('c', { min: -60, max: 400 }).optional(),
    serviceC: quantity('c', { min: -60, max: 300 }).default(60),
    chamferMm: positive('mm', { max: 50 }).default(USUAL_CHAMFER_MM),
    facedMm: quantity('mm', { min: 0, max: 50 }).default(USUAL_FACED_MM),
  }),
  output: answers.fitSlug,
  example: { threadMajorMm: 10, bossMm: 34, depthMm: 22, bodyAlloy: '356', slugAlloy: '6061-T6', cold: 'freezer' },
  solve: ({ bodyAlloy, slugAlloy, ...input }) => {
    const { working, ...answer } = planSlug({ ...input, body: bodyAlloy, slug: slugAlloy })
    return { answer, working, cautions: [caution('hot-no-glow'), ...softensCaution(answer.shrink.hubC)] }
  },
})

export const cutSpeedQuestion = question({
  name: 'cut.speed',
  purpose: 'Spindle speed and feed for drill, end mill, tap or boring bar in aluminium',
  input: z
    .strictObject({
      tool: z.enum(Object.keys(SURFACE_M_MIN) as [CuttingTool, ...CuttingTool[]], {
        error: `one of ${Object.keys(SURFACE_M_MIN).join(', ')}`,
      }),
      diameterMm: positive('mm', { min: 0.1, max: 2000 }),
      alloy: alloyName,
      surfaceMMin: positive('mMin').optional(),
      pitchMm: positive('mm', { max: 50 }).optional(),
      flutes: z.number().int().min(1).max(20).default(2),
    })
    .superRefine((input, context) => {
      if (input.tool === 'tap' && input.pitchMm === undefined)
        context.addIssue({ code: 'custom', path: ['pitchMm'], message: 'a tap needs its pitch' })
    }),
  output: answers.cutSpeed,
  example: { tool: 'drill', diameterMm: 8.8, alloy: '6061' },
  solve: ({ tool, diameterMm, alloy, surfaceMMin, pitchMm, flutes }) => {
    const { working, ...answer } = cutSpeed(tool, diameterMm, alloy, surfaceMMin, pitchMm, flutes)
    return {
      answer,
      working,
      cautions:
        answer.rpm > FASTEST_RPM
          ? [
              {
                code: 'past-the-spindle',
                level: 'note' as const,
                text: 'Past what a small spindle turns: run it at its fastest, and cut the feed in step.',
              },
            ]
          : [],
    }
  },
})
