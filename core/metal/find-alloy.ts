import { z } from 'zod'
import { nearest } from '../quantity/nearest'
import { ALLOYS, type Alloy } from './alloys.table'

const BY_NAME = new Map(ALLOYS.map(alloy => [alloy.name, alloy]))

/**
 * Finds an alloy as people write it: `6061-T6`, `A356.0`, `ER4043`, `AA 2024 T3`, `380`.
 * Temper, `ER`, `R`, `AA`, `EN AW-` and the casting's `.0` are taken off; nothing else is guessed.
 */
export function findAlloy(written: string): Alloy | undefined {
  const known = BY_NAME.get(written)
  if (known) return known
  const bare = written
    .trim()
    .toUpperCase()
    .replace(/^(EN\s*)?(AA|AW|AC)[\s-]*(?=\d|[A-Z]\d)/, '')
    .replace(/^ER?[\s-]*(?=\d)/, '')
    .replace(/^R(?=\d)/, '')
    .replace(/[\s-]+(F|O|H\d*|T\d*|W)$/, '')
    .replace(/\.[0-2]$/, '')
  return BY_NAME.get(bare)
}

/**
 * Names that a mistyped one may have meant: fillers for one that is written like a rod, else metals that parts are of.
 */
const namesFor = (written: string): string[] =>
  ALLOYS.filter(({ form }) => (form === 'filler') === /^er/i.test(written.trim())).map(({ name }) => name)

/** A Zod schema for an alloy's name; comes out as its row. Refuses an unknown one with the nearest names. */
export const alloyName = z
  .string({ error: 'an alloy name such as "6061-T6"' })
  .max(40)
  .transform((written, context) => {
    const alloy = findAlloy(written)
    if (alloy) return alloy
    context.issues.push({
      code: 'custom',
      input: written,
      message: `"${written}" is not in the alloy table; nearest: ${nearest(written, namesFor(written)).join(', ')}`,
    })
    return z.NEVER
  })
