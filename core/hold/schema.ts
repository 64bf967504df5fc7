import { z } from 'zod'
import { positive, quantity } from '../quantity/schema'
import { placeSchema, shapeSchema } from '../solid/shape.schema'
import { FACES, type Face } from '../solid/stored/faces.table'
import { alloyInTemper } from '../metal/temper'

/** What is held or pulled on: a side's outermost skin, a round patch of skin, the wall of a hole. */
const face = z.strictObject({ face: z.enum(Object.keys(FACES) as [Face, ...Face[]]) })
const patch = z.strictObject({ atMm: placeSchema, radiusMm: positive('mm', { max: 2000 }).default(8) })
const hole = z.strictObject({
  hole: z.strictObject({
    atMm: placeSchema,
    axis: z.enum(['x', 'y', 'z'], { error: 'one of x, y, z' }),
    diameterMm: positive('mm', { max: 2000 }),
  }),
})
export const onSkin = z.union([face, patch, hole], {
  error: 'a place: { face }, { atMm, radiusMm } or { hole: { atMm, axis, diameterMm } }',
})
export type OnSkin = z.output<typeof onSkin>

const force = quantity('n', { min: -1e7, max: 1e7 })
const load = z
  .strictObject({
    id: z.string().min(1).max(64),
    on: onSkin,
    forceN: z.tuple([force, force, force], { error: 'three forces: along x, y and z' }).optional(),
    pressureMPa: quantity('mPa', { min: -1000, max: 1000 }).optional(),
  })
  .refine(given => (given.forceN === undefined) !== (given.pressureMPa === undefined), {
    path: ['forceN'],
    error: 'say forceN or pressureMPa, one of them',
  })

const at = quantity('mm', { min: -20_000, max: 20_000 })
const size = quantity('mm', { min: 0, max: 20_000 })
const zone = z
  .strictObject({
    id: z.string().min(1).max(64),
    kind: z.enum(['weld', 'softened', 'crack'], { error: 'one of weld, softened, crack' }),
    boxMm: z.tuple([at, at, at, size, size, size], {
      error: 'six lengths: x, y, z of a corner, then how far it goes along each',
    }),
    yieldMPa: positive('mPa', { max: 2000 }).optional(),
    category: positive('mPa', { max: 500 }).optional(),
  })
  .superRefine(({ kind, boxMm, yieldMPa, category }, context) => {
    const flat = boxMm.slice(3).filter(length => length === 0).length
    const wanted = kind === 'crack' ? 1 : 0
    if (flat !== wanted)
      context.addIssue({
        code: 'custom',
        path: ['boxMm'],
        message:
          kind === 'crack'
            ? 'a crack goes nowhere along one way, and some way along the others'
            : 'must go some way along each',
      })
    if (kind === 'crack' && (yieldMPa !== undefined || category !== undefined))
      context.addIssue({ code: 'custom', path: ['kind'], message: 'a crack has no yield and no category of its own' })
  })
export type Zone = z.output<typeof zone>

/** As many of each as one run takes. */
const MOST = { fixed: 30, loads: 30, zones: 30, watch: 100 }
const ids = (list: readonly { id: string }[]) => new Set(list.map(({ id }) => id)).size === list.length

export const holdFields = z.strictObject({
  shape: shapeSchema,
  cellMm: positive('mm', { max: 200 }),
  alloy: alloyInTemper,
  yieldMPa: positive('mPa', { max: 2000 }).optional(),
  fixed: z.array(onSkin).min(1, { error: 'it must be held somewhere' }).max(MOST.fixed),
  loads: z
    .array(load)
    .min(1, { error: 'one load at least' })
    .max(MOST.loads)
    .refine(ids, { error: 'two loads have the same id' }),
  zones: z
    .array(zone)
    .max(MOST.zones)
    .default([])
    .refine(ids, { error: 'two zones have the same id' })
    .refine(list => list.every(({ id }) => id !== 'base'), { error: 'base is the rest of the part' }),
  watch: z.array(placeSchema).max(MOST.watch).default([]),
  times: z.number().min(1).max(1e12).optional(),
})
export type HoldInput = z.output<typeof holdFields>
