import { mendKind, PLAIN } from '../kind'
import { HOLE_PREP_MIN } from '../minutes.table'
import { cutting, dressing, wipe } from '../steps'
import { coneMm3, domeMm3 } from '../volumes'
import { fields } from './fields'
import { words } from './words'

/**
 * Opened to this included angle from the side it is filled from, degrees; a plated one is drilled out one size, mm.
 * Common practice, no source.
 */
const OPEN_DEG = 60
const ONE_SIZE_MM = 0.5
const BLIND_SHARE = 2 / 3

/** A plain hole to be filled, plated or not, through or blind: a cone under a dome. */
export const hole = mendKind({
  id: 'hole',
  name: 'hole to fill',
  fields,
  words,
  plan: ({ values, bodies: [body], part, opened }) => {
    const deepMm = values.through ? body.wallMm : values.deepMm || BLIND_SHARE * body.wallMm
    const across = values.diameterMm + (values.plated ? ONE_SIZE_MM : 0)
    const mouthMm = across + 2 * deepMm * Math.tan(((OPEN_DEG / 2) * Math.PI) / 180)
    const volumeMm3 = coneMm3(across, mouthMm, deepMm) + domeMm3(mouthMm, values.capMm)
    const removedMm3 = coneMm3(across, mouthMm, deepMm) - coneMm3(values.diameterMm, values.diameterMm, deepMm)
    // Rings that close in: the mean of them is half way from the wall of the hole to its middle.
    const laid = [
      {
        side: 1 as const,
        volumeMm3,
        runMm: (Math.PI * (across + mouthMm)) / 4,
        wideMm: mouthMm / 2,
        goes: 'round' as const,
      },
    ]
    return {
      ...PLAIN,
      wallMm: body.wallMm,
      joint: 'groove',
      laid,
      removedMm3: opened ? 0 : removedMm3,
      opening: [
        ...(opened
          ? []
          : [
              { code: values.plated ? 'drill-plating' : 'open-hole', handMin: HOLE_PREP_MIN },
              ...cutting('cone', removedMm3),
            ]),
        wipe,
      ],
      rebuild: [dressing(part.seat ? 'seat' : 'rough', laid)],
      checks: ['look'],
    }
  },
})
