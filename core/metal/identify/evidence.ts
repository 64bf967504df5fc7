import { z } from 'zod'
import { percent, quantity } from '../../quantity/schema'
import { SEEN } from './tests.table'
import { USES } from './uses.table'

const ELEMENTS = [
  'Al',
  'Si',
  'Fe',
  'Cu',
  'Mn',
  'Mg',
  'Cr',
  'Ni',
  'Zn',
  'Ti',
  'Sn',
  'Pb',
  'Bi',
  'V',
  'Zr',
  'Ag',
  'Be',
  'Sr',
  'Na',
  'Sb',
  'Li',
  'B',
  'Ca',
  'Co',
  'P',
  'Ga',
  'Cd',
] as const

/** Weight percent by element symbol; aluminium may be left out and is then the rest. */
export const pctMap = z.record(z.string(), percent()).superRefine((pct, context) => {
  for (const element of Object.keys(pct)) {
    if (!(ELEMENTS as readonly string[]).includes(element))
      context.addIssue({ code: 'custom', path: [element], message: `"${element}" is not an element symbol known here` })
  }
  const total = Object.values(pct).reduce((sum, value) => sum + value, 0)
  if (total > 100.5)
    context.addIssue({ code: 'custom', message: `the elements add up to ${total.toFixed(1)} %, more than 100 %` })
})

const seen = <T extends readonly [string, ...string[]]>(values: T) =>
  z.enum(values, { error: `one of ${values.join(', ')}` })

/** One thing seen or measured on the part. */
export const evidenceSchema = z.discriminatedUnion(
  'test',
  [
    z.strictObject({ test: z.literal('mark'), text: z.string().trim().min(1, 'write what the mark says').max(120) }),
    z.strictObject({ test: z.literal('form'), seen: seen(SEEN.form) }),
    z.strictObject({ test: z.literal('surface'), seen: seen(SEEN.surface) }),
    z.strictObject({ test: z.literal('fracture'), seen: seen(SEEN.fracture) }),
    z.strictObject({
      test: z.literal('density'),
      gcm3: quantity('gcm3', { min: 1, max: 9.5 }),
      uncertaintyGcm3: quantity('gcm3', { above: 0, max: 2 }).optional(),
    }),
    z.strictObject({
      test: z.literal('conductivity'),
      iacsPct: percent({ min: 1, max: 65 }),
      uncertaintyPct: percent({ min: 0.05, max: 30 }).optional(),
    }),
    z.strictObject({ test: z.literal('hardness'), hb: quantity('number', { min: 5, max: 250 }) }),
    z.strictObject({ test: z.literal('causticSpot'), seen: seen(SEEN.causticSpot) }),
    z.strictObject({ test: z.literal('vinegar'), seen: seen(SEEN.vinegar) }),
    z.strictObject({ test: z.literal('arcTest'), seen: seen(SEEN.arcTest) }),
    z.strictObject({ test: z.literal('composition'), pct: pctMap }),
    z.strictObject({
      test: z.literal('use'),
      part: z
        .string()
        .refine(part => USES.some(row => row.part === part.trim().toLowerCase()), {
          error: `one of: ${USES.map(row => row.part).join('; ')}`,
        }),
    }),
  ],
  {
    error:
      'a piece of evidence with a "test" known here: mark, form, surface, fracture, density, conductivity, hardness, causticSpot, vinegar, arcTest, composition or use',
  },
)

export type Evidence = z.output<typeof evidenceSchema>
