import { z } from 'zod'
import { of, plain } from '../ask/output'
import { PROCESS_IDS } from '../process/registry'

const decision = z.enum(['repair', 'repair-with-limits', 'refer', 'decline'])
const works = z.array(z.strictObject({ code: z.string(), handMin: of.min, machineMin: of.min }))
const uses = z.strictObject({
  rods: z.array(z.strictObject({ filler: z.string(), diameterMm: of.mm, count: plain })),
  wireM: of.metres,
  gasL: of.l,
  fuelL: of.l,
  kWh: of.kWh,
})
const step = z.strictObject({
  id: z.string(),
  code: z.string(),
  mend: z.string().optional(),
  lay: plain.optional(),
  pass: plain.optional(),
  side: plain.optional(),
  kind: z.enum(['hand', 'arc', 'flame', 'machine', 'wait', 'elsewhere']),
  minutes: of.min,
  by: z.string().optional(),
  after: z.array(z.string()),
  foundC: of.c.optional(),
  limitC: of.c.optional(),
  because: z.string().optional(),
  set: z.strictObject({ a: of.a, gasLMin: of.lMin, postflowS: of.s, rpm: plain.optional() }).optional(),
  uses: uses.optional(),
  cautions: z.array(z.string()),
  price: plain,
})
const decided = z.strictObject({
  about: z.enum(['mend', 'process', 'filler', 'way', 'warmth', 'order', 'finish', 'passes', 'checks']),
  of: z.string().optional(),
  took: z.string(),
  others: z.array(
    z.strictObject({
      took: z.string(),
      minutes: of.min.optional(),
      price: plain.optional(),
      chancePct: of.pct.optional(),
      because: z.array(z.string()),
    }),
  ),
  because: z.array(z.strictObject({ code: z.string(), figures: z.record(z.string(), plain).optional() })),
  near: z.array(z.strictObject({ reading: z.string(), now: plain, turnsAt: plain, tookThen: z.string() })),
})

/** What `job.plan` answers. */
export const jobPlan = z.strictObject({
  totals: z.strictObject({
    ofNewPct: of.pct.optional(),
    arcMin: of.min,
    handMin: of.min,
    machineMin: of.min,
    waitMin: of.min,
    elapsedMin: of.min,
    gasL: of.l,
    fuelL: of.l,
    kWh: of.kWh,
    rods: plain,
    rodsOut: z.array(z.strictObject({ filler: z.string(), diameterMm: of.mm, count: plain, rods: plain, buy: plain })),
    wireM: of.metres,
    price: plain,
    shared: z.array(z.strictObject({ code: z.string(), minutes: of.min })),
  }),
  cautions: z.array(z.string()),
  decision: decision,
  chancePct: of.pct,
  part: z.strictObject({ massG: of.g, skinMm2: of.mm2, from: z.string() }),
  warm: z.strictObject({
    need: z.enum(['none', 'chill', 'preheat']),
    toC: of.c,
    minutes: of.min,
    reaches: z.boolean(),
    where: z.enum(['whole', 'zone']),
    wallMm: of.mm,
    runMm: of.mm,
    why: z.array(z.string()),
  }),
  mends: z.array(
    z.strictObject({
      id: z.string(),
      kind: z.string(),
      decision: decision,
      chancePct: of.pct,
      because: z.array(z.string()),
      process: z.enum(PROCESS_IDS).nullable(),
      filler: z.string().nullable(),
      way: z.string().nullable(),
      ruledOut: z.array(z.strictObject({ way: z.string(), why: z.string() })),
      ways: z
        .strictObject({
          loadN: of.n,
          fromTorque: z.boolean(),
          ranked: z.array(
            z.strictObject({
              way: z.string(),
              stripN: of.n,
              factor: plain,
              minutes: of.min,
              heat: z.string(),
              wallLeftMm: of.mm,
              reasons: z.array(z.string()),
              why: z.string().nullable(),
            }),
          ),
        })
        .nullable(),
      lays: z.array(z.strictObject({ process: z.enum(PROCESS_IDS), filler: z.string(), side: plain, passes: plain })),
      run: z
        .strictObject({
          goes: z.union([z.literal('round'), z.strictObject({ longMm: of.mm, wideMm: of.mm }), z.literal('straight')]),
          longMm: of.mm,
        })
        .nullable(),
      passes: plain,
      depositG: of.g,
      volumeMm3: of.mm3,
      faceMm2: of.mm2,
      rods: plain,
      wireM: of.metres,
      wallMm: of.mm,
      foundC: of.c,
      startA: of.a.nullable(),
      easedA: of.a.nullable(),
      arcMin: of.min,
      restMin: of.min,
      handMin: of.min,
      machineMin: of.min,
      gasL: of.l,
      opening: works,
      rebuild: works,
      checks: z.array(z.string()),
      cautions: z.array(z.string()),
      price: plain,
    }),
  ),
  order: z.array(z.strictObject({ id: z.string(), why: z.string() })),
  steps: z.array(step),
  decisions: z.array(decided),
  checks: z.array(z.string()),
})
