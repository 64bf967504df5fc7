import type { Laid } from '../kind'
import { drawn, mendKind, PLAIN } from '../kind'
import { grooved } from '../grooved'
import { JOINT_FIT_MIN } from '../minutes.table'
import { cutting, finishing, wipe } from '../steps'
import { filletMm3 } from '../volumes'
import { cut, isSquare, legOf, section, sidesOf, sketch } from './drawing'
import { fields } from './fields'
import { words } from './words'

/** Set so that an ear of 6 mm plate on a 3 to 4 mm casting comes to about 200 A: common practice, no source. */
const THICKER_SHARE = 0.3
const TWO_METALS_POINTS = -3

/**
 * Two bodies joined: butt, tee, lap or corner, by joint, leg and run, set out by the thinner one with the arc held on
 * the thicker.
 */
export const joint = mendKind({
  id: 'joint',
  name: 'joint of two pieces',
  is: ['two-bodies'],
  fields,
  words,
  finish: 'rough',
  sketch,
  cut,
  section,
  plan: ({ values, bodies: [a, second], part, opened, finish }) => {
    const b = second ?? a
    const [thinMm, thickMm] = [Math.min(a.wallMm, b.wallMm), Math.max(a.wallMm, b.wallMm)]
    const legMm = legOf(values, a.wallMm, b.wallMm)
    const risks = a.alloy.family === b.alloy.family ? [] : [{ code: 'two-metals', points: TWO_METALS_POINTS }]
    // The thinner sets it out; the arc, held on the thicker, asks for a share of what that has more.
    const common = {
      ...PLAIN,
      wallMm: thinMm + THICKER_SHARE * (thickMm - thinMm),
      risks,
      checks: ['look', 'alignment', ...(part.does === 'static' ? [] : ['dye'])],
    }
    const fit = { code: 'fit-joint', trade: 'fit', handMin: JOINT_FIT_MIN } as const
    const bevel = cut(drawn(values, [a, b]))
    if (bevel && values.joint === 'butt') {
      const square = isSquare(a.wallMm, b.wallMm)
      const found = grooved(bevel)
      return {
        ...common,
        joint: 'butt',
        way: square ? 'square' : null,
        laid: found.laid,
        removedMm3: opened || square ? 0 : found.removedMm3,
        refused: found.refused,
        opening: [...(opened || square ? [] : cutting('bevel-joint', found.removedMm3)), wipe, fit],
        rebuild: finishing(finish, found.laid),
      }
    }
    const laid: Laid[] = Array.from({ length: sidesOf(values) }, (_, n) => ({
      side: (n + 1) as 1 | 2,
      volumeMm3: filletMm3(legMm, values.lengthMm),
      runMm: values.lengthMm,
      wideMm: legMm * Math.SQRT2,
      fillet: true as const,
    }))
    return {
      ...common,
      joint: values.joint,
      laid,
      opening: [
        ...(opened ? [] : [{ code: 'bare', trade: 'clean', handMin: 1 + values.lengthMm / 100 } as const]),
        wipe,
        fit,
      ],
      rebuild: finishing(finish, laid),
    }
  },
})
