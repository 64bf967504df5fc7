import { mendKind, PLAIN } from '../kind'
import { PATCH_LAP_MIN } from '../minutes.table'
import { finishing, wipe } from '../steps'
import { filletMm3 } from '../volumes'
import { section, sketch } from './drawing'
import { fields } from './fields'
import { words } from './words'

const BARE_MIN = 1.5

/** A patch lapped over corroded or holed sheet: a fillet all round, its leg from the thinner wall. */
export const overlay = mendKind({
  id: 'overlay',
  name: 'patch lapped over',
  fields,
  words,
  finish: 'rough',
  turn: 'covers',
  sketch,
  section,
  plan: ({ values, bodies: [body], opened, finish }) => {
    const wallMm = Math.min(body.wallMm, values.patchMm ?? body.wallMm)
    const runMm = 2 * (values.wideMm + values.highMm)
    const goes = { longMm: values.wideMm, wideMm: values.highMm }
    const laid = [
      {
        side: 1 as const,
        volumeMm3: filletMm3(wallMm, runMm),
        runMm,
        wideMm: wallMm * Math.SQRT2,
        goes,
        fillet: true as const,
      },
    ]
    return {
      ...PLAIN,
      wallMm,
      joint: 'lap',
      laid,
      opening: [
        ...(opened
          ? []
          : [
              { code: 'cut-lap', trade: 'cut' as const, handMin: PATCH_LAP_MIN, makes: true },
              { code: 'bare', trade: 'clean' as const, handMin: BARE_MIN },
            ]),
        wipe,
      ],
      rebuild: finishing(finish, laid),
      checks: ['look'],
    }
  },
})
