import { proxy, wrap } from 'comlink'
import { useLocalStorage } from '@vueuse/core'
import { addMinutes, format, startOfDay } from 'date-fns'
import { computed, onBeforeUnmount, ref, shallowRef, toRaw, watch } from 'vue'
import { readClock } from '#core/quantity/clock-face'
import { DAY_MIN, rescueWords } from '#core/plan/day'
import { read } from '#core/quantity/read'
import { download } from '~/composables/use-files'
import { visible } from '#core/job/text'
import { useOpenJobs } from '~/composables/use-open-jobs'
import { useClocks } from '~/stores/clocks'
import { useShop } from '~/stores/shop'
import type { DayWorker, PlannedDay, Saving } from '~/workers/day.worker'

const minutesOf = (text: string) => {
  const hours = read(text, 'number')
  return readClock(text) ?? (hours.ok ? hours.value * 60 : null)
}

/** The day across all open jobs, planned anew as jobs or hours change. */
export function useDay() {
  const shop = useShop()
  const worker = new Worker(new URL('../../workers/day.worker.ts', import.meta.url), { type: 'module', name: 'day' })
  const day = wrap<DayWorker>(worker)
  const from = useLocalStorage('ws-day-from', '8:00')
  const to = useLocalStorage('ws-day-to', '17:00')
  const openJobs = useOpenJobs()
  const planned = shallowRef<PlannedDay | null>(null)
  /** What would save each late job, as far as it is known yet. */
  const savings = ref<Record<string, Saving>>({})
  const reason = ref<string | null>(null)
  const busy = ref(false)
  const share = ref(0)
  const midnight = startOfDay(new Date())
  const hours = computed(() => {
    const [fromMin, toMin] = [minutesOf(from.value), minutesOf(to.value)]
    return fromMin !== null && toMin !== null && toMin > fromMin && toMin <= DAY_MIN ? { fromMin, toMin } : null
  })

  const clocks = useClocks()
  /** Tasks put off by hand, for today; the rest of the day follows. */
  const notBefore = useLocalStorage<Record<string, number>>(`ws-day-put-${format(midnight, 'yyyy-MM-dd')}`, {})
  const running = computed(() =>
    Object.fromEntries(
      clocks.running
        .filter(clock => clock.jobId && clock.leftS > 0)
        .map(clock => [clock.jobId!, Math.ceil(clock.leftS / 60)]),
    ),
  )
  const around = () => ({
    midnightMs: midnight.getTime(),
    nowMin: Math.floor((Date.now() - midnight.getTime()) / 60_000),
    notBefore: { ...notBefore.value },
    running: { ...running.value },
  })
  const putOff = (id: string, minute: number) => {
    notBefore.value = { ...notBefore.value, [id]: Math.max(0, Math.round(minute / 5) * 5) }
  }
  const letGo = () => {
    notBefore.value = {}
  }

  let ticket = 0
  async function saveLate(found: PlannedDay, mine: number) {
    savings.value = {}
    for (const { id } of found.late) {
      const saving = await day.save(found, id, around().nowMin)
      if (mine !== ticket || !saving) return
      savings.value = { ...savings.value, [id]: saving }
    }
  }
  async function plan() {
    if (!hours.value) {
      reason.value = 'hours such as 8:00 to 17:00, the second after the first'
      return
    }
    const mine = ++ticket
    busy.value = true
    // What was wrong before is not what is being worked out now.
    reason.value = null
    share.value = 0
    const told = await day.plan(
      toRaw(openJobs.value),
      toRaw(shop.kit),
      hours.value.fromMin,
      hours.value.toMin,
      around(),
      proxy((done: number) => {
        share.value = done
      }),
    )
    if (mine !== ticket) return
    busy.value = false
    if (told.ok === true) {
      planned.value = told.day
      reason.value = null
      void saveLate(told.day, mine)
    } else if (told.ok === false) reason.value = told.reason
  }
  watch(
    [openJobs, () => shop.kit, hours, notBefore, () => Object.keys(running.value).join()],
    () => {
      void plan()
    },
    { immediate: true },
  )
  onBeforeUnmount(() => worker.terminate())

  async function saveCalendar() {
    const { createEvents } = await import('ics')
    const stamp = (minutes: number) => {
      const at = addMinutes(midnight, minutes)
      return [at.getFullYear(), at.getMonth() + 1, at.getDate(), at.getHours(), at.getMinutes()] as [
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
        title: visible(`${task.name}: ${task.title}`).replaceAll('\n', ' '),
        start: stamp(task.startMin),
        end: stamp(task.startMin + task.minutes),
        ...(task.unattended ? { busyStatus: 'FREE' as const } : {}),
      })),
    )
    if (value) download('bench-day.ics', value, 'text/calendar')
  }

  const clock = (minutes: number) => format(addMinutes(midnight, minutes), 'HH:mm')
  const dayName = (minutes: number) => format(addMinutes(midnight, minutes), 'EEEE d MMMM')
  const lateSaid = computed(() =>
    (planned.value?.late ?? []).map(job => {
      const { given, tasks } = planned.value!
      const saving = savings.value[job.id]
      const when = (minutes: number) =>
        minutes < DAY_MIN ? clock(minutes) : `${clock(minutes)} on ${dayName(minutes).split(' ')[0]}`
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
    from,
    to,
    hours,
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
