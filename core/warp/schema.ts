import { z } from 'zod'
import { alloyName } from '../metal/find-alloy'
import { percent, positive, quantity } from '../quantity/schema'
import { placeSchema, shapeSchema } from '../solid/shape.schema'
import { FACES, type Face } from '../solid/stored/faces.table'

const face = z.enum(Object.keys(FACES) as [Face, ...Face[]])
/** As many beads as one run takes. */
export const MOST_BEADS = 60
const strain = z.number().min(-0.1).max(0.1)

export const beadInput = z
  .strictObject({
    heatJMm: positive('number', { max: 1e5 }).optional(),
    a: positive('a', { max: 2000 }).optional(),
    v: positive('v', { max: 200 }).optional(),
    efficiencyPct: percent().default(60),
    speedMmS: positive('mmS', { max: 1000 }).optional(),
    alloy: alloyName,
    wallMm: positive('mm', { max: 500 }),
    preheatC: quantity('c', { min: -50, max: 1000 }).default(20),
  })
  .refine(given => given.heatJMm !== undefined || (given.a && given.v && given.speedMmS), {
    path: ['heatJMm'],
    error: 'say the net heat along the bead, heatJMm, or a, v and speedMmS',
  })

const laid = z
  .strictObject({
    id: z.string().min(1).max(64),
    pathMm: z.array(placeSchema).min(2, { error: 'two places at least' }).max(400),
    face: face.default('top'),
    widthMm: positive('mm', { max: 1000 }),
    depthMm: positive('mm', { max: 1000 }),
    heatJMm: positive('number', { max: 1e5 }).optional(),
    strainAlong: strain.optional(),
    strainAcross: strain.optional(),
    fills: z.boolean().default(false),
    yieldMPa: positive('number', { max: 2000 }).optional(),
  })
  .refine(bead => bead.heatJMm !== undefined || (bead.strainAlong !== undefined && bead.strainAcross !== undefined), {
    path: ['heatJMm'],
    error: 'say heatJMm, or strainAlong and strainAcross',
  })

const watch = z.discriminatedUnion(
  'kind',
  [
    z.strictObject({ kind: z.literal('face'), face, atMm: placeSchema.optional() }),
    z.strictObject({ kind: z.literal('point'), atMm: placeSchema }),
    z.strictObject({
      kind: z.literal('bore'),
      axis: z.enum(['x', 'y', 'z']).default('z'),
      atMm: placeSchema,
      diameterMm: positive('mm', { max: 2000 }),
    }),
    z.strictObject({ kind: z.literal('holes'), atMm: z.array(placeSchema).min(2).max(60) }),
  ],
  { error: 'a watched thing: face, point, bore or holes' },
)

export const warpInput = z.strictObject({
  shape: shapeSchema,
  cellMm: positive('mm', { max: 200 }),
  alloy: alloyName,
  beads: z.array(laid).min(1, { error: 'one bead at least' }).max(MOST_BEADS),
  hold: z
    .union([
      z.strictObject({ free: z.literal(true) }),
      z.strictObject({
        pressed: z
          .array(z.strictObject({ atMm: placeSchema, radiusMm: positive('mm', { max: 1000 }).default(8) }))
          .min(1)
          .max(60),
        on: face,
      }),
    ])
    .default({ free: true }),
  watch: z.array(watch).max(30).default([]),
  preheatC: quantity('c', { min: -50, max: 1000 }).default(20),
  plastic: z.boolean().default(false),
  /** Kept at this heat after the last bead and cooled slowly: metal that flows does so at its yield there. */
  slowC: quantity('c', { min: 20, max: 600 }).optional(),
  yieldMPa: positive('number', { max: 2000 }).optional(),
})
export type WarpInput = z.output<typeof warpInput>
