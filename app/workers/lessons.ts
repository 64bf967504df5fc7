import type { Job, Kit } from '#core/job/job.schema'
import { lessonsOf, type Lessons } from '#core/station/shop/lessons'

export const bench = { lessons: (jobs: Job[], kit: Kit): Lessons => lessonsOf(jobs, kit) }
