import { drawn, mendKind, PLAIN } from '../kind'
import { FIND_ENDS_MIN, STOP_HOLE_MIN } from '../minutes.table'
import { tipsOf } from '../../groove/cut'
import { grooved } from '../grooved'
import { cutting, dressing, wipe } from '../steps'
import { cut, handles, section, sketch } from './drawing'
import { fields } from './fields'
import { words } from './words'

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
      rebuild: [dressing(part.seat ? 'seat' : 'rough', laid)],
      checks: ['look', ...(part.does === 'static' ? [] : ['dye'])],
    }
  },
})
