import type { AnswerTo } from '../../ask/question'
import { balanceCorrect } from '../../face/question'
import { brazePlan } from '../../braze/question'
import type { BrazeRod } from '../../braze/rods.table'
import { BRAZE_RODS } from '../../braze/rods.table'
import { serviceHeatC } from '../../job/service-heat'
import type { Job, Kit } from '../../job/job.schema'
import type { Alloy } from '../../metal/alloys.table'
import { torchReach, type Reach } from '../../warm/torch-reach'
import { askFor } from '../ask-core'
import type { FlamePlace } from './flame-place'
import type { Body } from '../take-in/body'
import { weighed } from '../warm/warm-decision'
import { warmOnPart, type WarmZone } from '../warm/warm-on-part'
import { capital, count, figure, type NoArcStation, type Sentence, type Working, wantsCall } from '../parts'
import type { Torch, WarmData } from '../warm/warm'
import { brazeRodOf, type ProcessId } from '../../process/registry'
import { caution } from '../../safety/cautions.table'

export interface BrazeData {
  plan: AnswerTo<typeof brazePlan>
  rod: BrazeRod
  torch: Torch
  base: { name: string; solidusC: number; liquidusC: number }
  serviceC: number
  /** Where this torch brings only the place to working heat, or that far sooner than the whole: how long it takes. */
  zone: Reach | null
  /** The flame held on the place, on the part's own cells; null where it has no shape or the place is not marked. */
  onPart: WarmZone | null
  /** To working heat, and laying the rod by hand; without the cooling. */
  minutes: number
  /** The heavier rod on a turning part; null where it does not turn or nothing is known of the filling. */
  unbalance: { unbalanceGmm: number; correctG: number; radiusMm: number } | null
  working: Working
  unbalanceWorking: Working | null
}

/** Brazing of a place of this job with the torch of its kit, or what it still wants. */
export function brazeOf(
  job: Job,
  kit: Kit,
  body: Body | null,
  alloy: Alloy,
  warm: Pick<WarmData, 'startC'>,
  process: ProcessId,
  place: FlamePlace,
): BrazeData | { wants: string[] } | { reason: string } | null {
  const rod = brazeRodOf(process)
  if (!rod) return null
  const torch = kit.torches.find(entry => entry.id === job.warm.torch) ?? kit.torches[0]
  const wants = [...(torch ? [] : ['a torch in the kit']), ...(body ? [] : ['its sizes and wall'])]
  if (!torch || !body) return { wants }
  const serviceC = serviceHeatC(job)
  const asked = askFor(brazePlan, 'Rod and flame', {
    baseAlloy: alloy.name,
    rod,
    massKg: body.massKg,
    areaMm2: body.areaMm2,
    sourceW: torch.powerW,
    efficiencyPct: torch.efficiencyPct,
    ambientC: Math.min(100, warm.startC),
    serviceC,
  })
  if (!asked.ok) return { reason: asked.reason }
  const { wallMm, turnsAtMm: radiusMm } = place
  const heavy =
    radiusMm && place.volumeMm3 > 0
      ? askFor(balanceCorrect, 'A heavier rod on a turning part', {
          radiusMm,
          volumeMm3: place.volumeMm3,
          densityGcm3: BRAZE_RODS[rod].densityGcm3,
          replacedDensityGcm3: alloy.densityGcm3,
          atRadiusMm: radiusMm,
        })
      : null
  const { workingC, verdict } = asked.answer
  const [onPart] =
    verdict === 'refused' ? [] : warmOnPart(job, alloy, torch, { toC: workingC }, warm.startC, [place.mend], true)
  const reach = onPart
    ? onPart.onS !== null && onPart.hottestC < alloy.solidusC
      ? { minutes: (onPart.lengths * onPart.onS) / 60, where: 'zone' as const }
      : null
    : verdict !== 'refused' && wallMm
      ? torchReach(torch, weighed(body, job, alloy), alloy, wallMm, workingC, {
          atEdge: place.atEdge,
          startC: warm.startC,
          runMm: place.runMm,
          held: true,
        })
      : null
  const zone = reach?.where === 'zone' ? reach : null
  return {
    zone,
    onPart: onPart ?? null,
    plan: asked.answer,
    rod,
    torch,
    base: { name: alloy.name, solidusC: alloy.solidusC, liquidusC: alloy.liquidusC },
    serviceC,
    minutes: place.heatMin + place.layMin,
    unbalance: heavy?.ok ? { ...heavy.answer, radiusMm: radiusMm! } : null,
    working: asked.working,
    unbalanceWorking: heavy?.ok ? heavy.working : null,
  }
}

