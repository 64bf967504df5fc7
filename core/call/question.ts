import { z } from 'zod'
import { question } from '../ask/question'
import { percent, positive, quantity } from '../quantity/schema'
import { ALLOYS, type Alloy } from '../metal/alloys.table'
import { FAMILY_IDS, familyById } from '../metal/families.table'
import { findAlloy } from '../metal/find-alloy'
import { caution } from '../safety/cautions.table'
import { JOINT_SHARE, type Joint } from '../arc/amps'
import { heatOf, plateSkinMm2 } from '../warm/heat'
import { chooseFiller } from './filler'
import { judge } from './judge'
import { EARLIER_POINTS, SAFETY_CRITICAL, STATE_POINTS } from './judge.table'
import { chooseProcess } from './process'
import { PROCESS_IDS } from '../process/registry'
import { SOAKS } from './process.table'
import * as answers from './answers'

const JOINTS = Object.keys(JOINT_SHARE) as [Joint, ...Joint[]]
const STATE_IDS = Object.keys(STATE_POINTS) as [string, ...string[]]
const familyId = z.enum(FAMILY_IDS, { error: `one of ${FAMILY_IDS.join(', ')}` })
const load = z.enum(['seal', 'static', 'cyclic'], { error: 'one of seal, static, cyclic' })
const soak = z.enum(SOAKS, { error: `one of ${SOAKS.join(', ')}` })
const earlierRepair = z.enum(
  Object.keys(EARLIER_POINTS) as [keyof typeof EARLIER_POINTS, ...(keyof typeof EARLIER_POINTS)[]],
  { error: `one of ${Object.keys(EARLIER_POINTS).join(', ')}` },
)

/** An alloy by name, or a family by id, which its sample alloy stands for. */
const base = z
  .string()
  .max(60)
  .transform((written, context): Alloy => {
    const family = familyById(written.trim().toLowerCase())
    const alloy = family ? ALLOYS.find(row => row.name === family.sampleAlloy) : findAlloy(written)
    if (alloy && alloy.form !== 'filler') return alloy
    context.issues.push({
      code: 'custom',
      input: written,
      message: `"${written}" is neither an alloy of the table nor a family id`,
    })
    return z.NEVER
  })

export const fillerChoose = question({
  name: 'filler.choose',
  purpose: 'Fillers ranked for a pair of bases and a service, with crack index, strength and reasons',
  input: z.strictObject({
    baseA: base,
    baseB: base.optional(),
    service: z
      .strictObject({
        maxC: quantity('c', { min: -100, max: 500 }).default(40),
        anodised: z.boolean().default(false),
        saltWater: z.boolean().default(false),
        load: load.default('static'),
        heatTreatAfter: z.boolean().default(false),
      })
      .prefault({}),
    dilutionPct: percent().default(30),
  }),
  output: answers.fillerChoose,
  example: { baseA: '356', service: { maxC: 70, load: 'seal' }, dilutionPct: 30 },
  solve: ({ baseA, baseB, service, dilutionPct }) => {
    const solved = chooseFiller(baseA, baseB ?? baseA, service, dilutionPct)
    const cautions = [baseA, baseB ?? baseA].some(row => row.family === 'magnesium')
      ? [caution('magnesium')]
      : [baseA, baseB ?? baseA].some(row => row.family === 'zinc-alloy')
        ? [caution('zinc-fume')]
        : [baseA, baseB ?? baseA].some(row => row.family === 'wrought-7xxx-copper' || row.family === 'wrought-2xxx')
          ? [caution('strong-alloy')]
          : []
    return { answer: { ranked: solved.ranked }, working: solved.working, cautions }
  },
})

