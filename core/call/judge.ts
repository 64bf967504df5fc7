import type { Step } from '../ask/question'
import { FAMILIES, type FamilyId } from '../metal/families.table'
import type { Soak } from './process.table'
import {
  DECLINE_BELOW_PCT, EARLIER_POINTS, FUSION_POINTS, HEAVY_WALL_MM, HEAVY_WALL_POINTS, LEAST_CHANCE_PCT, LIMITS_BELOW_PCT, LOAD_POINTS, MOST_CHANCE_PCT,
  SOAK_POINTS, SOUND_CHANCE_PCT, THIN_WALL_MM, THIN_WALL_POINTS, TOO_DEAR_SHARE, type SafetyCritical,
} from './judge.table'

export interface JudgeInput {
  families: readonly { id: FamilyId, probability: number }[]
  soak: Soak
  earlierRepair: keyof typeof EARLIER_POINTS
  load: keyof typeof LOAD_POINTS
  safetyCritical: SafetyCritical
  wallMm: number
  newPrice?: number | undefined
  repairPrice?: number | undefined
}
export type JudgeVerdict = 'repair' | 'repair-with-limits' | 'refer' | 'decline'
export interface Judged { verdict: JudgeVerdict, chancePct: number, parts: { reason: string, effect: number }[], because: string, working: Step[] }

/**
 * Chance that a repair lasts, with the parts that make it up (they add up to it), and whether to do it.
 * The metal counts by its probability over families. Accuracy: judgement; the shop's own records may later move the table.
 */
export function judge(input: JudgeInput): Judged {
  const { families, soak, earlierRepair, load, safetyCritical, wallMm, newPrice, repairPrice } = input
  const total = families.reduce((sum, entry) => sum + entry.probability, 0)
  const ofFamily = (id: FamilyId) => FAMILIES.find(family => family.id === id)!
  const metal = families.reduce((sum, entry) => sum + entry.probability / total * FUSION_POINTS[ofFamily(entry.id).fusion], 0)
  const likeliest = [...families].sort((a, b) => b.probability - a.probability)[0]!
  const parts = [
    { reason: 'a clean, sound, weldable part', effect: SOUND_CHANCE_PCT },
    { reason: `metal: ${ofFamily(likeliest.id).name}`, effect: metal },
    { reason: soak === 'dry' ? 'never held oil' : soak, effect: SOAK_POINTS[soak] },
    { reason: earlierRepair === 'none' ? 'no earlier repair' : `earlier repair: ${earlierRepair}`, effect: EARLIER_POINTS[earlierRepair] },
    { reason: load === 'cyclic' ? 'repeated load' : load === 'seal' ? 'must seal' : 'steady load', effect: LOAD_POINTS[load] },
    ...(wallMm < THIN_WALL_MM ? [{ reason: 'thin wall', effect: THIN_WALL_POINTS }] : []),
    ...(wallMm > HEAVY_WALL_MM ? [{ reason: 'heavy wall', effect: HEAVY_WALL_POINTS }] : []),
  ].filter((part, index) => index === 0 || Math.abs(part.effect) > 0.05)
  const raw = parts.reduce((sum, part) => sum + part.effect, 0)
  const chancePct = Math.min(MOST_CHANCE_PCT, Math.max(LEAST_CHANCE_PCT, raw))
  if (chancePct !== raw) parts.push({ reason: 'nothing is impossible, nothing certain', effect: chancePct - raw })

  const hopeless = families.reduce((sum, entry) => sum + (ofFamily(entry.id).fusion === 'never' ? entry.probability / total : 0), 0)
  const dear = newPrice !== undefined && newPrice > 0 && repairPrice !== undefined && repairPrice > newPrice * TOO_DEAR_SHARE
  const [verdict, because]: [JudgeVerdict, string] = safetyCritical !== 'none'
    ? ['refer', `${safetyCritical.replace('-', ' and ')}: needs the maker's approval and licensed practice`]
    : hopeless > 0.5
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
  return {
    verdict, chancePct, parts, because,
    working: parts.map(part => ({ label: part.reason, formula: part.effect >= 0 ? 'raises' : 'lowers', value: part.effect, unit: 'points', source: 'judgement, from common practice' })),
  }
}
