import type { Job, Kit } from '../job/job.schema'
import type { Alloy } from '../metal/alloys.table'
import type { Preheat } from '../heat/lumped'
import { caution } from '../safety/cautions.table'
import { ROOM_C } from '../arc/least-preheat'
import type { Warmth } from '../warm/decide'
import { WARM_SCHOOLS, type WarmSchool } from '../warm/schools.table'
import { WARM_WHY } from '../warm/words'
import { airC } from '../warm/air'
import { zoneCurve } from '../warm/torch-reach'
import { askFor } from './ask-core'
import { weighedBody } from './warm-decision'
import type { Body } from './body'
import { capital, figure, list, type Sentence, type StationPlan } from './parts'
import { protectOf } from './take-in'

export type Torch = Kit['torches'][number]
export interface WarmData {
  torch: Torch | null
  /** Whether it is warmed, how far and why. */
  warmth: Warmth
  /** The part as one lump on its way there; null where it is not warmed. */
  heating: Preheat | null
  /** The zone under the flame, where only that is warmed. */
  zoneCurve: { s: number; c: number }[] | null
  /** What the part, or where only that is warmed its zone, is at when the first arc is struck. */
  reachC: number
  targetC: number
  startC: number
  refused: string | null
  guards: { name: string; limitC: number; atRisk: boolean }[]
}

/** The school that is told beside the chosen one. */
const OTHER_SCHOOL: Readonly<Record<WarmSchool, WarmSchool>> = {
  decide: 'always',
  never: 'decide',
  chill: 'decide',
  always: 'never',
}

/** Minutes beyond which heating a bench part with a torch is no longer sensible: judgement. */
const TOO_LONG_MIN = 30

/** How far past the time it takes the zone's curve is drawn. */
const ZONE_CURVE_SHARE = 2

/** Time for the heat to even out once the stick melts: common practice, no source. */
const SOAK_S = 600

