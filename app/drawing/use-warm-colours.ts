import { computed, ref, type Ref } from 'vue'
import type { HeatMap, HeatMoment } from '#core/warm/heat-map'
import { coreWorker } from '~/composables/core-worker'
import { lookedFor } from '~/composables/looked-for'

/** A moment of a part under the flame, to be drawn in colours between two temperatures. */
export interface WarmDrawn {
  map: HeatMap
  moment: HeatMoment
  lowC: number
  highC: number
}

/**
 * The part in colours under the flame where any zone is warmed: which mend's zone, and at which moment; as it is taken
 * off, unless chosen.
 */
export function useWarmColours(zones: Ref<readonly unknown[]>) {
  const maps = lookedFor<HeatMap>(
    (job, kit) => coreWorker().heatMaps(job, kit),
    () => zones.value.length > 0,
  )
  const chosen = ref(0)
  const map = computed(() => maps.value[Math.min(chosen.value, zones.value.length - 1)])
  const moments = computed(() => map.value?.moments ?? [])
  const takenOff = computed(() => moments.value.findLastIndex(({ flame }) => flame === 'on'))
  const turned = ref<number | null>(null)
  const at = computed({
    get: () => Math.min(turned.value ?? takenOff.value, moments.value.length - 1),
    set: value => {
      turned.value = Number(value)
    },
  })
  const drawn = computed((): WarmDrawn | null => {
    const moment = moments.value[at.value]
    if (!map.value || !moment) return null
    // One scale for all moments, so that a colour means the same while it is turned through.
    const all = moments.value.flatMap(({ tenths }) => [Math.min(...tenths), Math.max(...tenths)])
    return { map: map.value, moment, lowC: Math.min(...all) / 10, highC: Math.max(...all) / 10 }
  })
  const spread = computed(() => {
    const { tenths } = moments.value[at.value] ?? { tenths: new Int16Array(1) }
    return { coldestC: Math.min(...tenths) / 10, hottestC: Math.max(...tenths) / 10 }
  })
  return { chosen, moments, at, drawn, spread, since: computed(() => sinceOff(moments.value, at.value)) }
}

/** Seconds since the flame was put on, or taken off. */
function sinceOff(moments: readonly HeatMoment[], at: number): { flame: 'on' | 'off'; s: number } | null {
  const moment = moments[at]
  if (!moment) return null
  const offS = moments.findLast(({ flame }) => flame === 'on')?.s ?? 0
  return { flame: moment.flame, s: moment.flame === 'on' ? moment.s : moment.s - offS }
}
