import '../quantity/zod-config'
import { z } from 'zod'
import { DIAL_READINGS } from '../arc/balance'
import { MIG_MODES } from '../arc/mig'
import { readRanges } from '../arc/ranges'
import { BRUSH_SCHOOLS, CLAMP_SCHOOLS, PEEN_SCHOOLS, TUNGSTEN_SCHOOLS } from '../arc/schools.table'
import { WARM_SCHOOLS } from '../warm/schools.table'
import { EARLIER_POINTS, SAFETY_CRITICAL } from '../call/judge.table'
import { PROCESS_IDS, SOAKS } from '../call/process.table'
import { COLD } from '../fit/cold.table'
import { DRESSING } from '../face/finish.table'
import { SEALS } from '../flat/sealing.table'
import { ENDS } from '../groove/run'
import { heatSetupSchema } from '../heat/bench/setup.schema'
import { deviceSchema } from '../instrument/device/device.schema'
import { MOST_READINGS, READING_UNITS } from '../instrument/kinds.table'
import { SEEN } from '../metal/identify/tests.table'
import { mendSchema } from './mend.schema'
import { pictureSchema } from './picture.schema'
import { storedReading } from './reading.schema'
import { BOSS_METHODS } from '../thread/methods.table'
import { MOVES } from '../part/words.table'
import { storedSolidSchema } from '../solid/stored/stored.schema'
import { STATION_IDS } from './stations.table'
import { moment, name, text } from './text'
import { LANGUAGE_IDS } from '../words/languages.table'
import { CAUSES, COATINGS, COMEBACKS, MUST_NOT_MOVE, OPENING_WORKS, PROTECTS, SEEN_IN_PUDDLE } from './words.table'

export const JOB_VERSION = 3

const keys = <T extends object>(table: T) => Object.keys(table) as [keyof T & string, ...(keyof T & string)[]]
const coordinate = z.number().min(-1e5).max(1e5)
const id = z
  .string()
  .min(1)
  .max(64)
  .regex(/^[\w-]+$/, 'letters, figures, - and _ only')

const reading = (typed = '', value: number | null = null) => storedReading.default({ typed, value })

const money = z.number().min(0).max(1e7)

export const takeInSchema = z.strictObject({
  does: z.enum(['seal', 'static', 'cyclic']).nullable().default(null),
  moves: z.enum(keys(MOVES)).default('still'),
  soak: z.enum(SOAKS).nullable().default(null),
  earlierRepair: z.enum(keys(EARLIER_POINTS)).default('none'),
  coating: z.enum(keys(COATINGS)).default('none'),
  finishAfter: z.enum(keys(COATINGS)).default('none'),
  saltWater: z.boolean().default(false),
  safetyCritical: z.enum(SAFETY_CRITICAL).default('none'),
  cause: z.enum(keys(CAUSES)).default('unknown'),
  causeCure: text(),
  damage: text(),
  mustNotMove: z
    .array(z.enum(keys(MUST_NOT_MOVE)))
    .max(10)
    .default([]),
  protect: z
    .array(z.enum(keys(PROTECTS)))
    .max(20)
    .default([]),
  hotC: reading('40 °C', 40),
  lengthMm: reading(),
  widthMm: reading(),
  heightMm: reading(),
  wallMm: reading(),
  newPrice: money.nullable().default(null),
  newWeeks: z.number().min(0).max(520).nullable().default(null),
  /** When it is promised for. */
  dueAt: moment.nullable().default(null),
  /** A part that came back: the job it was mended in first, and why it came back. */
  comebackOf: z.string().max(64).nullable().default(null),
  comebackWhy: z.enum(keys(COMEBACKS)).nullable().default(null),
})

export const knowSchema = z.strictObject({
  markText: text(120),
  usePart: text(120),
  form: z.enum(SEEN.form).nullable().default(null),
  surface: z.enum(SEEN.surface).nullable().default(null),
  fracture: z.enum(SEEN.fracture).nullable().default(null),
  causticSpot: z.enum(SEEN.causticSpot).nullable().default(null),
  vinegar: z.enum(SEEN.vinegar).nullable().default(null),
  arcTest: z.enum(SEEN.arcTest).nullable().default(null),
  dryG: reading(),
  submergedG: reading(),
  hangerG: reading('0 g', 0),
  scaleG: reading('1 g', 1),
  iacsPct: reading(),
  hb: reading(),
  composition: text(600),
  alloy: text(40),
})

export const callSchema = z.strictObject({
  decision: z.enum(['mend', 'refer', 'decline']).nullable().default(null),
  filler: text(40),
  process: z.enum(PROCESS_IDS).nullable().default(null),
  access: z.enum(['open', 'tight']).default('open'),
  school: z.enum(['crack-first', 'magnesium-first']).default('crack-first'),
  dilutionPct: reading('30 %', 30),
  passes: z.number().int().min(1).max(6).default(1),
})

