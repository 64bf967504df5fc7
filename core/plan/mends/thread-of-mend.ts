import { USUAL_CHAMFER_MM, USUAL_FACED_MM } from '../../fit/weld-groove'
import { facingCutsMm } from '../../face/facing-cuts'
import { rebuild } from '../../job/fields/rebuild'
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
/** Ways that leave metal standing proud of the boss. */
const LEAVES_PROUD: ReadonlySet<string> = new Set(['weld-and-tap'])

/**
 * A mend that gives a thread back, at the bench, by the way that its plan takes; the slug as it usually is. Null where
 * nothing is drilled and tapped. For a mend whose plan compares such ways: it has a thread's readings.
 */
export function threadOfMend(job: Job, kit: Kit, body: Alloy | undefined, given: Drawn<Fields>): ThreadBack | null {
  const { way } = given
  if (!body || !isMethod(way)) return null
  const { thread, deepMm, bossMm, beneathMm } = given.values as ValuesOf<typeof fields>
  return threadBack(
    {
      thread,
      deepMm,
      way,
      bossMm: bossOf(thread, bossMm),
      beneathMm: beneathMm ?? null,
      proudMm: LEAVES_PROUD.has(way) ? PROUD_MM : 0,
      cutsMm: LEAVES_PROUD.has(way) ? facingCutsMm(PROUD_MM) : [],
      slug: {
        alloy: rebuild.slugAlloy.resolve(''),
        slugMm: null,
        interferenceMm: null,
        clearanceMm: rebuild.clearanceMm.usual!,
        cold: 'freezer',
        hubC: null,
        chamferMm: USUAL_CHAMFER_MM,
        facedMm: USUAL_FACED_MM,
        serviceC: serviceHeatC(job),
      },
    },
    body,
    kit,
  )
}
