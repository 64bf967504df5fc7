import { ALLOYS } from '../alloys.table'
import { FAMILY_IDS, type FamilyId } from '../families.table'
import { MARKS } from './marks.table'

export interface ReadMark {
  family: FamilyId
  alloy?: string
  system: string
}

const isFamily = (id: string): id is FamilyId => (FAMILY_IDS as readonly string[]).includes(id)

/**
 * By the Association's number: wrought first figure, castings by their series where the alloy itself is not in the
 * table.
 */
const SERIES: ReadonlyArray<readonly [RegExp, FamilyId]> = [
  [/\b1\d{3}\b/, 'wrought-1xxx'],
  [/\b2\d{3}\b/, 'wrought-2xxx'],
  [/\b3\d{3}\b/, 'wrought-3xxx'],
  [/\b5\d{3}\b/, 'wrought-5xxx'],
  [/\b6\d{3}[A-C]?\b/, 'wrought-6xxx'],
]

/**
 * Reads a cast or stamped mark: every standard designation found in it, each once.
 * A bare four-figure number may be a part number; it counts only with a temper, `AW`, `AA`, or when it names an alloy
 * of the table.
 */
export function readMark(text: string): ReadMark[] {
  const upper = text.toUpperCase().replace(/[._,;:/]+/g, ' ')
  const found = new Map<FamilyId, ReadMark>()
  for (const { pattern, family, alloy, system } of MARKS) {
    if (pattern.test(upper) && !found.has(family)) found.set(family, { family, system, ...(alloy ? { alloy } : {}) })
  }
  if (found.size === 0) {
    for (const alloy of ALLOYS) {
      if (
        alloy.form !== 'filler' &&
        isFamily(alloy.family) &&
        new RegExp(`(^|[^0-9A-Z])${alloy.name}(?![0-9A-Z])`).test(upper)
      ) {
        found.set(alloy.family, { family: alloy.family, alloy: alloy.name, system: 'Aluminum Association' })
      }
    }
  }
  if (found.size === 0 && (/-(T\d|H\d|O\b|F\b)/.test(upper) || /\b(AA|AW)\b/.test(upper))) {
    for (const [pattern, family] of SERIES)
      if (pattern.test(upper)) found.set(family, { family, system: 'Aluminum Association series' })
  }
  return [...found.values()]
}
