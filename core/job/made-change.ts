import { checkedAt } from './checked'
import { fieldOf, stamped } from './field'
import type { Job } from './job.schema'
import { applyPatch, valueAt, type Patch } from './patch'
import type { Change } from './put-changes'
import { same } from './same'
import { threeWay } from './three-way'

export type MadeChange =
  | { readonly next: Job; readonly change: Change & { readonly stamp: string } }
  | { readonly reason: string }

/**
 * A change to a job, going out from `from`, checked: the job with it, and the change as it waits to be stored; or why
 * it is not taken.
 * @param at the bench's clock, ISO
 */
export function madeChange(before: Job, { path, value }: Patch, from: unknown, at: string): MadeChange {
  const changed = applyPatch(before, { path, value: threeWay(from, valueAt(before, path), value) })
  const checked = checkedAt(changed, path)
  if (!checked.ok) return { reason: checked.reason }
  // What hides in a text is shown, and what an entry leaves out has its usual value: as a file would bring it back.
  const tidy = same(checked.value, valueAt(changed, path)) ? value : checked.value
  const next = tidy === value ? changed : applyPatch(changed, { path, value: tidy })
  const stamps = stamped(before, next, [path], at, before.updatedAt)
  return {
    next: { ...next, updatedAt: at, stamps },
    change: { path: [...path], value: tidy, before: from, stamp: stamps[fieldOf(path)]! },
  }
}
