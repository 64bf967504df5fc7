import { said } from '#core/job/fields/said'
import { computed, type Ref } from 'vue'
import { dutyLeft, type ArcSpan } from '#core/arc/duty-left'
import { gasLeftL } from '#core/arc/gas'
import { sunsetMs } from '#core/day/daylight'
import { clockFace } from '#core/quantity/clock-face'
import type { MendRow } from '#core/station/mends/mend-row'
import { useJob } from '~/stores/job'
import { useShop } from '~/stores/shop'

/** Less daylight than this is said. */
const SOON_DARK_S = 1800

/** What is left at the arc: of the machine's duty, the cylinder, and the day. */
export function useWhatIsLeft(
  row: Readonly<Ref<MendRow | null>>,
  spans: Readonly<Ref<readonly ArcSpan[]>>,
  nowMs: Readonly<Ref<number>>,
  arcMin: Readonly<Ref<number>>,
) {
  const store = useJob()
  const shop = useShop()
  const set = computed(() => row.value?.setUps[0]?.set ?? null)
  const duty = computed(() => {
    const rated = set.value?.duty
    if (!rated) return null
    const left = dutyLeft(spans.value, nowMs.value, rated.weldMin)
    return {
      short: left.restMin > 0,
      text: left.restMin > 0 ? `rest ${clockFace(left.restMin * 60)}` : `${clockFace(left.leftMin * 60)} of arc`,
    }
  })
  const gas = computed(() => {
    const cylinder = shop.kit.gases[0]
    // A flame burns its own gas; only an arc empties this cylinder.
    if (!cylinder || !set.value?.machine) return null
    const left = gasLeftL(cylinder, said(store.job!, 'weld').flowLMin, arcMin.value)
    const wanted = set.value.gas?.litres ?? 0
    return {
      short: left < wanted,
      text: `${Math.round(left)} L${cylinder.leftL === null ? ', cylinder taken for full' : ''}`,
    }
  })
  const daylight = computed(() => {
    const { latitudeDeg, longitudeDeg } = shop.kit
    if (latitudeDeg === null || longitudeDeg === null) return null
    const setsMs = sunsetMs(nowMs.value, latitudeDeg, longitudeDeg)
    if (setsMs === null) return null
    const left = (setsMs - nowMs.value) / 1000
    return { short: left < SOON_DARK_S, text: left > 0 ? clockFace(left) : 'gone' }
  })
  return { duty, gas, daylight }
}
