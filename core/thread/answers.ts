import { z } from 'zod'
import { of, plain } from '../ask/output'
import { BOSS_METHODS } from './methods.table'

/** What `thread.dims` answers. */
export const threadDims = z.strictObject({
  tpi: of.tpi,
  stressAreaMm2: of.mm2.optional(),
  tapDrills: z.array(z.strictObject({ threadPct: of.pct, mm: of.mm, name: z.string() })),
  pitchMm: of.mm,
  designation: z.string(),
  system: z.string(),
  majorMm: of.mm,
  pitchDiameterMm: of.mm,
  minorInternalMm: of.mm,
  minorExternalMm: of.mm,
  flankDeg: of.deg,
  taperDeg: of.deg,
})

/** What `thread.identify` answers. */
export const threadIdentify = z.strictObject({
  ranked: z.array(
    z.strictObject({
      designation: z.string(),
      system: z.string(),
      probability: plain,
      majorMm: of.mm,
      pitchMm: of.mm,
      diameterErrorMm: of.mm,
      note: z.string(),
    }),
  ),
  confusable: z.array(z.string()),
  next: z.string(),
})

/** What `thread.strength` answers. */
export const threadStrength = z.strictObject({
  boltBreakN: of.n,
  bodyStripN: of.n,
  boltStripN: of.n,
  governs: z.enum(['bolt', 'body-thread', 'bolt-thread']),
  engagementToBreakBoltMm: of.mm,
})

/** What `thread.insert` answers. */
export const threadInsert = z.strictObject({
  drillMm: of.mm,
  tapMajorMm: of.mm,
  outsideMm: of.mm,
  leastWallMm: of.mm,
  tapPitchMm: of.mm,
})

/** What `boss.compare` answers. */
export const bossCompare = z.strictObject({
  ranked: z.array(
    z.strictObject({
      method: z.enum(BOSS_METHODS),
      stripN: of.n,
      factor: plain,
      minutes: of.min,
      heat: z.enum(['none', 'little', 'much']),
      wallLeftMm: of.mm,
      possible: z.boolean(),
      reasons: z.array(z.string()),
    }),
  ),
  loadN: of.n,
})
