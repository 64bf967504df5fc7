import type { ValuesOf } from '../../field/field'
import type { Finish } from '../finishes.table'
import { drawn, mendKind, PLAIN, type Laid } from '../kind'
import { FIND_ENDS_MIN, STOP_HOLE_MIN } from '../minutes.table'
import { tipsOf } from '../../groove/cut'
import { grooved } from '../grooved'
import { cutting, facing, finishing, wipe } from '../steps'
import { cut, handles, section, sketch } from './drawing'
import { fields } from './fields'
import { words } from './words'

/** Faced on the mill over the run of its groove, or dressed by hand. */
function afterwards({ machined, proudMm, faceWideMm }: ValuesOf<typeof fields>, laid: readonly Laid[], finish: Finish) {
  const [first] = laid
  if (!first) return []
  return machined && proudMm > 0
    ? [facing((faceWideMm ?? first.wideMm) * first.runMm, proudMm)]
    : finishing(finish, laid)
}

/** A crack, part or all through the wall, open or running into a hole or an edge. */
export const crack = mendKind({
  id: 'crack',
  name: 'crack',
  is: ['broken-line'],
  fields,
  words,
  finish: 'rough',
  coverable: true,
  backed: true,
  sketch,
  cut,
  handles,
  section,
  plan: ({ values, bodies: [body], part, opened, finish }) => {
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
            ...(groove.ends ? [{ code: 'find-ends', trade: 'check', handMin: FIND_ENDS_MIN } as const] : []),
            ...(tips && values.stopHoleMm > 0
              ? [{ code: 'stop-holes', trade: 'cut', handMin: tips * STOP_HOLE_MIN } as const]
              : []),
            ...cutting('groove', removedMm3),
            wipe,
          ],
      rebuild: afterwards(values, laid, finish),
      checks: ['look', ...(part.does === 'static' ? [] : ['dye'])],
    }
  },
})
