import { acrossGroove } from '../section/across-groove'
import type { GrooveCut } from '../../groove/cut'
import type { Drawn, GrooveHandles, KindSketch } from '../kind'
import type { fields } from './fields'

export const sketch: KindSketch = { metal: 'M4 8h22l-3 5 4 4-3 7H4z', gone: 'M31 8h13v16H29l3-7-4-4z' }

/** Of a thin wall no more than a third is kept as the locator: judgement. */
const MOST_KEPT_SHARE = 1 / 3

/** From both sides down to what is kept of the break, if any. */
export const cut = ({ values, wallMm }: Drawn<typeof fields>): GrooveCut => ({
  ...values,
  wallMm,
  landMm: values.keepBreak ? Math.min(values.landMm, wallMm * MOST_KEPT_SHARE) : 0,
  alongMm: values.lengthMm,
  ends: [values.startsIn, values.endsIn],
  stopHoleMm: 0,
})

export const section = (given: Drawn<typeof fields>) => acrossGroove('Across the break', cut(given))

/** Dragged to the middle, nothing is kept of the break. */
export const handles: GrooveHandles<typeof fields> = {
  angle: includedDeg => ({ includedDeg }),
  land: landMm => ({ landMm, keepBreak: landMm > 0 }),
}
