import { computed, ref } from 'vue'
import Papa from 'papaparse'
import { BLUE_MM } from '#core/flat/evaluate'
import { gridPlaces, heightField, sampleField, shareWithin, straightedge } from '#core/flat/field'
import { useJob } from '~/stores/job'
import { useSettings } from '~/stores/settings'

const ACROSS = 44
export const FACE_VIEWS = { height: 'as it is', blue: 'what blue marks', half: 'half lapped', done: 'lapped' } as const
export type FaceView = keyof typeof FACE_VIEWS

/** The face of the open job as a map, what a straightedge shows across it, and its readings in and out. */
export function useFace() {
  const store = useJob()
  const settings = useSettings()
  const view = ref<FaceView>('height')
  const edgeAngle = ref<'across' | 'along' | 'diagonal'>('across')
  const trouble = ref<string | null>(null)
  const data = computed(() => store.plan?.rebuild.data.face ?? null)
  const face = computed(() => (data.value && 'flat' in data.value ? data.value : null))
  const points = computed(() => store.job!.rebuild.face.points)

  const values = computed<readonly number[]>(() => {
    if (!face.value) return []
    if (view.value === 'blue') return face.value.flat.gapsMm.map(gap => -gap)
    return view.value === 'half'
      ? face.value.lap.half.heightsMm
      : view.value === 'done'
        ? face.value.lap.after.heightsMm
        : face.value.flat.heightsMm
  })
  const map = computed(() => {
    if (!face.value) return null
    const field = heightField(face.value.points, values.value)
    const [xs, ys] = [face.value.points.map(point => point.xMm), face.value.points.map(point => point.yMm)]
    const aspect = (Math.max(...ys) - Math.min(...ys)) / Math.max(1e-9, Math.max(...xs) - Math.min(...xs))
    const along = Math.max(4, Math.min(80, Math.round(ACROSS * aspect)))
    const sampled = sampleField(field, face.value.points, ACROSS, along)
    const known = sampled.values.filter((value): value is number => value !== null)
    return { ...sampled, across: ACROSS, along, low: Math.min(...known), high: Math.max(...known), field }
  })
  /** The whole face where its size is said and holds the readings, else what the readings span. */
  const box = computed(() => {
    if (!map.value) return null
    const { leftMm, bottomMm, wideMm, highMm } = map.value
    const { wideMm: wide, longMm: long } = store.job!.rebuild.face
    const holds =
      leftMm >= 0 && bottomMm >= 0 && (wide.value ?? 0) >= leftMm + wideMm && (long.value ?? 0) >= bottomMm + highMm
    return holds
      ? { leftMm: 0, bottomMm: 0, wideMm: wide.value!, highMm: long.value! }
      : { leftMm, bottomMm, wideMm, highMm }
  })
  /** What blue would mark by the readings, percent of the area between them. */
  const foretoldPct = computed(() =>
    face.value ? 100 * shareWithin(face.value.points, face.value.flat.gapsMm, BLUE_MM) : 0,
  )
  const edge = computed(() => {
    if (!map.value) return []
    const { leftMm: l, bottomMm: b, wideMm: w, highMm: h, field } = map.value
    const [from, to] =
      edgeAngle.value === 'across'
        ? [
            { xMm: l, yMm: b + h / 2 },
            { xMm: l + w, yMm: b + h / 2 },
          ]
        : edgeAngle.value === 'along'
          ? [
              { xMm: l + w / 2, yMm: b },
              { xMm: l + w / 2, yMm: b + h },
            ]
          : [
              { xMm: l, yMm: b },
              { xMm: l + w, yMm: b + h },
            ]
    return straightedge(field, from, to)
  })

  const put = (next: typeof points.value) => store.edit(['rebuild', 'face', 'points'], next)
  /** An even grid of places over the face, its readings still to be taken. */
  function layOut(across: number, along: number) {
    const { wideMm, longMm } = store.job!.rebuild.face
    if (!wideMm.value || !longMm.value || wideMm.value <= 0 || longMm.value <= 0) {
      trouble.value = 'first say how wide and how long the face is'
      return
    }
    trouble.value = null
    put(
      gridPlaces(wideMm.value, longMm.value, across, along).map(place => ({ ...place, z: { typed: '', value: null } })),
    )
  }
  /**
   * Readings anywhere: x, y, height on a line, in any unit; a bare figure is in the reader's own. All of it or nothing.
   */
  function paste(text: string) {
    const { data: rows } = Papa.parse<string[]>(text.trim(), {
      delimiter: /[,;\t]/.test(text) ? '' : ' ',
      skipEmptyLines: true,
    })
    const found = rows.map(cells =>
      cells
        .map(cell => cell.trim())
        .filter(Boolean)
        .map(cell => settings.read(cell, 'mm')),
    )
    const wrong = found.findIndex(cells => cells.length !== 3 || cells.some(cell => !cell.ok))
    if (!found.length || wrong >= 0) {
      trouble.value = found.length ? `line ${wrong + 1}: wants x, y and height` : 'nothing to take in'
      return
    }
    trouble.value = null
    put(
      found.slice(0, 2000).map((cells, row) => {
        const [x, y, z] = cells.map(cell => (cell.ok ? cell.value : 0)) as [number, number, number]
        return { xMm: x, yMm: y, z: { typed: rows[row]!.map(cell => cell.trim()).filter(Boolean)[2]!, value: z } }
      }),
    )
  }
  return {
    view,
    edgeAngle,
    edge,
    trouble,
    data,
    face,
    points,
    map,
    box,
    foretoldPct,
    layOut,
    paste,
    clear: () => put([]),
  }
}
