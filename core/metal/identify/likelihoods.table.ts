import type { FamilyId } from '../families.table'
import { SEEN, type SeenTest } from './tests.table'

/**
 * How often each thing is seen on a part of each family, in parts of a hundred, in the order of SEEN.
 * Source: judgement, from common practice, except the caustic spot (silicon leaves grey-brown, copper and zinc leave
 * black, the rest come up clear: common practice in scrap sorting) and vinegar (magnesium dissolves in weak acid:
 * chemistry).
 * The rows need not sum to 100; they are normalised when read. Nothing is 0: any observer can be wrong.
 */
type Row = readonly number[]
type Table = Readonly<Record<FamilyId, Row>>

const FORM: Table = {
  'wrought-1xxx': [80, 10, 2, 1, 7],
  'wrought-2xxx': [25, 15, 25, 1, 34],
  'wrought-3xxx': [90, 5, 1, 1, 3],
  'wrought-5xxx': [78, 8, 3, 1, 10],
  'wrought-6xxx': [12, 52, 8, 1, 27],
  'wrought-7xxx-copper': [14, 15, 30, 1, 40],
  'wrought-7xxx-weldable': [18, 50, 8, 1, 23],
  'cast-al-si': [1, 1, 1, 87, 10],
  'cast-al-si-mg': [1, 1, 2, 82, 14],
  'cast-al-si-cu': [1, 1, 1, 86, 11],
  'die-cast-al-si-cu': [1, 1, 1, 92, 5],
  'cast-al-si-hypereutectic': [1, 1, 1, 75, 22],
  'cast-al-mg': [1, 1, 1, 85, 12],
  'cast-al-cu': [1, 1, 2, 76, 20],
  'cast-al-zn': [1, 1, 1, 85, 12],
  magnesium: [3, 3, 2, 80, 12],
  'zinc-alloy': [1, 1, 1, 92, 5],
}

const SURFACE: Table = {
  'wrought-1xxx': [1, 5, 1, 85, 8],
  'wrought-2xxx': [1, 14, 1, 49, 35],
  'wrought-3xxx': [1, 3, 1, 92, 3],
  'wrought-5xxx': [1, 5, 1, 83, 10],
  'wrought-6xxx': [1, 10, 1, 24, 64],
  'wrought-7xxx-copper': [1, 20, 1, 43, 35],
  'wrought-7xxx-weldable': [1, 9, 1, 30, 59],
  'cast-al-si': [50, 32, 14, 2, 2],
  'cast-al-si-mg': [58, 32, 7, 1, 2],
  'cast-al-si-cu': [64, 28, 5, 1, 2],
  'die-cast-al-si-cu': [2, 32, 64, 1, 1],
  'cast-al-si-hypereutectic': [10, 48, 39, 1, 2],
  'cast-al-mg': [62, 22, 13, 1, 2],
  'cast-al-cu': [72, 25, 1, 1, 1],
  'cast-al-zn': [74, 23, 1, 1, 1],
  magnesium: [22, 28, 45, 3, 2],
  'zinc-alloy': [2, 36, 60, 1, 1],
}

const FRACTURE: Table = {
  'wrought-1xxx': [2, 98],
  'wrought-2xxx': [22, 78],
  'wrought-3xxx': [3, 97],
  'wrought-5xxx': [6, 94],
  'wrought-6xxx': [10, 90],
  'wrought-7xxx-copper': [32, 68],
  'wrought-7xxx-weldable': [15, 85],
  'cast-al-si': [78, 22],
  'cast-al-si-mg': [84, 16],
  'cast-al-si-cu': [93, 7],
  'die-cast-al-si-cu': [96, 4],
  'cast-al-si-hypereutectic': [99, 1],
  'cast-al-mg': [62, 38],
  'cast-al-cu': [75, 25],
  'cast-al-zn': [70, 30],
  magnesium: [86, 14],
  'zinc-alloy': [93, 7],
}

