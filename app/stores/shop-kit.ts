import { liveQuery } from 'dexie'
import { ref, shallowRef, toRaw } from 'vue'
import { EMPTY_KIT } from '#core/job/empty-kit'
import type { Kit } from '#core/job/job.schema'
import { journalKit, kitLeftBehind } from '~/db/journal'
import { refusalWords, TRY_AGAIN_MS } from '~/composables/refusal'
import { readKit, writeKit } from '~/db/shelf'

/**
 * The kit as it stands on screen and as it is stored. Changes are made one after another, each to the kit as the one
 * before and any other tab left it, so that two made at once are both there.
 */
export function shopKit() {
  const kit = shallowRef<Kit>(EMPTY_KIT)
  /** Why the kit on screen is not stored; it stays, and is tried again. */
  const saveError = ref<string | null>(null)
  let again: ReturnType<typeof setTimeout> | undefined
  let last: Promise<unknown> = Promise.resolve()

  function inTurn<Out>(work: () => Promise<Out>): Promise<Out> {
    const done = last.then(work)
    last = done.catch(() => undefined)
    return done
  }
  const stored = () => (saveError.value ? Promise.resolve(kit.value) : readKit().catch(() => kit.value))

  async function store() {
    clearTimeout(again)
    const now = kit.value
    try {
      await writeKit(structuredClone(toRaw(now)))
      saveError.value = null
      if (kit.value === now) journalKit(null)
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
      const parsed = kitSchema.safeParse(change(toRaw(await stored())))
      if (!parsed.success) return readIssues(parsed.error).map(({ path, message }) => `${path}: ${message}`)[0]!
      kit.value = parsed.data
      journalKit(parsed.data)
      await store()
      return null
    })
  /** Puts a whole kit in the place of the one there is. @returns as a change does */
  const saveKit = (next: Kit) => changeKit(() => next)

  /** Reads the kit, what was left behind unstored with it, and follows the database from then on. */
  async function openKit() {
    kit.value = await readKit()
    const left = kitLeftBehind()
    if (left !== null && (await saveKit(left as Kit)) !== null) journalKit(null)
    liveQuery(readKit).subscribe(() => {
      void inTurn(async () => {
        kit.value = await stored()
      })
    })
  }
  return { kit, saveError, openKit, changeKit, saveKit, tryAgain }
}
