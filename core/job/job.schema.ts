import { z } from 'zod'
import { DIAL_READINGS } from '../arc/balance'
import { EARLIER_POINTS, SAFETY_CRITICAL } from '../call/judge.table'
import { PROCESS_IDS, SOAKS } from '../call/process.table'
import { ENDS } from '../groove/run'
import { heatSetupSchema } from '../heat/bench/setup.schema'
import { SEEN } from '../metal/identify/tests.table'
import { pictureSchema } from './picture.schema'
import { STATION_IDS } from './stations.table'
import { CAUSES, COATINGS, MUST_NOT_MOVE, OPENING_WORKS, PROTECTS, SEEN_IN_PUDDLE } from './words.table'

export const JOB_VERSION = 1

const keys = <T extends object>(table: T) => Object.keys(table) as [keyof T & string, ...(keyof T & string)[]]
const text = (max = 400) => z.string().max(max).default('')
const id = z.string().min(1).max(64).regex(/^[\w-]+$/, 'letters, figures, - and _ only')
const moment = z.iso.datetime()

/** What was typed, and the value in the unit that the key's suffix names; null where it was not understood or is empty. */
export const readingSchema = z.object({ typed: z.string().max(60), value: z.number().min(-1e12).max(1e12).nullable() })
export type StoredReading = z.output<typeof readingSchema>
const reading = (typed = '', value: number | null = null) => readingSchema.default({ typed, value })

const money = z.number().min(0).max(1e7)

export const takeInSchema = z.object({
  does: z.enum(['seal', 'static', 'cyclic']).nullable().default(null),
  soak: z.enum(SOAKS).nullable().default(null),
  earlierRepair: z.enum(keys(EARLIER_POINTS)).default('none'),
  coating: z.enum(keys(COATINGS)).default('none'),
  finishAfter: z.enum(keys(COATINGS)).default('none'),
  saltWater: z.boolean().default(false),
  safetyCritical: z.enum(SAFETY_CRITICAL).default('none'),
  cause: z.enum(keys(CAUSES)).default('unknown'),
  causeCure: text(),
  damage: text(),
  mustNotMove: z.array(z.enum(keys(MUST_NOT_MOVE))).max(10).default([]),
  protect: z.array(z.enum(keys(PROTECTS))).max(20).default([]),
  hotC: reading('40 °C', 40),
  lengthMm: reading(), widthMm: reading(), heightMm: reading(), wallMm: reading(),
  newPrice: money.nullable().default(null),
  newWeeks: z.number().min(0).max(520).nullable().default(null),
})

export const knowSchema = z.object({
  markText: text(120),
  usePart: text(120),
  form: z.enum(SEEN.form).nullable().default(null),
  surface: z.enum(SEEN.surface).nullable().default(null),
  fracture: z.enum(SEEN.fracture).nullable().default(null),
  causticSpot: z.enum(SEEN.causticSpot).nullable().default(null),
  vinegar: z.enum(SEEN.vinegar).nullable().default(null),
  arcTest: z.enum(SEEN.arcTest).nullable().default(null),
  dryG: reading(), submergedG: reading(), hangerG: reading('0 g', 0), scaleG: reading('1 g', 1),
  iacsPct: reading(), hb: reading(),
  composition: text(600),
  alloy: text(40),
})

export const callSchema = z.object({
  decision: z.enum(['mend', 'refer', 'decline']).nullable().default(null),
  filler: text(40),
  process: z.enum(PROCESS_IDS).nullable().default(null),
  access: z.enum(['open', 'tight']).default('open'),
  school: z.enum(['crack-first', 'magnesium-first']).default('crack-first'),
  dilutionPct: reading('30 %', 30),
  passes: z.number().int().min(1).max(6).default(1),
})

