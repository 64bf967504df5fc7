import type { Alloy } from './alloys.table'

/** Wrought Al-Cu that is made to be welded. Source: ASM Handbook vol. 6, from memory. */
const WELDABLE_2XXX: ReadonlySet<string> = new Set(['2219'])

/**
 * Wrought metal that cracks as it is welded, hot or later under its load, and is not fusion welded where it carries
 * any: the strong Al-Cu and Al-Zn-Mg-Cu alloys. Source: ASM Handbook vol. 6, from memory; common practice.
 */
export const notUnderLoad = ({ family, name }: Pick<Alloy, 'family' | 'name'>): boolean =>
  family === 'wrought-7xxx-copper' || (family === 'wrought-2xxx' && !WELDABLE_2XXX.has(name))
