import type { z } from 'zod'
import { fields as partFields } from '../part/fields'
import { kindOf, wrongTogether } from '../mend/registry'
import { alloyName } from '../metal/find-alloy'
import { outside, quantity, type Limits } from '../quantity/schema'
import type { Field } from '../field/field'
import type { UnitKey } from '../quantity/units.table'
import type { JobGiven } from '../job-plan/job-given'
import {
  AS_SAID,
  BY_NAME,
  BY_UNIT,
  CALIPER,
  CALIPER_TO_MM,
  LOOK_MIN,
  METAL_MIN,
  OVER_ALL,
  RULE,
  type HowMeasured,
} from './how-measured.table'

/** One thing that was said of a part or a mend, and what a job would be with another value of it. */
export interface Reading {
  /** As in a report of bad input, such as `mends[0].lengthMm`. */
  path: string
  now: unknown
  /** What it is in; null of what is no quantity. */
  unit: UnitKey | null
  /** How it is usually measured. */
  usual: HowMeasured
  /** A value as it is said, read as the question itself reads it. */
  read(said: unknown): { ok: true; value: unknown } | { ok: false; message: string }
  /** The nearest value that its limits allow. */
  within(value: number): number
  /** A job with another value there. */
  moved(job: JobGiven, value: unknown): JobGiven
}

type Schema = z.ZodType<unknown, unknown>
const readBy =
  (schema: Schema): Reading['read'] =>
  said => {
    const parsed = schema.safeParse(said)
    return parsed.success
      ? { ok: true, value: parsed.data }
      : { ok: false, message: parsed.error.issues[0]?.message ?? 'is not understood' }
  }

/** Never nearer to a limit that it may not reach than this share of what it is now. */
const ABOVE_SHARE = 0.01
function withinOf(limits: Limits | undefined, now: unknown): Reading['within'] {
  const least =
    limits?.above === undefined
      ? (limits?.min ?? -Infinity)
      : limits.above + ABOVE_SHARE * Math.max(1e-6, Math.abs(Number(now) - limits.above))
  return value => Math.min(limits?.max ?? Infinity, Math.max(least, value))
}

/** How a quantity is measured where nobody says, by its name, its unit and its size. */
function usualOf(key: string, unit: UnitKey | null, now: unknown, ofPart: boolean): HowMeasured {
  if (unit === null) return AS_SAID
  const named = (ofPart ? OVER_ALL[key] : undefined) ?? BY_NAME[key]
  if (named) return named
  if (unit === 'mm') return Math.abs(Number(now)) > CALIPER_TO_MM ? RULE : CALIPER
  return BY_UNIT[unit] ?? AS_SAID
}

/** What stands in a declared field of the part or of a mend. */
function declared(
  path: string,
  key: string,
  field: Field,
  now: unknown,
  ofPart: boolean,
  moved: Reading['moved'],
): Reading {
  const unit = field.kind === 'reading' ? (field.unit ?? null) : null
  return {
    path,
    now,
    unit,
    usual: unit ? usualOf(key, unit, now, ofPart) : { ...AS_SAID, minutes: LOOK_MIN },
    read: readBy(field.schema),
    within: withinOf(field.limits, now),
    moved,
  }
}

const WALL: Limits = { above: 0, max: 500 }
const LIMIT: Limits = { min: -60, max: 500 }