export const openSchema = z.object({
  /** A crack, a fitted patch, a lost edge built up, or a groove round a turned part. */
  work: z.enum(keys(OPENING_WORKS)).default('crack'),
  crackMm: reading(),
  startsIn: z.enum(ENDS).default('tip'),
  endsIn: z.enum(ENDS).default('tip'),
  patchWideMm: reading(), patchHighMm: reading(), patchCornerMm: reading('6 mm', 6),
  turnedMm: reading(),
  edgeLongMm: reading(), edgeWideMm: reading(), edgeHighMm: reading(), edgeProudMm: reading('1.5 mm', 1.5),
  /** A plate over a weak arm; left empty, none. */
  armWideMm: reading(), armHighMm: reading(), armLongMm: reading(), plateMm: reading(), plateSides: z.union([z.literal(1), z.literal(2)]).default(1),
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

export const warmSchema = z.object({
  torch: text(64),
  targetC: reading('110 °C', 110),
  startC: reading('18 °C', 18),
  massG: reading(),
  /** Set-ups on the heat bench: one, or two side by side. */
  setups: z.array(heatSetupSchema).max(2).default([]),
})

export const logEntrySchema = z.object({ id, at: moment, pass: z.number().int().min(1).max(1000), saw: z.enum(keys(SEEN_IN_PUDDLE)), note: text(), settings: text(120) })
export type LogEntry = z.output<typeof logEntrySchema>

export const weldSchema = z.object({
  machine: text(64),
  frequencySchool: z.enum(['low', 'middle', 'high']).default('middle'),
  enPct: reading('68 %', 68),
  frequencyHz: reading('100 Hz', 100),
  flowLMin: reading('7 L/min', 7),
  log: z.array(logEntrySchema).max(5000).default([]),
  passesDone: z.array(z.number().int().min(1).max(1000)).max(1000).default([]),
})

export const rebuildSchema = z.object({
  machined: z.boolean().default(true),
  proudMm: reading('1.5 mm', 1.5),
  faceWidthMm: reading(),
  dressed: z.boolean().default(false),
  /** A stripped thread, as people write it; empty where there is none. */
  thread: text(40),
  threadDeepMm: reading(), bossMm: reading(), torqueNm: reading(),
})

export const checkResultSchema = z.object({ result: z.enum(['pass', 'fail']), note: text(), at: moment })

export const proveSchema = z.object({ results: z.record(id, checkResultSchema).default({}) })

export const handOverSchema = z.object({
  other: z.array(z.object({ name: z.string().trim().min(1).max(80), price: money })).max(60).default([]),
  actualMin: z.record(id, z.number().min(0).max(1e5)).default({}),
  notPerfect: text(1000),
  limits: text(1000),
  handedTo: text(120),
  handedAt: moment.nullable().default(null),
})

export const acknowledgementSchema = z.object({ code: id, name: z.string().trim().min(1).max(80), at: moment })

/** The whole of one job, as it is stored and exported. */
export const jobSchema = z.object({
  kind: z.literal('wild-sparrow/job'),
  version: z.literal(JOB_VERSION),
  id,
  title: z.string().trim().min(1).max(120),
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
  pictures: z.array(pictureSchema).max(60).default([]),
  acknowledged: z.array(acknowledgementSchema).max(200).default([]),
  settled: z.partialRecord(z.enum(STATION_IDS), z.object({ at: moment, basis: z.record(z.string().max(80), z.string().max(200)) })).default({}),
})

export type Job = z.output<typeof jobSchema>

/** A number with limits that say themselves in plain words. */
const between = (min: number, max: number) => z.number({ error: 'a number' }).min(min, { error: `must be at least ${min}` }).max(max, { error: `must be at most ${max}` })

export const kitSchema = z.object({
  shop: text(120),
  currency: z.string().min(1).max(6).default('£'),
  ratePerHour: money.default(45),
  pricePerKWh: money.default(0.3),
  machines: z.array(z.object({
    id, name: z.string().trim().min(1).max(80), process: z.enum(['ac-tig', 'mig-pulse', 'mig-spool']),
    lowA: between(0, 2000), highA: between(1, 2000),
    ratedA: between(1, 2000), ratedPct: between(1, 100), torchA: between(1, 2000),
    dialReads: z.enum(DIAL_READINGS), lowHz: between(1, 1000).default(50), highHz: between(1, 1000).default(200),
  })).max(60).default([]),
  torches: z.array(z.object({
    id, name: z.string().trim().min(1).max(80), gas: z.string().max(60), powerW: between(1, 1e6), efficiencyPct: between(1, 100),
    /** What was learnt from thermometer readings, and when. */
    fitted: z.object({ at: moment, absorbedW: z.number().min(0), absorbedErrorW: z.number().min(0), filmWm2K: z.number().min(0), filmErrorWm2K: z.number().min(0) }).optional(),
  })).max(60).default([]),
  rods: z.array(z.object({
    id, filler: z.string().trim().min(1).max(40), diameterMm: between(0.5, 10), lengthMm: between(10, 5000), price: money, count: z.number().int().min(0).max(1e5),
  })).max(200).default([]),
  gases: z.array(z.object({ id, name: z.string().trim().min(1).max(80), cylinderL: between(1, 1e6), price: money })).max(60).default([]),
})
export type Kit = z.output<typeof kitSchema>

/** A whole shop in one file. */
export const shopFileSchema = z.object({
  kind: z.literal('wild-sparrow/shop'),
  version: z.literal(JOB_VERSION),
  exportedAt: moment,
  kit: kitSchema,
  jobs: z.array(jobSchema).max(20000),
})
export type ShopFile = z.output<typeof shopFileSchema>
