import type { Step } from '../ask/question'
import { FAMILIES, type FamilyId } from '../metal/families.table'
import { PROCESSES, isGun, type ProcessId } from '../process/registry'
import { type Soak } from './process.table'
import {
  CAUSE_POINTS,
  CHILLED_OIL_POINTS,
  CHILLED_WELD_POINTS,
  COLD_DAMP_MM,
  COLD_DAMP_POINTS,
  COLD_HEAVY_MM,
  COLD_HEAVY_POINTS,
  FILLER_POINTS,
  GUN_ON_OIL_POINTS,
  KIND_POINTS,
  STATE_POINTS,
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
  /** Nothing is melted: neither the metal, nor the oil in it, nor its wall counts then. */
  cold?: boolean | undefined
  /** How it is mended, where that is known: each counts only where it is given. */
  process?: ProcessId | undefined
  warmed?: 'none' | 'chill' | 'preheat' | undefined
  fillerVerdict?: keyof typeof FILLER_POINTS | undefined
  kind?: string | undefined
  state?: readonly string[] | undefined
  /** What this shop's own finished jobs came out over what was foretold, percentage points, and from how many. */
  record?: { points: number; jobs: number } | undefined
  /** Whatever else counts, in words with its points. */
  also?: readonly { reason: string; effect: number }[] | undefined
}
export const JUDGE_VERDICTS = ['repair', 'repair-with-limits', 'refer', 'decline'] as const
export type JudgeVerdict = (typeof JUDGE_VERDICTS)[number]
export interface Judged {
  verdict: JudgeVerdict
  chancePct: number
  parts: { reason: string; effect: number }[]
  because: string
  limits: string[]
  working: Step[]
}

/** From 0 to 1 over the stretch about a wall at which something begins to count: no wall is a cliff. */
const ramp = (wallMm: number, [fromMm, toMm]: readonly [fromMm: number, toMm: number]): number =>
  Math.min(1, Math.max(0, (wallMm - fromMm) / (toMm - fromMm)))

const FOR_LOAD = { seal: 'what must seal', static: 'steady load', cyclic: 'repeated load' } as const

/** Whether it is likelier a casting than not. */
const isCast = (families: JudgeInput['families']): boolean =>
  families.reduce((sum, { id, probability }) => sum + (CAST.test(id) ? probability : -probability), 0) > 0
const CAST = /cast/
/** How much damp counts in a casting struck cold: all of it in an oily one, else by its wall. */
const dampShare = (soak: JudgeInput['soak'], wallMm: number): number =>
  soak === 'oily' || soak === 'oil-soaked' ? 1 : ramp(wallMm, COLD_DAMP_MM)

/** What the way it is mended takes or gives: process, warmth, filler, kind, state of the hole, the shop's record. */
function howParts(input: JudgeInput): { reason: string; effect: number }[] {
  const {
    process,
    load,
    soak,
    earlierRepair,
    wallMm,
    warmed,
    fillerVerdict,
    kind,
    state = [],
    record,
    also = [],
  } = input
  const cast = isCast(input.families)
  const gun = process !== undefined && isGun(process)
  const worst = state.flatMap(id => (STATE_POINTS[id] ? [STATE_POINTS[id]] : [])).toSorted((a, b) => a[0] - b[0])[0]
  const ofKind = kind !== undefined && kind in KIND_POINTS ? KIND_POINTS[kind as keyof typeof KIND_POINTS] : undefined
  return [
    ...(process
      ? [{ reason: `${PROCESSES[process].name} for ${FOR_LOAD[load]}`, effect: PROCESSES[process].points[load] }]
      : []),
    ...(gun ? [{ reason: 'a gun lays over what an arc would boil out', effect: GUN_ON_OIL_POINTS[soak] }] : []),
    ...(process && PROCESSES[process].fusion && warmed === 'none' && cast
      ? [{ reason: 'a heavy casting welded cold', effect: COLD_HEAVY_POINTS * ramp(wallMm, COLD_HEAVY_MM) }]
      : []),
    ...(process && PROCESSES[process].fusion && warmed === 'none' && cast
      ? [
          {
            reason: 'a casting struck cold, damp as it is',
            effect:
              COLD_DAMP_POINTS[soak] * dampShare(soak, wallMm) + (earlierRepair === 'weld' ? CHILLED_WELD_POINTS : 0),
          },
        ]
      : []),
    ...(process && PROCESSES[process].fusion && warmed === 'chill' && cast
      ? [
          {
            reason: 'only the chill taken off',
            effect: CHILLED_OIL_POINTS[soak] + (earlierRepair === 'weld' ? CHILLED_WELD_POINTS : 0),
          },
        ]
      : []),
    ...(fillerVerdict
      ? [{ reason: `a filler its ranking says ${fillerVerdict} to`, effect: FILLER_POINTS[fillerVerdict] }]
      : []),
    ...(ofKind ? [{ reason: ofKind[1], effect: ofKind[0] }] : []),
    ...(worst ? [{ reason: worst[1], effect: worst[0] }] : []),
    ...also,
    ...(record
      ? [{ reason: `this shop's own ${record.jobs === 1 ? 'job' : `${record.jobs} jobs`}`, effect: record.points }]
      : []),
  ]
}

/**
 * Chance that a repair lasts, with the parts that make it up (they add up to it), and whether to do it.
 * The metal counts by its probability over families. Accuracy: judgement; the shop's own records may later move the
 * table.
 */
export function judge(input: JudgeInput): Judged {
  const { families, soak, earlierRepair, load, safetyCritical, wallMm, newPrice, repairPrice, cold = false } = input
  const total = families.reduce((sum, entry) => sum + entry.probability, 0)
  const ofFamily = (id: FamilyId) => FAMILIES.find(family => family.id === id)!
  const metal = families.reduce(
    (sum, entry) => sum + (entry.probability / total) * FUSION_POINTS[ofFamily(entry.id).fusion],
    0,
  )
  const likeliest = [...families].sort((a, b) => b.probability - a.probability)[0]!
  const parts = [
    { reason: 'a clean, sound, weldable part', effect: SOUND_CHANCE_PCT },
    { reason: `metal: ${ofFamily(likeliest.id).name}`, effect: cold ? 0 : metal },
    { reason: soak === 'dry' ? 'never held oil' : soak, effect: cold ? 0 : SOAK_POINTS[soak] },
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
    ...howParts(input),
    { reason: 'thin wall', effect: cold ? 0 : THIN_WALL_POINTS * (1 - ramp(wallMm, THIN_WALL_MM)) },
    { reason: 'heavy wall', effect: cold ? 0 : HEAVY_WALL_POINTS * ramp(wallMm, HEAVY_WALL_MM) },
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
      : hopeless > HOPELESS_AT && !cold
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
