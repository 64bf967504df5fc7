import { z } from 'zod'
import { positive, quantity } from '../quantity/schema'
import { LIES, type Lies } from './forms'

const mm = () => positive('mm', { max: 5000 })
const coordinate = quantity('mm', { min: -5000, max: 5000 })
export const placeSchema = z.tuple([coordinate, coordinate, coordinate], { error: 'a place [x, y, z]' })

const orNone = () => quantity('mm', { min: 0, max: 5000 }).default(0)
const ring = z
  .array(z.tuple([coordinate, coordinate], { error: 'a point [x, y]' }))
  .min(3, { error: 'three points at least' })
  .max(2000)

/** The simple solids. Each stands with a corner of its bounding box at the origin, z up; sizes are over all. */
const SIMPLE = [
  z.strictObject({ kind: z.literal('box'), xMm: mm(), yMm: mm(), zMm: mm() }),
  z.strictObject({ kind: z.literal('plate'), lengthMm: mm(), widthMm: mm(), thickMm: mm() }),
  z.strictObject({ kind: z.literal('bar'), diameterMm: mm(), lengthMm: mm() }),
  z
    .strictObject({ kind: z.literal('tube'), outsideMm: mm(), wallMm: mm(), lengthMm: mm() })
    .refine(tube => tube.wallMm * 2 < tube.outsideMm, {
      path: ['wallMm'],
      error: 'must be less than half the outside',
    }),
  z.strictObject({ kind: z.literal('disc'), diameterMm: mm(), thickMm: mm() }),
  z
    .strictObject({ kind: z.literal('ring'), outsideMm: mm(), insideMm: mm(), thickMm: mm() })
    .refine(ring => ring.insideMm < ring.outsideMm, { path: ['insideMm'], error: 'must be less than the outside' }),
  z
    .strictObject({ kind: z.literal('hollow-box'), xMm: mm(), yMm: mm(), zMm: mm(), wallMm: mm() })
    .refine(box => box.wallMm * 2 < Math.min(box.xMm, box.yMm, box.zMm), {
      path: ['wallMm'],
      error: 'must be less than half the least side',
    }),
  z
    .strictObject({
      kind: z.literal('flanged-box'),
      xMm: mm(),
      yMm: mm(),
      zMm: mm(),
      wallMm: mm(),
      flangeMm: mm(),
      flangeThickMm: mm(),
    })
    .refine(box => box.wallMm < box.zMm && (box.flangeMm + box.wallMm) * 2 < Math.min(box.xMm, box.yMm), {
      path: ['wallMm'],
      error: 'wall and flange leave no hollow',
    })
    .refine(box => box.flangeThickMm <= box.zMm, {
      path: ['flangeThickMm'],
      error: 'must not be thicker than the box is high',
    }),
  z
    .strictObject({
      kind: z.literal('boss-on-plate'),
      xMm: mm(),
      yMm: mm(),
      plateMm: mm(),
      bossMm: mm(),
      bossHighMm: mm(),
      holeMm: orNone(),
    })
    .refine(part => part.bossMm <= Math.min(part.xMm, part.yMm), {
      path: ['bossMm'],
      error: 'must stand within the plate',
    })
    .refine(part => part.holeMm < part.bossMm, { path: ['holeMm'], error: 'must be less than the boss' }),
  z
    .strictObject({
      kind: z.literal('ribbed-cover'),
      xMm: mm(),
      yMm: mm(),
      wallMm: mm(),
      ribs: z.number().int().min(1).max(40),
      ribMm: mm(),
      ribHighMm: mm(),
    })
    .refine(cover => cover.ribMm * cover.ribs < cover.xMm, {
      path: ['ribMm'],
      error: 'the ribs would touch: thinner ones, or fewer',
    }),
  z.strictObject({
    kind: z.literal('finned-cylinder'),
    boreMm: mm(),
    wallMm: mm(),
    fins: z.number().int().min(1).max(60),
    finMm: mm(),
    gapMm: mm(),
    finOutMm: mm(),
  }),
  z
    .strictObject({ kind: z.literal('lug'), longMm: mm(), wideMm: mm(), thickMm: mm(), holeMm: orNone() })
    .refine(lug => lug.wideMm / 2 <= lug.longMm, { path: ['wideMm'], error: 'its round end is longer than the lug' })
    .refine(lug => lug.holeMm < lug.wideMm, { path: ['holeMm'], error: 'must be less than the lug is wide' }),
  z
    .strictObject({ kind: z.literal('elbow'), outsideMm: mm(), wallMm: mm(), bendMm: mm() })
    .refine(elbow => elbow.wallMm * 2 <= elbow.outsideMm, {
      path: ['wallMm'],
      error: 'must not be more than half the outside',
    })
    .refine(elbow => elbow.bendMm >= elbow.outsideMm / 2, {
      path: ['bendMm'],
      error: 'the bend is tighter than the pipe is thick',
    }),
  z
    .strictObject({ kind: z.literal('slot'), longMm: mm(), wideMm: mm(), deepMm: mm() })
    .refine(slot => slot.wideMm <= slot.longMm, { path: ['wideMm'], error: 'must not be more than its length' }),
  z.strictObject({ kind: z.literal('fillet'), longMm: mm(), radiusMm: mm() }),
  z.strictObject({
    kind: z.literal('outline'),
    /** Corner by corner, from the origin; the last joins the first. */
    outlineMm: ring,
    holesMm: z.array(ring).max(60).default([]),
    thickMm: mm(),
  }),
] as const