export const openSchema = z.strictObject({
  /** A crack, a fitted patch, a lost edge built up, a groove round a turned part, or none beside the mends. */
  work: z.enum(keys(OPENING_WORKS)).default('crack'),
  crackMm: reading(),
  startsIn: z.enum(ENDS).default('tip'),
  endsIn: z.enum(ENDS).default('tip'),
  patchWideMm: reading(),
  patchHighMm: reading(),
  patchCornerMm: reading('6 mm', 6),
  turnedMm: reading(),
  edgeLongMm: reading(),
  edgeWideMm: reading(),
  edgeHighMm: reading(),
  edgeProudMm: reading('1.5 mm', 1.5),
  /** A plate over a weak arm; left empty, none. */
  armWideMm: reading(),
  armHighMm: reading(),
  armLongMm: reading(),
  plateMm: reading(),
  plateSides: z.union([z.literal(1), z.literal(2)]).default(1),
  sides: z.union([z.literal(1), z.literal(2)]).default(1),
  closed: z.boolean().default(false),
  keepBreak: z.boolean().default(true),
  landMm: reading('2 mm', 2),
  includedDeg: reading('70 °', 70),
  rootRadiusMm: reading('2 mm', 2),
  capMm: reading('1.5 mm', 1.5),
  stopHoleMm: reading('3.2 mm', 3.2),
  pastTipMm: reading('4.8 mm', 4.8),
  fillerMm: reading('2.4 mm', 2.4),
  done: z.array(id).max(60).default([]),
})

export const warmSchema = z.strictObject({
  torch: text(64),
  /** How warming is decided where no temperature is said. */
  school: z.enum(keys(WARM_SCHOOLS)).default('decide'),
  /** Empty: decided by the school. */
  targetC: reading(),
  startC: reading('20 °C', 20),
  massG: reading(),
  /** Set-ups on the heat bench: one, or two side by side. */
  setups: z.array(heatSetupSchema).max(2).default([]),
})

export const logEntrySchema = z.strictObject({
  id,
  at: moment,
  pass: z.number().int().min(1).max(1000),
  saw: z.enum(keys(SEEN_IN_PUDDLE)),
  note: text(),
  settings: text(120),
  /** What the thermometer read at the press, where one was running. */
  temperatureC: z.number().min(-273).max(3000).optional(),
  /** A picture taken with it, by its id. */
  picture: z.string().max(64).optional(),
})
export type LogEntry = z.output<typeof logEntrySchema>

export const weldSchema = z.strictObject({
  machine: text(64),
  frequencySchool: z.enum(['low', 'middle', 'high']).default('middle'),
  enPct: reading('68 %', 68),
  frequencyHz: reading('100 Hz', 100),
  flowLMin: reading('7 L/min', 7),
  /** Average current as set by hand; empty, it is worked out. */
  currentA: reading(),
  /** Electrode-positive current of a machine that sets the halves apart; empty, both are the same. */
  epA: reading(),
  /** A balance number copied from another machine. */
  copiedDial: reading(),
  interpassC: reading(),
  clamp: z.enum(keys(CLAMP_SCHOOLS)).default('free'),
  peen: z.enum(keys(PEEN_SCHOOLS)).default('leave'),
  brush: z.enum(keys(BRUSH_SCHOOLS)).default('stainless'),
  tungsten: z.enum(keys(TUNGSTEN_SCHOOLS)).default('blunted'),
  migMode: z.enum(MIG_MODES).nullable().default(null),
  wireMm: reading('0.9 mm', 0.9),
  log: z.array(logEntrySchema).max(5000).default([]),
  passesDone: z.array(z.number().int().min(1).max(1000)).max(1000).default([]),
  /** What the pull bench foretold of what may not move, mm: kept to stand beside what is measured. */
  foretold: z
    .array(
      z.strictObject({
        id,
        name: name(80),
        mm: z.number().min(0).max(1000),
        /** Of a face: where on it, and how high it is foretold to lie there, mm. */
        points: z
          .array(z.tuple([z.number().min(-1e5).max(1e5), z.number().min(-1e5).max(1e5), z.number().min(-1e3).max(1e3)]))
          .max(100)
          .default([]),
      }),
    )
    .max(30)
    .default([]),
  /** When the arc burned, by the bench clock. */
  arcSpans: z
    .array(z.strictObject({ from: moment, to: moment }))
    .max(5000)
    .default([]),
})

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

export const rebuildSchema = z.strictObject({
  machined: z.boolean().default(true),
  proudMm: reading('1.5 mm', 1.5),
  faceWidthMm: reading(),
  dressed: z.boolean().default(false),
  /** A stripped thread, as people write it; empty where there is none. */
  thread: text(40),
  threadDeepMm: reading(),
  bossMm: reading(),
  torqueNm: reading(),
  beneathMm: reading(),
  way: z.enum(BOSS_METHODS).nullable().default(null),
  /** The slug: empty readings are worked out. */
  slugAlloy: text(40).default('6061'),
  slugMm: reading(),
  interferenceMm: reading(),
  clearanceMm: reading('0.02 mm', 0.02),
  cold: z.enum(keys(COLD)).default('freezer'),
  hubC: reading(),
  chamferMm: reading('2.5 mm', 2.5),
  facedMm: reading('0.5 mm', 0.5),
  listDone: z.array(id).max(60).default([]),
  holes: z
    .array(z.strictObject({ id, xMm: reading(), yMm: reading() }))
    .max(60)
    .default([]),
  holePlaces: z.number().int().min(3).max(120).nullable().default(null),
  face: z
    .strictObject({
      points: z
        .array(z.strictObject({ xMm: coordinate, yMm: coordinate, z: reading() }))
        .max(2000)
        .default([]),
      wideMm: reading(),
      longMm: reading(),
      thickMm: reading(),
      toMm: reading('0.05 mm', 0.05),
      seal: z.enum(keys(SEALS)).default('fibre'),
      school: z.enum(['flatten', 'bolt']).default('flatten'),
    })
    .prefault({}),
  bentMm: reading(),
  bentOverMm: reading(),
  dressing: z.enum(keys(DRESSING)).default('flush'),
})

