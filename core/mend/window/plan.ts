import { patchRoundMm } from '../../groove/run'
import { grooved } from '../grooved'
import { mendKind, PLAIN } from '../kind'
import { LOCATE_MIN, PATCH_CUT_MIN } from '../minutes.table'
import { cutting, dressing, wipe } from '../steps'
import { fields } from './fields'
import { words } from './words'

/** A fitted patch let in: a ring of bevel all round it. */
export const window = mendKind({
  id: 'window',
  name: 'patch let in',
  fields,
  words,
  plan: ({ values, bodies: [body], part, opened }) => {
    const wallMm = Math.min(body.wallMm, values.patchMm ?? body.wallMm)
    const { laid, removedMm3, refused } = grooved({
      ...values,
      sides: 1,
      landMm: 0,
      wallMm,
      runMm: patchRoundMm(values.wideMm, values.highMm, values.cornerMm),
    })
    const goes = { longMm: values.wideMm, wideMm: values.highMm }
    return {
      ...PLAIN,
      wallMm,
      joint: 'butt',
      laid: laid.map(one => ({ ...one, goes })),
      removedMm3: opened ? 0 : removedMm3,
      refused,
      opening: [
        ...(opened ? [] : [{ code: 'cut-window', handMin: PATCH_CUT_MIN }, ...cutting('bevel-window', removedMm3)]),
        wipe,
        { code: 'tack-patch', handMin: LOCATE_MIN },
      ],
      rebuild: [dressing(part.seat ? 'seat' : 'blend', laid)],
      checks: ['look', ...(part.does === 'static' ? [] : ['dye'])],
    }
  },
})
