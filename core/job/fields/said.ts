import type { Job } from '../job.schema'
import { saidOf, type SaidOf } from './declared'
import { SECTIONS, type SectionId } from './sections'

export type Said<Id extends SectionId> = SaidOf<(typeof SECTIONS)[Id]>

/**
 * What a plan takes a part of a job for: readings as figures in the unit their names end in, the declared usual where
 * nothing is typed, null where there is neither.
 */
export const said = <Id extends SectionId>(job: Pick<Job, Id>, id: Id): Said<Id> =>
  saidOf(SECTIONS[id], job[id] as never) as Said<Id>
