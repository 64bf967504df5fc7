import { liveQuery } from 'dexie'
import { defineStore } from 'pinia'
import { ref, shallowRef } from 'vue'
import type { Card } from '#core/job/card'
import type { BundledFile } from '#core/job/bundle'
import type { Damaged } from '#core/job/out'
import { filesWorker } from '~/composables/files-worker'
import { db } from '~/db/database'
import { putBack, removeJob, type TakenOff } from '~/db/off-the-shelf'
import { replayJournals } from '~/db/journal'
import { upgradeStored } from '~/db/upgrade'
import { goToShop, isJoining, WHICH_SHOP } from '~/db/which-shop'
import { addJob } from '~/db/shelf'
import type { Taken } from '~/workers/files-bench'
import { shopKit } from './shop-kit'

const OFFERED = 'demo-offered'
/** Enough for the first screen. */
const FIRST_CARDS = 40

const unpacked = ({ base64, ...file }: Omit<BundledFile, 'bytes'> & { base64: string }): BundledFile => ({
  ...file,
  bytes: Uint8Array.from(atob(base64), letter => letter.charCodeAt(0)),
})

/** The shop: the shelf of jobs and the kit. Follows the database, so that other tabs are seen. */
export const useShop = defineStore('shop', () => {
  /** The shelf's cards, newest first; all of them once the shelf has been looked at. */
  const cards = shallowRef<Card[]>([])
  const { kit, saveError, openKit, changeKit, saveKit, tryAgain } = shopKit()
  const ready = ref(false)
  /** Stored things that this version cannot read; they stand apart, and hold nothing else back. */
  const damaged = shallowRef<readonly Damaged[]>([])
  const takenOff = shallowRef<TakenOff | null>(null)
  /** Why the made-up shop could not be filled. */
  const madeUpTrouble = ref<string | null>(null)

  const noteDamaged = (found: readonly Damaged[]) => {
    const known = new Set(damaged.value.map(({ id }) => id))
    const more = found.filter(({ id }) => !known.has(id))
    if (more.length) damaged.value = [...damaged.value, ...more]
  }

  async function open() {
    if (ready.value) return
    await replayJournals()
    noteDamaged(await upgradeStored())
    await openKit()
    // A screen that joins another takes what that one has.
    if (isJoining()) await db.facts.put({ key: OFFERED, value: true })
    else if ((await db.jobs.count()) === 0 && (await db.facts.get(OFFERED)) === undefined) await offerDemo()
    ready.value = true
  }

  async function fetchDemo() {
    const response = await fetch('/api/demo')
    return response.ok
      ? ((await response.json()) as {
          autoload: boolean
          shop: unknown
          files: (Omit<BundledFile, 'bytes'> & { base64: string })[]
        })
      : null
  }

  /**
   * The made-up shop, opened for the first time, fills itself. Started as a demo, an empty bench goes there by itself,
   * once.
   */
  async function offerDemo() {
    const demo = await fetchDemo().catch(() => null)
    if (WHICH_SHOP === 'made-up') {
      if (!demo) {
        madeUpTrouble.value = 'the server does not answer; the made-up shop comes from there'
        return
      }
      await filesWorker().takeInText(JSON.stringify(demo.shop), demo.files.map(unpacked), db.name)
    }
    await db.facts.put({ key: OFFERED, value: true })
    if (WHICH_SHOP === 'own' && demo?.autoload) goToShop('made-up')
  }

  /** Leaves the made-up shop; what was done in it goes with it, the reader's own is untouched. */
  async function leaveMadeUp() {
    if (WHICH_SHOP !== 'made-up') return
    await db.delete()
    goToShop('own')
  }

  /** Takes in a file of either kind: a zip with pictures, or plain text. */
  const importBytes = (bytes: Uint8Array): Promise<Taken> => filesWorker().takeIn(bytes, db.name)

  async function startJob(title: string, customer: string): Promise<string> {
    const { newJob } = await import('#core/job/new-job')
    const id = crypto.randomUUID()
    await addJob(newJob(id, title.trim() || 'Untitled part', customer.trim(), new Date().toISOString()))
    return id
  }

  /** Follows the shelf while it is looked at: the first screenful at once, then the rest. @returns what ends it */
  function followShelf(): () => void {
    const newest = () => db.cards.orderBy('updatedAt').reverse()
    void newest()
      .limit(FIRST_CARDS)
      .toArray()
      .then(found => {
        if (!cards.value.length) cards.value = found
      })
    const following = liveQuery(() => newest().toArray()).subscribe(found => {
      cards.value = found
    })
    return () => following.unsubscribe()
  }

  /** Takes a job off the shelf; it can be put back until another is taken off. */
  async function takeOff(id: string) {
    const taken = await removeJob(id)
    // Pressed twice, the second time finds none; the first can still be put back.
    if (taken.job) takenOff.value = taken
  }
  async function putItBack() {
    if (takenOff.value) await putBack(takenOff.value)
    takenOff.value = null
  }

  return {
    cards,
    followShelf,
    kit,
    ready,
    damaged,
    noteDamaged,
    saveError,
    changeKit,
    tryAgain,
    takenOff,
    takeOff,
    putItBack,
    open,
    madeUpTrouble,
    leaveMadeUp,
    importBytes,
    startJob,
    saveKit,
  }
})
