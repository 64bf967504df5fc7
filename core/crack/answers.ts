import { z } from 'zod'
import { of, plain } from '../ask/output'

/** What `weld.chemistry` answers. */
export const weldChemistry = z.strictObject({
  byPass: z.array(z.strictObject({ pct: z.record(z.string(), of.pct) })).optional(),
  pct: z.record(z.string(), of.pct),
})

/** What `weld.crackMap` answers. */
export const weldCrackMap = z.strictObject({
  siMaxPct: of.pct,
  mgMaxPct: of.pct,
  cuPct: of.pct,
  znPct: of.pct,
  points: plain,
  index: z.array(plain),
  base: z.strictObject({ siPct: of.pct, mgPct: of.pct, index: plain }),
  filler: z.strictObject({ siPct: of.pct, mgPct: of.pct, index: plain }),
  beads: z.array(
    z.strictObject({
      pass: plain,
      index: plain,
      rating: z.enum(['low', 'high', 'moderate', 'severe']),
      siPct: of.pct,
      mgPct: of.pct,
    }),
  ),
})

/** What `weld.crackIndex` answers. */
export const weldCrackIndex = z.strictObject({
  index: plain,
  rating: z.enum(['low', 'high', 'moderate', 'severe']),
  liquidusC: of.c,
  solidusC: of.c,
  freezingRangeC: of.kelvin,
  curve: z.array(z.strictObject({ solidFraction: plain, temperatureC: of.c })),
  eutecticFraction: plain,
  growthRestrictionK: of.kelvin,
})
