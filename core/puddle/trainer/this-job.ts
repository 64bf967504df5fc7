import type { TrainedJob } from '../../job/trained.schema'
import { findAlloy } from '../../metal/find-alloy'
import { clean, heldWidth, noCrater, ran, stands, wets } from './goals'
import type { Lesson } from './lessons.table'

/** Walls past this are trained on a plate so thick: what lies deeper melts on no account. */
const THICKEST_MM = 12
const THINNEST_MM = 1.5
/** A fillet of weld is about so much wider than the wall, within what the plate bears. Common practice, no source. */
const wide = (wallMm: number) => Math.min(9, Math.max(4, wallMm * 1.2))

const alloyOf = (name: string) => {
  const alloy = findAlloy(name)
  if (!alloy) throw new RangeError(`no alloy is called ${name} here`)
  return alloy
}

/**
 * A run on the job's own metal: its alloy, wall, temperature, filler and dirt.
 * @throws {RangeError} an alloy or filler that is not among the alloys
 */
export function thisJob(job: TrainedJob): Lesson {
  const zMm = Math.min(THICKEST_MM, Math.max(THINNEST_MM, job.wallMm))
  const width = wide(zMm)
  const soaked = job.dirt === 'oily' || job.dirt === 'oil-soaked'
  return {
    id: 'this-job',
    title: job.title,
    look: [
      `${job.alloy}, ${zMm.toFixed(1)} mm, at ${Math.round(job.startC)} °C, filled with ${job.filler}.`,
      soaked
        ? 'It held oil: hold the puddle until nothing more comes up, then feed.'
        : 'Wait for the bright puddle, feed at its front edge, ease off as it soaks up heat.',
      ...(job.mostA === null ? [] : [`Your machine gives ${Math.round(job.mostA)} A at most.`]),
    ],
    bench: {
      plate: { xMm: 60, yMm: 40, zMm },
      form: { headroomMm: 4 },
      alloy: alloyOf(job.alloy),
      filler: alloyOf(job.filler),
      rodMm: job.rodMm,
      startC: job.startC,
      dirt: job.dirt,
      enPct: job.enPct,
      tungstenMm: job.tungstenMm,
      cellMm: zMm < 3 ? 0.75 : 1,
    },
    goals: [
      ran(25),
      heldWidth(Math.round(width * 0.7), Math.round(width * 1.6), 4, 0.5),
      wets(4, 0.7),
      noCrater,
      stands,
      ...(soaked ? [clean(15)] : []),
    ],
    way: [
      [15, 20],
      [45, 20],
    ],
    longestS: 120,
  }
}
