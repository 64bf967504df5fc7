import { z } from 'zod'
import { placeOf, readingOf, stored } from '../../quantity/stored'
import { LIES, type Lies } from '../forms'
import { FACES } from './faces.table'
import { MARK_KINDS } from './marks.table'
import { SOLIDS } from './solids.table'

const keys = <T extends object>(table: T) => Object.keys(table) as [keyof T & string, ...(keyof T & string)[]]
const id = z.string().min(1).max(64)
const coordinate = z.number().min(-5000).max(5000)
const flat = z.tuple([coordinate, coordinate])

/** A piece of the part as it is stored: its kind, its sizes as typed, where it stands. */
export const pieceSchema = z.object({
  id: id.default('piece'),
  kind: z.enum(keys(SOLIDS)),
  size: z.record(z.string().max(20), stored),
  at: placeOf(0, 0, 0),
  lies: z.enum(keys(LIES) as [Lies, ...Lies[]]).default('up'),
  /** Cut out of what stands before it. */
  cut: z.boolean().default(false),
  /** Of a traced outline: its edge and the holes in it, mm. */
  outline: z
    .object({
      edge: z.array(flat).min(3).max(2000),
      holes: z.array(z.array(flat).min(3).max(2000)).max(60).default([]),
    })
    .optional(),
})
export type StoredPiece = z.output<typeof pieceSchema>

/** A place on the part that the work goes by. */
export const markSchema = z.object({
  id,
  kind: z.enum(keys(MARK_KINDS)),
  name: z.string().max(60).default(''),
  /** Which mend it is the place of, by its id. */
  mend: z.string().max(64).default(''),
  face: z.enum(keys(FACES)).default('top'),
  at: placeOf(0, 0, 0),
  /** Where it goes on from there, mm: a crack as it was walked along. */
  path: z
    .array(z.tuple([coordinate, coordinate, coordinate]))
    .max(200)
    .default([]),
  /** Across a bore, a hole or a face. */
  acrossMm: readingOf('', null),
  /** How hot it runs there in service. */
  hotC: readingOf('', null),
})
export type StoredMark = z.output<typeof markSchema>

const cellsSchema = z
  .object({
    stepMm: z.tuple([z.number().positive(), z.number().positive(), z.number().positive()]),
    nx: z.number().int().min(1).max(2000),
    ny: z.number().int().min(1).max(2000),
    nz: z.number().int().min(1).max(2000),
    runs: z
      .string()
      .max(1_000_000)
      .regex(/^\d+( \d+)*$/),
  })
  .refine(({ nx, ny, nz, runs }) => runs.split(' ').reduce((sum, run) => sum + Number(run), 0) === nx * ny * nz, {
    error: 'the runs do not cover the cells',
  })

/** What a file of triangles measures, kept beside it so that its sums need no file. */
const meshSchema = z.object({
  file: z.string().max(64),
  name: z.string().max(120).default(''),
  volumeMm3: z.number().min(0).max(1e12).nullable().default(null),
  skinMm2: z.number().min(0).max(1e12).nullable().default(null),
  sizeMm: z.tuple([coordinate, coordinate, coordinate]).nullable().default(null),
  /** It cut into cells, for warming; its runs as figures with blanks between. */
  cells: cellsSchema.nullable().default(null),
})

/** The part as one solid, with what is marked on it. */
export const storedSolidSchema = z.object({
  pieces: z.array(pieceSchema).max(60).default([]),
  mesh: meshSchema.nullable().default(null),
  marks: z.array(markSchema).max(120).default([]),
})
export type StoredSolid = z.output<typeof storedSolidSchema>
