import { mendKind, PLAIN } from '../kind'
import { FIND_ENDS_MIN, STOP_HOLE_MIN } from '../minutes.table'
import { grooved } from '../grooved'
import { cutting, dressing, wipe } from '../steps'
import { fields } from './fields'
import { words } from './words'

/** A keeper of the break leaves at least this much of it, mm: common practice, no source. */
const KEPT_MM = 2

/** A crack, part or all through the wall, open or running into a hole or an edge. */
export const crack = mendKind({
  id: 'crack',
  name: 'crack',
  fields,
  words,
  plan: ({ values, bodies: [body], part, opened }) => {
    const tips = [values.startsIn, values.endsIn].filter(end => end === 'tip').length
    const { laid, removedMm3, refused } = grooved({
      ...values,
      landMm: values.keepBreak ? Math.max(values.landMm, KEPT_MM) : values.landMm,
      wallMm: body.wallMm,
      runMm: values.lengthMm + tips * values.pastTipMm,
    })
    return {
      ...PLAIN,
      wallMm: body.wallMm,
      joint: 'groove',
      laid,
      removedMm3: opened ? 0 : removedMm3,
      refused,
      opening: opened
        ? [wipe]
        : [
            { code: 'find-ends', handMin: FIND_ENDS_MIN },
            ...(tips && values.stopHoleMm > 0 ? [{ code: 'stop-holes', handMin: tips * STOP_HOLE_MIN }] : []),
            ...cutting('groove', removedMm3),
            wipe,
          ],
      rebuild: [dressing(part.seat ? 'seat' : 'rough', laid)],
      checks: ['look', ...(part.does === 'static' ? [] : ['dye'])],
    }
  },
})
