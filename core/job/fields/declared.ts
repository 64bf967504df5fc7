import '../../quantity/zod-config'
import { z } from 'zod'
import type { Field } from '../../field/field'
import type { Limits } from '../../quantity/schema'
import { KEY_UNITS, type UnitKey } from '../../quantity/units.table'
import { storedReading, type StoredReading } from '../reading.schema'
import { idText, moment, text } from '../text'

/** What becomes of a list when two benches' versions of a job are made one. */
export interface ListRule {
  /**
   * How an entry is told from the others: by what it names itself (`entry-key.ts`), or by its turn alone, where the
   * longer list goes on.
   */
  readonly knownBy: 'itself' | 'turn'
  /** Whether entries stand in the order of their time, or as they were put in. */
  readonly order: 'time' | 'as-put-in'
}

/**
 * One field of a stored job, declared once: what a file holds of it, what it is called and asked in, within what
 * limits, what it counts as while nothing is said, and how two versions of it are merged. The schema, the form, the
 * merge and the readings of a plan come from it.
 */
export interface Declared<S extends z.ZodType = z.ZodType, R = unknown> {
  readonly kind:
    | 'reading'
    | 'pick'
    | 'picks'
    | 'flag'
    | 'count'
    | 'text'
    | 'money'
    | 'moment'
    | 'group'
    | 'list'
    | 'map'
  readonly label: string
  /** What a file holds. */
  readonly schema: S
  /** What a plan takes it for. */
  resolve(held: z.output<S>): R
  readonly help?: string | undefined
  readonly unit?: UnitKey | undefined
  readonly limits?: Limits | undefined
  /** Of a reading, what it counts as where nothing is typed. */
  readonly usual?: number | undefined
  /** What may be picked, in words. */
  readonly words?: Readonly<Record<string, string>> | undefined
  /** Whether a pick can be taken back. */
  readonly clearable?: boolean | undefined
  readonly longest?: number | undefined
  /** Words over several lines; what follows an amount. */
  readonly long?: boolean | undefined
  readonly suffix?: string | undefined
  /** Fields of a group, or of an entry of a list. */
  readonly fields?: Fields | undefined
  readonly list?: ListRule | undefined
  /** Of a map, whether each of its keys is timed and merged by itself. */
  readonly each?: boolean | undefined
}
export type Fields = Readonly<Record<string, Declared>>

export type SchemaOf<F extends Fields> = z.ZodObject<{ [K in keyof F]: F[K]['schema'] }, z.core.$strict>
export type SaidOf<F extends Fields> = { readonly [K in keyof F]: ReturnType<F[K]['resolve']> }

/** A strict schema of what a file holds of these fields. */
export const schemaOf = <F extends Fields>(fields: F): SchemaOf<F> =>
  z.strictObject(Object.fromEntries(Object.entries(fields).map(([key, field]) => [key, field.schema]))) as SchemaOf<F>

/** What a plan takes these fields for: readings as figures, the usual where nothing is said. */
export const saidOf = <F extends Fields>(fields: F, held: z.output<SchemaOf<F>>): SaidOf<F> =>
  Object.fromEntries(
    Object.entries(fields).map(([key, field]) => [key, field.resolve((held as Record<string, unknown>)[key])]),
  ) as SaidOf<F>

interface Shown {
  help?: string | undefined
}
type Reading<U extends number | null> = Declared<z.ZodDefault<typeof storedReading>, U>
interface ReadingRules<U extends number | null> extends Limits, Shown {
  /** What it counts as where nothing is typed. */
  usual?: U
  /** How the usual is written into a new job, where that is not its figure and unit. */
  typed?: string
}

/** A quantity, kept as it was typed. */
export function reading<U extends number | null = null>(
  unit: UnitKey,
  label: string,
  { usual, typed, help, ...limits }: ReadingRules<U> = {},
): Reading<U> {
  const value = usual ?? null
  const written = typed ?? (value === null ? '' : `${value} ${KEY_UNITS[unit].symbol}`.trim())
  return {
    kind: 'reading',
    label,
    unit,
    limits,
    help,
    usual: value ?? undefined,
    schema: storedReading.default({ typed: written, value }),
    resolve: (held: StoredReading) => (held.value ?? value) as U,
  }
}

/** A quantity that is declared where a part or a mend is asked for it, as a job keeps it. */
export const sameAs = <U extends number | null = null>(
  field: Field<number> | Field<number | undefined>,
  { label = field.label, ...rules }: ReadingRules<U> & { label?: string } = {},
): Reading<U> => reading(field.unit!, label, { help: field.help, ...field.limits, ...rules })

