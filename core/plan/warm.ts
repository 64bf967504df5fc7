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
import { GUARDED } from './heat-bench'
import { warmedAsOnPart, warmOnPart, type WarmZone } from './warm-on-part'
import { weighedBody } from './warm-decision'
import type { Body } from './body'
import { capital, count, figure, list, type Sentence, type StationPlan } from './parts'
import { protectOf } from './take-in'

export type Torch = Kit['torches'][number]
export interface WarmData {
  torch: Torch | null
  /** Whether it is warmed, how far and why. */
  warmth: Warmth
  /** The part as one lump on its way there; null where it is not warmed. */
  heating: Preheat | null
  /** Each mend's place on the part's own cells, where the part has a shape and they are placed on it. */
  zones: WarmZone[]
  /** The zone under the flame, where only that is warmed, and the far end where the part has a shape. */
  zoneCurve: { s: number; c: number }[] | null
  farCurve: { s: number; c: number }[] | null
  /** What the part, or where only that is warmed its zone, is at when the first arc is struck. */
  reachC: number
  targetC: number
  startC: number
  refused: string | null
  /** What must stay cool; how hot it gets where it is marked on the part, else it is at risk of the target itself. */
  guards: { name: string; limitC: number; hottestC: number | null; atRisk: boolean }[]
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

/** A zone that stays warm no longer than this wants the arc at once, s: judgement. */
const STRIKE_AT_ONCE_S = 60

/** Time for the heat to even out once the stick melts: common practice, no source. */
const SOAK_S = 600

/** The call where the part has a shape: what the flame on the mend does to its zone, or that it does not get there. */
function onPartCall(torch: string, targetC: number, { reaches, where }: Warmth, zones: readonly WarmZone[]): Sentence {
  if (!reaches) {
    const worst = zones.toSorted((a, b) => a.zoneC - b.zoneC)[0]!
    return [
      `The ${torch} never gets ${zones.length > 1 ? worst.name : 'the zone'} to `,
      figure(targetC, 'c'),
      '; held on it, it comes to ',
      figure(worst.zoneC, 'c', 'cells'),
      '.',
    ]
  }
  return [
    where === 'whole' ? 'Warm it to ' : zones.length > 1 ? 'Warm the zones to ' : 'Warm the zone to ',
    figure(targetC, 'c'),
    ': ',
    ...zones.flatMap((zone, n) => [
      ...(n > 0 ? [', '] : []),
      figure(zone.onS!, 's', 'cells'),
      ...(zones.length > 1 ? [` on ${zone.name}`] : []),
      ...(zone.lengths > 1 ? [` a length, ${count(zone.lengths, 'length')} in turn`] : []),
    ]),
    ` with the ${torch} swept along ${zones.length > 1 ? 'each' : 'it'}.`,
  ]
}

/** What a flame on one mend does to the part, as its cells have it. */
function onPartWhy({ name, onS, farC, zoneC, hottestC, staysS, where, wholeS }: WarmZone): Sentence[] {
  const far: Sentence =
    onS === null
      ? [
          `Twenty minutes of flame on ${name}: the coldest of its zone comes to `,
          figure(zoneC, 'c', 'cells'),
          ', the far end of the part to ',
          figure(farC, 'c', 'cells'),
          '.',
        ]
      : [
          `With the flame on ${name} the far end of the part is then at `,
          figure(farC, 'c', 'cells'),
          where === 'whole'
            ? ': all of it is warm.'
            : wholeS === null
              ? ': it stays cool, only the zone is warm.'
              : ': only the zone is warm; held on, the far end follows after ',
          ...(where === 'zone' && wholeS !== null ? [figure(wholeS, 's', 'cells'), '.'] : []),
        ]
  const stays: Sentence[] =
    onS === null
      ? []
      : [
          [
            'Under the flame it is at ',
            figure(hottestC, 'c', 'cells'),
            '; the flame off, it is warm enough for ',
            figure(staysS, 's', 'cells'),
            staysS < STRIKE_AT_ONCE_S ? ': strike the arc at once.' : '.',
          ],
        ]
  return [far, ...stays]
}

/** Whether a mend is marked on the part's shape. */
const takesPlace = ({ shape }: Job, mend: string) =>
  shape.marks.some(mark => mark.kind === 'mend' && mark.mend === mend)

/** Warm: minutes with this torch, the heating curve, whether it gets there at all. */
export function planWarm(
  job: Job,
  kit: Kit,
  sized: Body | null,
  alloy: Alloy,
  decided: Warmth,
  laidHot: readonly string[],
): StationPlan<WarmData> {
  const { warm, takeIn } = job
  const body = sized ?? weighedBody(job, alloy)
  const torch = kit.torches.find(entry => entry.id === warm.torch) ?? kit.torches[0] ?? null
  const targetC = warm.targetC.value ?? decided.toC
  const startC = warm.startC.value ?? ROOM_C
  const warms = decided.need !== 'none'
  const zones = torch && warms ? warmOnPart(job, alloy, torch, { toC: targetC }, startC, laidHot) : []
  const warmth = warmedAsOnPart(decided, zones)
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
  const onPart = (zones[0]?.guards ?? []).map(({ name, limitC }, n) => {
    const hottestC = Math.max(...zones.map(zone => zone.guards[n]!.hottestC))
    return { name, limitC, hottestC, atRisk: hottestC > limitC }
  })
  // A mark that misses the metal tells nothing: what it stands for is then judged by the target, as without one.
  const marked = zones[0]?.guards.map(({ kind }) => kind) ?? []
  const unmarked = takeIn.protect.flatMap(id => {
    const { name, limitC } = protectOf(id)
    const kind = GUARDED[id]
    return limitC === undefined || (kind && marked.includes(kind))
      ? []
      : [{ name, limitC, hottestC: null, atRisk: targetC > limitC }]
  })
  const guards = [...onPart, ...unmarked]
  const risky = guards.filter(guard => guard.atRisk)
  const zone = warmth.reaches && warmth.where === 'zone'
  const reachC = !warms
    ? startC
    : zones.length && !warmth.reaches
      ? Math.max(startC, Math.min(targetC, ...zones.map(each => each.zoneC)))
      : warmth.reaches || !heating
        ? targetC
        : Math.max(startC, Math.min(targetC, heating.equilibriumC))
  const minutes = Math.max(1, Math.round(warmth.minutes))
  const [first] = zones
  const zoneC = first
    ? first.curve.map(({ s, zoneC: c }) => ({ s, c }))
    : zone && torch
      ? zoneCurve(torch, alloy, warmth.wallMm, warmth.runMm, startC, ZONE_CURVE_SHARE * 60 * warmth.minutes)
      : null
  const call: Sentence =
    zones.length && torch
      ? onPartCall(torch.name, targetC, warmth, zones)
      : heating && torch && zone
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
  const unplaced = laidHot.filter(id => !takesPlace(job, id)).length
  if (zones.length) {
    why.push(...zones.flatMap(onPartWhy))
    if (unplaced)
      why.push([
        `${capital(count(unplaced, 'mend'))} laid hot ${unplaced > 1 ? 'are' : 'is'} not placed on the part: warming ${unplaced > 1 ? 'them' : 'it'} comes on top.`,
      ])
  } else if (zone && heating)
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
      ...(guard.hottestC === null ? [] : [' and comes to ', figure(guard.hottestC, 'c', 'cells')]),
      guard.hottestC === null ? ': out with it, or keep the target lower.' : ': out with it, or heat otherwise.',
    ])
  for (const guard of onPart.filter(each => !each.atRisk))
    why.push([
      `${capital(guard.name)} comes to `,
      figure(guard.hottestC, 'c', 'cells'),
      ', under its ',
      figure(guard.limitC, 'c'),
      '.',
    ])
  const change: Sentence[] = []
  const other = warm.targetC.value === null ? OTHER_SCHOOL[warm.school] : null
  if (other) change.push([`Another school: ${WARM_SCHOOLS[other].name}. It buys ${WARM_SCHOOLS[other].buys}.`])
  if (zones.length && zone && heating?.reaches && startC < targetC)
    change.push([
      'All of it, the flame walked over the whole part: ',
      figure(heating.timeS!, 's', 'preheat'),
      '. It moves less and stays warm longer.',
    ])
  if (input && torch && heating && !zone && !zones.length) {
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
      : zones.length && !warmth.reaches
        ? 'torch too small'
        : (heating || zones.length) && torch
          ? zone
            ? `zone to ${Math.round(targetC)} °C in ${minutes} min`
            : zones.length
              ? `${Math.round(targetC)} °C in ${minutes} min`
              : heating?.reaches
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
      ...(first ? { cells: { title: `The flame on ${first.name}`, steps: first.working } } : {}),
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
      zones.length && warmth.reaches
        ? zones.map(each => ({
            name: zones.length > 1 ? `Warm ${each.name}` : each.where === 'whole' ? 'Warm up' : 'Warm the zone',
            seconds: each.onS!,
          }))
        : zones.length
          ? []
          : heating && zone
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
    data: {
      torch,
      warmth,
      heating,
      zones,
      zoneCurve: zoneC,
      farCurve: first ? first.curve.map(({ s, farC: c }) => ({ s, c })) : null,
      reachC,
      targetC,
      startC,
      refused,
      guards,
    },
  }
}
