import { ARC_IDS } from '../process/registry'
import '../quantity/zod-config'
import { z } from 'zod'
import { DIAL_READINGS } from '../arc/balance'
import { readRanges } from '../arc/ranges'
import { deviceSchema } from '../instrument/device/device.schema'
import { MOST_READINGS, READING_UNITS } from '../instrument/kinds.table'
import { storedSolidSchema } from '../solid/stored/stored.schema'
import { between } from './between'
import { money, schemaOf } from './fields/declared'
import { SECTIONS } from './fields/sections'
import { mendSchema } from './mend.schema'
import { MOST_MENDS } from './new-mend'
import { pictureSchema } from './picture.schema'
import { STATION_IDS } from './stations.table'
import { idText as id, moment, name, text } from './text'
import { MOST_TRAINED, trainedRunSchema } from './trained.schema'
import { JOB_VERSION } from './version'

/** One thing that a settled station rests on: a figure in its field's unit, an id, ids, or nothing said. */
export const basisValue = z.union([z.number(), z.boolean(), z.string().max(200), z.null()])
export type BasisValue = z.output<typeof basisValue>
export type Basis = Readonly<Record<string, BasisValue>>

/** A reading of an instrument that was kept, with its time. */
export const keptReadingSchema = z.strictObject({
  id,
  at: moment,
  instrument: name(60),
  channel: text(40),
  value: z.number().min(-1e9).max(1e9),
  unit: z.enum(READING_UNITS),
  note: text(120),
})
export type KeptReading = z.output<typeof keptReadingSchema>

export const acknowledgementSchema = z.strictObject({ code: id, name: name(80), at: moment })

/** The whole of one job, as it is stored and exported. */
export const jobSchema = z.strictObject({
  kind: z.literal('wild-sparrow/job'),
  version: z.literal(JOB_VERSION),
  id,
  title: name(120),
  customer: text(120),
  takenInAt: moment,
  updatedAt: moment,
  takeIn: schemaOf(SECTIONS.takeIn).prefault({}),
  know: schemaOf(SECTIONS.know).prefault({}),
  call: schemaOf(SECTIONS.call).prefault({}),
  open: schemaOf(SECTIONS.open).prefault({}),
  warm: schemaOf(SECTIONS.warm).prefault({}),
  weld: schemaOf(SECTIONS.weld).prefault({}),
  rebuild: schemaOf(SECTIONS.rebuild).prefault({}),
  prove: schemaOf(SECTIONS.prove).prefault({}),
  handOver: schemaOf(SECTIONS.handOver).prefault({}),
  /** The part as one solid, and what is marked on it. */
  shape: storedSolidSchema.prefault({}),
  /** Places being mended: each of its own kind. */
  // Three more than a hand can put on: a full job of version 3 may bring a crack, a thread and a bend of its own.
  mends: z
    .array(mendSchema)
    .max(MOST_MENDS + 3)
    .default([]),
  pictures: z.array(pictureSchema).max(60).default([]),
  readings: z.array(keptReadingSchema).max(MOST_READINGS).default([]),
  /** When each field was last changed, by the field's name: two benches' files are merged by it. */
  stamps: z.record(z.string().max(120), moment).default({}),
  /** Words that a merge overruled, kept beside. */
  overruled: z
    .array(z.strictObject({ field: z.string().max(120), words: z.string().max(1000) }))
    .max(400)
    .default([]),
  acknowledged: z.array(acknowledgementSchema).max(200).default([]),
  settled: z
    .partialRecord(
      z.enum(STATION_IDS),
      z.strictObject({ at: moment, basis: z.record(z.string().max(160), basisValue) }),
    )
    .default({}),
})

export type Job = z.output<typeof jobSchema>

/** A shop takes no less and no more than this of what is planned; past it, something was noted wrong. */
export const [LEAST_RATIO, MOST_RATIO] = [0.05, 20]