/** What brazing says: the move first, then why. */
export function brazeSentences({ plan, rod, torch, base, serviceC, unbalance, zone, onPart }: BrazeData): {
  short: string
  call: Sentence
  why: Sentence[]
  change: Sentence[]
} {
  const { name, serviceC: mostC } = BRAZE_RODS[rod]
  const lengths = onPart?.lengths ?? 1
  const call: Sentence =
    plan.verdict === 'refused'
      ? [`Do not braze it: ${plan.reason}.`]
      : zone
        ? [
            `Braze it with the ${name} at `,
            figure(plan.workingC, 'c', 'braze'),
            `: hold the ${torch.name} at the place, `,
            figure((60 * zone.minutes) / lengths, 's'),
            lengths > 1 ? ` brings a length of it there, ${lengths} in turn; then ` : ' brings that there; then ',
            figure(Math.round(plan.coolMin), 'min', 'braze'),
            ' to cool, covered.',
          ]
        : plan.verdict === 'too-cold'
          ? [
              `The ${torch.name} never brings it to `,
              figure(plan.workingC, 'c', 'braze'),
              `; it would take `,
              figure(Math.ceil(plan.leastSourceW / 10) * 10, 'w', 'braze'),
              ' of flame, or an oven under it.',
            ]
          : [
              `Braze it with the ${name} at `,
              figure(plan.workingC, 'c', 'braze'),
              ': ',
              figure(plan.timeS!, 's', 'braze'),
              ` with the ${torch.name}, then `,
              figure(Math.round(plan.coolMin), 'min', 'braze'),
              ' to cool, covered.',
            ]
  const why: Sentence[] = [
    [
      'The rod is all liquid and works at ',
      figure(plan.workingC, 'c', 'braze'),
      `; ${base.name} begins to melt at `,
      figure(base.solidusC, 'c'),
      ': ',
      figure(Math.round(plan.marginToSolidusC), 'number', 'braze'),
      ' K of room.',
    ],
    ['In service it stands about ', figure(mostC, 'c'), ' for long; this part runs at ', figure(serviceC, 'c'), '.'],
    ...(plan.verdict === 'refused' ? [] : plan.steps.map((step): Sentence => [step])),
  ]
  if (zone)
    why.push([
      plan.reaches
        ? 'The whole of it would take far longer'
        : 'The whole of it never gets there with this flame: it settles below',
      '; the place under the flame does, since heat runs off more slowly than it comes in. Keep the flame on it while the rod goes in.',
    ])
  if (onPart)
    why.push([
      onPart.onS === null
        ? 'On the part’s own cells the place comes to '
        : 'On the part’s own cells: under the flame it is then at ',
      figure(onPart.onS === null ? onPart.zoneC : onPart.hottestC, 'c', 'cells'),
      ', the far end at ',
      figure(onPart.farC, 'c', 'cells'),
      onPart.hottestC < base.solidusC ? '.' : ': it melts there before the zone is hot enough; spread the flame.',
    ])
  if (unbalance)
    why.push([
      'It turns: the heavier rod puts ',
      figure(unbalance.unbalanceGmm, 'number', 'unbalance'),
      ` g·mm at ${count(1, 'place')}; `,
      figure(unbalance.correctG, 'g', 'unbalance'),
      ' opposite it at the same radius puts it right.',
    ])
  const change: Sentence[] = zone && plan.verdict === 'too-cold' ? [] : [[`${capital(plan.reason)}.`]]
  return {
    short:
      plan.verdict === 'refused'
        ? 'not brazed'
        : plan.verdict === 'too-cold' && !zone
          ? 'flame too small'
          : `braze at ${Math.round(plan.workingC)} °C`,
    call,
    why,
    change,
  }
}

/** The station's plan where a rod is brazed on. */
export function brazeStation(brazing: BrazeData | { wants: string[] } | { reason: string }): NoArcStation {
  const braze = 'plan' in brazing ? brazing : null
  const said = braze ? brazeSentences(braze) : null
  const wants = 'wants' in brazing ? brazing.wants : []
  return {
    short: said?.short ?? `wants ${wants[0] ?? 'readings'}`,
    wants,
    call: said?.call ?? ('reason' in brazing ? [`Not brazed: ${brazing.reason}.`] : wantsCall(wants)),
    why: said?.why ?? [],
    change: said?.change ?? [],
    cautions: [caution('torch-fire'), caution('hot-no-glow'), ...(braze?.plan.cautions ?? [])],
    workings: braze
      ? {
          braze: braze.working,
          ...(braze.onPart
            ? { cells: { title: `The flame on ${braze.onPart.name}`, steps: braze.onPart.working } }
            : {}),
          ...(braze.unbalanceWorking ? { unbalance: braze.unbalanceWorking } : {}),
        }
      : {},
    clocks:
      braze && braze.plan.verdict !== 'refused'
        ? [
            ...(braze.zone
              ? [{ name: 'To brazing heat', seconds: Math.ceil(60 * braze.zone.minutes) }]
              : braze.plan.timeS
                ? [{ name: 'To brazing heat', seconds: Math.ceil(braze.plan.timeS) }]
                : []),
            { name: 'Slow cool', seconds: Math.ceil(braze.plan.coolMin * 60) },
          ]
        : [],
    outcomes: {},
    minutes: braze?.minutes ?? 0,
  }
}
