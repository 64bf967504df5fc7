import { kept, MENDS, mendsBasis } from './mends-as-six'
import { isPlain } from './entry-key'
import type { Plain } from './held'
import type { StoredMend } from './mend.schema'
import { LEFT_OPEN, openingRenamed, openingToMend } from './opening-to-mend'
import { lastOf, named, without } from './migrating'
import { LEFT_REBUILD, rebuiltToMends } from './rebuilt-to-mends'

/** What a settled station remembers of what was said of it, which a mend says in other words. */
const SAID = ['the call', 'cautions', 'what they take']

/** A settled station's basis without these, with what the mends now are where it knew what they were. */
function rested(settled: unknown, gone: readonly string[], mends?: { was: string; now: string }): unknown {
  if (!isPlain(settled) || !isPlain(settled.basis)) return settled
  const basis = without(settled.basis, gone)
  const knew = mends && (basis[MENDS] ?? '') === mends.was
  return { ...settled, basis: knew ? { ...basis, [MENDS]: mends.now } : basis }
}

/** What version 4 remembered of the mends: every reading, at whichever station. */
export const asFour = (mends: readonly StoredMend[]): string => kept(mendsBasis(mends, 'rebuild'))

/** What stood settled while a thread and a bend stood at Rebuild rests on the same as before, said otherwise. */
function settledAs(settled: unknown, before: readonly StoredMend[], after: readonly StoredMend[]): Plain {
  const mends = { was: before.length ? asFour(before) : '', now: asFour(after) }
  const gone: Readonly<Record<string, readonly string[]>> = {
    open: SAID,
    weld: SAID,
    rebuild: [...SAID, 'thread', 'way'],
  }
  return Object.fromEntries(
    Object.entries(isPlain(settled) ? settled : {}).map(([station, entry]) => [
      station,
      gone[station] ? rested(entry, gone[station], mends) : station === 'prove' ? rested(entry, ['rebuilt']) : entry,
    ]),
  )
}

/**
 * Version 4 has nothing but a crack beside its mends: a patch, an edge and a turned groove that were the opening of
 * version 3, and the thread and the bend of its Rebuild, are mends. Nothing that was said is lost; what stood settled
 * stays so where only its words are others.
 */
export function toFour(job: Plain): Plain {
  const open = isPlain(job.open) ? job.open : {}
  const rebuild = isPlain(job.rebuild) ? job.rebuild : {}
  const before = Array.isArray(job.mends) ? (job.mends as StoredMend[]) : []
  const opening = openingToMend(job)
  const after = [...(opening ? [opening] : []), ...rebuiltToMends(rebuild)].reduce<StoredMend[]>(
    (all, mend) => [...all, named(mend, all)],
    before,
  )
  const first = opening && after[before.length]!
  const sections = {
    ...(isPlain(job.open) ? { open: { ...without(open, LEFT_OPEN), ...(first ? { work: 'none' } : {}) } } : {}),
    ...(isPlain(job.rebuild) ? { rebuild: without(rebuild, LEFT_REBUILD) } : {}),
    version: 4,
  }
  if (after.length === before.length) return { ...job, ...sections }
  const stamps = isPlain(job.stamps) ? job.stamps : {}
  const moved = [...LEFT_REBUILD.map(name => `rebuild.${name}`), ...LEFT_OPEN.map(name => `open.${name}`)]
  const at = lastOf(stamps, ['mends', ...moved])
  return {
    ...(first ? openingRenamed(job, first.id) : job),
    ...sections,
    mends: after,
    settled: settledAs(job.settled, before, after),
    stamps: at === undefined ? stamps : { ...stamps, mends: at },
  }
}
