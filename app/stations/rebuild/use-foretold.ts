import { said } from '#core/job/fields/said'
import { computed } from 'vue'
import { heightField, sampleField } from '#core/flat/field'
import { mechanicalOf } from '#core/metal/mechanical.table'
import { BOW, foretoldFace, type ForetoldFace } from '#core/station/rebuild/foretold-face'
import { useJob } from '~/stores/job'
import { useShop } from '~/stores/shop'

const [ACROSS, WIDE, BANDS] = [28, 220, 9]

/** Faces as the pull bench foretold them, each drawn small in the shades of the face map. */
export function useForetold() {
  const store = useJob()
  const shop = useShop()
  const drawn = ({ points, heightsMm }: ForetoldFace) => {
    const [xs, ys] = [points.map(point => point.xMm), points.map(point => point.yMm)]
    const [wide, high] = [Math.max(...xs) - Math.min(...xs), Math.max(...ys) - Math.min(...ys)]
    const along = Math.max(3, Math.min(60, Math.round((ACROSS * high) / Math.max(1e-9, wide))))
    const { values } = sampleField(heightField(points, heightsMm), points, ACROSS, along)
    const known = values.filter((value): value is number => value !== null)
    const [low, top] = [Math.min(...known), Math.max(...known)]
    const cell = WIDE / ACROSS
    return {
      wide: WIDE,
      high: along * cell,
      cell,
      cells: values.flatMap((value, n) =>
        value === null
          ? []
          : [
              {
                x: (n % ACROSS) * cell,
                y: (along - 1 - Math.floor(n / ACROSS)) * cell,
                deep:
                  0.06 +
                  (0.9 * Math.min(BANDS - 1, Math.floor(((value - low) / Math.max(1e-9, top - low)) * BANDS))) /
                    (BANDS - 1),
              },
            ],
      ),
    }
  }
  return computed(() => {
    const { job, plan } = store
    if (!job || !plan) return []
    const thickMm = job.rebuild.face.thickMm.value ?? job.takeIn.wallMm.value
    const metal = thickMm && thickMm > 0 ? { mechanical: mechanicalOf(plan.know.data.alloy), thickMm } : null
    const toMm = Math.max(0, said(job, 'rebuild').face.toMm)
    return job.weld.foretold.flatMap(entry => {
      const face = foretoldFace(entry, toMm, metal, shop.kit.learnt?.ratios[BOW]?.ratio)
      return face ? [{ ...face, map: drawn(face) }] : []
    })
  })
}
