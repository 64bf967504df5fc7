import { acrossGroove } from '../section/across-groove'
import { ROUND, type GrooveCut } from '../../groove/cut'
import type { Drawn, GrooveHandles, KindSketch } from '../kind'
import type { fields } from './fields'
import { patchRoundMm } from '../../groove/run'

export const sketch: KindSketch = { metal: 'M4 8h40v16H4z', fresh: 'M17 12h14v8H17z' }

/** From this wall on a patch is rooted from both sides, mm. Common practice, no source. */
const BOTH_FROM_MM = 10
const thinner = ({ patchMm }: Drawn<typeof fields>['values'], wallMm: number) => Math.min(wallMm, patchMm ?? wallMm)

/** All round the patch, through the thinner of patch and wall. */
export const cut = ({ values, wallMm }: Drawn<typeof fields>): GrooveCut => ({
  ...ROUND,
  sides: values.sides ?? (thinner(values, wallMm) >= BOTH_FROM_MM ? 2 : 1),
  landMm: 0,
  includedDeg: values.includedDeg,
  rootRadiusMm: values.rootRadiusMm,
  capMm: values.capMm,
  wallMm: thinner(values, wallMm),
  alongMm: patchRoundMm(values.wideMm, values.highMm, values.cornerMm),
})

export const section = (given: Drawn<typeof fields>) => acrossGroove('Across the edge of the patch', cut(given))

export const handles: GrooveHandles<typeof fields> = { angle: includedDeg => ({ includedDeg }) }
