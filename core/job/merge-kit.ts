import { changedParts } from './changed-parts'
import { EMPTY_KIT } from './empty-kit'
import type { Kit } from './job.schema'
import { same } from './same'
import { tick } from './tick'
import { TwoVersions, UNTOUCHED, type Stamps } from './two-versions'

/** A kit with the times at which its fields and their entries were last changed. */
export interface TimedKit {
  readonly kit: Kit
  readonly stamps: Stamps
}

const fieldsOf = (kit: Kit) => Object.keys(kit) as (keyof Kit)[]

/** A kit as it was changed, with the times of what the change touched. */
export function changedKit(before: TimedKit, kit: Kit, at: string): TimedKit {
  const names = fieldsOf(kit).flatMap(field => {
    const parts = changedParts(before.kit[field], kit[field], field, name => before.stamps[name] !== undefined)
    return parts.length ? [field, ...parts] : []
  })
  if (!names.length) return { kit, stamps: before.stamps }
  const now = tick(before.stamps, at)
  return { kit, stamps: { ...before.stamps, ...Object.fromEntries(names.map(name => [name, now])) } }
}

/**
 * One kit out of two versions of it, as a job is merged: the newer of each field, lists with the entries of both less
 * those taken out since. A field that nobody ever touched gives way to one that somebody filled in.
 * The same whichever is called a; merged again with either, the same.
 */
export function mergeKit(a: TimedKit, b: TimedKit): TimedKit {
  const stamps: Record<string, string> = { ...a.stamps }
  for (const [name, at] of Object.entries(b.stamps))
    if (!stamps[name] || Date.parse(at) > Date.parse(stamps[name])) stamps[name] = at
  const timeOf = ({ kit, stamps: own }: TimedKit, field: keyof Kit) =>
    own[field] !== undefined ? Date.parse(own[field]) : same(kit[field], EMPTY_KIT[field]) ? -Infinity : UNTOUCHED
  const versions = new TwoVersions(a.stamps, b.stamps, undefined)
  const merged = fieldsOf(a.kit).map(field => [
    field,
    versions.joined(a.kit[field], b.kit[field], field, [timeOf(a, field), timeOf(b, field)]),
  ])
  return { kit: Object.fromEntries(merged) as Kit, stamps }
}
