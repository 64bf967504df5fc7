import { NoAnswer } from '../ask/question'
import { ALLOYS, type Alloy } from '../metal/alloys.table'
import { familyById, type FamilyId } from '../metal/families.table'
import type { Evidence } from '../metal/identify/evidence'
import { identify } from '../metal/identify/identify'

export interface BodyGiven {
  id: string
  alloy?: Alloy | undefined
  evidence?: readonly Evidence[] | undefined
  /** What it may be, best first, where that was worked out already. */
  families?: readonly { id: FamilyId; probability: number }[] | undefined
  wallMm: number
}
/** A body with its metal: named, or what the evidence says, with the odds of each family. */
export interface Body {
  id: string
  alloy: Alloy
  wallMm: number
  families: { id: FamilyId; probability: number }[]
  known: boolean
}

/** A casting of this kind comes oftenest over a bench: what a body is taken for of which nothing is said. Judgement. */
const COMMONEST: FamilyId = 'cast-al-si-mg'

const sampleOf = (id: FamilyId): Alloy => {
  const found = ALLOYS.find(alloy => alloy.name === familyById(id)!.sampleAlloy)
  if (!found) throw new Error(`no sample alloy for ${id}`)
  return found
}

/** @throws NoAnswer where the alloy named is a filler, which no part is made of */
export function bodyOf({ id, alloy, evidence, families: given, wallMm }: BodyGiven): Body {
  if (alloy && given?.length) return { id, alloy, wallMm, families: [...given], known: true }
  if (alloy) {
    const family = familyById(alloy.family)
    if (!family) throw new NoAnswer(`${alloy.name} is a filler: no part is made of it`)
    return { id, alloy, wallMm, families: [{ id: family.id, probability: 1 }], known: true }
  }
  if (evidence?.length) {
    const { families } = identify(evidence)
    return {
      id,
      alloy: sampleOf(families[0]!.id),
      wallMm,
      families: families.map(row => ({ id: row.id, probability: row.probability })),
      known: true,
    }
  }
  return { id, alloy: sampleOf(COMMONEST), wallMm, families: [{ id: COMMONEST, probability: 1 }], known: false }
}
