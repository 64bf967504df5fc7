import { proxy } from 'comlink'
import { computed, onBeforeUnmount, ref, shallowRef, toRaw, watch } from 'vue'
import { rescueWords } from '#core/station/shop/day'
import { weekAhead } from '#core/station/shop/week'
import { useBenchHours } from '~/composables/bench-hours'
import { startLent } from '~/composables/kept-work'
import { download } from '~/composables/use-files'
import { visible } from '#core/job/text'
import { sayNow } from '~/composables/use-words'
import { useOpenJobs } from '~/composables/use-open-jobs'
import { useShop } from '~/stores/shop'
import type { PlannedDay, Saving } from '~/workers/day'
import { brokeOff } from '~/workers/worker-gone'

/** The day across all open jobs, planned anew as jobs or hours change. */
export function useDay() {
  const shop = useShop()
  const { bench: day, end } = startLent('day')
  const bench = useBenchHours()
  const { hours, shifts, notBefore, running, begun, around, at, clock, dayName, when } = bench
  const openJobs = useOpenJobs()
  const planned = shallowRef<PlannedDay | null>(null)
  /** What would save each late job, as far as it is known yet. */
  const savings = ref<Record<string, Saving>>({})
  const reason = ref<string | null>(null)
  const busy = ref(false)
  const share = ref(0)
  const putOff = (id: string, minute: number) => {
    notBefore.value = { ...notBefore.value, [id]: Math.max(0, Math.round(minute / 5) * 5) }
  }
  const letGo = () => {
    notBefore.value = {}
  }

  const begunKey = computed(() => begun.value.map(clock => clock.task).join())

  let ticket = 0
  async function saveLate(found: PlannedDay, mine: number) {
    savings.value = {}
    for (const { id } of found.late) {
      const saving = await day.save(found, id, around().nowMin).catch(() => null)
      if (mine !== ticket || !saving) return
      savings.value = { ...savings.value, [id]: saving }
    }
  }
  async function plan() {
    if (!openJobs.value) return
    if (!shifts.value) {
      reason.value = 'hours such as 8:00 to 17:00, the second after the first'
      return
    }
    const mine = ++ticket
    busy.value = true
    // What was wrong before is not what is being worked out now.
    reason.value = null
    share.value = 0
    const told = await day
      .plan(
        toRaw(openJobs.value),
        toRaw(shop.kit),
        toRaw(shifts.value),
        around(),
        false,
        proxy((done: number, better: PlannedDay | null) => {
          if (mine !== ticket) return
          share.value = done
          if (better) planned.value = better
        }),
      )
      .catch(brokeOff)
    if (mine !== ticket) return
    busy.value = false
    if (told.ok === true) {
      planned.value = told.day
      reason.value = null
      void saveLate(told.day, mine)
    } else if (told.ok === false) {
      // A plan of before would say a time that no longer holds.
      planned.value = null
      reason.value = told.reason
    }
  }
  watch(
    [openJobs, () => shop.kit, shifts, notBefore, () => Object.keys(running.value).join(), () => begunKey.value],
    () => {
      void plan()
    },
    { immediate: true },
  )
  onBeforeUnmount(() => end())

  async function saveCalendar() {
    const { createEvents } = await import('ics')
    const stamp = (minutes: number) => {
      const then = at(minutes)
      return [then.getFullYear(), then.getMonth() + 1, then.getDate(), then.getHours(), then.getMinutes()] as [
        number,
        number,
        number,
        number,
        number,
      ]
    }
    const { value } = createEvents(
      (planned.value?.tasks ?? []).map(task => ({
        uid: `${task.id}@wild-sparrow`,
        productId: 'wild-sparrow',
        title: visible(`${sayNow(task.name)}: ${task.title}`).replaceAll('\n', ' '),
        start: stamp(task.startMin),
        end: stamp(task.startMin + task.minutes),
        ...(task.unattended ? { busyStatus: 'FREE' as const } : {}),
      })),
    )
    if (value) download('bench-day.ics', value, 'text/calendar')
  }

  const lateSaid = computed(() =>
    (planned.value?.late ?? []).map(job => {
      const { given, tasks } = planned.value!
      const saving = savings.value[job.id]
      return {
        ...job,
        saving:
          saving &&
          saving.rescues.map(rescue =>
            rescueWords(rescue, given, id => tasks.find(task => task.jobId === id)?.title ?? id, when),
          ),
        soonest: saving && when(saving.soonestMin),
      }
    }),
  )

  return {
    lateSaid,
    putOff,
    letGo,
    putBy: computed(() => Object.keys(notBefore.value).length),
    bench,
    hours,
    shifts,
    ahead: computed(() => (planned.value && shifts.value ? weekAhead(planned.value.tasks, shifts.value) : [])),
    planned,
    reason,
    busy,
    share,
    saveCalendar,
    clock,
    dayName,
    stop: () => {
      void day.stop()
    },
  }
}
