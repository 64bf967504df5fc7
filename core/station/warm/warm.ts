import type { AnswerTo } from '../../ask/question'
import { heatPreheat } from '../../heat/question'
import { said } from '../../job/fields/said'
import type { Job, Kit } from '../../job/job.schema'
import type { Alloy } from '../../metal/alloys.table'
import { caution } from '../../safety/cautions.table'
import type { Warmth } from '../../warm/decide'
import { WARM_SCHOOLS, type WarmSchool } from '../../warm/schools.table'
import { WARM_WHY } from '../../warm/words'
import { airC } from '../../warm/air'
import { zoneCurve } from '../../warm/torch-reach'
import { askFor } from '../ask-core'
import { GUARDED } from './heat-bench'
import { onPartWhy, warmCall, warmShort } from './warm-call'
import { warmedAsOnPart, warmOnPart, type WarmZone } from './warm-on-part'
import { torchOf, weighed, weighedBody } from './warm-decision'
import type { Body } from '../take-in/body'
import { capital, count, figure, type Sentence, type StationPlan } from '../parts'
import { PROTECTS, type Protect } from '../../job/words.table'

export type Torch = Kit['torches'][number]
export interface WarmData {
  torch: Torch | null
  /** Whether it is warmed, how far and why. */
  warmth: Warmth
  /** The part as one lump on its way there; null where it is not warmed. */
  heating: AnswerTo<typeof heatPreheat> | null
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

/** Time for the heat to even out once the stick melts: common practice, no source. */
const SOAK_S = 600

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
  const torch = torchOf(kit, job)
  const targetC = warm.targetC.value ?? decided.toC
  const startC = said(job, 'warm').startC
  const warms = decided.need !== 'none'
  // The part in colours is a megabyte: it is asked for where it is looked at (`heat-maps.ts`).
  const zones = (torch && warms ? warmOnPart(job, alloy, torch, { toC: targetC }, startC, laidHot) : []).map(
    ({ map: _map, ...zone }): WarmZone => zone,
  )
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
  const asked = input ? askFor(heatPreheat, 'Preheat, the part taken as one lump', input) : null
  const heating = asked?.ok ? asked.answer : null
  const refused = asked && !asked.ok ? asked.reason : null
  const onPart = (zones[0]?.guards ?? []).map(({ name, limitC }, n) => {
    const hottestC = Math.max(...zones.map(zone => zone.guards[n]!.hottestC))
    return { name, limitC, hottestC, atRisk: hottestC > limitC }
  })
  // A mark that misses the metal tells nothing: what it stands for is then judged by the target, as without one.
  const marked = zones[0]?.guards.map(({ kind }) => kind) ?? []
  const unmarked = takeIn.protect.flatMap(id => {
    const { name, limitC }: Protect = PROTECTS[id]
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
  const [first] = zones
  const zoneC = first
    ? first.curve.map(({ s, zoneC: c }) => ({ s, c }))
    : zone && torch
      ? zoneCurve(
          torch,
          weighed(body, job, alloy),
          alloy,
          warmth.wallMm,
          { runMm: warmth.runMm, startC },
          ZONE_CURVE_SHARE * 60 * warmth.minutes,
        )
      : null
  const told = { torch, targetC, startC, warmth, zones, heating, refused, wants }
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
      '; the place under the flame is there before it, and cools as soon as the flame is off: strike the arc at once.',
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
    const doubled = askFor(heatPreheat, 'A torch twice as big', { ...input, sourceW: torch.powerW * 2 })
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
    short: warmShort(told),
    wants,
    call: warmCall(told),
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
      ...(zone && !first && torch
        ? {
            zone: {
              title: 'The place under the flame',
              steps: [
                {
                  label: 'Flame that goes in',
                  formula: `${torch.powerW} W × ${torch.efficiencyPct} %`,
                  value: (torch.powerW * torch.efficiencyPct) / 100,
                  unit: 'W',
                  source: "the kit's own figures",
                },
                {
                  label: 'Until the place is there',
                  formula:
                    'its heat over the metal it has reached, which grows to all of the part, less what that loses',
                  value: warmth.minutes,
                  unit: 'min',
                  source: 'a Gaussian source on a plate, Carslaw and Jaeger (1959); heat.preheat',
                },
              ],
            },
          }
        : {}),
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
    outcomes: { torch: torch?.id ?? null, alloy: alloy.name, warmth: warmth.need, reaches: warmth.reaches },
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
