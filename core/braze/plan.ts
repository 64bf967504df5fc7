import type { Caution, Step } from '../ask/question'
import type { Alloy } from '../metal/alloys.table'
import { preheat, secondsBetween, STILL_AIR, type LumpedBody } from '../heat/lumped'
import { BRAZE_RODS, type BrazeRod } from './rods.table'

/**
 * Less than this between working heat and the base's melting is too little for a hand and a flame, K: common practice,
 * no source.
 */
const TIGHT_K = 30
/** More magnesium than this lets no flux wet: common practice, AWS C3.7 from memory. */
const FLUX_MG_PCT = 2
/** Slow cooling ends here, °C, under a lid that leaves this film, W/m²K. Common practice, no source. */
const COOL_TO_C = 60
const LID_FILM_WM2K = 4

export interface BrazeInput {
  base: Alloy
  rod: BrazeRod
  massKg: number
  areaMm2: number
  sourceW: number
  efficiencyPct: number
  ambientC: number
  serviceC: number
}
export interface BrazePlan {
  verdict: 'good' | 'tight' | 'refused' | 'too-cold'
  reason: string
  workingC: number
  marginToSolidusC: number
  reaches: boolean
  timeS?: number
  /** Least source that brings this mass to working heat at all, W, before its efficiency. */
  leastSourceW: number
  coolMin: number
  steps: string[]
  cautions: Caution[]
  working: Step[]
}

const note = (code: string, title: string, text: string): Caution => ({ code, level: 'caution', title, text })

/** Why a rod is not for a metal in this service; null where it is. Sources: as `braze.plan`. */
export function brazeRefusal(base: Alloy, id: BrazeRod, serviceC: number): string | null {
  const rod = BRAZE_RODS[id]
  const workingC = rod.liquidusC + rod.overK
  const magnesium = base.pct.Mg ?? 0
  if (base.family === 'magnesium') return 'magnesium is not brazed with these rods'
  if (workingC >= base.solidusC)
    return `the ${rod.name} is worked at ${workingC} °C and ${base.name} begins to melt at ${base.solidusC} °C`
  if (rod.flux && magnesium > FLUX_MG_PCT)
    return `${base.name} holds ${magnesium.toFixed(1)} % magnesium: flux does not wet it`
  if (serviceC > rod.serviceC)
    return `it runs at ${Math.round(serviceC)} °C and the ${rod.name} is good to about ${rod.serviceC} °C`
  return null
}

/**
 * Whether a rod brazes a part, and whether this flame brings this mass to its working heat.
 *
 * Margin = the base's solidus − working temperature; heating and cooling as one lump (`heat.preheat`). A rod that melts
 * at or above the base's solidus is refused. Accuracy: margins to the tables (5 K); minutes to the flame's efficiency,
 * a fifth.
 */
export function planBraze(input: BrazeInput): BrazePlan {
  const { base, serviceC, ambientC } = input
  const rod = BRAZE_RODS[input.rod]
  const workingC = rod.liquidusC + rod.overK
  const marginToSolidusC = base.solidusC - workingC
  const body: LumpedBody = {
    massKg: input.massKg,
    specificHeatJkgK: base.specificHeatJkgK,
    areaMm2: input.areaMm2,
    ambientC,
    absorbedW: (input.sourceW * input.efficiencyPct) / 100,
    ...STILL_AIR,
  }
  const heating = preheat(body, ambientC, workingC)
  const leastW = heating.working.find(step => step.label === 'Lost at the target')!.value as number
  const leastSourceW = leastW / (input.efficiencyPct / 100)
  const coolS = secondsBetween(
    { ...body, absorbedW: 0, filmWm2K: LID_FILM_WM2K, emissivity: STILL_AIR.emissivity / 2 },
    workingC,
    Math.max(COOL_TO_C, ambientC + 15),
  )
  const reason = brazeRefusal(base, input.rod, serviceC)
  const verdict = reason ? 'refused' : !heating.reaches ? 'too-cold' : marginToSolidusC < TIGHT_K ? 'tight' : 'good'
  const cautions = [
    ...(input.rod === 'zinc-al'
      ? [
          note(
            'braze-no-fusion',
            'No welding over it',
            'Zinc in the joint boils under an arc: once brazed with zinc rod this place is never fusion welded again without cutting it all away.',
          ),
          note('braze-salt', 'Salt water', 'Zinc joints corrode first in salt water: seal it, or weld it.'),
        ]
      : []),
    ...(rod.flux
      ? [
          note(
            'braze-flux',
            'Flux',
            'Aluminium flux is corrosive and its fume is harmful: extraction, and every trace washed off with hot water.',
          ),
        ]
      : []),
    ...(verdict === 'tight'
      ? [
          note(
            'braze-tight',
            'Little room',
            `Only ${Math.round(marginToSolidusC)} K between the rod flowing and the part melting: watch it, and take the flame away at the first flow.`,
          ),
        ]
      : []),
    note('braze-cool', 'Cool slowly', 'Never quench: the joint tears while it is weak.'),
  ]
  return {
    verdict,
    workingC,
    marginToSolidusC,
    reaches: heating.reaches,
    ...(heating.reaches ? { timeS: heating.timeS! } : {}),
    leastSourceW,
    coolMin: coolS / 60,
    cautions,
    reason:
      reason ??
      (verdict === 'too-cold'
        ? `this flame settles at ${Math.round(heating.equilibriumC)} °C and never melts the rod: at least ${Math.ceil(leastSourceW / 100) * 100} W of flame is wanted, or an oven under it`
        : verdict === 'tight'
          ? `${Math.round(marginToSolidusC)} K of room is little for a flame in the hand`
          : `${Math.round(marginToSolidusC)} K of room between the rod and the part`),
    steps: [
      'Both sides bright: stainless brush, then wipe; no flux film left on either.',
      'Heat the part, not the rod: the part must melt the rod.',
      input.rod === 'zinc-al'
        ? 'Tin both sides first: rub the rod in under the melt until it wets all over.'
        : 'Flux both sides; when it runs like water, touch the rod to the joint.',
      'Carry the rod well back on to sound metal, three walls each side.',
      'Steel behind shapes the far side: the rod does not stick to it.',
      `Cover it and let it come down by itself, about ${Math.max(1, Math.round(coolS / 60))} minutes.`,
    ],
    working: [
      {
        label: 'Worked at',
        formula: `${rod.liquidusC} °C, where it is all liquid, + ${rod.overK} K`,
        value: workingC,
        unit: '°C',
        source: 'AWS A5.8 and the Al–Zn diagram, from memory',
      },
      {
        label: 'Room to melting',
        formula: `${base.solidusC} °C − working heat`,
        value: marginToSolidusC,
        unit: 'K',
        source: 'ASM Handbook vol. 2, from memory',
      },
      ...heating.working,
      {
        label: 'Least flame',
        formula: 'losses at working heat ÷ share absorbed',
        value: leastSourceW,
        unit: 'W',
        source: 'energy balance',
      },
      {
        label: 'Cooling, covered',
        formula: `as one lump to ${Math.round(Math.max(COOL_TO_C, ambientC + 15))} °C, film ${LID_FILM_WM2K} W/m²K`,
        value: coolS / 60,
        unit: 'min',
        source: 'Incropera and DeWitt ch. 5; film: judgement',
      },
    ],
  }
}
