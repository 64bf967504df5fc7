import { ref, shallowRef, watch, type Ref } from 'vue'
import type { Job, Kit } from '#core/job/job.schema'
import type { JobPlan } from '#core/station/plan-job'
import { planned } from '~/composables/core-worker'
import { TRY_AGAIN_MS } from '~/composables/refusal'
import { WorkerGone } from '~/workers/worker-gone'

/** The plan of the job on the bench: worked out anew with every change to it or to the kit, the newest standing. */
export function benchPlan(job: Ref<Job | null>, kit: () => Kit) {
  const plan = shallowRef<JobPlan | null>(null)
  /** Why the plan could not be worked out; what was entered is stored all the same. */
  const trouble = ref<string | null>(null)
  let asked = 0
  let later: ReturnType<typeof setTimeout> | undefined
  async function work() {
    const current = job.value
    // A plan still on its way is of a job that was left, or of how it was.
    const ticket = ++asked
    if (!current) {
      trouble.value = null
      return
    }
    try {
      const worked = await planned(current, kit())
      if (ticket !== asked) return
      plan.value = worked
      trouble.value = null
    } catch (error) {
      if (ticket !== asked) return
      trouble.value = error instanceof Error ? error.message : 'the worker gave up'
      // A mistake in the program comes again; what could not be fetched, or ended, may come right by itself.
      if (error instanceof WorkerGone) later = setTimeout(again, TRY_AGAIN_MS)
    }
  }
  function again() {
    clearTimeout(later)
    working = work()
  }
  let working: Promise<void> = Promise.resolve()
  watch([job, kit], again)
  return {
    plan,
    trouble,
    /** Works the plan out once more, after trouble. */
    again,
    /** The plan that knows of everything changed so far. */
    async whole(): Promise<JobPlan | null> {
      for (let last: Promise<void> | undefined; last !== working; await last) last = working
      return plan.value
    },
  }
}
