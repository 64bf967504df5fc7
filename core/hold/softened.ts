import { AS_WELDED_UTS_MPA } from '../call/filler.table'
import type { AlloyInTemper } from '../metal/temper'
import { PROOF_BY_TEMPER } from '../metal/temper.table'

/** Proof stress beside a weld, as a share of tensile strength there: judgement, from published welded strengths. */
const PROOF_OF_UTS = 0.6

/**
 * What metal beside a weld, and weld metal by default, bears before it gives, MPa: between the annealed and the temper
 * it had, by the usual strength as welded of its family. From memory; a plan's own heat says it better.
 */
export function softenedMPa({ alloy }: AlloyInTemper, baseMPa: number): number {
  const annealed = PROOF_BY_TEMPER[alloy.name]?.O ?? 0
  const welded = PROOF_OF_UTS * (AS_WELDED_UTS_MPA[alloy.family] ?? baseMPa / PROOF_OF_UTS)
  return Math.min(baseMPa, Math.max(annealed, welded))
}
