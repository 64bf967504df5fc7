import { grooved } from '../grooved'
import { drawn, mendKind, PLAIN } from '../kind'
import { LOCATE_MIN, PATCH_CUT_MIN, WINDOW_CUT_MIN } from '../minutes.table'
import { cutting, finishing, wipe } from '../steps'
import { cut, handles, section, sketch } from './drawing'
import { fields } from './fields'
import { words } from './words'

/** A fitted patch let in: a ring of bevel all round it. */
export const window = mendKind({
  id: 'window',
  name: 'patch let in',
  is: ['let-in'],
  fields,
  words,
  finish: 'blend',
  coverable: true,
  backed: true,
  sketch,
  cut,
  handles,
  section,
  plan: ({ values, bodies: [body], part, opened, finish }) => {
    const groove = cut(drawn(values, [body]))
    const { laid, removedMm3, refused } = grooved(groove)
    const goes = { longMm: values.wideMm, wideMm: values.highMm }
    return {
      ...PLAIN,
      wallMm: groove.wallMm,
      joint: 'butt',
      laid: laid.map(one => ({ ...one, goes })),
      removedMm3: opened ? 0 : removedMm3,
      refused,
      opening: [
        ...(opened
          ? []
          : [
              { code: 'cut-window', trade: 'cut' as const, handMin: WINDOW_CUT_MIN },
              { code: 'cut-patch', trade: 'cut' as const, handMin: PATCH_CUT_MIN - WINDOW_CUT_MIN, makes: true },
              ...cutting('bevel-window', removedMm3),
            ]),
        wipe,
        { code: 'tack-patch', trade: 'fit', handMin: LOCATE_MIN },
      ],
      rebuild: finishing(finish, laid),
      checks: ['look', ...(part.does === 'static' ? [] : ['dye'])],
    }
  },
})
