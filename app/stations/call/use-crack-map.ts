import { contours } from 'd3-contour'
import { computed, ref, shallowRef, watch } from 'vue'
import type { CrackMap } from '#core/crack/crack-map'
import { coreWorker } from '~/composables/core-worker'
import { useJob } from '~/stores/job'

/** The drawing's plot area, in its own units. */
export const PLOT = { left: 52, top: 14, width: 440, height: 320 } as const
/** Levels of the index drawn as contours: the bounds of the ratings, and bare 6061. */
const LEVELS = [0.12, 0.2, 0.5, 0.8, 1.2]
const POINTS = 60
/** Room a level's figure takes, in the drawing's units. */
const LABEL = { wide: 28, high: 14 } as const

export interface Contour {
  level: number
  path: string
  label: { x: number; y: number } | null
}

/** The crack map of the open job: worked out in the worker, the latest question only, laid out for drawing. */
export function useCrackMap() {
  const store = useJob()
  const map = shallowRef<CrackMap | null>(null)
  const problem = ref<string | null>(null)
  const tookMs = ref(0)
  const asked = computed(() => (store.plan ? JSON.stringify(store.plan.call.data.map) : ''))
  let ticket = 0
  let busy = false

  async function work() {
    if (busy || !asked.value) return
    busy = true
    const mine = ++ticket
    const question = asked.value
    const begun = performance.now()
    const answered = await coreWorker().ask('weld.crackMap', { ...(JSON.parse(question) as object), points: POINTS })
    busy = false
    if (mine === ticket) {
      tookMs.value = performance.now() - begun
      map.value = answered.ok ? (answered.answer as CrackMap) : null
      problem.value = answered.ok ? null : 'The map could not be worked out for this metal.'
    }
    if (question !== asked.value) void work()
  }
  watch(asked, work, { immediate: true })

  const x = (siPct: number) => PLOT.left + (siPct / (map.value?.siMaxPct ?? 1)) * PLOT.width
  const y = (mgPct: number) => PLOT.top + PLOT.height - (mgPct / (map.value?.mgMaxPct ?? 1)) * PLOT.height
  const drawn = computed<Contour[]>(() => {
    if (!map.value) return []
    const { points, index } = map.value
    const px = ([column, row]: number[]) =>
      [
        PLOT.left + ((column! - 0.5) / (points - 1)) * PLOT.width,
        PLOT.top + PLOT.height - ((row! - 0.5) / (points - 1)) * PLOT.height,
      ] as const
    const labels: { x: number; y: number }[] = []
    /** A place on the line that is inside the plot and off the figures already there. */
    const place = (ring: number[][]) => {
      for (let share = 0.3; share < 1; share += 0.04) {
        const [atX, atY] = px(ring[Math.floor(ring.length * share)]!)
        const inside =
          atX > PLOT.left + 4 &&
          atX < PLOT.left + PLOT.width - LABEL.wide &&
          atY > PLOT.top + LABEL.high &&
          atY < PLOT.top + PLOT.height - 6
        if (
          !inside ||
          labels.some(other => Math.abs(other.x - atX) < LABEL.wide && Math.abs(other.y - atY) < LABEL.high)
        )
          continue
        labels.push({ x: atX, y: atY })
        return labels.at(-1)!
      }
      return null
    }
    return contours()
      .size([points, points])
      .thresholds(LEVELS)(index)
      .map((contour): Contour => {
        const rings = contour.coordinates.flat()
        const longest = [...rings].sort((a, b) => b.length - a.length)[0]
        return {
          level: contour.value,
          path: rings
            .map(
              ring =>
                `M${ring
                  .map(point =>
                    px(point)
                      .map(value => value.toFixed(1))
                      .join(' '),
                  )
                  .join('L')}z`,
            )
            .join(''),
          label: longest ? place(longest) : null,
        }
      })
  })
  const dilutionPct = computed(() => store.plan?.call.data.map.dilutionPct ?? 30)
  const setDilution = (pct: number) => {
    const rounded = Math.round(Math.min(100, Math.max(0, pct)))
    store.edit(['call', 'dilutionPct'], { typed: `${rounded} %`, value: rounded })
  }
  /**
   * The dilution whose first bead lies nearest a point of the drawing, by projecting it on the line from filler to
   * base.
   */
  function dragTo(px: number, py: number) {
    if (!map.value) return
    const [fx, fy, bx, by] = [
      x(map.value.filler.siPct),
      y(map.value.filler.mgPct),
      x(map.value.base.siPct),
      y(map.value.base.mgPct),
    ]
    const long = (bx - fx) ** 2 + (by - fy) ** 2
    if (long > 1) setDilution((((px - fx) * (bx - fx) + (py - fy) * (by - fy)) / long) * 100)
  }
  return { store, map, problem, tookMs, x, y, drawn, dilutionPct, setDilution, dragTo }
}
