import { computed, shallowRef } from 'vue'
import type { Patch } from '#core/job/patch'
import { same } from '#core/job/same'
import { typedOn } from '#core/job/typed-on'

/** One change of a deed, with the way back from it. */
export interface Made {
  readonly forth: Patch
  readonly back: Patch
}
/** What was done at one go, and is undone at one. */
export interface Deed {
  readonly changes: readonly Made[]
  /** Milliseconds, by the bench's clock. */
  readonly at: number
}
export type Way = 'forth' | 'back'

/** Typing on in one field within this time, ms, is one deed. */
const ONE_EDIT_MS = 1500
const MOST_DEEDS = 500

/** A change that goes on with the one before it: the same place, and typed on. */
function goesOn(last: Deed | undefined, changes: readonly Made[], at: number): boolean {
  const [before, now] = [last?.changes[0], changes[0]]
  if (!before || !now || last!.changes.length > 1 || changes.length > 1 || at - last!.at >= ONE_EDIT_MS) return false
  return same(before.forth.path, now.forth.path) && typedOn(before.forth.value, now.forth.value)
}

/** The piles of what was done here and can be undone, and of what was undone and can be done again. */
export function deeds() {
  const done = shallowRef<readonly Deed[]>([])
  const undone = shallowRef<readonly Deed[]>([])
  /** What was undone or done again stands by itself: typing on does not join it. */
  let isOpen = false
  return {
    remember(changes: readonly Made[], at: number) {
      const last = isOpen ? done.value.at(-1) : undefined
      isOpen = true
      done.value = goesOn(last, changes, at)
        ? [...done.value.slice(0, -1), { changes: [{ forth: changes[0]!.forth, back: last!.changes[0]!.back }], at }]
        : [...done.value.slice(-MOST_DEEDS), { changes, at }]
      undone.value = []
    },
    /** Takes the last deed from one pile and puts it on the other. @returns its changes in the order they are made */
    step(way: Way): readonly Made[] {
      const [from, to] = way === 'back' ? [done, undone] : [undone, done]
      const deed = from.value.at(-1)
      if (!deed) return []
      from.value = from.value.slice(0, -1)
      to.value = [...to.value, deed]
      isOpen = false
      return way === 'back' ? deed.changes.toReversed() : deed.changes
    },
    forget() {
      done.value = []
      undone.value = []
    },
    canUndo: computed(() => done.value.length > 0),
    canRedo: computed(() => undone.value.length > 0),
  }
}
