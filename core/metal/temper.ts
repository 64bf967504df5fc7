import { z } from 'zod'
import type { Alloy } from './alloys.table'
import { alloyName } from './find-alloy'
import { mechanicalOf } from './mechanical.table'
import { PROOF_BY_TEMPER } from './temper.table'

export interface AlloyInTemper {
  alloy: Alloy
  /** As it was named, such as T6; null where it was not. */
  temper: string | null
}

/** A Zod schema for an alloy with its temper as people write it: `6061-T6`, `A356`, `5052 H32`. */
export const alloyInTemper = z
  .string({ error: 'an alloy name such as "6061-T6"' })
  .max(40)
  .transform((written, context): AlloyInTemper => {
    const found = alloyName.safeParse(written)
    if (!found.success) {
      for (const { message } of found.error.issues) context.issues.push({ code: 'custom', input: written, message })
      return z.NEVER
    }
    return { alloy: found.data, temper: /[\s-]+(F|O|H\d+|T\d+|W)$/i.exec(written.trim())?.[1]?.toUpperCase() ?? null }
  })

/**
 * 0.2 % proof stress of an alloy in a temper, MPa: of the temper that was named where a table has it, else of that a
 * part usually has.
 */
export function proofOf({ alloy, temper }: AlloyInTemper): { proofMPa: number; ofTemper: string | null } {
  const row = PROOF_BY_TEMPER[alloy.name]
  // A temper's further figures are how it was stretched or aged: T651 is T6, H321 is H32.
  const known =
    temper && row
      ? Object.keys(row)
          .filter(one => temper.startsWith(one))
          .toSorted((a, b) => b.length - a.length)[0]
      : undefined
  return known && row
    ? { proofMPa: row[known]!, ofTemper: known }
    : { proofMPa: mechanicalOf(alloy).proofMPa, ofTemper: null }
}
