import { liveQuery, type Subscription } from 'dexie'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef, watch } from 'vue'
import type { Job } from '#core/job/job.schema'
import { stamped } from '#core/job/field'
import { applyPatch, inverseOf, valueAt, type Patch } from '#core/job/patch'
import type { JobPlan } from '#core/plan/plan-job'
import { STATION_IDS, type StationId } from '#core/job/stations.table'
import { coreWorker } from '~/composables/core-worker'
import { db } from '~/db/database'
import { writePatches } from '~/db/shelf'
import { useShop } from './shop'

interface Change { forth: Patch, back: Patch, at: number }

/** Why the browser would not store something, in words. */
const refusalWords = (error: unknown) => /quota/i.test(`${(error as Error | null)?.name} ${(error as Error | null)?.message}`) ? 'the browser has no room left; take the shop out as a file, then take old jobs off' : error instanceof Error ? error.message : 'the browser refused to store it'

/** Typing in one field within this time is one step of undo. */
const ONE_EDIT_MS = 1500
const MOST_UNDO = 500

/** The job on the bench: every change is stored at once, can be undone, and sends the plan to be worked out anew. */
export const useJob = defineStore('job', () => {
  const shop = useShop()
  const job = shallowRef<Job | null>(null)
  const plan = shallowRef<JobPlan | null>(null)
  const missing = ref(false)
  const saveError = ref<string | null>(null)
  /** Why the plan could not be worked out; what was entered is stored all the same. */
  const planError = ref<string | null>(null)
  const done = shallowRef<Change[]>([])
  const undone = shallowRef<Change[]>([])
  let writes: Promise<void> = Promise.resolve()
  const pending = ref(0)
  let following: Subscription | undefined

  async function open(id: string) {
    if (job.value?.id === id) return
    close()
    const stored = await db.jobs.get(id)
    missing.value = stored === undefined
    job.value = stored ?? null
    following = liveQuery(() => db.jobs.get(id)).subscribe((found) => {
      if (pending.value === 0 && job.value?.id === id && found && found.updatedAt !== job.value.updatedAt) job.value = found
    })
  }

  function close() {
    following?.unsubscribe()
    job.value = null
    plan.value = null
    done.value = []
    undone.value = []
  }

  /** Something was stored that this tab has not got: another tab's. */
  let behind = false

  /** Makes a change here at once, and stores it. */
  function carryOut(patch: Patch) {
    const id = job.value!.id
    const at = new Date().toISOString()
    const before = valueAt(job.value, patch.path)
    job.value = { ...applyPatch(job.value!, patch), updatedAt: at, stamps: stamped(job.value!.stamps, [patch.path], at) }
    pending.value += 1
    writes = writes
      .then(() => writePatches(id, [{ ...patch, before }], at))
      .then((stored) => {
        saveError.value = null
        return stored
      }, (error: unknown) => { saveError.value = refusalWords(error) })
      .then((stored) => {
        pending.value -= 1
        if (!stored || job.value?.id !== id) return
        behind ||= JSON.stringify(valueAt(stored, patch.path)) !== JSON.stringify(patch.value)
        // Another tab may have written while this one did: what is stored holds both, and the next change here starts from it.
        if (pending.value === 0 && (behind || JSON.stringify(stored.stamps) !== JSON.stringify(job.value.stamps))) {
          behind = false
          job.value = stored
        }
      })
  }

  function edit(path: Patch['path'], value: unknown) {
    if (!job.value) return
    const forth: Patch = { path, value }
    if (JSON.stringify(valueAt(job.value, path)) === JSON.stringify(value)) return
    const at = Date.now()
    const last = done.value.at(-1)
    const same = last && at - last.at < ONE_EDIT_MS && last.forth.path.join('.') === path.join('.')
    done.value = same
      ? [...done.value.slice(0, -1), { forth, back: last.back, at }]
      : [...done.value.slice(-MOST_UNDO), { forth, back: inverseOf(job.value, forth), at }]
    undone.value = []
    carryOut(forth)
  }

  /** A change that stands by itself and is not undone: what an instrument or a running clock writes. */
  function keep(path: Patch['path'], value: unknown) {
    if (!job.value) return
    carryOut({ path, value })
  }

  /** Takes the last change from one pile, puts it on the other, and carries it out the way it points. */
  function step(from: typeof done, to: typeof done, way: 'forth' | 'back') {
    const change = from.value.at(-1)
    if (!change || !job.value) return
    from.value = from.value.slice(0, -1)
    to.value = [...to.value, change]
    carryOut(change[way])
  }

  let asked = 0
  watch([job, () => shop.kit], async () => {
    const current = job.value
    if (!current) return
    const ticket = ++asked
    try {
      const worked = await coreWorker().plan(current, shop.kit)
      if (ticket !== asked) return
      plan.value = worked
      planError.value = null
    }
    catch (error) {
      planError.value = error instanceof Error ? error.message : 'the worker gave up'
    }
  })

  /** Lays a station's bead: what the call rests on now is remembered, so that a later change shows as stale. */
  function settle(id: StationId) {
    if (plan.value) edit(['settled', id], { at: new Date().toISOString(), basis: { ...plan.value[id].basis } })
  }

  const acknowledge = (code: string, name: string) =>
    edit(['acknowledged'], [...job.value!.acknowledged.filter(entry => entry.code !== code), { code, name: name.trim(), at: new Date().toISOString() }])

  return {
    job, plan, missing, saveError, planError, open, close, edit, keep, settle,
    undo: () => step(done, undone, 'back'), redo: () => step(undone, done, 'forth'), acknowledge,
    unsettle: (id: StationId) => edit(['settled', id], undefined),
    canUndo: computed(() => done.value.length > 0), canRedo: computed(() => undone.value.length > 0),
    saving: computed(() => pending.value > 0),
    staleCount: computed(() => plan.value ? STATION_IDS.filter(id => plan.value![id].changed.length).length : 0),
    /** Resolves when everything edited so far is stored. */
    stored: () => writes,
  }
})