type Words<T extends string> = Readonly<Record<T, string>>
const idsOf = <T extends string>(words: Words<T>) => Object.keys(words) as [T, ...T[]]

/** One of a few, one of them from the beginning. */
export const pick = <T extends string>(label: string, words: Words<T>, usual: NoInfer<T>, shown: Shown = {}) => {
  const schema = z.enum(idsOf(words)).default(usual as never)
  return { kind: 'pick', label, words, schema, resolve: (held: T) => held, ...shown } as unknown as Declared<
    z.ZodDefault<z.ZodEnum<{ [K in T]: K }>>,
    T
  >
}

type Opened<T extends string> = z.ZodDefault<z.ZodNullable<z.ZodEnum<{ [K in T]: K }>>>

/** One of a few that may be left open. */
export const maybePick = <T extends string>(label: string, words: Words<T>, shown: Shown = {}) => {
  const schema = z.enum(idsOf(words)).nullable().default(null)
  return {
    kind: 'pick',
    label,
    words,
    clearable: true,
    schema,
    resolve: (held: T | null) => held,
    ...shown,
  } as unknown as Declared<Opened<T>, T | null>
}

/** One of a few that is asked for, and counts as the usual until it is said. */
export const askedPick = <T extends string>(label: string, words: Words<T>, usual: NoInfer<T>, shown: Shown = {}) =>
  ({
    ...maybePick(label, words, shown),
    clearable: false,
    resolve: (held: T | null) => held ?? usual,
  }) as unknown as Declared<Opened<T>, T>

/** Several of a few; two benches' picks are kept together. */
export const picks = <T extends string>(label: string, words: Words<T>, most: number) => {
  const schema = z
    .array(z.enum(idsOf(words)))
    .max(most)
    .default([])
  return {
    kind: 'picks',
    label,
    words,
    schema,
    resolve: (held: T[]) => held,
    list: { knownBy: 'itself', order: 'as-put-in' },
  } as unknown as Declared<z.ZodDefault<z.ZodArray<z.ZodEnum<{ [K in T]: K }>>>, readonly T[]>
}

export const flag = (label: string, usual: boolean) => ({
  kind: 'flag' as const,
  label,
  schema: z.boolean().default(usual),
  resolve: (held: boolean) => held,
})

export const count = (label: string, least: number, most: number, usual: number) => ({
  kind: 'count' as const,
  label,
  schema: z.number().int().min(least).max(most).default(usual),
  resolve: (held: number) => held,
})

/** Words of a person; those that a merge overrules are kept beside. */
export const words = (label: string, longest = 400, shown: Shown & { usual?: string; long?: boolean } = {}) => ({
  kind: 'text' as const,
  label,
  longest,
  long: shown.long,
  help: shown.help,
  schema: shown.usual === undefined ? text(longest) : text(longest).default(shown.usual),
  resolve: (held: string) => held.trim() || (shown.usual ?? ''),
})

/** As much money as a job can mean. */
export const money = z.number().min(0).max(1e7)

/** An amount that may be left out. */
export const amount = (label: string, schema: z.ZodNumber, suffix?: string) => ({
  kind: 'money' as const,
  label,
  suffix,
  schema: schema.nullable().default(null),
  resolve: (held: number | null) => held,
})

export const when = (label: string) => ({
  kind: 'moment' as const,
  label,
  schema: moment.nullable().default(null),
  resolve: (held: string | null) => held,
})

/** Fields that are kept together. */
export const group = <F extends Fields>(label: string, fields: F) => ({
  kind: 'group' as const,
  label,
  fields,
  schema: schemaOf(fields).prefault({} as never),
  resolve: (held: z.output<SchemaOf<F>>) => saidOf(fields, held),
})

/** A list, with what becomes of it in a merge. */
export const list = <S extends z.ZodType>(label: string, most: number, entry: S, rule: ListRule, fields?: Fields) => ({
  kind: 'list' as const,
  label,
  fields,
  list: rule,
  schema: z.array(entry).max(most).default([]),
  resolve: (held: z.output<S>[]) => held as readonly z.output<S>[],
})

/** Something by name; `each` where every name of it is timed and merged by itself. */
export const map = <V extends z.ZodType>(label: string, value: V, each: boolean) => ({
  kind: 'map' as const,
  label,
  each,
  schema: z.record(idText, value).default({} as never),
  resolve: (held: Record<string, z.output<V>>) => held,
})

/** Steps of a list that are done, by their ids. */
export const done = (label: string) => list(label, 60, idText, { knownBy: 'itself', order: 'as-put-in' })
