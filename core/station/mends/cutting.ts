import { grooved } from '../../mend/grooved'
import { groovePlan } from '../../groove/question'
import type { GrooveCut } from '../../groove/cut'
import { findAlloy } from '../../metal/find-alloy'
import type { AnswerTo } from '../../ask/question'
import type { PlannedMend } from '../../job-plan/job-planned'
import { askFor } from '../ask-core'
import { found, type Found } from '../rebuild/found'

/** The groove of a mend asked as `groove.plan` asks it, so that its working is the one the command line shows. */
export function cuttingOf(
  { alongMm, ends, wallMm, sides, includedDeg, rootRadiusMm, landMm, capMm, pastTipMm, stopHoleMm }: GrooveCut,
  { filler }: PlannedMend,
  rodMm: number,
): Found<AnswerTo<typeof groovePlan>> {
  const alloy = filler === null ? undefined : findAlloy(filler)
  if (!alloy) return null
  const [startsIn, endsIn] = ends ?? []
  return found(
    askFor(groovePlan, 'The groove and what fills it', {
      wallMm,
      sides,
      includedDeg,
      rootRadiusMm,
      landMm,
      capMm,
      pastTipMm,
      stopHoleMm,
      crackMm: alongMm,
      closed: ends === null,
      ...(startsIn && endsIn ? { startsIn, endsIn } : {}),
      filler: alloy.name,
      fillerMm: rodMm,
    }),
  )
}

/** Metal that the same takes, grooved from both sides, by the share of its section; null where that leaves none. */
export function fromBothSidesG(cut: GrooveCut, { depositG }: PlannedMend): number | null {
  const volumeOf = (sides: 1 | 2) => grooved({ ...cut, sides }).laid.reduce((sum, { volumeMm3 }) => sum + volumeMm3, 0)
  const [one, both] = [volumeOf(1), volumeOf(2)]
  return one > 0 && both > 0 ? (depositG * both) / one : null
}
