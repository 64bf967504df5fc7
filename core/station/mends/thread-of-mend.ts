import { facingCutsMm } from '../../face/facing-cuts'
import type { Job, Kit } from '../../job/job.schema'
import { serviceHeatC } from '../../job/service-heat'
import type { Drawn } from '../../mend/kind'
import type { fields } from '../../mend/thread/fields'
import type { Fields, ValuesOf } from '../../field/field'
import { PROUD_MM } from '../../mend/thread/sizes.table'
import { bossOf } from '../../mend/thread/ways'
import type { Alloy } from '../../metal/alloys.table'
import { BOSS_METHODS, type BossMethod } from '../../thread/methods.table'
import { threadBack, type ThreadBack } from '../rebuild/thread-back'

const isMethod = (way: string | null): way is BossMethod => BOSS_METHODS.some(method => method === way)
/** What is faced off a boss after it, mm. */
const facedOffMm = (way: BossMethod, slugFacedMm: number): number =>
  way === 'pressed-slug' ? slugFacedMm : way === 'weld-and-tap' || way === 'new-boss' ? PROUD_MM : 0

/**
 * A mend that gives a thread back, at the bench, by the way that its plan takes; the slug as its readings ask. Null
 * where nothing is drilled and tapped. For a mend whose plan compares such ways: it has a thread's readings.
 */
export function threadOfMend(job: Job, kit: Kit, body: Alloy | undefined, given: Drawn<Fields>): ThreadBack | null {
  const { way } = given
  if (!body || !isMethod(way)) return null
  const { thread, deepMm, bossMm, beneathMm, ...made } = given.values as ValuesOf<typeof fields>
  const proudMm = facedOffMm(way, made.facedMm)
  return threadBack(
    {
      thread,
      deepMm,
      way,
      bossMm: bossOf(thread, bossMm),
      beneathMm: beneathMm ?? null,
      proudMm,
      cutsMm: facingCutsMm(proudMm),
      slug: {
        alloy: made.slugAlloy,
        slugMm: made.slugMm ?? null,
        interferenceMm: made.interferenceMm ?? null,
        clearanceMm: made.clearanceMm,
        cold: made.cold,
        hubC: made.hubC ?? null,
        chamferMm: made.chamferMm,
        facedMm: made.facedMm,
        serviceC: serviceHeatC(job),
      },
    },
    body,
    kit,
  )
}
