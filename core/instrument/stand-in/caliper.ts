import { z } from 'zod'
import { evenAt, normalAt } from '../noise'
import type { StandIn } from './stand-in'

const setup = z.object({
  /** What is between the jaws. */
  sizeMm: z.number().min(0).max(1000),
})

/** Largest error of a digital caliper to 150 mm: 0.02 mm. ISO 13385-1, from memory. */
const ERROR_MM = 0.02
/** The thumb's unsteadiness, and how fast the jaws close. Judgement. */
const THUMB_MM = 0.006
const CLOSES_S = 0.25
const OPENED_MM = 8
const RESOLUTION_MM = 0.01

/** A caliper's jaws closing on the part, then held. */
export const caliper: StandIn<typeof setup> = {
  setup,
  start({ sizeMm }, seed, perSecond) {
    const error = ERROR_MM * (2 * evenAt(seed, -1) - 1)
    return n => [
      Math.round(
        (sizeMm + error + OPENED_MM * Math.exp(-n / perSecond / CLOSES_S) + THUMB_MM * normalAt(seed, n)) /
          RESOLUTION_MM,
      ) * RESOLUTION_MM,
    ]
  },
}
