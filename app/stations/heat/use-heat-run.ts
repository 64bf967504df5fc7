import { proxy } from 'comlink'
import { computed, onBeforeUnmount, ref, shallowRef, toRaw, watch, type Ref } from 'vue'
import { PREHEAT_C } from '#core/arc/least-preheat'
import type { Changed } from '#core/heat/bench/changes'
import type { Backwards } from '#core/heat/bench/backwards'
import type { HeatSetup } from '#core/heat/bench/setup.schema'
import type { Surroundings } from '#core/heat/bench/to-simulate'
import type { HeatVerdict } from '#core/heat/bench/verdict'
import { surroundingsOf } from '#core/station/warm/heat-bench'
import { readySetup } from '#core/station/take-in/part-solid'
import { heldFile } from '~/db/files'
import { startWorker } from '~/workers/start'
import { brokeOff } from '~/workers/worker-gone'
import { useJob } from '~/stores/job'
import { useShop } from '~/stores/shop'
import type { DrawnPart, HeatRun, Told } from '~/workers/heat'

/**
 * One set-up of the open job on the heat bench: its part drawn as it is typed, its runs, what one change would do, and
 * the way back from target to torch.
 */
export function useHeatRun(index: Ref<number>) {
  const store = useJob()
  const shop = useShop()
  const { bench: heat, end } = startWorker('heat')
  const setup = computed<HeatSetup | null>(() => {
    const typed = store.job?.warm.setups[index.value]
    return typed && store.job ? readySetup(store.job, typed) : null
  })
  /** How warm it is to be, as Warm decided it. */
  const targetC = computed(() => store.plan?.warm.data.targetC ?? PREHEAT_C)
  const part = shallowRef<DrawnPart | null>(null)
  const run = shallowRef<HeatRun | null>(null)
  /** The set-up the run shown is of; when it differs from the one typed, the run is stale. */
  const runOf = shallowRef<string | null>(null)
  const reason = ref<string | null>(null)
  const busy = ref<'run' | 'changes' | 'backwards' | null>(null)
  const share = ref(0)
  const changes = shallowRef<{ asIs: HeatVerdict; changed: Changed[] } | null>(null)
  const way = shallowRef<Backwards | null>(null)

  async function around(given: HeatSetup): Promise<Surroundings> {
    const alloy = store.plan?.know.data.alloy.name ?? '356'
    const file = given.mesh ? await heldFile(store.job!.id, given.mesh) : undefined
    return surroundingsOf(
      toRaw(store.job!),
      toRaw(shop.kit),
      given,
      alloy,
      targetC.value,
      file && Array.from(new Float32Array(file.bytes)),
    )
  }
  const current = () => JSON.parse(JSON.stringify(setup.value!)) as HeatSetup
  const key = computed(() =>
    JSON.stringify([
      setup.value,
      targetC.value,
      store.job?.warm.startC.value,
      store.plan?.know.data.alloy.name,
      shop.kit.torches,
    ]),
  )
  const stale = computed(() => run.value !== null && runOf.value !== key.value)

  function take<T>(told: Told<T>): T | null {
    if (told.ok === true) {
      reason.value = null
      return told.value
    }
    if (told.ok === false) reason.value = told.reason
    return null
  }
  const tell = proxy((done: number) => {
    share.value = done
  })

  const stop = () => {
    if (busy.value) void heat.stop()
  }
  watch(key, stop)

  let drawing = 0
  watch(
    key,
    async () => {
      if (!setup.value || !store.plan) return
      const mine = ++drawing
      await new Promise(resolve => setTimeout(resolve, 250))
      if (mine !== drawing || busy.value) return
      const given = current()
      const cut = take(await heat.cut(given, await around(given)).catch(brokeOff))
      if (cut && mine === drawing) part.value = cut
    },
    { immediate: true },
  )

  async function start() {
    if (!setup.value) return
    busy.value = 'run'
    changes.value = null
    way.value = null
    share.value = 0
    const [given, of] = [current(), key.value]
    const surroundings = await around(given)
    try {
      for (const coarse of [true, false]) {
        const found = take(await heat.run(given, surroundings, coarse, tell).catch(brokeOff))
        // Begun on another shape or set-up: dropped.
        if (!found || of !== key.value) return
        run.value = found
        runOf.value = of
      }
      busy.value = 'changes'
      share.value = 0
      const found = take(await heat.changes(given, surroundings, tell).catch(brokeOff))
      if (of === key.value) changes.value = found
    } finally {
      busy.value = null
    }
  }

  async function findWay() {
    if (!setup.value) return
    busy.value = 'backwards'
    share.value = 0
    const [given, of] = [current(), key.value]
    try {
      const found = take(await heat.backwards(given, await around(given), tell).catch(brokeOff))
      if (of === key.value) way.value = found
    } finally {
      busy.value = null
    }
  }

  async function fit(placeId: string, readings: { s: number; C: number }[], offS: number) {
    const given = current()
    return heat
      .fit(given, await around(given), placeId, readings, offS)
      .catch((error: unknown) => ({
        ok: false as const,
        error: { kind: 'no-answer' as const, reason: brokeOff(error).reason },
      }))
  }

  /**
   * What a thermometer would read at a place if flame and film were other than the kit says: the stand-in's true part.
   */
  async function pretend(placeId: string, sourceShare: number, filmWm2K: number) {
    const given = current()
    const surroundings = await around(given)
    const { torch } = surroundings
    return take(
      await heat
        .read(
          given,
          { ...surroundings, torch: torch && { ...torch, efficiencyPct: torch.efficiencyPct * sourceShare, filmWm2K } },
          placeId,
        )
        .catch(brokeOff),
    )
  }

  onBeforeUnmount(end)
  return { setup, part, run, stale, reason, busy, share, changes, way, start, findWay, fit, pretend, stop }
}
export type HeatBench = ReturnType<typeof useHeatRun>
