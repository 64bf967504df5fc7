import { mendKind, PLAIN } from '../kind'
import { PATCH_LAP_MIN } from '../minutes.table'
import { dressing, wipe } from '../steps'
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
  sketch,
  section,
  plan: ({ values, bodies: [body], opened }) => {
    const wallMm = Math.min(body.wallMm, values.patchMm ?? body.wallMm)
    const runMm = 2 * (values.wideMm + values.highMm)
    const goes = { longMm: values.wideMm, wideMm: values.highMm }
    const laid = [{ side: 1 as const, volumeMm3: filletMm3(wallMm, runMm), runMm, wideMm: wallMm * Math.SQRT2, goes }]
    return {
      ...PLAIN,
      wallMm,
      joint: 'lap',
      laid,
      opening: [
        ...(opened
          ? []
          : [
              { code: 'cut-lap', handMin: PATCH_LAP_MIN },
              { code: 'bare', handMin: BARE_MIN },
            ]),
        wipe,
      ],
      rebuild: [dressing('rough', laid)],
      checks: ['look'],
    }
  },
})
