import { z } from 'zod'
import { of } from '../ask/output'

/** What `day.schedule` answers. */
export const daySchedule = z.strictObject({
  starts: z.array(z.strictObject({ task: z.string(), startMin: of.min, endMin: of.min })),
  makespanMin: of.min,
  lowerBoundMin: of.min,
  lateMin: of.min,
})
