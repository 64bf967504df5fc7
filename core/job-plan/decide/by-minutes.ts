import type { RankedProcess } from '../../call/process'
import { PROCESSES, isGun, type ProcessId } from '../../process/registry'
import type { Soak } from '../../call/process.table'
import { laysOf } from '../../lay/lays'
import { meansOf } from '../../lay/means'
import type { MendWork } from '../../mend/kind'
import type { Alloy } from '../../metal/alloys.table'
import { sum } from '../sum'

/** A gun is taken for a rod where it saves so many minutes of arc, and this share of them. Judgement. */
const SAVES_MIN = 10
const SAVES_SHARE = 2 / 3
/** And where it ranks no further behind than this. Judgement. */
const NEAR_SCORE = 0.25
/** Dirt that a gun would lay over. */
const CLEAN: ReadonlySet<Soak> = new Set(['dry', 'handled'])

/** Minutes of arc that a process takes for all that is laid, at its usual current. */
function arcMinOf(process: ProcessId, filler: Alloy, work: MendWork): number {
  const wanted = [{ process, filler: filler.name, upTo: 'cap' as const }]
  const heavyMm = work.rodWallMm ?? work.wallMm
  return sum(
    laysOf(work.laid, wanted, 'alternate').map(lay => meansOf(lay, filler, work.wallMm, undefined, heavyMm).arcMin),
  )
}

/**
 * A gun that lays in minutes what a rod would take the better part of an hour for, on clean metal, where it ranks near
 * the rod's process; null where the rod stays. Common practice (a groove in 5 to 10 min against 60 to 90), no source.
 */
export function gunInstead(
  took: ProcessId,
  ranked: readonly RankedProcess[],
  soak: Soak,
  filler: Alloy,
  work: MendWork,
): ProcessId | null {
  const first = ranked.find(({ process }) => process === took)
  if (!first || PROCESSES[took].lays !== 'rod' || !CLEAN.has(soak)) return null
  const rodMin = arcMinOf(took, filler, work)
  const gun = ranked.find(
    ({ process, verdict, score }) => isGun(process) && verdict !== 'never' && score >= first.score - NEAR_SCORE,
  )
  if (!gun || rodMin < SAVES_MIN) return null
  const gunMin = arcMinOf(gun.process, filler, work)
  return rodMin - gunMin >= SAVES_MIN && rodMin - gunMin >= SAVES_SHARE * rodMin ? gun.process : null
}
