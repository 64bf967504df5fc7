import { z } from 'zod'
import { quantity, type Limits } from '../quantity/schema'
import type { UnitKey } from '../quantity/units.table'

/**
 * One field, declared once: what it is called, what it holds and within what limits, and what it is taken for where
 * nobody has said.
 * Schema, form, usual value, merge and reading list come from it.
 */
export interface Field<T = unknown> {
  readonly kind: 'reading' | 'choice' | 'choices' | 'flag' | 'count' | 'text' | 'outline' | 'names'
  readonly label: string
  readonly unit?: UnitKey
  /** What may be picked, in words. */
  readonly words?: Readonly<Record<string, string>>
  readonly help?: string
  /** What it is taken for where nobody has said; undefined where nothing is. */
  readonly usual: T
  /** Whether a mend of its kind cannot be planned without it. */
  readonly required: boolean
  /** The field that may be said in its place. */
  readonly unless?: string
  readonly limits?: Limits
  /** The way of mending that it is asked for; left out where it is asked whatever way is taken. */
  readonly ofWay?: string
  /** Asked where the mend is rebuilt, or only by those who look for it; left out where it is asked as it is opened. */
  readonly at?: 'rebuild' | 'more'
  /** The flag beside it that must stand so for it to be asked at all. */
  readonly when?: readonly [flag: string, is: boolean]
  /** What a question takes for it. */
  readonly schema: z.ZodType<T, unknown>
}
export type Fields = Readonly<Record<string, Field>>
/** What fields hold once resolved: what was said, else the usual. */
export type ValuesOf<F extends Fields> = { readonly [K in keyof F]: F[K] extends Field<infer T> ? T : never }

interface Said {
  readonly help?: string
}
const optional = <T>(schema: z.ZodType<T, unknown>) => schema.optional() as unknown as z.ZodType<T | undefined, unknown>

/** A quantity that a plan can't do without. */
export const needed = (unit: UnitKey, label: string, limits: Limits & Said = {}): Field<number> => ({
  kind: 'reading',
  label,
  unit,
  usual: undefined as unknown as number,
  required: true,
  limits: { above: 0, ...limits },
  schema: quantity(unit, { above: 0, ...limits }),
  ...(limits.help ? { help: limits.help } : {}),
})

/** The same where none of it is a quantity too. */
export const neededFrom0 = (unit: UnitKey, label: string, limits: Limits & Said = {}): Field<number> => ({
  ...needed(unit, label, limits),
  limits: { min: 0, ...limits },
  schema: quantity(unit, { min: 0, ...limits }),
})

/** A quantity with a usual value. */
export const usually = (unit: UnitKey, label: string, usual: number, limits: Limits & Said = {}): Field<number> => ({
  kind: 'reading',
  label,
  unit,
  usual,
  required: false,
  limits,
  schema: quantity(unit, limits).default(usual) as unknown as z.ZodType<number, unknown>,
  ...(limits.help ? { help: limits.help } : {}),
})

/** A quantity that may be left out, and then counts for nothing or is worked out. */
export const maybe = (unit: UnitKey, label: string, limits: Limits & Said = {}): Field<number | undefined> => ({
  kind: 'reading',
  label,
  unit,
  usual: undefined,
  required: false,
  limits,
  schema: optional(quantity(unit, limits)),
  ...(limits.help ? { help: limits.help } : {}),
})

const idsOf = <T extends string>(words: Readonly<Record<T, string>>) => Object.keys(words) as [T, ...T[]]
const oneOf = <T extends string>(words: Readonly<Record<T, string>>) =>
  z.enum(idsOf(words), { error: `one of ${idsOf(words).join(', ')}` })

/** One of a few, with the one that is usual. */
export const choice = <T extends string>(
  label: string,
  words: Readonly<Record<T, string>>,
  usual: NoInfer<T>,
  said: Said = {},
): Field<T> => ({
  kind: 'choice',
  label,
  words,
  usual,
  required: false,
  schema: oneOf(words).default(usual as never) as unknown as z.ZodType<T, unknown>,
  ...said,
})

/** One of a few that must be said. */
export const neededChoice = <T extends string>(label: string, words: Readonly<Record<T, string>>): Field<T> => ({
  kind: 'choice',
  label,
  words,
  usual: undefined as unknown as T,
  required: true,
  schema: oneOf(words) as unknown as z.ZodType<T, unknown>,
})

/** One of a few that may be left to the plan. */
export const maybeChoice = <T extends string>(
  label: string,
  words: Readonly<Record<T, string>>,
  said: Pick<Said, 'help'> = {},
): Field<T | undefined> => ({
  kind: 'choice',
  label,
  words,
  usual: undefined,
  required: false,
  schema: optional(oneOf(words) as unknown as z.ZodType<T, unknown>),
  ...said,
})

/** One or several of a few; a question takes one by itself or a list. */
export const choices = <T extends string>(
  label: string,
  words: Readonly<Record<T, string>>,
  usual: readonly NoInfer<T>[],
): Field<readonly T[]> => ({
  kind: 'choices',
  label,
  words,
  usual,
  required: false,
  schema: z
    .union([oneOf(words).transform(one => [one]), z.array(oneOf(words)).min(1).max(idsOf(words).length)], {
      error: `one of ${idsOf(words).join(', ')}`,
    })
    .default([...usual] as never) as unknown as z.ZodType<readonly T[], unknown>,
})

