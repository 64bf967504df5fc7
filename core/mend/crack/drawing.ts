import { acrossGroove } from '../section/across-groove'
import type { GrooveCut } from '../../groove/cut'
import type { Drawn, GrooveHandles, KindSketch } from '../kind'
import type { fields } from './fields'

export const sketch: KindSketch = { metal: 'M4 8h40v16H4z', gone: 'M10 24l6-5-3-3 8-2-2-4 6-2' }

/** A keeper of the break leaves at least this much of it, mm: common practice, no source. */
const KEPT_MM = 2

/** Past the damage at each tip, and no deeper than leaves what is kept of it. */
export const cut = ({ values, wallMm }: Drawn<typeof fields>): GrooveCut => ({
  ...values,
  wallMm,
  landMm: values.keepBreak ? Math.max(values.landMm, KEPT_MM) : values.landMm,
  // What is machined off is built up first: the cutter must start in full metal everywhere.
  capMm: values.machined ? Math.max(values.capMm, values.proudMm) : values.capMm,
  alongMm: values.lengthMm,
  ends: values.closed ? null : [values.startsIn, values.endsIn],
})

export const section = (given: Drawn<typeof fields>) => acrossGroove('Across it', cut(given))

/** Less left than a locator needs is a root face, and no locator is kept. */
export const handles: GrooveHandles<typeof fields> = {
  angle: includedDeg => ({ includedDeg }),
  land: landMm => (landMm < KEPT_MM ? { landMm, keepBreak: false } : { landMm }),
}
