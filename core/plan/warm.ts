import type { Job, Kit } from '../job/job.schema'
import type { Alloy } from '../metal/alloys.table'
import type { Preheat } from '../heat/lumped'
import { caution } from '../safety/cautions.table'
import { askFor } from './ask-core'
import type { Body } from './body'
import { capital, figure, list, type Sentence, type StationPlan } from './parts'
import { protectOf } from './take-in'

export type Torch = Kit['torches'][number]
export interface WarmData {
  torch: Torch | null
  heating: Preheat | null
  targetC: number
  startC: number
  refused: string | null
  guards: { name: string; limitC: number; atRisk: boolean }[]
}

/** Minutes beyond which heating a bench part with a torch is no longer sensible: judgement. */
const TOO_LONG_MIN = 30

/** Time for the heat to even out once the stick melts: common practice, no source. */
const SOAK_S = 600

/** No shop's air is hotter: a part that starts above this is warm already, in air as usual. Judgement. */
const HOTTEST_AIR_C = 45
const USUAL_AIR_C = 20
/** The air about a part that starts at a temperature: its own, unless it is warm already. */
export const airC = (startC: number) => (startC > HOTTEST_AIR_C ? USUAL_AIR_C : startC)

/** Warm: minutes with this torch, the heating curve, whether it gets there at all. */
export function planWarm(job: Job, kit: Kit, body: Body | null, alloy: Alloy): StationPlan<WarmData> {
  const { warm, takeIn } = job
  const torch = kit.torches.find(entry => entry.id === warm.torch) ?? kit.torches[0] ?? null
  const targetC = warm.targetC.value ?? 110
  const startC = warm.startC.value ?? 20
  const wants = [...(torch ? [] : ['a torch in the kit']), ...(body ? [] : ['its sizes and wall'])]
  const input =
    torch && body
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
  const call: Sentence =
    heating && torch
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
        : [`Wants ${list(wants)}.`]
  const why: Sentence[] = []
  if (heating && torch) {
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
    why.push([
      'Less shock, less current for the same puddle, and water and oil driven off. Stand it on two stainless strips or a board: a cold bench drinks the heat.',
    ])
    why.push(['Read it with a temperature stick or contact probe; infrared jumps about on bright aluminium.'])
  }
  for (const guard of risky)
    why.push([
      `${capital(guard.name)} stands only about `,
      figure(guard.limitC, 'c'),
      ': out with it, or keep the target lower.',
    ])
  const change: Sentence[] = []
  if (input && torch && heating) {
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
    short:
      heating && torch
        ? heating.reaches
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
      ...(body ? { body: { title: 'Mass and surface from the sizes', steps: body.steps } } : {}),
    },
    clocks:
      heating?.reaches && heating.timeS! > 0
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
      alloy: alloy.name,
    },
    data: { torch, heating, targetC, startC, refused, guards },
  }
}