/** The reading of a job at a path; null where nothing of that name is declared. */
export function readingAt(job: JobGiven, path: string): Reading | null {
  const { part, mends } = job
  const ofMend = /^mends\[(\d+)\]\.(\w+)$/.exec(path)
  if (ofMend) {
    const [n, key] = [Number(ofMend[1]), ofMend[2]!]
    const mend = mends[n]
    const field = mend && kindOf(mend.kind).fields[key]
    if (!mend || !field) return null
    return declared(path, key, field, mend.values[key], false, (to, value) => ({
      ...to,
      mends: to.mends.map((one, m) => (m === n ? { ...one, values: { ...one.values, [key]: value } } : one)),
    }))
  }
  const ofBody = /^part\.bodies\[(\d+)\]\.(wallMm|alloy)$/.exec(path)
  if (ofBody) {
    const [n, key] = [Number(ofBody[1]), ofBody[2]!]
    const body = part.bodies[n]
    if (!body) return null
    const withBody = (to: JobGiven, changed: object): JobGiven => ({
      ...to,
      part: { ...to.part, bodies: to.part.bodies.map((one, m) => (m === n ? { ...one, ...changed } : one)) },
    })
    if (key === 'alloy')
      return {
        path,
        now: body.alloy?.name ?? null,
        unit: null,
        usual: { ...AS_SAID, minutes: METAL_MIN },
        read: readBy(alloyName),
        within: value => value,
        // A metal that is named is what it is, whatever was likely before.
        moved: (to, alloy) => withBody(to, { alloy, evidence: undefined, families: undefined }),
      }
    return {
      path,
      now: body.wallMm,
      unit: 'mm',
      usual: BY_NAME.wallMm!,
      read: readBy(quantity('mm', WALL)),
      within: withinOf(WALL, body.wallMm),
      moved: (to, wallMm) => withBody(to, { wallMm }),
    }
  }
  const ofKept = /^part\.keptOn\[(\d+)\]\.limitC$/.exec(path)
  if (ofKept) {
    const n = Number(ofKept[1])
    const kept = part.keptOn[n]
    if (!kept) return null
    return {
      path,
      now: kept.limitC,
      unit: 'c',
      usual: BY_UNIT.c!,
      read: readBy(quantity('c', LIMIT)),
      within: withinOf(LIMIT, kept.limitC),
      moved: (to, limitC) => ({
        ...to,
        part: {
          ...to.part,
          keptOn: to.part.keptOn.map((one, m) => (m === n ? { ...one, limitC: limitC as number } : one)),
        },
      }),
    }
  }
  const key = /^part\.(\w+)$/.exec(path)?.[1]
  if (key === 'newPrice') {
    const limits: Limits = { min: 0, max: 1e7 }
    return {
      path,
      now: part.newPrice,
      unit: 'number',
      usual: AS_SAID,
      read: readBy(quantity('number', limits)),
      within: withinOf(limits, part.newPrice),
      moved: (to, newPrice) => ({ ...to, part: { ...to.part, newPrice: newPrice as number } }),
    }
  }
  const field = key && Object.hasOwn(partFields, key) ? (partFields as Readonly<Record<string, Field>>)[key] : undefined
  if (!key || !field) return null
  return declared(path, key, field, (part as unknown as Record<string, unknown>)[key], true, (to, value) => ({
    ...to,
    part: { ...to.part, [key]: value },
  }))
}

/** Every path of a job at which a number can stand. */
export function numberPaths({ part, mends }: JobGiven): string[] {
  const readings = (fields: Readonly<Record<string, Field>>) =>
    Object.entries(fields).flatMap(([key, field]) => (field.kind === 'reading' ? [key] : []))
  return [
    ...readings(partFields).map(key => `part.${key}`),
    'part.newPrice',
    ...part.bodies.map((_, n) => `part.bodies[${n}].wallMm`),
    ...part.keptOn.map((_, n) => `part.keptOn[${n}].limitC`),
    ...mends.flatMap(({ kind }, n) => readings(kindOf(kind).fields).map(key => `mends[${n}].${key}`)),
  ]
}

/** Whether the readings of a job's mends go together: a drawn one may not be a mend at all. */
export const goTogether = ({ mends }: JobGiven): boolean =>
  mends.every(({ kind, values }) => wrongTogether(kindOf(kind), values).length === 0)

/** What is wrong with a spread said in a reading's own unit; null where nothing is. */
export const spreadTrouble = (unit: UnitKey, value: number): string | null => outside(value, unit, { min: 0 })