export const processChoose = question({
  name: 'process.choose',
  purpose: 'Processes ranked for a wall, metal, dirt and the kit at hand, with minutes',
  input: z.strictObject({
    wallMm: positive('mm', { max: 500 }),
    family: familyId,
    soak,
    load,
    watertight: z.boolean().default(false),
    access: z.enum(['open', 'tight'], { error: 'open or tight' }).default('open'),
    areaMm2: positive('mm2').default(900),
    count: z.number().int().min(1).max(10000).default(1),
    arcMin: quantity('min', { min: 0, max: 10000 }).optional(),
    /** What can warm it: then a machine too small cold is weighed by the least heat that makes it go. */
    torches: z
      .array(
        z.strictObject({
          name: z.string().min(1).max(80).default('torch'),
          gas: z.string().max(60).default('propane'),
          sourceW: positive('w', { max: 1e6 }),
          efficiencyPct: percent().default(30),
          filmWm2K: quantity('wm2K', { min: 0, max: 5000 }).optional(),
        }),
      )
      .max(20)
      .optional(),
    /** No hotter than this, whatever the torch could do. */
    mostC: quantity('c', { min: -50, max: 600 }).optional(),
    /** The metal by name, and what it stands in service: then a rod that is not for it is ruled out. */
    base: base.optional(),
    serviceC: quantity('c', { min: -60, max: 400 }).default(40),
    /** The flame works at an edge of the part, where heat has half as far to run. */
    atEdge: z.boolean().default(false),
    /** How long a run the flame is swept along. */
    runMm: quantity('mm', { min: 0, max: 20_000 }).default(0),
    massG: positive('g').default(1500),
    skinMm2: positive('mm2').optional(),
    joint: z.enum(JOINTS, { error: `one of ${JOINTS.join(', ')}` }).default('flat'),
    kit: z
      .array(
        z.strictObject({
          process: z.enum(PROCESS_IDS, { error: `one of ${PROCESS_IDS.join(', ')}` }),
          maxA: positive('a').optional(),
          ratedA: positive('a').optional(),
          dutyPct: percent().optional(),
          torchA: positive('a').optional(),
        }),
      )
      .max(60)
      .default([]),
  }),
  output: answers.processChoose,
  example: {
    wallMm: 8,
    family: 'cast-al-si-mg',
    soak: 'oil-soaked',
    load: 'seal',
    watertight: true,
    access: 'open',
    areaMm2: 1200,
    kit: [{ process: 'ac-tig', maxA: 200, ratedA: 200, dutyPct: 25 }, { process: 'zinc-rod-braze' }],
  },
  solve: input => {
    const family = familyById(input.family)!
    const { torches, mostC, atEdge, runMm, massG, skinMm2, ...rest } = input
    const alloy = rest.base ?? ALLOYS.find(row => row.name === family.sampleAlloy)!
    const part = { massG, skinMm2: skinMm2 ?? plateSkinMm2(massG, alloy.densityGcm3, input.wallMm) }
    const heat =
      torches &&
      heatOf(
        torches.map(({ sourceW, filmWm2K, ...torch }) => ({
          ...torch,
          powerW: sourceW,
          ...(filmWm2K === undefined ? {} : { fitted: { filmWm2K } }),
        })),
        part,
        alloy,
        input.wallMm,
        { capC: mostC, atEdge, runMm },
      )
    const { ranked, working } = chooseProcess({ ...rest, family, heat })
    return {
      answer: { ranked },
      working,
      cautions:
        family.id === 'magnesium' ? [caution('magnesium')] : family.id === 'zinc-alloy' ? [caution('zinc-fume')] : [],
    }
  },
})

export const repairJudge = question({
  name: 'repair.judge',
  purpose: 'Whether to mend: the chance that it lasts, what raises and lowers it, and who must decide',
  input: z
    .strictObject({
      family: familyId.optional(),
      families: z
        .array(
          z.union([
            z.strictObject({ id: familyId, probability: z.number().min(0).max(1) }),
            familyId.transform(id => ({ id, probability: 1 })),
          ]),
        )
        .min(1)
        .max(60)
        .optional(),
      soak,
      earlierRepair,
      load,
      safetyCritical: z.enum(SAFETY_CRITICAL, { error: `one of ${SAFETY_CRITICAL.join(', ')}` }),
      wallMm: positive('mm', { max: 500 }),
      newPrice: z.number().min(0).max(1e7).optional(),
      repairPrice: z.number().min(0).max(1e7).optional(),
      newWeeks: z.number().min(0).max(520).optional(),
      cause: z.enum(['unknown', 'known', 'put-right'], { error: 'one of unknown, known, put-right' }).optional(),
      process: z.enum(PROCESS_IDS, { error: `one of ${PROCESS_IDS.join(', ')}` }).optional(),
      warmed: z.enum(['none', 'chill', 'preheat'], { error: 'one of none, chill, preheat' }).optional(),
      fillerVerdict: z.enum(['first', 'works', 'avoid', 'never'], { error: 'first, works, avoid or never' }).optional(),
      kind: z.string().max(40).optional(),
      state: z
        .array(z.enum(STATE_IDS, { error: `one of ${STATE_IDS.join(', ')}` }))
        .max(8)
        .optional(),
      record: z
        .strictObject({ points: z.number().min(-100).max(100), jobs: z.number().int().min(1).max(50_000) })
        .optional(),
    })
    .superRefine((input, context) => {
      if (!input.family && !input.families)
        context.addIssue({
          code: 'custom',
          path: ['family'],
          message: 'give family, or families with their probabilities',
        })
      if (input.families && input.families.every(entry => entry.probability === 0))
        context.addIssue({
          code: 'custom',
          path: ['families'],
          message: 'at least one family must have a probability above 0',
        })
    }),
  output: answers.repairJudge,
  example: {
    family: 'cast-al-si-mg',
    soak: 'oil-soaked',
    earlierRepair: 'epoxy',
    load: 'seal',
    safetyCritical: 'none',
    wallMm: 8,
    newPrice: 420,
    repairPrice: 92,
  },
  solve: input => {
    const { working, ...answer } = judge({
      ...input,
      families: input.families ?? [{ id: input.family!, probability: 1 }],
    })
    const cautions = input.safetyCritical !== 'none' ? [caution(`safety-${input.safetyCritical}`)] : []
    return { answer, working, cautions }
  },
})
