import { z } from 'zod'
import { NoAnswer, question } from '../ask/question'
import { alloyName } from '../metal/find-alloy'
import { positive, quantity } from '../quantity/schema'
import { caution } from '../safety/cautions.table'
import { compareBoss } from './boss'
import { threadDims } from './dims'
import { threadName } from './find'
import { identifyThread, pitchOfTpi } from './identify'
import { threadInsert } from './insert'
import { threadStrength } from './strength'
import * as answers from './answers'

const strengthMPa = () => positive('mPa', { max: 3000 })

export const threadDimsQuestion = question({
  name: 'thread.dims',
  purpose: 'Sizes of a standard thread, its stress area, and the drills that tap it',
  input: z.strictObject({ designation: threadName }),
  output: answers.threadDims,
  example: { designation: 'M10x1.25' },
  solve: ({ designation }) => {
    const { working, ...answer } = threadDims(designation)
    return { answer, working, cautions: [] }
  },
})

export const threadIdentify = question({
  name: 'thread.identify',
  purpose: 'Which standard thread it is, from a diameter and what else was measured',
  input: z.strictObject({
    side: z.enum(['male', 'female'], { error: 'male or female' }),
    diameterMm: positive('mm', { min: 0.5, max: 120 }),
    pitchMm: positive('mm', { min: 0.1, max: 12 }).optional(),
    tpi: positive('tpi', { min: 2, max: 120 }).optional(),
    flankDeg: quantity('deg', { min: 20, max: 90 }).optional(),
    taperDeg: quantity('deg', { min: 0, max: 15 }).optional(),
    uncertaintyMm: quantity('mm', { min: 0.001, max: 3 }).default(0.1),
    region: z.enum(['any', 'metric', 'inch', 'hydraulic'], { error: 'any, metric, inch or hydraulic' }).default('any'),
  }),
  output: answers.threadIdentify,
  example: { side: 'male', diameterMm: '13.1 mm', tpi: 19, region: 'hydraulic' },
  solve: ({ tpi, pitchMm, ...input }) => {
    const { working, ...answer } = identifyThread({
      ...input,
      pitchMm: pitchMm ?? (tpi === undefined ? undefined : pitchOfTpi(tpi)),
    })
    if (!answer.ranked.length)
      throw new NoAnswer('no standard thread is near that: measure again, or see whether the crests are worn off')
    return {
      answer,
      working,
      cautions: [
        {
          code: 'mating-part',
          level: 'note' as const,
          title: 'The real mating part decides',
          text: 'Before anything is drilled, try the real mating part or a thread gauge: a wrong thread costs the boss.',
        },
      ],
    }
  },
})

export const threadStrengthQuestion = question({
  name: 'thread.strength',
  purpose: 'What gives way first: the bolt, the thread in the body, or the thread on the bolt',
  input: z.strictObject({
    designation: threadName,
    engagementMm: positive('mm', { max: 1000 }),
    boltUtsMPa: strengthMPa().default(800),
    bodyUtsMPa: strengthMPa(),
  }),
  output: answers.threadStrength,
  example: { designation: 'M8', engagementMm: 16, boltUtsMPa: 800, bodyUtsMPa: 165 },
  solve: ({ designation, engagementMm, boltUtsMPa, bodyUtsMPa }) => {
    const { working, ...answer } = threadStrength(designation, engagementMm, boltUtsMPa, bodyUtsMPa)
    return { answer, working, cautions: [] }
  },
})

export const threadInsertQuestion = question({
  name: 'thread.insert',
  purpose: 'Drill, tap and least wall for a wire or solid thread insert',
  input: z.strictObject({
    designation: threadName,
    kind: z.enum(['wire', 'solid'], { error: 'wire or solid' }).default('wire'),
  }),
  output: answers.threadInsert,
  example: { designation: 'M10x1.5', kind: 'wire' },
  solve: ({ designation, kind }) => {
    const { working, ...answer } = threadInsert(designation, kind)
    return { answer, working, cautions: [caution('rotating-tools')] }
  },
})

export const bossCompare = question({
  name: 'boss.compare',
  purpose: 'Ways of giving a stripped boss its thread back, by what each holds, costs and heats',
  input: z.strictObject({
    designation: threadName,
    boltUtsMPa: strengthMPa().default(800),
    torqueNm: positive('nm', { max: 5000 }).optional(),
    depthMm: positive('mm', { max: 500 }),
    bossMm: positive('mm', { max: 500 }),
    bodyAlloy: alloyName,
    filler: alloyName.default(() => alloyName.parse('4043')),
    slugAlloy: alloyName.default(() => alloyName.parse('6061-T6')),
  }),
  output: answers.bossCompare,
  example: { designation: 'M8', torqueNm: '18 lbf.ft', depthMm: 16, bossMm: 22, bodyAlloy: '356', filler: '4043' },
  solve: ({ designation, bodyAlloy, filler, slugAlloy, ...input }) => {
    const { working, ...answer } = compareBoss({
      thread: designation,
      body: bodyAlloy,
      filler,
      slug: slugAlloy,
      ...input,
    })
    return { answer, working, cautions: [caution('rotating-tools')] }
  },
})
