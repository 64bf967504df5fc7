import { z } from 'zod'
import { PLACE_KINDS } from './places.table'
import { FACES } from '../../solid/stored/faces.table'
import { placeOf as place, readingOf as reading } from '../../quantity/stored'
import { pieceSchema } from '../../solid/stored/stored.schema'
import { STANDS } from './stands.table'

const keys = <T extends object>(table: T) => Object.keys(table) as [keyof T & string, ...(keyof T & string)[]]

const far = z.number().min(-5000).max(5000)

export const HEAT_KINDS = {
  held: 'torch held',
  walked: 'torch walked round',
  swept: 'torch swept along a line',
  air: 'hot air',
  oven: 'oven',
  arc: 'arc along a line',
} as const

/** Ways of heating that take a torch of the kit. */
export const TORCHED: ReadonlySet<keyof typeof HEAT_KINDS> = new Set(['held', 'walked', 'swept'])

/** One set-up on the heat bench, as it is stored in a job. */
export const heatSetupSchema = z.object({
  /** A shape of its own for this set-up alone; none, the part's. */
  parts: z.array(pieceSchema).max(60).default([]),
  /** A file of triangles of its own. */
  mesh: z.string().max(64).nullable().default(null),
  cellMm: reading('3 mm', 3),
  heat: z
    .object({
      kind: z.enum(keys(HEAT_KINDS)).default('held'),
      torch: z.string().max(64).default(''),
      /** Turned down to. */
      sharePct: reading('100 %', 100),
      face: z.enum(keys(FACES)).default('top'),
      at: place(0, 0, 0),
      radiusMm: reading('15 mm', 15),
      ringMm: reading('30 mm', 30),
      turnS: reading('20 s', 20),
      airC: reading('450 °C', 450),
      ovenC: reading('120 °C', 120),
      arcW: reading('1500 W', 1500),
      to: place(0, 0, 0),
      /** Places between the two, where a swept flame follows a mark's line. */
      via: z
        .array(z.tuple([far, far, far]))
        .max(200)
        .default([]),
      speedMmS: reading('2 mm/s', 2),
    })
    .prefault({}),
  onS: reading('5 min', 300),
  afterS: reading('10 min', 600),
  stand: z.enum(keys(STANDS)).default('bench'),
  lid: z.boolean().default(false),
  places: z
    .array(
      z.object({
        id: z.string().min(1).max(64),
        kind: z.enum(keys(PLACE_KINDS)),
        name: z.string().max(60).default(''),
        at: place(0, 0, 0),
        limitC: reading('', null),
      }),
    )
    .max(12)
    .default([]),
})
export type HeatSetup = z.output<typeof heatSetupSchema>
export type HeatPlace = HeatSetup['places'][number]
