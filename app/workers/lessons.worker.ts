import { expose } from 'comlink'
import type { Job, Kit } from '#core/job/job.schema'
import { lessonsOf, type Lessons } from '#core/plan/shop/lessons'

const bench = { lessons: (jobs: Job[], kit: Kit): Lessons => lessonsOf(jobs, kit) }
export type LessonsWorker = typeof bench

expose(bench)
