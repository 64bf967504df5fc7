import { liveQuery, type Subscription } from 'dexie'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import type { Job } from '#core/job/job.schema'
import type * as changing from '#core/job/made-change'
import type { Damaged } from '#core/job/out'
import { addressed, inverseOf, valueAt, type Patch } from '#core/job/patch'
import { same } from '#core/job/same'
import { threeWay } from '#core/job/three-way'
import { STATION_IDS, type StationId } from '#core/job/stations.table'
import { TRY_AGAIN_MS } from '~/composables/refusal'
import { changeQueue } from '~/db/change-queue'
import { db } from '~/db/database'
import { journal, type Entry } from '~/db/journal'
import { writeChanges } from '~/db/shelf'
import { benchPlan } from './job-parts/bench-plan'
import { deeds, type Made, type Way } from './job-parts/deeds'
import { useShop } from './shop'

/** The job on the bench: every change is stored at once, can be undone, and sends the plan to be worked out anew. */
export const useJob = defineStore('job', () => {
  const shop = useShop()
  const job = shallowRef<Job | null>(null)
  const missing = ref(false)
  /** The open job was taken off the shelf in another tab or on another screen; what stands here is not stored. */
  const gone = ref(false)
  /** A job that is stored in a shape this version cannot read: its words, and why. */
  const damaged = shallowRef<Damaged | null>(null)
  /** Why the last change was not taken; the field keeps what was typed. */
  const refused = ref<{ path: string; reason: string } | null>(null)
  const { remember, step, forget, canUndo, canRedo } = deeds()
  const { plan, trouble: planError, again: planAgain, whole } = benchPlan(job, () => shop.kit)
  const queue = changeQueue({
    write: writeChanges,
    keep: journal,
    later: again => {
      const timer = setTimeout(again, TRY_AGAIN_MS)
      return () => clearTimeout(timer)
    },
    // Another tab may have written while this one did: what is stored holds both, and the next change here starts from
    // it.
    stored: now => {
      if (job.value?.id === now.id && !same(now, job.value)) job.value = now
    },
  })
  /** What a change to a job is checked by, read when one is opened: the shelf does without. */
  let making: typeof changing | null = null
  let following: Subscription | undefined
  /** The opening that was asked for last: one that is overtaken on its way, or left, puts nothing on the bench. */
  let opening: { readonly id: string } | null = null

  async function open(id: string): Promise<void> {
    if (job.value?.id === id) return
    close()
    const mine = (opening = { id })
    const [stored, loaded, { readJob }, { damagedJob }] = await Promise.all([
      db.jobs.get(id),
      import('#core/job/made-change'),
      import('#core/job/files'),
      import('#core/job/out'),
    ])
    making = loaded
    if (opening !== mine) return
    missing.value = stored === undefined
    // From another screen of the shop it may still be on its way.
    if (!stored) return follow(id, found => found && missing.value && reopen(id))
    const read = stored ? readJob(stored) : null
    damaged.value =
      read && !read.ok
        ? damagedJob(stored, read.issues.map(issue => `${issue.path}: ${issue.message}`).join('; '))
        : null
    job.value = read?.ok ? queue.onto(read.job) : null
    if (!read?.ok) return
    follow(id, found => {
      if (job.value?.id !== id) return
      gone.value = !found
      if (!found) return
      queue.backOnShelf(id)
      if (queue.idle() && !same(found, job.value)) job.value = found
    })
  }
  function follow(id: string, tell: (found: Job | undefined) => unknown) {
    following = liveQuery(() => db.jobs.get(id)).subscribe(tell)
  }
  function reopen(id: string): Promise<void> {
    close()
    return open(id)
  }
  /** Puts a job that was taken off elsewhere back on the shelf, as it stands on this page. */
  async function putBack() {
    if (!job.value) return
    const { putBack: putOn } = await import('~/db/off-the-shelf')
    const { takenOff } = shop
    await putOn({ job: job.value, files: takenOff?.job?.id === job.value.id ? takenOff.files : [] })
    gone.value = false
  }

  /** @param id the job that is left; where another has been asked for since, as by the next page, that one stays */
  function close(id?: string) {
    if (id !== undefined && opening?.id !== id) return
    opening = null
    following?.unsubscribe()
    following = undefined
    missing.value = false
    gone.value = false
    job.value = null
    plan.value = null
    damaged.value = null
    refused.value = null
    forget()
  }

  function made(before: Job, patch: Patch, from: unknown): { next: Job; entry: Entry } | { reason: string } {
    const at = new Date().toISOString()
    const change = making!.madeChange(before, patch, from, at)
    return 'reason' in change ? change : { next: change.next, entry: { ...change.change, jobId: before.id, at } }
  }
  /**
   * Makes a change here at once, and stores it. `from` is what the change goes out from. @returns why it is not taken,
   * or null
   */
  function carryOut(patch: Patch, from: unknown = valueAt(job.value, patch.path)): string | null {
    const change = made(job.value!, patch, from)
    if ('reason' in change) {
      refused.value = { path: patch.path.join('.'), reason: change.reason }
      return change.reason
    }
    refused.value = null
    job.value = change.next
    queue.add(change.entry)
    return null
  }

  /**
   * Brings what a longer piece of work came to into the job it was begun for: an edit like any other while that is on
   * the bench, else stored with it where it lies. `of` says what the place is to hold, from the job as it is by then.
   * @returns why it is not taken, or null
   */
  async function bring(id: string, path: Patch['path'], of: (now: Job) => unknown): Promise<string | null> {
    if (job.value?.id === id) return edit(path, of(job.value))
    await queue.flush()
    const stored = await db.jobs.get(id)
    if (!stored) return 'its job is no longer on this shelf'
    // Opened again meanwhile, it is on the bench.
    if (job.value?.id === id) return edit(path, of(job.value))
    const now = queue.onto(stored)
    const change = made(now, { path, value: of(now) }, valueAt(now, path))
    if ('reason' in change) return change.reason
    queue.add(change.entry)
    return null
  }

  /** @returns why the change is not taken, or null when it is */
  const edit = (path: Patch['path'], value: unknown): string | null => editAll([{ path, value }])

  /** Several changes as one deed, undone as one: all of them are taken, or none. @returns why not, or null */
  function editAll(patches: readonly Patch[]): string | null {
    const changes: Made[] = []
    for (const { path, value } of patches) {
      if (!job.value) return null
      const forth: Patch = { path: addressed(job.value, path), value }
      if (same(valueAt(job.value, forth.path), value)) {
        refused.value = null
        continue
      }
      const back = inverseOf(job.value, forth)
      const reason = carryOut(forth)
      if (reason !== null) {
        for (const made of changes.toReversed()) carryOut(made.back, made.forth.value)
        return reason
      }
      // As it was tidied: by this an undo knows it again.
      changes.push({ forth: { ...forth, value: valueAt(job.value, forth.path) }, back })
    }
    if (changes.length) remember(changes, Date.now())
    return null
  }

  /** A change that stands by itself and is not undone: what an instrument or a running clock writes. */
  function keep(path: Patch['path'], value: unknown) {
    if (!job.value) return
    carryOut({ path: addressed(job.value, path), value })
  }

  /** Undoes the last deed or does it again: what was done here goes, what came from elsewhere since stands. */
  function carry(way: Way) {
    if (!job.value) return
    for (const change of step(way)) {
      const made = change[way === 'back' ? 'forth' : 'back'].value
      const { path, value } = change[way]
      const now = valueAt(job.value, path)
      const back = threeWay(made, value, now)
      if (!same(back, now)) carryOut({ path, value: back }, now)
    }
  }

  /** Lays a station's bead: what the call rests on now is remembered, so that a later change shows as stale. */
  async function settle(id: StationId) {
    const jobId = job.value?.id
    // Pressed right after a reading was typed, it is settled on the plan that knows of it.
    const settledOn = await whole()
    if (settledOn && job.value?.id === jobId)
      edit(['settled', id], { at: new Date().toISOString(), basis: { ...settledOn[id].basis } })
  }

  const acknowledge = (code: string, name: string) =>
    edit(
      ['acknowledged'],
      [
        ...job.value!.acknowledged.filter(entry => entry.code !== code),
        { code, name: name.trim(), at: new Date().toISOString() },
      ],
    )

  return {
    job,
    plan,
    missing,
    gone,
    putBack,
    damaged,
    saveError: queue.trouble,
    refused,
    planError,
    planAgain,
    open,
    close,
    edit,
    editAll,
    bring,
    keep,
    settle,
    undo: () => carry('back'),
    redo: () => carry('forth'),
    acknowledge,
    unsettle: (id: StationId) => edit(['settled', id], undefined),
    canUndo,
    canRedo,
    /** Changes made here that something newer stood in the way of. */
    overruled: queue.overruled,
    overruledHeard: queue.heard,
    saving: queue.waits,
    /** Paths on the open job that could not be stored yet, and are shown as such. */
    unstored: computed(
      () =>
        new Set(
          queue.trouble.value || gone.value
            ? queue.entries.value.filter(entry => entry.jobId === job.value?.id).map(entry => entry.path.join('.'))
            : [],
        ),
    ),
    /** Leaving now would lose something: it is neither stored nor in the journal. */
    unsafe: computed(() => queue.entries.value.length > 0 && !queue.isKept.value),
    tryAgain: queue.flush,
    staleCount: computed(() => (plan.value ? STATION_IDS.filter(id => plan.value![id].changed.length).length : 0)),
    /** Resolves when everything edited so far is stored. */
    stored: queue.settled,
  }
})
