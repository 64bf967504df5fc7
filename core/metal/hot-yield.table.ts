import type { Alloy } from './alloys.table'

/**
 * Yield that is left of an alloy kept hot, MPa: 0.2 % proof by temperature after long holding, in the temper named.
 * Sources, all from memory: wrought alloys, The Aluminum Association, Aluminum Standards and Data (typical tensile
 * properties at various temperatures); castings, ASM Specialty Handbook Aluminum and Aluminum Alloys (the same).
 */
type Row = readonly (readonly [c: number, mpa: number])[]

const row = (at: readonly number[], mpa: readonly number[]): Row => at.map((c, n) => [c, mpa[n]!] as const)
const WROUGHT_C = [24, 100, 149, 204, 260, 316, 371]
const CAST_C = [24, 150, 205, 260, 315]

const ROWS = {
  '1100-H14': row(WROUGHT_C, [117, 103, 83, 52, 18, 14, 11]),
  '2024-T3': row(WROUGHT_C, [345, 331, 310, 138, 62, 41, 28]),
  '3003-H14': row(WROUGHT_C, [145, 131, 110, 62, 28, 17, 14]),
  '5052-H34': row(WROUGHT_C, [214, 214, 186, 103, 52, 38, 21]),
  '5083-O': row(WROUGHT_C, [145, 145, 131, 117, 76, 52, 29]),
  '6061-T6': row(WROUGHT_C, [276, 262, 214, 103, 34, 19, 12]),
  '6063-T6': row(WROUGHT_C, [214, 193, 138, 45, 24, 17, 14]),
  '7075-T6': row(WROUGHT_C, [503, 448, 186, 90, 62, 45, 32]),
  '356-T6': row(CAST_C, [165, 138, 59, 34, 21]),
  '380-F': row(CAST_C, [159, 152, 110, 55, 28]),
  '413-F': row(CAST_C, [145, 130, 105, 60, 28]),
} as const
export type HotYieldRow = keyof typeof ROWS

/** Which row stands for a family: its own alloy's where there is one, else what hardens it the same way. Judgement. */
const OF_FAMILY: Readonly<Record<Alloy['family'], HotYieldRow>> = {
  'wrought-1xxx': '1100-H14',
  'wrought-2xxx': '2024-T3',
  'wrought-3xxx': '3003-H14',
  'wrought-5xxx': '5052-H34',
  'wrought-6xxx': '6061-T6',
  'wrought-7xxx-copper': '7075-T6',
  'wrought-7xxx-weldable': '7075-T6',
  'cast-al-si': '413-F',
  'cast-al-si-mg': '356-T6',
  'cast-al-si-cu': '380-F',
  'die-cast-al-si-cu': '380-F',
  'cast-al-si-hypereutectic': '380-F',
  'cast-al-mg': '5083-O',
  'cast-al-cu': '2024-T3',
  'cast-al-zn': '7075-T6',
  'filler-al-si': '413-F',
  'filler-al-mg': '5083-O',
  'filler-al-cu': '2024-T3',
  // Neither is mended hot here; the softest row keeps the estimate on the safe side.
  magnesium: '6063-T6',
  'zinc-alloy': '6063-T6',
}
const OF_ALLOY: Readonly<Record<string, HotYieldRow>> = {
  '5083': '5083-O',
  '5086': '5083-O',
  '5456': '5083-O',
  '6060': '6063-T6',
  '6063': '6063-T6',
  '360': '380-F',
  A360: '380-F',
}

export const hotYieldRowOf = (alloy: Pick<Alloy, 'name' | 'family'>): HotYieldRow =>
  OF_ALLOY[alloy.name] ?? OF_FAMILY[alloy.family]

/**
 * Share of its cold yield that an alloy keeps hot, between the rows in a straight line; as in its last row beyond. An
 * hour takes less than long holding: good to about a third.
 */
export function yieldShareAt(alloy: Pick<Alloy, 'name' | 'family'>, c: number): number {
  const rows = ROWS[hotYieldRowOf(alloy)]
  const [coldC, cold] = rows[0]!
  if (c <= coldC) return 1
  for (let n = 1; n < rows.length; n++) {
    const [fromC, from] = rows[n - 1]!
    const [toC, to] = rows[n]!
    if (c <= toC) return (from + ((to - from) * (c - fromC)) / (toC - fromC)) / cold
  }
  return rows.at(-1)![1] / cold
}
