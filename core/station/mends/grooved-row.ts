import { facingCutsMm } from '../../face/facing-cuts'
import type { Fields } from '../../field/field'
import { drawnGroove, type DrawnGroove } from '../../groove/drawn'
import type { StoredMend } from '../../job/mend.schema'
import { rodForWall } from '../../lay/means'
import type { Drawn } from '../../mend/kind'
import { kindOf } from '../../mend/registry'
import type { PlannedMend } from '../../job-plan/job-planned'
import type { MendLog } from '../weld/pass-log'
import { cuttingOf, fromBothSidesG } from './cutting'
import type { resolved } from './mend-given'
import type { Facing } from './mend-row'

/** What a mend is grooved to and what fills it: drawn with the passes of its log in it, and as it is reckoned. */
export function groovedOf(
  mend: StoredMend,
  given: Drawn<Fields> | null,
  own: PlannedMend | null,
  rodMm: number,
  { passes }: MendLog,
) {
  const cut = given ? kindOf(mend.kind).cut?.(given) : null
  if (!given || !cut) return { groove: null, cutting: null, bothSidesG: null, keepsBreak: null }
  const { keepBreak } = given.values
  return {
    groove: drawnGroove(cut, passes, { keepBreak: keepBreak === true, turnAbout: mend.order === 'alternate' }),
    cutting: own && cuttingOf(cut, own, rodMm),
    bothSidesG: own && cut.sides === 1 ? fromBothSidesG(cut, own) : null,
    keepsBreak: typeof keepBreak === 'boolean' ? keepBreak : null,
  }
}

/** Across the rod that fills a mend: as said, else by the wall. */
export const rodOf = (found: ReturnType<typeof resolved>, wallMm: number): number => {
  const rodMm = 'values' in found ? found.values.rodMm : undefined
  return typeof rodMm === 'number' ? rodMm : rodForWall(wallMm)
}

/** How a groove's weld is faced at the mill, where its plan has it faced. */
export function facingOf(
  own: PlannedMend | null,
  given: Drawn<Fields> | null,
  groove: DrawnGroove | null,
): Facing | null {
  if (!given || !groove || !own?.rebuild.some(({ code }) => code === 'face-cuts')) return null
  const { proudMm, faceWideMm } = given.values
  return typeof proudMm === 'number'
    ? {
        proudMm,
        cutsMm: facingCutsMm(proudMm),
        wideMm: typeof faceWideMm === 'number' ? faceWideMm : groove.topWidthMm,
      }
    : null
}
