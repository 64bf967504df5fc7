import type { Job } from '../../job/job.schema'
import type { Flat } from '../../solid/forms'
import type { Shape } from '../../solid/shape.schema'
import { pathOf } from '../../solid/stored/to-shape'
import { onSheet, viewOf, type Layer } from '../../solid/views'
import { notesOnPart } from './on-the-part'
import type { JobPlan } from '../plan-job'
import { sentenceText } from '../hand-over/record'
import type { ReadingSystem } from '../../quantity/show'

/** The part from above for paper: what is seen, where each mend is, and what is said of it. */
export interface PartDrawing {
  layers: readonly Layer[]
  low: Flat
  high: Flat
  marks: { number: number; line: Flat[]; text: string }[]
}

export function partDrawing(
  job: Job,
  plan: JobPlan,
  shape: Exclude<Shape, { kind: 'voxels' }>,
  system: ReadingSystem,
): PartDrawing {
  const { layers, low, high } = viewOf(shape, 'plan')
  const marks = notesOnPart('take-in', job, plan).flatMap(({ mark, number, words }) => {
    const path = pathOf(job.shape.marks.find(each => each.id === mark)!)
    return path ? [{ number, line: path.map(place => onSheet('plan', place)), text: sentenceText(words, system) }] : []
  })
  return { layers, low, high, marks }
}
