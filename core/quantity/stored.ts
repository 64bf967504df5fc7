import { z } from 'zod'

/** What was typed, and the value in the unit of its key; null where it was not understood or is empty. */
export const stored = z.object({ typed: z.string().max(60), value: z.number().min(-1e12).max(1e12).nullable() })
export type Stored = z.output<typeof stored>
/** A reading with what stands in it before anybody types. */
export const readingOf = (typed: string, value: number | null) => stored.default({ typed, value })
/** A length as a stored reading. */
export const mm = (value: number): Stored => ({
  typed: `${Math.round(value * 10) / 10} mm`,
  value: Math.round(value * 10) / 10,
})
/** A place that is known, as it is stored. */
export const storedPlace = ([x, y, z]: readonly [number, number, number]) => ({ x: mm(x), y: mm(y), z: mm(z) })
/** A place as three stored readings. */
export const placeOf = (x: number, y: number, z0: number) =>
  z.object({ x: stored, y: stored, z: stored }).default({ x: mm(x), y: mm(y), z: mm(z0) })
