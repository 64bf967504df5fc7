import { computed } from 'vue'
import { kindOf } from '#core/mend/registry'
import { mendedAt } from '#core/station/take-in/on-the-part'
import { shapeOrNull } from '#core/station/take-in/body'
import { pathLongMm, pathOf } from '#core/solid/stored/to-shape'
import { mm } from '#core/quantity/stored'
import { wallAt } from '#core/solid/wall'
import type { SolidShape } from '~/drawing/use-part-sheet'
import { useJob } from '~/stores/job'
import type { Ref } from 'vue'

export interface ReadOff {
  id: string
  what: string
  valueMm: number
  /** What stands in the job now; null where nothing does. */
  saidMm: number | null
  take: () => void
}
const NEAR_MM = 0.05

/** What the shape comes to, and what can be read off it instead of being measured again. */
export function useComesTo(shape: Ref<SolidShape | null>) {
  const store = useJob()
  const measured = computed(() => shapeOrNull(store.job!))
  const body = computed(() => store.plan?.['take-in'].data.body ?? null)

  const readOffs = computed((): ReadOff[] => {
    const job = store.job!
    const found: ReadOff[] = []
    const offer = (id: string, what: string, valueMm: number, saidMm: number | null, path: (string | number)[]) => {
      const take = () => {
        store.edit(path, mm(valueMm))
      }
      if (saidMm === null || Math.abs(saidMm - valueMm) > NEAR_MM) found.push({ id, what, valueMm, saidMm, take })
    }
    const size = measured.value?.sizeMm
    if (size) {
      offer('long', 'Length over all', Math.max(size[0], size[1]), job.takeIn.lengthMm.value, ['takeIn', 'lengthMm'])
      offer('wide', 'Width', Math.min(size[0], size[1]), job.takeIn.widthMm.value, ['takeIn', 'widthMm'])
      offer('high', 'Height', size[2], job.takeIn.heightMm.value, ['takeIn', 'heightMm'])
    }
    for (const mark of job.shape.marks.filter(each => each.kind === 'mend')) {
      const path = pathOf(mark)
      if (!path) continue
      const name = mendedAt(job, mark)
      const first = job.shape.marks.find(each => each.kind === 'mend') === mark
      if (first && shape.value) {
        const wall = wallAt(shape.value, path[0]!, mark.face)
        if (wall !== null)
          offer(`wall-${mark.id}`, `Wall at ${name}`, wall, job.takeIn.wallMm.value, ['takeIn', 'wallMm'])
      }
      if (path.length < 2) continue
      const long = pathLongMm(path)
      const mend = job.mends.find(each => each.id === mark.mend)
      if (mend && 'lengthMm' in kindOf(mend.kind).fields) {
        const held = mend.readings.lengthMm
        const said = held && typeof held === 'object' && 'value' in held ? held.value : null
        offer(`long-${mark.id}`, `Along ${name}`, long, said, ['mends', `#${mend.id}`, 'readings', 'lengthMm'])
      }
    }
    return found
  })
  return { measured, body, readOffs }
}
