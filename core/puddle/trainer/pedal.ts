import { ampsNeed } from '../../arc/amps'
import { USUAL_ARC } from '../../process/registry'
import { standsA } from '../pool/tungsten'
import type { Bench } from './session'

const STEP_A = 5
/** A lesson that trains the tungsten's limit begins well under it: judgement. */
const TUNGSTEN_SHARE = 0.95

/**
 * What the pedal gives as a lesson begins, A: what its plate wants as it lies, no more than its tungsten stands, and
 * no more than the machine gives; to whole steps of the pedal.
 */
export function pedalA({ plate, startC, enPct, tungstenMm }: Bench, mostA: number | null = null): number {
  const wanted = ampsNeed(plate.zMm, startC, USUAL_ARC, 'flat').a
  const most = Math.min(TUNGSTEN_SHARE * standsA(tungstenMm, enPct), mostA ?? Infinity)
  return Math.max(STEP_A, STEP_A * Math.floor(Math.min(wanted, most) / STEP_A))
}
