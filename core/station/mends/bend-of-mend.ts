import { bendStraighten } from '../../face/question'
import type { AnswerTo } from '../../ask/question'
import type { Fields, ValuesOf } from '../../field/field'
import type { fields } from '../../mend/bent/fields'
import type { Drawn } from '../../mend/kind'
import type { Alloy } from '../../metal/alloys.table'
import { askFor } from '../ask-core'
import { found, type Found } from '../rebuild/found'

/** Pressing a bend that is a mend back, press by press. For a mend of the kind `bent`: it has its readings. */
export function bendOfMend({ name }: Alloy, { values, wallMm }: Drawn<Fields>): Found<AnswerTo<typeof bendStraighten>> {
  const { bentMm, overMm } = values as ValuesOf<typeof fields>
  return found(askFor(bendStraighten, 'Pressing it back', { outMm: bentMm, overMm, thickMm: wallMm, alloy: name }))
}