/** Warm: minutes with this torch, the heating curve, whether it gets there at all. */
export function planWarm(job: Job, kit: Kit, sized: Body | null, alloy: Alloy, warmth: Warmth): StationPlan<WarmData> {
  const { warm, takeIn } = job
  const body = sized ?? weighedBody(job, alloy)
  const torch = kit.torches.find(entry => entry.id === warm.torch) ?? kit.torches[0] ?? null
  const targetC = warm.targetC.value ?? warmth.toC
  const startC = warm.startC.value ?? ROOM_C
  const warms = warmth.need !== 'none'
  const wants = warms ? [...(torch ? [] : ['a torch in the kit']), ...(body ? [] : ['its sizes and wall'])] : []
  const input =
    torch && body && (warms || warm.targetC.value !== null)
      ? {
          massKg: body.massKg,
          alloy: alloy.name,
          areaMm2: body.areaMm2,
          startC,
          ambientC: airC(startC),
          targetC,
          sourceW: torch.powerW,
          efficiencyPct: torch.efficiencyPct,
          ...(torch.fitted ? { filmWm2K: torch.fitted.filmWm2K } : {}),
        }
      : null
  const asked = input ? askFor<Preheat>('heat.preheat', 'Preheat, the part taken as one lump', input) : null
  const heating = asked?.ok ? asked.answer : null
  const refused = asked && !asked.ok ? asked.reason : null
  const guards = takeIn.protect.flatMap(id => {
    const { name, limitC } = protectOf(id)
    return limitC === undefined ? [] : [{ name, limitC, atRisk: targetC > limitC }]
  })
  const risky = guards.filter(guard => guard.atRisk)
  const zone = warmth.reaches && warmth.where === 'zone'
  const reachC = !warms
    ? startC
    : warmth.reaches || !heating
      ? targetC
      : Math.max(startC, Math.min(targetC, heating.equilibriumC))
  const minutes = Math.max(1, Math.round(warmth.minutes))
  const zoneC =
    zone && torch
      ? zoneCurve(torch, alloy, warmth.wallMm, warmth.runMm, startC, ZONE_CURVE_SHARE * 60 * warmth.minutes)
      : null
  const call: Sentence =
    heating && torch && zone
      ? [
          'Warm the zone to ',
          figure(targetC, 'c'),
          ': ',
          figure(60 * warmth.minutes, 's', 'zone'),
          ` with the ${torch.name} held on it.`,
        ]
      : heating && torch
        ? heating.reaches
          ? startC >= targetC
            ? ['It is already at ', figure(targetC, 'c'), '; no torch.']
            : [
                'Warm it to ',
                figure(targetC, 'c'),
                ': ',
                figure(heating.timeS!, 's', 'preheat'),
                ` with the ${torch.name}.`,
              ]
          : [
              `The ${torch.name} never gets it to `,
              figure(targetC, 'c'),
              '; it settles at ',
              figure(heating.equilibriumC, 'c', 'preheat'),
              '.',
            ]
        : refused
          ? [`Not warmed: ${refused}.`]
          : warms
            ? [`Wants ${list(wants)}.`]
            : ['No preheat: weld it as it lies, dry.']
  const why: Sentence[] = warmth.why.map(code => [WARM_WHY[code]])
  if (zone && heating)
    why.push([
      heating.reaches ? 'The whole part would take ' : 'The whole part never gets there: it would settle at ',
      heating.reaches ? figure(heating.timeS!, 's', 'preheat') : figure(heating.equilibriumC, 'c', 'preheat'),
      '; the place under the flame is there long before it, and cools as soon as the flame is off: strike the arc at once.',
    ])
  else if (heating && torch) {
    why.push([
      'Of ',
      figure(torch.powerW, 'w'),
      ', ',
      figure(heating.absorbedW, 'w', 'preheat'),
      ' goes into ',
      figure(heating.massKg, 'kg', 'body'),
      ' of metal; held on, it would settle at ',
      figure(heating.equilibriumC, 'c', 'preheat'),
      '.',
    ])
    why.push(['Stand it on two stainless strips or a board: a cold bench drinks the heat.'])
  }
  if (heating)
    why.push(['Read it with a temperature stick or contact probe; infrared jumps about on bright aluminium.'])
  for (const guard of risky)
    why.push([
      `${capital(guard.name)} stands only about `,
      figure(guard.limitC, 'c'),
      ': out with it, or keep the target lower.',
    ])
  const change: Sentence[] = []
  const other = warm.targetC.value === null ? OTHER_SCHOOL[warm.school] : null
  if (other) change.push([`Another school: ${WARM_SCHOOLS[other].name}. It buys ${WARM_SCHOOLS[other].buys}.`])
  if (input && torch && heating && !zone) {
    const doubled = askFor<Preheat>('heat.preheat', 'A torch twice as big', { ...input, sourceW: torch.powerW * 2 })
    if (!heating.reaches || heating.timeS! > TOO_LONG_MIN * 60) {
      if (doubled.ok)
        change.push(
          doubled.answer.reaches
            ? ['Twice the torch would do it in ', figure(doubled.answer.timeS!, 's'), '.']
            : ['Even twice the torch would not: use an oven.'],
        )
    } else if (doubled.ok && doubled.answer.reaches && startC < targetC)
      change.push([
        'Twice the torch: ',
        figure(doubled.answer.timeS!, 's'),
        '. Half as far from it, check before you believe it.',
      ])
  }
  return {
    id: 'warm',
    short: !warms
      ? 'no preheat'
      : heating && torch
        ? zone
          ? `zone to ${Math.round(targetC)} °C in ${minutes} min`
          : heating.reaches
            ? `${Math.round(targetC)} °C in ${Math.max(1, Math.round(heating.timeS! / 60))} min`
            : 'torch too small'
        : `wants ${wants[0] ?? 'a lower target'}`,
    wants,
    call,
    why,
    change,
    cautions: [
      caution('hot-no-glow'),
      caution('torch-fire'),
      ...(takeIn.protect.includes('fluoro-seal') ? [caution('seal-acid')] : []),
      ...(takeIn.protect.includes('closed-hollow') || takeIn.protect.includes('fuel')
        ? [caution('closed-hollow')]
        : []),
    ],
    workings: {
      ...(asked?.ok ? { preheat: asked.working } : {}),
      ...(body
        ? {
            body: {
              title: sized ? 'Mass and surface from the sizes' : 'Mass and surface from its weight',
              steps: body.steps,
            },
          }
        : {}),
    },
    clocks:
      heating && zone
        ? [{ name: 'Warm the zone', seconds: Math.ceil(60 * warmth.minutes) }]
        : heating?.reaches && heating.timeS! > 0
          ? [
              { name: 'Warm up', seconds: Math.ceil(heating.timeS!) },
              { name: 'Soak', seconds: SOAK_S },
            ]
          : [],
    basis: {
      wall: takeIn.wallMm.typed,
      sizes: [takeIn.lengthMm.typed, takeIn.widthMm.typed, takeIn.heightMm.typed].join(' × '),
      torch: torch?.name ?? '',
      target: warm.targetC.typed,
      school: warm.school === 'decide' ? '' : warm.school,
      alloy: alloy.name,
    },
    data: { torch, warmth, heating, zoneCurve: zoneC, reachC, targetC, startC, refused, guards },
  }
}
