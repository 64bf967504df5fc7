/**
 * Fillers considered, their weld-metal strength, and what they do in service.
 * `utsMPa`: all-weld-metal tensile strength, as welded. Source: AWS A5.10 commentary and ASM Handbook vol. 6, recalled
 * from memory.
 */
export interface FillerRow {
  readonly name: string
  readonly utsMPa: number
}

export const FILLERS: readonly FillerRow[] = [
  { name: '4043', utsMPa: 200 },
  { name: '4047', utsMPa: 205 },
  { name: '4643', utsMPa: 200 },
  { name: '4145', utsMPa: 215 },
  { name: '5183', utsMPa: 283 },
  { name: '5356', utsMPa: 262 },
  { name: '5554', utsMPa: 230 },
  { name: '5556', utsMPa: 290 },
  { name: '2319', utsMPa: 258 },
]

/**
 * Strength of the base beside the weld, as welded, MPa: Aluminum Design Manual and ASM Handbook, recalled from memory.
 */
export const AS_WELDED_UTS_MPA: Readonly<Record<string, number>> = {
  'wrought-1xxx': 75,
  'wrought-2xxx': 240,
  'wrought-3xxx': 97,
  'wrought-5xxx': 190,
  'wrought-6xxx': 165,
  'wrought-7xxx-copper': 240,
  'wrought-7xxx-weldable': 275,
  'cast-al-si': 130,
  'cast-al-si-mg': 160,
  'cast-al-si-cu': 170,
  'die-cast-al-si-cu': 190,
  'cast-al-si-hypereutectic': 180,
  'cast-al-mg': 170,
  'cast-al-cu': 200,
  'cast-al-zn': 190,
  magnesium: 160,
  'zinc-alloy': 200,
}

/**
 * The rule of each base: which filler the usual selection charts name first. AWS A5.10 annex and ASM Handbook vol. 6,
 * recalled from memory.
 */
export const CHART_FIRST: readonly { readonly bases: readonly string[]; readonly fillers: readonly string[] }[] = [
  { bases: ['1100', '3003', '5005'], fillers: ['4043'] },
  { bases: ['3004'], fillers: ['4043', '5356'] },
  { bases: ['5052'], fillers: ['5356', '5183'] },
  { bases: ['5083'], fillers: ['5183', '5356'] },
  { bases: ['5086', '5154'], fillers: ['5356', '5183'] },
  { bases: ['5454'], fillers: ['5554'] },
  { bases: ['5456'], fillers: ['5556', '5183'] },
  { bases: ['6005A', '6060', '6061', '6063', '6082'], fillers: ['4043', '5356'] },
  { bases: ['7005', '7020', '712', '713'], fillers: ['5356', '5183'] },
  { bases: ['2219'], fillers: ['2319'] },
  { bases: ['2014', '2017', '295', '201'], fillers: ['4145', '2319'] },
  { bases: ['308', '319', '332', '355'], fillers: ['4145', '4043'] },
  { bases: ['380', 'A380', '383', '384', '390'], fillers: ['4043', '4145', '4047'] },
  { bases: ['356', 'A356', '357', 'A357', '360', 'A360', '413', 'A413', '443'], fillers: ['4043', '4047'] },
  { bases: ['514', '518', '535'], fillers: ['5356', '5183'] },
]

/** Points each thing moves a filler by (1 is the whole scale): judgement, from common practice. */
export const POINTS = {
  chartFirst: 0.4,
  chartSecond: 0.28,
  crackModerate: -0.2,
  crackHigh: -0.45,
  crackSevere: -0.8,
  perUtsMPa: 0.0012,
  castDefault: 0.12,
  frameStrength: 0.14,
  colourMatch: 0.3,
  saltWaterFit: 0.1,
  heatTreatFit: 0.4,
} as const

export type FillerRuleId = keyof typeof FILLER_REASONS

/** The words of every reason, by code. */
export const FILLER_REASONS = {
  'hot-service': 'over 3 % magnesium: stress-corrosion in long service above about 65 °C',
  'anodised-dark': 'silicon goes dark grey when anodised and will not match',
  'anodised-match': 'matches when anodised',
  'mg2si-brittle': 'silicon filler on a base with over 2.5 % magnesium makes brittle Mg2Si along the weld',
  'copper-salt': 'copper in the bead corrodes in salt water',
  'salt-fit': 'stands salt water well',
  'chart-first': 'the usual charts name it first for this base',
  'chart-second': 'the usual charts allow it for this base',
  'cast-default':
    'flows, wets and resists cracking on castings and unknowns; the default since crack resistance comes first on a dirty casting',
  'cast-school-mg':
    'the other school reaches for it first on castings that scum with 4043; it cracks more readily on high silicon',
  'frame-strength': 'stronger and tougher where a frame carries load',
  'heat-treat-fit': 'answers to heat treatment afterwards',
  'heat-treat-none': 'does not answer to heat treatment afterwards; the weld stays soft',
  'crack-moderate': 'the mixed metal cracks now and then as it freezes',
  'crack-high': 'the mixed metal cracks readily as it freezes',
  'crack-severe': 'the mixed metal cracks as it freezes',
  'base-not-fused': 'the base is not one to fusion weld',
  'base-strong': 'a strong copper-bearing alloy: cracks, and loses most of its strength beside the weld',
} as const
