import { mendKind, PLAIN } from '../kind'
import { LOCATE_MIN, PLATE_CUT_MIN } from '../minutes.table'
import { finishing, wipe } from '../steps'
import { filletMm3, taperedRoundMm } from '../volumes'
import { section, sketch } from './drawing'
import { fields } from './fields'
import { words } from './words'

/**
 * A plate, gusset or fish-plate over an arm, on one face or on both: fillets along its edges and round its tapered
 * ends.
 */
export const plate = mendKind({
  id: 'plate',
  name: 'plate over an arm',
  is: ['laid-over'],
  fields,
  words,
  finish: 'rough',
  turn: 'covers',
  sketch,
  section,
  plan: ({ values, bodies: [body], part, opened, finish }) => {
    const legMm = Math.min(values.plateMm, body.wallMm)
    const runMm = taperedRoundMm(values.longMm, values.wideMm)
    const goes = { longMm: values.longMm, wideMm: values.wideMm }
    const { sides } = values
    const laid = Array.from({ length: sides }, (_, n) => ({
      side: (n + 1) as 1 | 2,
      volumeMm3: filletMm3(legMm, runMm),
      runMm,
      wideMm: legMm * Math.SQRT2,
      fillet: true as const,
      goes,
    }))
    return {
      ...PLAIN,
      wallMm: (legMm + Math.max(values.plateMm, body.wallMm)) / 2,
      joint: 'lap',
      laid,
      opening: [
        ...(opened
          ? []
          : [
              { code: 'cut-plate', trade: 'cut' as const, handMin: PLATE_CUT_MIN * sides, makes: true },
              { code: 'bare', trade: 'clean' as const, handMin: 3 * sides },
            ]),
        wipe,
        { code: 'tack-plate', trade: 'fit', handMin: LOCATE_MIN * sides },
      ],
      rebuild: finishing(finish, laid),
      checks: ['look', 'fit', ...(part.does === 'static' ? [] : ['dye'])],
    }
  },
})
