/**
 * What each process bears, as points off a whole of 1: judgement, from common practice.
 * Dirt is in the order dry, handled, oily, oil-soaked.
 */
export const PROCESS_IDS = ['ac-tig', 'mig-pulse', 'mig-spool', 'zinc-rod-braze', 'al-si-braze', 'oxy-fuel'] as const
export type ProcessId = (typeof PROCESS_IDS)[number]

export const SOAKS = ['dry', 'handled', 'oily', 'oil-soaked'] as const
export type Soak = (typeof SOAKS)[number]
export const SOAK_WORDS: Readonly<Record<Soak, string>> = {
  dry: 'never held oil',
  handled: 'handled, a little greasy',
  oily: 'oily',
  'oil-soaked': 'soaked: held oil for years',
}

export interface ProcessRow {
  readonly name: string
  readonly fusion: boolean
  readonly needsAmps: boolean
  /** Whether flux goes on before the heat, and must come off after it. */
  readonly flux: boolean
  /** What can hurt as it lays, beside what any arc or flame does. */
  readonly cautions: readonly string[]
  readonly dirt: readonly [number, number, number, number]
  readonly cyclic: number
  readonly staticLoad: number
  readonly watertight: number
  readonly tight: number
  /** Walls it suits, mm; outside them `wallOff` comes off. */
  readonly walls: readonly [number, number]
  readonly wallOff: number
  /** Minutes to prepare and set up, and a minute for each this many mm² of weld face. */
  readonly setUpMin: number
  readonly mm2PerMin: number
  readonly school: string
}

export const PROCESSES: Readonly<Record<ProcessId, ProcessRow>> = {
  'ac-tig': {
    name: 'AC TIG',
    fusion: true,
    needsAmps: true,
    flux: false,
    cautions: [],
    dirt: [0, 0.02, 0.1, 0.3],
    cyclic: 0,
    staticLoad: 0,
    watertight: 0,
    tight: 0.05,
    walls: [0.8, 16],
    wallOff: 0.2,
    setUpMin: 15,
    mm2PerMin: 110,
    school: 'the arc can sit on the metal and boil dirt out before any rod goes in',
  },
  'mig-pulse': {
    name: 'pulsed MIG',
    fusion: true,
    needsAmps: true,
    flux: false,
    cautions: ['pulsed-noise'],
    dirt: [0.1, 0.18, 0.4, 0.65],
    cyclic: 0.08,
    staticLoad: 0.03,
    watertight: 0.15,
    tight: 0.12,
    walls: [3, 25],
    wallOff: 0.3,
    setUpMin: 15,
    mm2PerMin: 900,
    school:
      'one school rules it out on castings, since dirt is trapped; the other fills grooves with it in a tenth of the time, often inside a TIG border',
  },
  'mig-spool': {
    name: 'spool-gun MIG, cold',
    fusion: true,
    needsAmps: true,
    flux: false,
    cautions: [],
    dirt: [0.15, 0.2, 0.35, 0.6],
    cyclic: 0.3,
    staticLoad: 0.1,
    watertight: 0.05,
    tight: 0.15,
    walls: [1.5, 5],
    wallOff: 0.35,
    setUpMin: 12,
    mm2PerMin: 600,
    school: 'short cold stitches for thin, corroded sheet that must only hold water',
  },
  'zinc-rod-braze': {
    name: 'zinc-aluminium rod',
    fusion: false,
    needsAmps: false,
    flux: false,
    cautions: [],
    dirt: [0.15, 0.25, 0.55, 0.85],
    cyclic: 0.9,
    staticLoad: 0.35,
    watertight: 0.1,
    tight: 0.05,
    walls: [1, 8],
    wallOff: 0.3,
    setUpMin: 15,
    mm2PerMin: 60,
    school: 'for a gas torch and no welder; spoils the spot for later fusion welding',
  },
  'al-si-braze': {
    name: 'aluminium-silicon rod and flux',
    fusion: false,
    needsAmps: false,
    flux: true,
    cautions: ['welding-flux'],
    dirt: [0.25, 0.35, 0.6, 0.85],
    cyclic: 0.45,
    staticLoad: 0.15,
    watertight: 0.1,
    tight: 0.1,
    walls: [1, 6],
    wallOff: 0.35,
    setUpMin: 20,
    mm2PerMin: 70,
    school: 'clean thin work of a high melting range, flux washed off to the last trace',
  },
  'oxy-fuel': {
    name: 'oxy-fuel with rod and flux',
    fusion: true,
    needsAmps: false,
    flux: true,
    cautions: ['welding-flux'],
    dirt: [0.2, 0.25, 0.4, 0.55],
    cyclic: 0.2,
    staticLoad: 0.1,
    watertight: 0.1,
    tight: 0.1,
    walls: [2, 12],
    wallOff: 0.3,
    setUpMin: 20,
    mm2PerMin: 70,
    school: 'the old way on castings; slow, much heat, flux to be washed off',
  },
}

/**
 * Arc minutes of each process over those of AC TIG for the same metal: common practice, no source (5–10 min against
 * 60–90).
 */
export const ARC_SHARE = { 'ac-tig': 1, 'mig-pulse': 0.12, 'mig-spool': 0.18 } as const

export const FUSION_OFF = { good: 0, fair: 0.08, poor: 0.22, never: 1 } as const
export const NEEDS_PREHEAT_OFF = 0.08
/** A duty under this share is short. */
export const SHORT_DUTY_PCT = 25
export const SHORT_DUTY_OFF = 0.12
/** A usual preheat for finding out whether a small machine reaches a wall, °C, and the minutes it costs. */
export const USUAL_PREHEAT_C = 120
export const PREHEAT_MIN = 8
/** Below these scores a process works only with doubt, or not at all. */
export const VERDICT_AT = { works: 0.5, avoid: 0.2 } as const

export const PROCESS_NAMES = Object.fromEntries(PROCESS_IDS.map(id => [id, PROCESSES[id].name])) as Readonly<
  Record<ProcessId, string>
>
