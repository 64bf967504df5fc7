import { alloysOf } from '../alloys-of'
import { FAMILIES, type FamilyId } from '../families.table'
import { INSTRUMENTS } from './likelihoods.table'

export interface DensityResolves {
  cannotTell: FamilyId[]
  rulesOut: FamilyId[]
}

/** A family counts as ruled out when no alloy of it lies within this many standard deviations: judgement. */
const RULED_OUT_AT = 3

/**
 * What a weighed density can and cannot tell apart: families with an alloy near enough to be the one weighed, and those
 * without.
 * The deviation is the weighing's own with the scatter of real parts about the table.
 */
export function densityResolves(gcm3: number, uncertaintyGcm3: number): DensityResolves {
  const deviation = Math.hypot(uncertaintyGcm3, INSTRUMENTS.density.scatter)
  const near = (id: FamilyId) => Math.min(...alloysOf(id).map(alloy => Math.abs(alloy.densityGcm3 - gcm3))) / deviation
  return {
    cannotTell: FAMILIES.filter(family => near(family.id) <= RULED_OUT_AT).map(family => family.id),
    rulesOut: FAMILIES.filter(family => near(family.id) > RULED_OUT_AT).map(family => family.id),
  }
}
