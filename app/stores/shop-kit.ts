import { liveQuery } from 'dexie'
import { ref, shallowRef, toRaw } from 'vue'
import { EMPTY_KIT } from '#core/job/empty-kit'
import type { Kit } from '#core/job/job.schema'
import { changedKit, mergeKit, type TimedKit } from '#core/job/merge-kit'
import { journalKit, replayKits } from '~/db/journal'
import { refusalWords, TRY_AGAIN_MS } from '~/composables/refusal'
import { mergeInKit, timedKit } from '~/db/shelf'

/**
 * The kit as it stands on screen and as it is stored. Changes are made one after another, each to the kit as the one
 * before and any other tab left it; they are stored by merging, so that what either changed is there.
 */
export function shopKit() {
  const kit = shallowRef<Kit>(EMPTY_KIT)
  /** Why the kit on screen is not stored; it stays, and is tried again. */
  const saveError = ref<string | null>(null)
  /** The kit with changes made here that are not stored yet. */
  let unstored: TimedKit | null = null
  let again: ReturnType<typeof setTimeout> | undefined
  let last: Promise<unknown> = Promise.resolve()

  function inTurn<Out>(work: () => Promise<Out>): Promise<Out> {
    const done = last.then(work)
    last = done.catch(() => undefined)
    return done
  }
  function setUnstored(next: TimedKit | null) {
    unstored = next
    journalKit(next)
  }
  /** The kit as it is stored, with what is not stored yet merged in. */
  async function now(): Promise<TimedKit> {
    const stored = await timedKit().catch(() => unstored ?? { kit: kit.value, stamps: {} })
    return unstored ? mergeKit(stored, unstored) : stored
  }

  async function store() {
    clearTimeout(again)
    if (!unstored) return
    try {
      await mergeInKit(structuredClone(toRaw(unstored)))
      saveError.value = null
      setUnstored(null)
    } catch (error) {
      saveError.value = refusalWords(error)
      again = setTimeout(() => {
        void tryAgain()
      }, TRY_AGAIN_MS)
    }
  }
  const tryAgain = () => inTurn(store)

  /**
   * Changes and stores the kit, as long as a file could hold it. @returns why it is not taken, or null; a kit that
   * finds no room stays on screen and is tried again
   */
  const changeKit = (change: (kit: Kit) => Kit): Promise<string | null> =>
    inTurn(async () => {
      const [{ kitSchema }, { readIssues }] = await Promise.all([
        import('#core/job/job.schema'),
        import('#core/ask/registry'),
      ])
      const before = await now()
      const parsed = kitSchema.safeParse(change(toRaw(before.kit)))
      if (!parsed.success) return readIssues(parsed.error).map(({ path, message }) => `${path}: ${message}`)[0]!
      kit.value = parsed.data
      setUnstored(changedKit(before, parsed.data, new Date().toISOString()))
      await store()
      return null
    })
  /** Puts a whole kit in the place of the one there is. @returns as a change does */
  const saveKit = (next: Kit) => changeKit(() => next)

  /** Reads the kit, with what tabs left behind unstored, and follows the database from then on. */
  async function openKit() {
    await replayKits()
    kit.value = (await timedKit()).kit
    liveQuery(() => timedKit()).subscribe(() => {
      void inTurn(async () => {
        kit.value = (await now()).kit
      })
    })
  }
  return { kit, saveError, openKit, changeKit, saveKit, tryAgain }
}
