import type { Step } from '../ask/question'
import type { Mechanical } from '../metal/mechanical.table'
import type { Flatness } from './evaluate'
import type { Lapping } from './lap'
import { LONG_LAP_MIN, MILL_FROM_MM, SEALANT_BRIDGES_MM, SEALS, SHEET_MM3, type SealId } from './sealing.table'

export interface FaceDecision {
  verdict: 'leave' | 'sealant' | 'lap' | 'mill'
  reason: string
  sheets: number
}

/**
 * Leave, seal, lap or mill a face, by its minimum zone against what the joint bears and by the minutes it would take to
 * lap. Limits: `sealing.table.ts`.
 */
export function decideFace(flat: Omit<Flatness, 'working'>, lap: Omit<Lapping, 'working'>, seal: SealId): FaceDecision {
  const { bearsMm, name, sealant } = SEALS[seal]
  const zone = flat.minimumZoneMm
  const sheets = Math.ceil(lap.volumeMm3 / SHEET_MM3)
  const um = (mm: number) => `${Math.round(mm * 1000)} µm`
  if (zone <= bearsMm)
    return { verdict: 'leave', reason: `${um(zone)} is within the ${um(bearsMm)} that ${name} bears`, sheets: 0 }
  if (sealant && zone <= bearsMm + SEALANT_BRIDGES_MM)
    return {
      verdict: 'sealant',
      reason: `${um(zone)} is over ${um(bearsMm)}, but a smear of sealant bridges ${um(SEALANT_BRIDGES_MM)} more`,
      sheets,
    }
  if (zone > MILL_FROM_MM || lap.minutes > LONG_LAP_MIN)
    return {
      verdict: 'mill',
      reason:
        zone > MILL_FROM_MM
          ? `${um(zone)} is much to rub off by hand`
          : `lapping would take ${Math.round(lap.minutes)} min`,
      sheets,
    }
  return { verdict: 'lap', reason: `${um(zone)} against the ${um(bearsMm)} that ${name} bears`, sheets }
}

/** A share of proof locked in from which a welded flange tends to crack: common practice, no source. */
export const MUCH_LOCKED = 1 / 3

/**
 * Stress that bolting a bowed flange flat locks into it: bending by its own bow, σ = 4 E t h ÷ L² (a shallow arc of
 * height h over L, thickness t, bent straight). Share of proof; past about a third it tends to crack along an old weld
 * after a few heat cycles (common practice).
 */
export function boltedFlat(
  bowMm: number,
  overMm: number,
  thickMm: number,
  metal: Mechanical,
): { stressMPa: number; ofProof: number; working: Step[] } {
  const stressMPa = (4 * metal.youngMPa * thickMm * bowMm) / overMm ** 2
  return {
    stressMPa,
    ofProof: stressMPa / metal.proofMPa,
    working: [
      {
        label: 'Locked in by bolting flat',
        formula: '4 E × thickness × bow ÷ length²',
        value: stressMPa,
        unit: 'MPa',
        source: 'bending of a shallow arc; any text on strength of materials',
      },
    ],
  }
}
