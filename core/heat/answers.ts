import { z } from 'zod'
import { of, plain } from '../ask/output'

/** What `heat.preheat` answers. */
export const heatPreheat = z.strictObject({
  reaches: z.boolean(),
  timeS: of.s.optional(),
  equilibriumC: of.c,
  curve: z.array(z.strictObject({ s: of.s, c: of.c })),
  absorbedW: of.w,
  massKg: of.kg,
})

/** What `heat.arcPoint` answers. */
export const heatArcPoint = z.strictObject({ temperatureC: of.c })

/** What `heat.simulate` answers. */
export const heatSimulate = z.strictObject({
  wallMs: of.ms,
  times: z.array(of.s),
  probes: z.array(z.array(of.c)),
  peak: of.c,
  cells: plain,
  absorbedJ: of.j,
  lostJ: of.j,
  storedJ: of.j,
  imbalancePct: of.pct,
  onPartPct: of.pct,
})

/** What `heat.fitSource` answers. */
export const heatFitSource = z.strictObject({
  sourceW: of.w,
  sourceErrorW: of.w,
  filmWm2K: of.wm2K,
  filmErrorWm2K: of.wm2K,
  absorbedW: of.w,
  residualC: of.c,
  correlation: plain,
})