export const flag = (label: string, usual: boolean): Field<boolean> => ({
  kind: 'flag',
  label,
  usual,
  required: false,
  schema: z.boolean({ error: 'true or false' }).default(usual) as unknown as z.ZodType<boolean, unknown>,
})

/** 1 or 2: sides, faces. */
export const sides = (label: string, usual: 1 | 2): Field<1 | 2> => ({
  kind: 'count',
  label,
  words: { 1: 'one', 2: 'both' },
  usual,
  required: false,
  schema: z.union([z.literal(1), z.literal(2)], { error: '1 or 2' }).default(usual) as unknown as z.ZodType<
    1 | 2,
    unknown
  >,
})

/** 1 or 2, which may be left to the plan. */
export const maybeSides = (label: string, help: string): Field<1 | 2 | undefined> => ({
  kind: 'count',
  label,
  words: { 1: 'one', 2: 'both' },
  usual: undefined,
  required: false,
  help,
  schema: optional(z.union([z.literal(1), z.literal(2)], { error: '1 or 2' })),
})

/** How many, 1 at least. */
export const many = (label: string, usual: number, most: number): Field<number> => ({
  kind: 'count',
  label,
  usual,
  required: false,
  limits: { min: 1, max: most },
  schema: z.number().int().min(1).max(most).default(usual) as unknown as z.ZodType<number, unknown>,
})

/** A name that must be said, such as a thread's designation. */
export const neededText = <T>(label: string, schema: z.ZodType<T, unknown>): Field<T> => ({
  kind: 'text',
  label,
  usual: undefined as unknown as T,
  required: true,
  schema,
})

/** A name with a usual one. */
export const usualText = <T>(
  label: string,
  schema: z.ZodType<T, string>,
  usual: string,
  said: Said = {},
): Field<T> => ({
  kind: 'text',
  label,
  usual: usual as unknown as T,
  required: false,
  schema: schema.prefault(usual),
  ...said,
})

/** Fields that are asked only where a mend goes one way. */
export const asked = <F extends Fields>(ofWay: string, fields: F): F =>
  Object.fromEntries(Object.entries(fields).map(([key, field]) => [key, { ...field, ofWay }])) as F

/** Fields that are asked where a mend is rebuilt. */
export const atRebuild = <F extends Fields>(fields: F): F =>
  Object.fromEntries(Object.entries(fields).map(([key, field]) => [key, { ...field, at: 'rebuild' }])) as F

/** Fields that few mends want: asked where one looks for them. */
export const onDemand = <F extends Fields>(fields: F): F =>
  Object.fromEntries(Object.entries(fields).map(([key, field]) => [key, { ...field, at: 'more' }])) as F

/** Fields that are asked only while a flag beside them stands so. */
export const onlyWhen = <F extends Fields>(flagged: string, is: boolean, fields: F): F =>
  Object.fromEntries(
    Object.entries(fields).map(([key, field]) => [key, { ...field, when: [flagged, is] as const }]),
  ) as unknown as F

/** The shape of an object schema that holds these fields. */
export const shapeOf = <F extends Fields>(fields: F): { [K in keyof F]: F[K]['schema'] } =>
  Object.fromEntries(Object.entries(fields).map(([key, field]) => [key, field.schema])) as {
    [K in keyof F]: F[K]['schema']
  }

/** A quantity that a plan can't do without, unless another field is said in its place. */
export const neededUnless = (
  other: string,
  unit: UnitKey,
  label: string,
  limits: Limits & Said = {},
): Field<number | undefined> => ({ ...maybe(unit, label, { above: 0, ...limits }), required: true, unless: other })

/** Names that somebody gave, such as other mends. */
export const namesGiven = (
  label: string,
  words?: Readonly<Record<string, string>>,
  said: Said = {},
): Field<readonly string[]> => ({
  kind: words ? 'choices' : 'names',
  label,
  ...(words ? { words } : {}),
  usual: [],
  required: false,
  schema: z.array(z.string().min(1).max(64)).max(60).default([]) as unknown as z.ZodType<readonly string[], unknown>,
  ...said,
})

/** Corners of an outline, mm. */
export type Outline = readonly (readonly [xMm: number, yMm: number])[]
const reach = quantity('mm', { min: -1000, max: 1000 })
const corner = z.tuple([reach, reach], { error: 'two lengths: across and up' })
const FEWEST_CORNERS = 3

/** An outline by its corners: pairs, or the same as text such as `0 0, 40 0, 20 30`. */
export const outline = (label: string, said: Said = {}): Field<Outline | undefined> => ({
  kind: 'outline',
  label,
  usual: undefined,
  required: false,
  schema: optional(
    z
      .union([
        z.array(corner),
        z
          .string()
          .transform(text =>
            text
              .split(/[,;]\s+|\n/)
              .filter(pair => pair.trim())
              .map(pair => pair.trim().split(/\s+/)),
          )
          .pipe(z.array(corner) as unknown as z.ZodType<Outline, string[][]>),
      ])
      .refine(corners => corners.length >= FEWEST_CORNERS, { error: 'three corners at least' }) as unknown as z.ZodType<
      Outline,
      unknown
    >,
  ),
  ...said,
})
