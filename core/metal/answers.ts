import { z } from 'zod'
import { of, plain } from '../ask/output'

/** What `alloy.list` answers. */
export const alloyList = z.strictObject({
  alloys: z.array(
    z.strictObject({
      name: z.string(),
      family: z.string(),
      form: z.enum(['filler', 'cast', 'wrought']),
      pct: z.record(z.string(), of.pct),
      limits: z.record(z.string(), z.union([of.pct, z.tuple([of.pct, of.pct])])),
      solidusC: of.c,
      liquidusC: of.c,
      densityGcm3: of.gcm3,
      iacsPct: of.pct,
      iacsRangePct: z.tuple([of.pct, of.pct]),
      hardnessHb: z.tuple([of.hb, of.hb]),
      specificHeatJkgK: of.jKgK,
    }),
  ),
})

/** What `alloy.density` answers. */
export const alloyDensity = z.strictObject({ densityGcm3: of.gcm3, uncertaintyGcm3: of.gcm3, volumeCm3: of.cm3 })

/** What `alloy.identify` answers. */
export const alloyIdentify = z.strictObject({
  families: z.array(
    z.strictObject({
      id: z.string(),
      name: z.string(),
      probability: plain,
      examples: z.array(z.string()),
      fusion: z.enum(['never', 'good', 'fair', 'poor']),
    }),
  ),
  entropyBits: of.bits,
  next: z.array(z.strictObject({ test: z.string(), bits: of.bits, minutes: of.min, destructive: z.boolean() })),
  recommended: z.string().nullable(),
  verdict: z.string(),
})
