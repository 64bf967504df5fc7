import { z } from 'zod'
import { of, plain } from '../ask/output'

/** What `flat.evaluate` answers. */
export const flatEvaluate = z.strictObject({
  minimumZoneMm: of.mm,
  leastSquaresMm: of.mm,
  shape: z.enum(['flat', 'crowned', 'dished', 'twisted', 'bent']),
  high: z.array(plain),
  contact: z.array(plain),
  blue: z.array(plain),
  heightsMm: z.array(of.mm),
  gapsMm: z.array(of.mm),
  explainedPct: of.pct,
})

/** What `flat.lap` answers. */
export const flatLap = z.strictObject({
  removeMm: of.mm,
  volumeMm3: of.mm3,
  minutes: of.min,
  before: z.strictObject({ minimumZoneMm: of.mm, contact: z.array(plain) }),
  half: z.strictObject({ minimumZoneMm: of.mm, heightsMm: z.array(of.mm) }),
  after: z.strictObject({ minimumZoneMm: of.mm, heightsMm: z.array(of.mm) }),
})

/** What `flat.bolted` answers. */
export const flatBolted = z.strictObject({ stressMPa: of.mPa, ofProof: plain })