const mesh = z.strictObject({
  kind: z.literal('mesh'),
  /** Nine figures a triangle, corner by corner, as in an STL file. */
  trianglesMm: z
    .array(z.number().min(-1e5).max(1e5))
    .min(36)
    .max(9_000_000)
    .refine(list => list.length % 9 === 0, { error: 'nine figures a triangle' }),
})

const step = z.number().positive().max(1000)
const voxels = z
  .strictObject({
    kind: z.literal('voxels'),
    nx: z.number().int().min(1).max(2000),
    ny: z.number().int().min(1).max(2000),
    nz: z.number().int().min(1).max(2000),
    /** Run lengths along x, then y, then z, empty first: 3 empty, 5 solid, 2 empty … */
    runs: z.array(z.number().int().min(0)).min(1).max(2_000_000),
    /** Cells that are no cubes: so large along x, y and z, mm, in place of the edge asked for. */
    stepMm: z.tuple([step, step, step]).optional(),
  })
  .superRefine(({ nx, ny, nz, runs }, context) => {
    const sum = runs.reduce((total, run) => total + run, 0)
    if (sum !== nx * ny * nz)
      context.addIssue({ code: 'custom', path: ['runs'], message: `the runs cover ${sum} cells, not ${nx * ny * nz}` })
  })

export const simpleShapeSchema = z.discriminatedUnion('kind', SIMPLE, {
  error:
    'a solid: box, plate, bar, tube, disc, ring, hollow-box, flanged-box, boss-on-plate, ribbed-cover, finned-cylinder, lug, elbow, slot, fillet or outline',
})
export type SimpleShape = z.output<typeof simpleShapeSchema>

const union = z.strictObject({
  kind: z.literal('union'),
  parts: z
    .array(
      z.strictObject({
        shape: simpleShapeSchema,
        atMm: placeSchema.default([0, 0, 0]),
        /** Turned before it is moved: what was up lies along x or across, y. */
        lies: z.enum(Object.keys(LIES) as [Lies, ...Lies[]]).default('up'),
        /** Cut out of what stands before it, instead of joined on. */
        cut: z.boolean().default(false),
      }),
    )
    .min(1)
    .max(60)
    .refine(parts => parts[0] && !parts[0].cut, {
      path: [0, 'cut'],
      error: 'the first piece is what the others are cut from',
    }),
})

export const shapeSchema = z.discriminatedUnion('kind', [...SIMPLE, mesh, voxels, union], {
  error:
    'a shape: box, plate, bar, tube, disc, ring, hollow-box, flanged-box, boss-on-plate, ribbed-cover, finned-cylinder, lug, elbow, slot, fillet, outline, mesh, voxels or union',
})
export type Shape = z.output<typeof shapeSchema>
