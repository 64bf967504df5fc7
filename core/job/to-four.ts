import { kept, MENDS, mendsBasis } from './basis'
import { isPlain } from './entry-key'
import { machineStep } from './mend-steps'
import type { StoredMend } from './mend.schema'
import { newMend } from './new-mend'
import type { StoredReading } from './reading.schema'

type Plain = Record<string, unknown>

/** Readings of a thread that stood at Rebuild, and what its mend calls them. */
const THREAD = {
  thread: 'thread',
  threadDeepMm: 'deepMm',
  bossMm: 'bossMm',
  torqueNm: 'torqueNm',
  beneathMm: 'beneathMm',
  way: 'way',
} as const
/** Of its slug; the same there and here. */
const SLUG = ['slugAlloy', 'slugMm', 'interferenceMm', 'clearanceMm', 'cold', 'hubC', 'chamferMm', 'facedMm'] as const
const BEND = { bentMm: 'bentMm', bentOverMm: 'overMm' } as const
/** What a slug's readings began with in version 3: nobody said these. */
const BEGUN: Readonly<Record<string, string>> = {
  slugAlloy: '6061',
  clearanceMm: '0.02 mm',
  cold: 'freezer',
  chamferMm: '2.5 mm',
  facedMm: '0.5 mm',
}
const MOVED = [...Object.keys(THREAD), ...SLUG, ...Object.keys(BEND), 'listDone']

const isReading = (held: unknown): held is StoredReading => isPlain(held) && typeof held.typed === 'string'
const textOf = (held: unknown) => (isReading(held) ? held.typed : typeof held === 'string' ? held : '').trim()

/** What was said of these fields, by the names that a mend has for them. */
const saidOf = (rebuild: Plain, names: Readonly<Record<string, string>>): StoredMend['readings'] =>
  Object.fromEntries(
    Object.entries(names).flatMap(([was, is]) => {
      const held = rebuild[was]
      const text = textOf(held)
      return text === '' || text === BEGUN[was] ? [] : [[is, held as StoredReading | string]]
    }),
  )

/** An id that none of the mends has. */
const freeId = (id: string, mends: readonly unknown[]): string =>
  mends.some(mend => isPlain(mend) && mend.id === id) ? freeId(`${id}-`, mends) : id

/** The later of the times of these fields. */
const latest = (stamps: Plain, fields: readonly string[]): string | undefined =>
  fields
    .map(field => stamps[field])
    .filter(at => typeof at === 'string')
    .toSorted((a, b) => Date.parse(a) - Date.parse(b))
    .at(-1)

/** A settled station's basis without these, with what the mends now are where it knew what they were. */
function rested(settled: unknown, gone: readonly string[], was?: string, now?: string): unknown {
  if (!isPlain(settled) || !isPlain(settled.basis)) return settled
  const basis = Object.fromEntries(Object.entries(settled.basis).filter(([what]) => !gone.includes(what)))
  return { ...settled, basis: now !== undefined && (basis[MENDS] ?? '') === was ? { ...basis, [MENDS]: now } : basis }
}

/**
 * Version 4 has a thread, its slug and a bend to press back among the mends, where version 3 had one of each at
 * Rebuild. What stood settled stays so: its station rests on the same as before, said otherwise.
 */
export function toFour(job: Plain): Plain {
  const { rebuild } = job
  if (!isPlain(rebuild)) return { ...job, version: 4 }
  const mends = Array.isArray(job.mends) ? (job.mends as StoredMend[]) : []
  const thread = saidOf(rebuild, THREAD)
  const slug = saidOf(rebuild, Object.fromEntries(SLUG.map(name => [name, name])))
  const done = Array.isArray(rebuild.listDone) ? rebuild.listDone.filter(id => typeof id === 'string') : []
  const bend = saidOf(rebuild, BEND)
  // What a slug is cooled in makes no thread; a reading of one does.
  const isNamed = 'thread' in thread || Object.values({ ...thread, ...slug }).some(isReading)
  const added: StoredMend[] = [
    ...(isNamed || done.length
      ? [
          {
            ...newMend(freeId('rebuilt-thread', mends), 'thread'),
            readings: { ...thread, ...slug },
            done: done.map(machineStep),
          },
        ]
      : []),
    ...(Object.keys(bend).length ? [{ ...newMend(freeId('rebuilt-bend', mends), 'bent'), readings: bend }] : []),
  ]
  const left = Object.fromEntries(Object.entries(rebuild).filter(([name]) => !MOVED.includes(name)))
  if (!added.length) return { ...job, rebuild: left, version: 4 }
  const all = [...mends, ...added]
  const settled = isPlain(job.settled) ? job.settled : {}
  const [was, now] = [mends.length ? kept(mendsBasis(mends)) : '', kept(mendsBasis(all))]
  const said = ['the call', 'cautions', 'what they take']
  const stamps = isPlain(job.stamps) ? job.stamps : {}
  const at = latest(stamps, ['mends', ...MOVED.map(name => `rebuild.${name}`)])
  return {
    ...job,
    mends: all,
    rebuild: left,
    settled: Object.fromEntries(
      Object.entries(settled).map(([station, entry]) => [
        station,
        station === 'open' || station === 'weld'
          ? rested(entry, said, was, now)
          : station === 'rebuild'
            ? rested(entry, [...said, 'thread', 'way'], was, now)
            : station === 'prove'
              ? rested(entry, ['rebuilt'])
              : entry,
      ]),
    ),
    stamps: at === undefined ? stamps : { ...stamps, mends: at },
    version: 4,
  }
}
