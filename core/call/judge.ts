import type { Step } from '../ask/question'
import { FAMILIES, type FamilyId } from '../metal/families.table'
import type { Soak } from './process.table'
import {
  CAUSE_POINTS,
  DECLINE_BELOW_PCT,
  EARLIER_POINTS,
  FUSION_POINTS,
  HEAVY_WALL_MM,
  HEAVY_WALL_POINTS,
  HOPELESS_AT,
  LEAST_CHANCE_PCT,
  LIMITS_BELOW_PCT,
  LOAD_POINTS,
  LONG_WAIT_WEEKS,
  MOST_CHANCE_PCT,
  SOAK_POINTS,
  SOUND_CHANCE_PCT,
  THIN_WALL_MM,
  THIN_WALL_POINTS,
  TOO_DEAR_SHARE,
  type SafetyCritical,
} from './judge.table'

export interface JudgeInput {
  families: readonly { id: FamilyId; probability: number }[]
  soak: Soak
  earlierRepair: keyof typeof EARLIER_POINTS
  load: keyof typeof LOAD_POINTS
  safetyCritical: SafetyCritical
  wallMm: number
  newPrice?: number | undefined
  repairPrice?: number | undefined
  newWeeks?: number | undefined
  /** Whether the cause of the failure is known and put right; left out, it does not count. */
  cause?: keyof typeof CAUSE_POINTS | undefined
}
export type JudgeVerdict = 'repair' | 'repair-with-limits' | 'refer' | 'decline'
export interface Judged {
  verdict: JudgeVerdict
  chancePct: number
  parts: { reason: string; effect: number }[]
  because: string
  limits: string[]
  working: Step[]
}

/**
 * Chance that a repair lasts, with the parts that make it up (they add up to it), and whether to do it.
 * The metal counts by its probability over families. Accuracy: judgement; the shop's own records may later move the
 * table.
 */
export function judge(input: JudgeInput): Judged {
  const { families, soak, earlierRepair, load, safetyCritical, wallMm, newPrice, repairPrice } = input
  const total = families.reduce((sum, entry) => sum + entry.probability, 0)
  const ofFamily = (id: FamilyId) => FAMILIES.find(family => family.id === id)!
  const metal = families.reduce(
    (sum, entry) => sum + (entry.probability / total) * FUSION_POINTS[ofFamily(entry.id).fusion],
    0,
  )
  const likeliest = [...families].sort((a, b) => b.probability - a.probability)[0]!
  const parts = [
    { reason: 'a clean, sound, weldable part', effect: SOUND_CHANCE_PCT },
    { reason: `metal: ${ofFamily(likeliest.id).name}`, effect: metal },
    { reason: soak === 'dry' ? 'never held oil' : soak, effect: SOAK_POINTS[soak] },
    {
      reason: earlierRepair === 'none' ? 'no earlier repair' : `earlier repair: ${earlierRepair}`,
      effect: EARLIER_POINTS[earlierRepair],
    },
    {
      reason: load === 'cyclic' ? 'repeated load' : load === 'seal' ? 'must seal' : 'steady load',
      effect: LOAD_POINTS[load],
    },
    ...(input.cause
      ? [
          {
            reason:
              input.cause === 'unknown'
                ? 'cause not known'
                : input.cause === 'known'
                  ? 'cause known, not put right'
                  : 'cause put right',
            effect: CAUSE_POINTS[input.cause],
          },
        ]
      : []),
    ...(wallMm < THIN_WALL_MM ? [{ reason: 'thin wall', effect: THIN_WALL_POINTS }] : []),
    ...(wallMm > HEAVY_WALL_MM ? [{ reason: 'heavy wall', effect: HEAVY_WALL_POINTS }] : []),
  ].filter((part, index) => index === 0 || Math.abs(part.effect) > 0.05)
  const raw = parts.reduce((sum, part) => sum + part.effect, 0)
  const chancePct = Math.min(MOST_CHANCE_PCT, Math.max(LEAST_CHANCE_PCT, raw))
  if (chancePct !== raw) parts.push({ reason: 'nothing is impossible, nothing certain', effect: chancePct - raw })

  const hopeless = families.reduce(
    (sum, entry) => sum + (ofFamily(entry.id).fusion === 'never' ? entry.probability / total : 0),
    0,
  )
  const dear =
    newPrice !== undefined &&
    newPrice > 0 &&
    repairPrice !== undefined &&
    repairPrice > newPrice * ((input.newWeeks ?? 0) >= LONG_WAIT_WEEKS ? 1 : TOO_DEAR_SHARE)
  const [verdict, because]: [JudgeVerdict, string] =
    safetyCritical !== 'none'
      ? ['refer', `${safetyCritical.replace('-', ' and ')}: needs the maker's approval and licensed practice`]
      : hopeless > HOPELESS_AT
        ? ['decline', `${ofFamily(likeliest.id).name} is not fusion welded`]
        : dear
          ? ['decline', 'it comes too near the price of a new one']
          : chancePct < DECLINE_BELOW_PCT
            ? ['decline', 'the odds are against it']
            : chancePct < LIMITS_BELOW_PCT
              ? ['repair-with-limits', 'the odds are fair, not good: say so, and say what it may not be used for']
              : load === 'cyclic'
                ? ['repair-with-limits', 'repeated load: look at it again after a short run']
                : ['repair', 'the odds are good']
  const limits =
    verdict !== 'repair-with-limits'
      ? []
      : [
          ...(load === 'cyclic' ? ['look at it again after a short run, then at each service'] : []),
          ...(load === 'seal' ? ['prove it with water before it goes back; expect that it may weep'] : []),
          ...(soak === 'oil-soaked'
            ? ['not hotter or harder used than before: oil left in the pores may open it again']
            : []),
          ...(ofFamily(likeliest.id).fusion === 'poor'
            ? ['steady load only: the metal beside the weld stays weak']
            : []),
        ]
  return {
    verdict,
    chancePct,
    parts,
    because,
    limits,
    working: parts.map(part => ({
      label: part.reason,
      formula: part.effect >= 0 ? 'raises' : 'lowers',
      value: part.effect,
      unit: 'points',
      source: 'judgement, from common practice',
    })),
  }
}
