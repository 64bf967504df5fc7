import type { Job } from './job.schema'

/**
 * How hot the part runs in service, °C: what was said of the whole, or of its hottest mark where that is hotter; null,
 * nobody said.
 */
export function serviceHeatC({ takeIn, shape }: Pick<Job, 'takeIn' | 'shape'>): number | null {
  const marked = shape.marks.filter(mark => mark.kind === 'hot').map(mark => mark.hotC.value)
  const all = [takeIn.hotC.value, ...marked].filter(c => c !== null)
  return all.length ? Math.max(...all) : null
}