export const kitSchema = z.strictObject({
  shop: text(120),
  currency: z.string().min(1).max(6).default('£'),
  ratePerHour: money.default(45),
  /** Nobody has said yet what an hour costs. */
  rateAssumed: z.boolean().default(false),
  pricePerKWh: money.default(0.3),
  machines: z
    .array(
      z.strictObject({
        id,
        name: name(80),
        process: z.enum(ARC_IDS),
        lowA: between(0, 2000),
        highA: between(1, 2000),
        ratedA: between(1, 2000),
        ratedPct: between(1, 100),
        torchA: between(1, 2000),
        /** The mains it hangs on: volts and the breaker; empty, they are no limit. */
        supplyV: between(50, 1000).nullable().default(null),
        breakerA: between(1, 400).nullable().default(null),
        /** Its current ranges as they are written on it, such as 5-60, 40-200; empty, it has one. */
        ranges: text(80).refine(written => readRanges(written) !== null, {
          error: 'ranges are written like 5-60, 40-200',
        }),
        currentDial: z.enum(['amps', 'percent']).default('amps'),
        dialReads: z.enum(DIAL_READINGS),
        halves: z.enum(['together', 'apart']).default('together'),
        paid: money.nullable().default(null),
        lowHz: between(1, 1000).default(50),
        highHz: between(1, 1000).default(200),
      }),
    )
    .max(60)
    .default([]),
  /** Instruments with a wire or radio of their own, as their files describe them. */
  devices: z.array(deviceSchema).max(40).default([]),
  /** Lenses of this bench's cameras, learnt from pictures of the scale card; whatever the size, by its proportions. */
  lenses: z
    .array(
      z.strictObject({
        id,
        name: name(60),
        at: moment,
        wide: z.number().int().min(1).max(40_000),
        high: z.number().int().min(1).max(40_000),
        k1: z.number().min(-1).max(1),
        k2: z.number().min(-1).max(1),
        beforePx: z.number().min(0).max(1e4),
        afterPx: z.number().min(0).max(1e4),
      }),
    )
    .max(20)
    .default([]),
  /** Runs at the puddle trainer, the latest last: what came of each. */
  trained: z.array(trainedRunSchema).max(MOST_TRAINED).default([]),
  torches: z
    .array(
      z.strictObject({
        id,
        name: name(80),
        gas: z.string().max(60),
        powerW: between(1, 1e6),
        efficiencyPct: between(1, 100),
        /** What was learnt from thermometer readings, and when. */
        fitted: z
          .strictObject({
            at: moment,
            absorbedW: z.number().min(0),
            absorbedErrorW: z.number().min(0),
            filmWm2K: z.number().min(0),
            filmErrorWm2K: z.number().min(0),
          })
          .optional(),
      }),
    )
    .max(60)
    .default([]),
  rods: z
    .array(
      z.strictObject({
        id,
        filler: name(40),
        diameterMm: between(0.5, 10),
        lengthMm: between(10, 5000),
        price: money,
        /** The price is what is usual, not what this shop paid. */
        usualPrice: z.boolean().optional(),
        count: z.number().int().min(0).max(1e5),
      }),
    )
    .max(200)
    .default([]),
  /** Wire for the guns, a spool a row. */
  spools: z
    .array(
      z.strictObject({
        id,
        filler: name(40),
        diameterMm: between(0.5, 3),
        pricePerKg: money,
        usualPrice: z.boolean().optional(),
        leftKg: between(0, 1000),
      }),
    )
    .max(60)
    .default([]),
  gases: z
    .array(
      z.strictObject({
        id,
        name: name(80),
        cylinderL: between(1, 1e6),
        price: money,
        usualPrice: z.boolean().optional(),
        /** What is left in the one in use, L of gas; empty, it is taken for full. */
        leftL: between(0, 1e6).nullable().default(null),
      }),
    )
    .max(60)
    .default([]),
  /**
   * What the shop's own finished jobs have taught: time and material taken over planned, by phase, and from how many
   * jobs.
   */
  learnt: z
    .strictObject({
      at: moment,
      ratios: z.record(
        id,
        z.strictObject({
          ratio: between(LEAST_RATIO, MOST_RATIO),
          jobs: z.number().int().min(1),
          low: z.number().nullable(),
          high: z.number().nullable(),
        }),
      ),
      /** What came out over what was foretold, percentage points of chance, from how many jobs. */
      odds: z
        .strictObject({ points: z.number().min(-100).max(100), jobs: z.number().int().min(1) })
        .nullable()
        .default(null),
    })
    .nullable()
    .default(null),
  /** Drills there are, as written on the box: sizes, names, ranges; empty, all the standard ones. */
  drills: text(2000),
  /** Taps there are, and `M8 insert` for an insert's own; empty, nothing is said of them. */
  taps: text(2000),
  /** Where the bench stands, for the daylight; empty, it is not known. */
  latitudeDeg: between(-90, 90).nullable().default(null),
  longitudeDeg: between(-180, 180).nullable().default(null),
})
export type Kit = z.output<typeof kitSchema>

/** As many jobs as one file holds. */
export const MOST_JOBS = 20_000

const epochMs = z.number().int().min(0).max(8e15)
/** A clock that runs: it goes on where the shop's file is taken in. */
export const clockSchema = z.strictObject({
  id: z.string().regex(/^[\w-]{1,64}$/),
  name: z.string().min(1).max(200),
  jobId: z.string().max(64).nullable(),
  startedAt: epochMs,
  endsAt: epochMs,
  hushed: z.boolean().optional(),
  task: z.string().max(200).optional(),
})
export type RunningClock = z.output<typeof clockSchema>

/** A whole shop in one file. */
export const shopFileSchema = z.strictObject({
  kind: z.literal('wild-sparrow/shop'),
  version: z.literal(JOB_VERSION),
  exportedAt: moment,
  kit: kitSchema,
  /** Left out where none runs. */
  clocks: z.array(clockSchema).max(500).optional(),
  jobs: z.array(jobSchema).max(MOST_JOBS),
})
export type ShopFile = z.output<typeof shopFileSchema>
