import { mendKind, PLAIN } from '../kind'
import { grooved } from '../grooved'
import { BACK_GRIND_MIN, LOCATE_MIN } from '../minutes.table'
import { cutting, dressing, wipe } from '../steps'
import { fields } from './fields'
import { words } from './words'

/** A piece broken off, put back: the middle of the break kept as the jigsaw that locates it, or cut right through. */
export const broken = mendKind({
  id: 'break',
  name: 'piece broken off',
  fields,
  words,
  plan: ({ values, bodies: [body], part, opened }) => {
    const tips = [values.startsIn, values.endsIn].filter(end => end === 'tip').length
    const landMm = values.keepBreak ? Math.min(values.landMm, body.wallMm / 3) : 0
    const { laid, removedMm3, refused } = grooved({
      ...values,
      landMm,
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
      opening: [
        ...(opened ? [] : cutting('bevel', removedMm3)),
        wipe,
        { code: 'locate', handMin: LOCATE_MIN },
        ...(values.keepBreak ? [{ code: 'back-grind', handMin: BACK_GRIND_MIN }] : []),
      ],
      rebuild: [dressing(part.seat ? 'seat' : 'blend', laid)],
      checks: ['look', 'fit', ...(part.does === 'static' ? [] : ['dye'])],
    }
  },
})
