import { z } from 'zod'
import { of, plain } from '../ask/output'
import { PROCESS_IDS } from '../call/process.table'

const decision = z.enum(['repair', 'repair-with-limits', 'refer', 'decline'])
const works = z.array(
  z.strictObject({ code: z.string(), handMin: of.min, machineMin: of.min.optional(), mill: z.boolean().optional() }),
)

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
    rods: plain,
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
      lays: z.array(
        z.strictObject({ process: z.enum(PROCESS_IDS), filler: z.string().nullable(), side: plain, passes: plain }),
      ),
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
  checks: z.array(z.string()),
})
