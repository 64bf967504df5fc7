import { INTERPASS_C } from '../../arc/interpass.table'
import { protectOf } from '../../job/words.table'
import type { Alloy } from '../../metal/alloys.table'
import type { KeptOn, PartGiven } from '../job-given'
import type { Heat } from './heat'

/** Something that stays on the part and caps its heat. */
export interface Kept {
  id: string
  limitC: number
  atMm: readonly number[] | null
}

/** How far from a mend its place is as good as the rest of the part, mm. Judgement. */
const FAR_MM = 120

/** What stays on the part: as said, and of what is guarded what is not taken off. */
export const keptOf = ({ keptOn, protect }: Pick<PartGiven, 'keptOn' | 'protect'>): Kept[] => [
  ...keptOn.map(({ id, limitC, atMm }: KeptOn): Kept => ({ id, limitC, atMm: atMm ?? null })),
  ...protect.flatMap(id => {
    const row = protectOf(id)
    return row?.staysOn && row.limitC !== undefined ? [{ id, limitC: row.limitC, atMm: null }] : []
  }),
]

/** The heat that the metal itself is kept under as the next pass begins, °C. */
export const metalLimitC = (alloy: Alloy): number => INTERPASS_C[alloy.family].mostC

/** What a kept thing stands at when the place that is mended is at a temperature, as a share of its rise. */
function shareAt(kept: Kept, atMm: readonly number[] | null | undefined, meanShare: number): number {
  if (!kept.atMm || !atMm) return meanShare
  const apartMm = Math.hypot(...kept.atMm.map((mm, n) => mm - (atMm[n] ?? mm)))
  return meanShare + (1 - meanShare) * Math.exp(-((apartMm / FAR_MM) ** 2))
}

/** The hottest that the place of a mend may be for what stays on, °C, and for which; null where nothing stays on. */
export function keptCap(
  kept: readonly Kept[],
  atMm: readonly number[] | null | undefined,
  heat: Pick<Heat, 'airC' | 'meanOf'>,
): { c: number; id: string } | null {
  const meanShare = heat.meanOf(heat.airC + 1) - heat.airC
  return kept.reduce<{ c: number; id: string } | null>((least, one) => {
    const c = heat.airC + (one.limitC - heat.airC) / shareAt(one, atMm, meanShare)
    return least && least.c <= c ? least : { c, id: one.id }
  }, null)
}
