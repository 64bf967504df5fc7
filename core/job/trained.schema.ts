import { z } from 'zod'
import { between } from './between'
import { idText as id, moment, name } from './text'

/** Runs that a kit keeps. */
export const MOST_TRAINED = 300

/** A job as the trainer takes it: plain figures, to be sent to a worker and kept with the run. */
export const trainedJobSchema = z.strictObject({
  title: name(120),
  alloy: name(40),
  filler: name(40),
  wallMm: between(0.01, 1e4),
  startC: between(-100, 700),
  dirt: z.enum(['clean', 'handled', 'oily', 'oil-soaked']),
  rodMm: between(0.1, 20),
  enPct: between(0, 100),
  tungstenMm: between(0.1, 20),
  /** What the machine gives at most; null, not known. */
  mostA: between(0, 5000).nullable(),
})
export type TrainedJob = z.output<typeof trainedJobSchema>

/** One run at the puddle trainer: what came of it and, with the latest of its lesson, the hand that made it. */
export const trainedRunSchema = z.strictObject({
  id,
  lesson: z.string().min(1).max(40),
  at: moment,
  met: between(0, 20),
  of: between(1, 20),
  seconds: between(0, 600),
  wetted: between(0, 2000),
  dips: between(0, 2000),
  specks: between(0, 1e5),
  addedG: between(0, 1e4),
  /** What it was run on, where that was a job of one's own. */
  on: trainedJobSchema.optional(),
  /** The hand frame by frame, packed as in `core/puddle/trainer/kept-hand.ts`. */
  hand: z.string().max(60_000).optional(),
})
export type TrainedRun = z.output<typeof trainedRunSchema>
