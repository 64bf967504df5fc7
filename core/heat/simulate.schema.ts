import { z } from 'zod'
import { alloyName } from '../metal/find-alloy'
import { percent, positive, quantity } from '../quantity/schema'
import { placeSchema, shapeSchema } from '../solid/shape.schema'

const face = z.enum(['top', 'bottom', 'left', 'right', 'front', 'back'])
const seconds = (limits = {}) => quantity('s', { min: 0, max: 86_400, ...limits })
const window = { startS: seconds().default(0), endS: seconds().optional() }
const power = { powerW: quantity('w', { min: 0, max: 100_000 }), efficiencyPct: percent().default(100) }
const airC = quantity('c', { min: -50, max: 1200 })

const spot = {
  ...window,
  ...power,
  face: face.default('top'),
  atMm: placeSchema.optional(),
  pathMm: z.array(placeSchema).min(2).max(1000).optional(),
  speedMmS: quantity('mmS', { min: 0, max: 1000 }).default(0),
}
type Spot = { atMm?: unknown; pathMm?: unknown; speedMmS: number }
const placed = (source: Spot) => source.atMm !== undefined || source.pathMm !== undefined
const PLACED = { path: ['atMm'], error: 'say where it points: atMm, or pathMm with speedMmS' }

/** What heats the part. */
export const sourceSchema = z.discriminatedUnion(
  'kind',
  [
    z.strictObject({ kind: z.literal('volume'), ...window, ...power }),
    z.strictObject({ kind: z.literal('face'), ...window, ...power, face: face.default('top') }),
    z
      .strictObject({ kind: z.literal('torch'), ...spot, radiusMm: positive('mm', { max: 500 }).default(15) })
      .refine(placed, PLACED),
    z
      .strictObject({ kind: z.literal('arc'), ...spot, radiusMm: positive('mm', { max: 100 }).default(4) })
      .refine(placed, PLACED),
    z.strictObject({
      kind: z.literal('hot-air'),
      ...window,
      airC,
      filmWm2K: positive('wm2K', { max: 2000 }).default(120),
      face: face.default('top'),
      atMm: placeSchema,
      radiusMm: positive('mm', { max: 500 }).default(30),
    }),
    z.strictObject({ kind: z.literal('oven'), ...window, airC }),
  ],
  { error: 'a source: volume, face, torch, arc, hot-air or oven' },
)

/** How the part loses heat, and what it rests on. */
export const lossesSchema = z.strictObject({
  filmWm2K: quantity('wm2K', { min: 0, max: 5000 }).default(10),
  emissivity: z.number().min(0).max(1).default(0.2),
  ambientC: quantity('c', { min: -60, max: 100 }).default(20),
  benchWm2K: quantity('wm2K', { min: 0, max: 20_000 }).default(0),
  /** Rests on two strips across x, each this wide, instead of on its whole bottom. */
  stripMm: positive('mm', { max: 2000 }).optional(),
  /** Rests on a copper backing of this mass, which warms with it. */
  backingKg: positive('kg', { max: 500 }).optional(),
})

/** A part, as the heat bench takes it. */
export const partSchema = z.strictObject({
  shape: shapeSchema,
  cellMm: positive('mm', { max: 200 }),
  alloy: alloyName,
  startC: quantity('c', { min: -100, max: 700 }).default(20),
})

export const probeSchema = z.strictObject({
  name: z.string().max(80).optional(),
  xMm: quantity('mm', { min: -5000, max: 5000 }),
  yMm: quantity('mm', { min: -5000, max: 5000 }),
  zMm: quantity('mm', { min: -5000, max: 5000 }),
})

export const simulateInput = partSchema
  .extend({
    sources: z.array(sourceSchema).max(20),
    losses: lossesSchema.prefault({}),
    durationS: quantity('s', { above: 0, max: 86_400 }),
    probes: z.array(probeSchema).max(40).default([]),
    /** Readings over the whole time, the first at its beginning. */
    readings: z.number().int().min(2).max(2001).default(121),
    /** What the weld zone is to reach; only to be refused where the metal would melt. */
    targetC: quantity('c', { min: -100, max: 1000 }).optional(),
  })
  .superRefine((input, context) => {
    const { solidusC, name } = input.alloy
    const issue = (path: (string | number)[], message: string) => context.addIssue({ code: 'custom', path, message })
    if (input.targetC !== undefined && input.targetC >= solidusC)
      issue(['targetC'], `${name} begins to melt at ${solidusC} °C; the target must lie below`)
    if (input.startC >= solidusC) issue(['startC'], `${name} begins to melt at ${solidusC} °C; it must start below`)
    input.sources.forEach((source, n) => {
      if (source.endS !== undefined && source.endS <= source.startS)
        issue(['sources', n, 'endS'], 'must end after it starts')
    })
  })
export type Simulate = z.output<typeof simulateInput>
export type SimulateInput = z.input<typeof simulateInput>
