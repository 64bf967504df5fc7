import { ref, shallowRef, watch, type Ref } from 'vue'
import type { Job, Kit } from '#core/job/job.schema'
import type { JobPlan } from '#core/station/plan-job'
import { planned } from '~/composables/core-worker'

/** The plan of the job on the bench: worked out anew with every change to it or to the kit, the newest standing. */
export function benchPlan(job: Ref<Job | null>, kit: () => Kit) {
  const plan = shallowRef<JobPlan | null>(null)
  /** Why the plan could not be worked out; what was entered is stored all the same. */
  const trouble = ref<string | null>(null)
  let asked = 0
  async function work() {
    const current = job.value
    // A plan still on its way is of a job that was left, or of how it was.
    const ticket = ++asked
    if (!current) return
    try {
      const worked = await planned(current, kit())
      if (ticket !== asked) return
      plan.value = worked
      trouble.value = null
    } catch (error) {
      if (ticket === asked) trouble.value = error instanceof Error ? error.message : 'the worker gave up'
    }
  }
  let working: Promise<void> = Promise.resolve()
  watch([job, kit], () => {
    working = work()
  })
  return {
    plan,
    trouble,
    /** Works the plan out once more, after trouble. */
    again: () => {
      working = work()
    },
    /** The plan that knows of everything changed so far. */
    async whole(): Promise<JobPlan | null> {
      for (let last: Promise<void> | undefined; last !== working; await last) last = working
      return plan.value
    },
  }
}
