import { z } from 'zod'
import type { JobGiven } from '../../job-plan/job-given'
import { numberPaths, readingAt, spreadTrouble } from '../../matters/readings'
import { normalOf, usualSpread, type Sure, type Unsure } from '../../matters/spread'
import { read } from '../../quantity/read'

/** How sure one reading is, as a question takes it. */
export const sureSchema = z
  .strictObject({
    path: z.string().min(1).max(120),
    plusMinus: z.union([z.number().min(0), z.string().max(60)]).optional(),
    pct: z.number().min(0).max(1000).optional(),
    oneOf: z
      .array(z.strictObject({ value: z.unknown(), pct: z.number().min(0).max(100) }))
      .min(1)
      .max(40)
      .refine(list => list.some(({ pct }) => pct > 0), { error: 'one of them must be likelier than not at all' })
      .optional(),
  })
  .refine(({ plusMinus, pct, oneOf }) => [plusMinus, pct, oneOf].filter(one => one !== undefined).length === 1, {
    error: 'one of plusMinus, pct and oneOf',
  })
export type SureGiven = z.output<typeof sureSchema>

type Issue = { path: (string | number)[]; message: string }
const refused = (n: number, key: string, message: string): Issue => ({ path: ['sure', n, key], message })

/** The spread that was said of a reading, or what is wrong with it. */
function saidOf(given: SureGiven, n: number, job: JobGiven): { unsure: Unsure } | Issue {
  const reading = readingAt(job, given.path)
  if (!reading) return refused(n, 'path', `nothing is declared at ${given.path}`)
  const with_ = (sure: Sure) => ({ unsure: { reading, sure, minutes: reading.usual.minutes } })
  if (given.oneOf) {
    const values: { value: unknown; share: number }[] = []
    const all = given.oneOf.reduce((sum, { pct }) => sum + pct, 0)
    for (const [m, { value, pct }] of given.oneOf.entries()) {
      const found = reading.read(value)
      if (!found.ok) return { path: ['sure', n, 'oneOf', m, 'value'], message: found.message }
      values.push({ value: found.value, share: pct / all })
    }
    return with_({ kind: 'one-of', values })
  }
  const key = given.pct === undefined ? 'plusMinus' : 'pct'
  if (reading.unit === null) return refused(n, key, `${given.path} is no quantity: give oneOf`)
  if (typeof reading.now !== 'number') return refused(n, key, `${given.path} holds nothing yet: give oneOf`)
  if (given.pct !== undefined) return with_(normalOf((given.pct / 100) * Math.abs(reading.now)))
  const { plusMinus = 0 } = given
  const said = typeof plusMinus === 'number' ? { ok: true as const, value: plusMinus } : read(plusMinus, reading.unit)
  if (!said.ok) return refused(n, key, said.message)
  const trouble = spreadTrouble(reading.unit, said.value)
  return trouble ? refused(n, key, trouble) : with_(normalOf(said.value))
}

/** Whether something was said at a path of what was asked. */
export function standsAt(asked: unknown, path: string): boolean {
  const found = path
    .split(/[.[\]]+/)
    .filter(Boolean)
    .reduce<unknown>(
      (node, key) => (typeof node === 'object' && node !== null ? (node as Record<string, unknown>)[key] : undefined),
      asked,
    )
  return found !== undefined && found !== null
}

/** What was said of how sure readings are, or what is wrong with it. */
export function saidSure(job: JobGiven, sure: readonly SureGiven[]): { said: Unsure[]; issues: Issue[] } {
  const issues: Issue[] = []
  const said = new Map<string, Unsure>()
  for (const [n, given] of sure.entries()) {
    const found = saidOf(given, n, job)
    if (!('unsure' in found)) issues.push(found)
    else if (said.has(given.path)) issues.push(refused(n, 'path', `${given.path} is said twice`))
    else said.set(given.path, found.unsure)
  }
  return { said: [...said.values()], issues }
}

/** Every reading of a job with how sure it is: those that somebody said it of, then the numbers that stand in it. */
export function unsureOf(job: JobGiven, stands: (path: string) => boolean, said: readonly Unsure[]): Unsure[] {
  const known = new Set(said.map(({ reading }) => reading.path))
  const standing = numberPaths(job).flatMap((path): Unsure[] => {
    if (known.has(path) || !stands(path)) return []
    const reading = readingAt(job, path)
    return reading && typeof reading.now === 'number'
      ? [{ reading, sure: usualSpread(reading), minutes: reading.usual.minutes }]
      : []
  })
  return [...said, ...standing]
}
