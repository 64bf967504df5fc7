import { computed } from 'vue'
import { useJob } from '~/stores/job'

/** What is done of a mend's steps, and a tick that says so or takes it back. */
export function useMendSteps(id: () => string) {
  const store = useJob()
  const done = computed(() => store.job?.mends.find(mend => mend.id === id())?.done ?? [])
  const tick = (code: string, on: boolean | null) =>
    store.edit(['mends', `#${id()}`, 'done'], on ? [...done.value, code] : done.value.filter(each => each !== code))
  return { done, tick }
}
