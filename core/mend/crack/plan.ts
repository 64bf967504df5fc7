import type { ValuesOf } from '../../field/field'
import { drawn, mendKind, PLAIN, type Laid } from '../kind'
import { FIND_ENDS_MIN, STOP_HOLE_MIN } from '../minutes.table'
import { tipsOf } from '../../groove/cut'
import { facingCutsMm } from '../../face/facing-cuts'
import { grooved } from '../grooved'
import { cutting, dressing, facing, wipe } from '../steps'
import { cut, handles, section, sketch } from './drawing'
import { fields } from './fields'
import { words } from './words'

/** Faced on the mill over the run of its groove, or dressed by hand. */
function afterwards({ machined, proudMm, faceWideMm }: ValuesOf<typeof fields>, laid: readonly Laid[], seat: boolean) {
  const [first] = laid
  if (!first) return []
  return machined && proudMm > 0
    ? [facing((faceWideMm ?? first.wideMm) * first.runMm, facingCutsMm(proudMm).length)]
    : [dressing(seat ? 'seat' : 'rough', laid)]
}

/** A crack, part or all through the wall, open or running into a hole or an edge. */
export const crack = mendKind({
  id: 'crack',
  name: 'crack',
  fields,
  words,
  sketch,
  cut,
  handles,
  section,
  plan: ({ values, bodies: [body], part, opened }) => {
    const groove = cut(drawn(values, [body]))
    const tips = tipsOf(groove)
    const { laid, removedMm3, refused } = grooved(groove)
    return {
      ...PLAIN,
      wallMm: body.wallMm,
      joint: 'groove',
      rodMm: values.rodMm,
      laid,
      removedMm3: opened ? 0 : removedMm3,
      refused,
      opening: opened
        ? [wipe]
        : [
            ...(groove.ends ? [{ code: 'find-ends', handMin: FIND_ENDS_MIN }] : []),
            ...(tips && values.stopHoleMm > 0 ? [{ code: 'stop-holes', handMin: tips * STOP_HOLE_MIN }] : []),
            ...cutting('groove', removedMm3),
            wipe,
          ],
      rebuild: afterwards(values, laid, part.seat),
      checks: ['look', ...(part.does === 'static' ? [] : ['dye'])],
    }
  },
})
