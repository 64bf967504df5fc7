import { said } from './fields/said'
import type { Job } from './job.schema'

/**
 * How hot the part runs in service, °C: what is said of the whole, else the usual, or its hottest mark where that is
 * hotter.
 */
export const serviceHeatC = (job: Pick<Job, 'takeIn' | 'shape'>): number =>
  Math.max(
    said(job, 'takeIn').hotC,
    ...job.shape.marks.filter(mark => mark.kind === 'hot').flatMap(mark => mark.hotC.value ?? []),
  )
