import { ALLOYS, type Alloy } from './alloys.table'
import type { FamilyId } from './families.table'

/**
 * The alloys that a part of a family may be of. One that is forged of a casting's metal welds like it and is found by
 * its own name: it says nothing of castings.
 */
export const alloysOf = (family: FamilyId): Alloy[] =>
  ALLOYS.filter(alloy => alloy.family === family && !(family.includes('cast') && alloy.form === 'wrought'))