const CAUSTIC: Table = {
  'wrought-1xxx': [3, 6, 91],
  'wrought-2xxx': [90, 7, 3],
  'wrought-3xxx': [6, 24, 70],
  'wrought-5xxx': [3, 9, 88],
  'wrought-6xxx': [5, 17, 78],
  'wrought-7xxx-copper': [88, 9, 3],
  'wrought-7xxx-weldable': [62, 23, 15],
  'cast-al-si': [14, 81, 5],
  'cast-al-si-mg': [10, 85, 5],
  'cast-al-si-cu': [58, 40, 2],
  'die-cast-al-si-cu': [66, 32, 2],
  'cast-al-si-hypereutectic': [56, 42, 2],
  'cast-al-mg': [4, 14, 82],
  'cast-al-cu': [88, 10, 2],
  'cast-al-zn': [68, 20, 12],
  magnesium: [2, 4, 94],
  'zinc-alloy': [52, 38, 10],
}

const STILL: Row = [3, 97]
const VINEGAR: Table = {
  'wrought-1xxx': STILL,
  'wrought-2xxx': STILL,
  'wrought-3xxx': STILL,
  'wrought-5xxx': STILL,
  'wrought-6xxx': STILL,
  'wrought-7xxx-copper': STILL,
  'wrought-7xxx-weldable': STILL,
  'cast-al-si': STILL,
  'cast-al-si-mg': STILL,
  'cast-al-si-cu': STILL,
  'die-cast-al-si-cu': STILL,
  'cast-al-si-hypereutectic': STILL,
  'cast-al-mg': STILL,
  'cast-al-cu': STILL,
  'cast-al-zn': STILL,
  magnesium: [97, 3],
  'zinc-alloy': [22, 78],
}

const ARC: Table = {
  'wrought-1xxx': [94, 3, 1, 1, 1],
  'wrought-2xxx': [32, 6, 1, 1, 60],
  'wrought-3xxx': [93, 4, 1, 1, 1],
  'wrought-5xxx': [86, 7, 2, 1, 4],
  'wrought-6xxx': [58, 3, 1, 1, 37],
  'wrought-7xxx-copper': [15, 7, 5, 2, 71],
  'wrought-7xxx-weldable': [73, 5, 5, 1, 16],
  'cast-al-si': [66, 30, 1, 1, 2],
  'cast-al-si-mg': [64, 31, 1, 1, 3],
  'cast-al-si-cu': [42, 46, 1, 1, 10],
  'die-cast-al-si-cu': [16, 68, 3, 1, 12],
  'cast-al-si-hypereutectic': [27, 57, 1, 1, 14],
  'cast-al-mg': [58, 34, 3, 2, 3],
  'cast-al-cu': [42, 17, 1, 1, 39],
  'cast-al-zn': [52, 20, 15, 1, 12],
  magnesium: [3, 5, 28, 63, 1],
  'zinc-alloy': [2, 8, 86, 3, 1],
}

export const SEEN_LIKELIHOODS: Readonly<Record<SeenTest, Table>> = {
  form: FORM,
  surface: SURFACE,
  fracture: FRACTURE,
  causticSpot: CAUSTIC,
  vinegar: VINEGAR,
  arcTest: ARC,
}

/** P(seen | family), normalised over what may be seen. */
export function seenLikelihood(test: SeenTest, family: FamilyId, seenIndex: number): number {
  const row = SEEN_LIKELIHOODS[test][family]
  return row[seenIndex]! / row.reduce((sum, value) => sum + value, 0)
}

export const seenCount = (test: SeenTest): number => SEEN[test].length

/** Share of readings that are simply wrong (misread, wrong spot, surface not clean): judgement. */
export const WRONG_READING_SHARE = 0.01

/** How often a part carries a mark that can be read: judgement. */
export const MARK_READABLE_SHARE = 0.3
/** How often a mark names the metal truly, where it names one (patterns are reused, makers change alloy): judgement. */
export const MARK_TRUE_SHARE = 0.96

export interface Instrument {
  readonly least: number
  readonly most: number
  readonly uncertainty: number
  readonly scatter: number
}

/**
 * The measuring tests: the span a reading may lie in, one standard deviation of a usual bench reading, and the scatter
 * of real parts about their table value (porosity, temper, composition within limits). Judgement, from common practice.
 */
export const INSTRUMENTS = {
  density: { least: 1.5, most: 8.0, uncertainty: 0.02, scatter: 0.012 },
  conductivity: { least: 5, most: 65, uncertainty: 0.8, scatter: 1.0 },
  hardness: { least: 15, most: 200, uncertainty: 5, scatter: 4 },
} as const satisfies Record<string, Instrument>

export type MeasuringTest = keyof typeof INSTRUMENTS
