import { z } from 'zod'
import { of, plain } from '../ask/output'

/** What `runout.evaluate` answers. */
export const runoutEvaluate = z.strictObject({
  tirMm: of.mm,
  eccentricityMm: of.mm,
  highDeg: of.deg,
  lobes: z.array(z.strictObject({ order: plain, amplitudeMm: of.mm })),
})

/** What `balance.correct` answers. */
export const balanceCorrect = z.strictObject({ unbalanceGmm: of.gmm, correctG: of.g })

/** What `holes.circle` answers. */
export const holesCircle = z.strictObject({
  centre: z.strictObject({ xMm: of.mm, yMm: of.mm }),
  diameterMm: of.mm,
  startDeg: of.deg,
  holes: z.array(z.strictObject({ xMm: of.mm, yMm: of.mm, radialMm: of.mm, tangentMm: of.mm, missMm: of.mm })),
  largestMissMm: of.mm,
})

/** What `bend.straighten` answers. */
export const bendStraighten = z.strictObject({
  springMm: of.mm,
  steps: z.array(z.strictObject({ pressPastMm: of.mm, expectMm: of.mm })),
  strainPct: of.pct,
  mayCrack: z.boolean(),
})

/** What `finish.after` answers. */
export const finishAfter = z.strictObject({ notes: z.array(z.string()), strengthLeftPct: of.pct.nullable() })
