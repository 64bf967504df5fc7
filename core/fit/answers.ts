import { z } from 'zod'
import { of, plain, stepOut } from '../ask/output'

/** What `fit.press` answers. */
export const fitPress = z.strictObject({
  pressureMPa: of.mPa,
  hubHoopMPa: of.mPa,
  slugHoopMPa: of.mPa,
  pushOutN: of.n,
  yieldFactor: plain,
})

/** What `fit.shrink` answers. */
export const fitShrink = z.strictObject({ hubC: of.c, gapAtMm: of.mm, secondsToSeize: of.s })

/** What `fit.slug` answers. */
export const fitSlug = z.strictObject({
  slugMm: of.mm,
  turnToMm: of.mm,
  toleranceMm: of.mm,
  interferenceMm: of.mm,
  lengthMm: of.mm,
  boreDeepMm: of.mm,
  wallMm: of.mm,
  cold: fitPress.extend({ working: z.array(stepOut) }),
  hot: z.strictObject({ interferenceMm: of.mm, hubHoopMPa: of.mPa, yieldFactor: plain, pushOutN: of.n }).nullable(),
  shrink: fitShrink,
  ways: z.array(
    z.strictObject({
      cold: z.enum(['freezer', 'bench', 'iced-water', 'dry-ice']),
      slugC: of.c,
      hubC: of.c,
      softens: z.boolean(),
    }),
  ),
  clock: z.strictObject({
    points: z.array(z.strictObject({ s: of.s, gapMm: of.mm, slugC: of.c, hubC: of.c })),
    seizesS: of.s.nullable(),
  }),
  looser: z.strictObject({ clearanceMm: of.mm, hubC: of.c, seizesS: of.s.nullable(), softens: z.boolean() }),
  groove: z.strictObject({
    deepMm: of.mm,
    wideMm: of.mm,
    areaMm2: of.mm2,
    enough: z.boolean(),
    leastChamferMm: of.mm,
    working: z.array(stepOut),
  }),
  reasons: z.array(z.string()),
})

/** What `cut.speed` answers. */
export const cutSpeed = z.strictObject({ rpm: of.rpm, feedMmMin: of.mmMin })
