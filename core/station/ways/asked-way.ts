import { applyPatch } from '../../job/patch'
import type { Job } from '../../job/job.schema'
import { wayPatches, type WaySet } from './take-way'

type Raw = Record<string, unknown>
const isRaw = (value: unknown): value is Raw => typeof value === 'object' && value !== null && !Array.isArray(value)

/** A mend as somebody put it into a question, no longer waiting for those that are left out. */
function notWaiting(mend: Raw, left: ReadonlySet<unknown>): Raw {
  const { after } = mend
  return left.size && Array.isArray(after) ? { ...mend, after: after.filter(id => !left.has(id)) } : mend
}

/** The input that asks `job.plan` for a way: as it was asked, with what the way sets. */
export function askedWay(asked: unknown, stored: Job | undefined, way: WaySet): Raw {
  const { most: _most, ...input } = isRaw(asked) ? asked : {}
  if (stored) return { ...input, stored: wayPatches(stored, way).reduce(applyPatch, stored) }
  const mends = (Array.isArray(input.mends) ? input.mends : []).filter(isRaw)
  const left = new Set(mends.flatMap(({ id }) => (way.set.get(String(id))?.leftOut ? [id] : [])))
  return {
    ...input,
    warm: way.warm.warm,
    mends: mends
      .filter(({ id }) => !left.has(id))
      .map(mend => ({ ...notWaiting(mend, left), ...way.set.get(String(mend.id)) })),
  }
}