export const checkResultSchema = z.strictObject({ result: z.enum(['pass', 'fail']), note: text(), at: moment })

export const proveSchema = z.strictObject({
  results: z.record(id, checkResultSchema).default({}),
  /** Dial readings evenly round a turn, the first at the mark. */
  runOut: z.array(reading()).max(360).default([]),
  runOutLimitMm: reading('0.05 mm', 0.05),
  /** What may not move, measured when it came in and again: bores, diameters, pivots, flatness. */
  compared: z
    .array(
      z.strictObject({ id, what: text(80), beforeMm: reading(), afterMm: reading(), limitMm: reading('0.1 mm', 0.1) }),
    )
    .max(40)
    .default([]),
  volumeL: reading(),
  startKPa: reading(),
  endKPa: reading(),
  leakS: reading('5 min', 300),
  startC: reading('20 °C', 20),
  endC: reading(),
  leakLimitSccm: reading('2', 2),
  radiusMm: reading(),
  addedG: reading(),
  atRadiusMm: reading(),
  balanceLimitGmm: reading(),
})

export const handOverSchema = z.strictObject({
  other: z
    .array(z.strictObject({ id, name: name(80), price: money }))
    .max(60)
    .default([]),
  actualMin: z.record(id, z.number().min(0).max(1e5)).default({}),
  /** What was really used up; null where nobody counted. */
  usedRods: z.number().min(0).max(1e5).nullable().default(null),
  usedGasL: z.number().min(0).max(1e7).nullable().default(null),
  /** How many parts alike are mended together. */
  alike: z.number().int().min(1).max(1000).default(1),
  notPerfect: text(1000),
  limits: text(1000),
  handedTo: text(120),
  handedAt: moment.nullable().default(null),
  /** The customer's own language, for the record; null, as the bench reads. */
  recordLanguage: z.enum(LANGUAGE_IDS).nullable().default(null),
})

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
  takeIn: takeInSchema.prefault({}),
  know: knowSchema.prefault({}),
  call: callSchema.prefault({}),
  open: openSchema.prefault({}),
  warm: warmSchema.prefault({}),
  weld: weldSchema.prefault({}),
  rebuild: rebuildSchema.prefault({}),
  prove: proveSchema.prefault({}),
  handOver: handOverSchema.prefault({}),
  /** The part as one solid, and what is marked on it. */
  shape: storedSolidSchema.prefault({}),
  /** Places being mended beside the opening: each of its own kind. */
  mends: z.array(mendSchema).max(40).default([]),
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
      z.strictObject({ at: moment, basis: z.record(z.string().max(80), z.string().max(200)) }),
    )
    .default({}),
})

export type Job = z.output<typeof jobSchema>

/** A shop takes no less and no more than this of what is planned; past it, something was noted wrong. */
export const [LEAST_RATIO, MOST_RATIO] = [0.05, 20]

/** A number with limits that say themselves in plain words. */
const between = (min: number, max: number) =>
  z
    .number({ error: 'a number' })
    .min(min, { error: `must be at least ${min}` })
    .max(max, { error: `must be at most ${max}` })

export const kitSchema = z.strictObject({
  shop: text(120),
  currency: z.string().min(1).max(6).default('£'),
  ratePerHour: money.default(45),
  pricePerKWh: money.default(0.3),
  machines: z
    .array(
      z.strictObject({
        id,
        name: name(80),
        process: z.enum(['ac-tig', 'mig-pulse', 'mig-spool']),
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
  trained: z
    .array(
      z.strictObject({
        id,
        lesson: z.string().min(1).max(40),
        at: moment,
        met: between(0, 20),
        of: between(1, 20),
        seconds: between(0, 600),
        wetted: between(0, 2000),
        dips: between(0, 2000),
        specks: between(0, 1e5),
        addedG: between(0, 1e4),
      }),
    )
    .max(300)
    .default([]),
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

/** A whole shop in one file. */
export const shopFileSchema = z.strictObject({
  kind: z.literal('wild-sparrow/shop'),
  version: z.literal(JOB_VERSION),
  exportedAt: moment,
  kit: kitSchema,
  jobs: z.array(jobSchema).max(MOST_JOBS),
})
export type ShopFile = z.output<typeof shopFileSchema>
