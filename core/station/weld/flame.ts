import type { AnswerTo } from '../../ask/question'
import { flamePlan } from '../../flame/question'
import { fuelOf } from '../../flame/fuels.table'
import type { Job, Kit } from '../../job/job.schema'
import type { Alloy } from '../../metal/alloys.table'
import { caution } from '../../safety/cautions.table'
import { askFor } from '../ask-core'
import type { Body } from '../take-in/body'
import { COOL_MIN } from '../../mend/minutes.table'
import { capital, figure, type NoArcStation, type Sentence, type Working, wantsCall } from '../parts'
import type { FlamePlace } from './flame-place'
import { airC } from '../../warm/air'
import type { Torch, WarmData } from '../warm/warm'

export interface FlameData {
  plan: AnswerTo<typeof flamePlan>
  torch: Torch
  wallMm: number
  base: { name: string; solidusC: number; liquidusC: number }
  /** Least flame that would, rounded up as it is told, W. */
  leastW: number
  /** To the puddle, and laying the rod by hand. */
  minutes: number
  /** Fuel burnt, L. */
  fuelL: number
  working: Working
}

/**
 * The torch a part is welded with: the one chosen, where it is fed with oxygen, else one that is, else the one chosen
 * or the first.
 */
function torchOf(job: Job, kit: Kit): Torch | undefined {
  const chosen = kit.torches.find(torch => torch.id === job.warm.torch)
  return chosen && fuelOf(chosen.gas).oxygen
    ? chosen
    : (kit.torches.find(torch => fuelOf(torch.gas).oxygen) ?? chosen ?? kit.torches[0])
}

/** Welding of a place of this job with a flame of its kit, or what it still wants. */
export function flameOf(
  job: Job,
  kit: Kit,
  body: Body | null,
  alloy: Alloy,
  warm: Pick<WarmData, 'startC'>,
  startC: number,
  { wallMm, layMin, heatMin, fuelL }: Pick<FlamePlace, 'wallMm' | 'layMin' | 'heatMin' | 'fuelL'>,
): FlameData | { wants: string[] } | { reason: string } {
  const torch = torchOf(job, kit)
  const wants = [
    ...(torch ? [] : ['a torch in the kit']),
    ...(wallMm ? [] : ['the wall']),
    ...(body ? [] : ['its sizes']),
  ]
  if (!torch || !wallMm || !body) return { wants }
  const asked = askFor(flamePlan, 'The flame on this wall', {
    baseAlloy: alloy.name,
    gas: torch.gas,
    wallMm,
    massKg: body.massKg,
    areaMm2: body.areaMm2,
    sourceW: torch.powerW,
    efficiencyPct: torch.efficiencyPct,
    ambientC: airC(warm.startC),
    startC: Math.min(500, startC),
    layMin,
  })
  if (!asked.ok) return { reason: asked.reason }
  return {
    plan: asked.answer,
    torch,
    wallMm,
    base: { name: alloy.name, solidusC: alloy.solidusC, liquidusC: alloy.liquidusC },
    leastW: Math.ceil(asked.answer.leastSourceW / 100) * 100,
    minutes: layMin + heatMin,
    fuelL,
    working: asked.working,
  }
}

/** What welding with a flame says: the move first, then why. */
function flameSentences({ plan, torch, wallMm, base, leastW, minutes, fuelL }: FlameData): {
  short: string
  call: Sentence
  why: Sentence[]
  change: Sentence[]
} {
  const going = plan.verdict === 'good' || plan.verdict === 'preheat'
  const call: Sentence =
    plan.verdict === 'refused'
      ? [`No flame on it: ${plan.reason}.`]
      : plan.verdict === 'too-small'
        ? [
            `The ${torch.name} makes no puddle on `,
            figure(wallMm, 'mm'),
            '; it would take ',
            figure(leastW, 'w', 'flame'),
            ' of flame, with all of it warmed first.',
          ]
        : [
            `Weld it with the ${torch.name}: `,
            ...(plan.verdict === 'preheat'
              ? ['all of it to ', figure(Math.ceil(plan.fromC), 'c', 'flame'), ' first, then ']
              : []),
            'a puddle in about ',
            figure(Math.max(1, Math.round(plan.toPuddleS!)), 's', 'flame'),
            ', and ',
            figure(minutes, 'min'),
            ' of laying.',
          ]
  const why: Sentence[] = [
    [`${capital(plan.reason)}.`],
    [
      'A puddle stands at ',
      figure(plan.puddleC, 'c', 'flame'),
      `; ${base.name} begins to melt at `,
      figure(base.solidusC, 'c'),
      ' and nothing glows before it does.',
    ],
    ...(fuelL <= 0
      ? []
      : [['About ', figure(Math.round(fuelL), 'number'), ` L of ${torch.gas}, by its heat of burning.`] as Sentence]),
    ...(going ? plan.steps.map((step): Sentence => [step]) : []),
  ]
  const change: Sentence[] = [
    ['An edge or a corner melts sooner than the middle of a wall: begin there with less flame.'],
    ...(going
      ? []
      : [
          [
            fuelOf(torch.gas).oxygen
              ? 'An arc puts its heat into a far smaller spot.'
              : 'A torch fed with oxygen puts the same heat into about a quarter of the spot, an arc into far less.',
          ] as Sentence,
        ]),
  ]
  return {
    short:
      plan.verdict === 'refused'
        ? 'no flame'
        : plan.verdict === 'too-small'
          ? 'flame too small'
          : plan.verdict === 'preheat'
            ? `flame, from ${Math.ceil(plan.fromC)} °C`
            : 'flame, rod and flux',
    call,
    why,
    change,
  }
}

/** The station's plan where a part is welded with a flame. */
export function flameStation(found: FlameData | { wants: string[] } | { reason: string }): NoArcStation {
  const flame = 'plan' in found ? found : null
  const said = flame ? flameSentences(flame) : null
  const wants = 'wants' in found ? found.wants : []
  return {
    short: said?.short ?? `wants ${wants[0] ?? 'readings'}`,
    wants,
    call: said?.call ?? ('reason' in found ? [`Not welded with a flame: ${found.reason}.`] : wantsCall(wants)),
    why: said?.why ?? [],
    change: said?.change ?? [],
    cautions: [caution('torch-fire'), caution('hot-no-glow'), ...(flame?.plan.cautions ?? [])],
    workings: flame ? { flame: flame.working } : {},
    clocks: flame?.plan.toPuddleS != null ? [{ name: 'Slow cool', seconds: COOL_MIN * 60 }] : [],
    outcomes: {},
    minutes: flame?.minutes ?? 0,
  }
}
