import type { FamilyId } from './families.table'

/**
 * The alloys known here.
 *
 * Columns of `row`: name; family; form; composition limits in weight percent (a pair is a range, a single figure a
 * maximum); solidus and liquidus in °C; density in g/cm³ at 20 °C; conductivity in %IACS, least and most over the usual
 * tempers;
 * Brinell hardness, least and most over the usual tempers; specific heat in J/(kg·K) near 100 °C.
 *
 * Sources, all recalled from memory and rounded as printed there:
 *   limits of wrought alloys and fillers: Aluminum Association, International Alloy Designations ("Teal sheets"); AWS
 * A5.10;
 *   limits of castings: Aluminum Association, Designations for Castings and Ingot ("Pink sheets"); ASTM B85 for die
 * castings;
 *   melting ranges, density, conductivity, specific heat: ASM Handbook vol. 2 (1990), and Aluminum Standards and Data;
 *   AZ91D: ASTM B94; zinc die-casting alloy AG40A: ASTM B86.
 */
export type Form = 'cast' | 'wrought' | 'filler'
export type FillerFamilyId = 'filler-al-si' | 'filler-al-mg' | 'filler-al-cu'
export type Limit = number | readonly [min: number, max: number]

export interface Alloy {
  readonly name: string
  readonly family: FamilyId | FillerFamilyId
  readonly form: Form
  readonly limits: Readonly<Record<string, Limit>>
  /** Nominal weight percent: the middle of each range that has a lower limit; aluminium is the rest. */
  readonly pct: Readonly<Record<string, number>>
  readonly solidusC: number
  readonly liquidusC: number
  readonly densityGcm3: number
  readonly iacsPct: readonly [number, number]
  readonly hardnessHb: readonly [number, number]
  readonly specificHeatJkgK: number
}

function nominal(limits: Readonly<Record<string, Limit>>): Record<string, number> {
  return Object.fromEntries(
    Object.entries(limits)
      .filter((entry): entry is [string, readonly [number, number]] => Array.isArray(entry[1]))
      .map(([element, [min, max]]) => [element, Number(((min + max) / 2).toFixed(3))]),
  )
}

function row(
  name: string,
  family: Alloy['family'],
  form: Form,
  limits: Record<string, Limit>,
  [solidusC, liquidusC]: [number, number],
  densityGcm3: number,
  iacsPct: [number, number],
  hardnessHb: [number, number],
  specificHeatJkgK: number,
): Alloy {
  return {
    name,
    family,
    form,
    limits,
    pct: nominal(limits),
    solidusC,
    liquidusC,
    densityGcm3,
    iacsPct,
    hardnessHb,
    specificHeatJkgK,
  }
}

// prettier-ignore
export const ALLOYS: readonly Alloy[] = [
  row('1100', 'wrought-1xxx', 'wrought', { Si: 0.5, Fe: 0.6, Cu: [0.05, 0.20], Mn: 0.05, Zn: 0.10 }, [643, 657], 2.71, [57, 59], [23, 44], 904),
  row('2014', 'wrought-2xxx', 'wrought', { Si: [0.50, 1.2], Fe: 0.7, Cu: [3.9, 5.0], Mn: [0.40, 1.2], Mg: [0.20, 0.8], Cr: 0.10, Zn: 0.25, Ti: 0.15 }, [507, 638], 2.80, [34, 40], [105, 135], 880),
  row('2017', 'wrought-2xxx', 'wrought', { Si: [0.20, 0.8], Fe: 0.7, Cu: [3.5, 4.5], Mn: [0.40, 1.0], Mg: [0.40, 0.8], Cr: 0.10, Zn: 0.25, Ti: 0.15 }, [513, 640], 2.79, [34, 40], [100, 110], 880),
  row('2024', 'wrought-2xxx', 'wrought', { Si: 0.50, Fe: 0.50, Cu: [3.8, 4.9], Mn: [0.30, 0.9], Mg: [1.2, 1.8], Cr: 0.10, Zn: 0.25, Ti: 0.15 }, [502, 638], 2.78, [29, 39], [115, 130], 875),
  row('2219', 'wrought-2xxx', 'wrought', { Si: 0.20, Fe: 0.30, Cu: [5.8, 6.8], Mn: [0.20, 0.40], Mg: 0.02, Zn: 0.10, Ti: [0.02, 0.10], V: [0.05, 0.15], Zr: [0.10, 0.25] }, [543, 643], 2.84, [28, 33], [100, 130], 864),
  row('2618', 'wrought-2xxx', 'wrought', { Si: [0.10, 0.25], Fe: [0.9, 1.3], Cu: [1.9, 2.7], Mg: [1.3, 1.8], Ni: [0.9, 1.2], Zn: 0.10, Ti: [0.04, 0.10] }, [549, 638], 2.76, [36, 40], [110, 125], 875),
  row('3003', 'wrought-3xxx', 'wrought', { Si: 0.6, Fe: 0.7, Cu: [0.05, 0.20], Mn: [1.0, 1.5], Zn: 0.10 }, [643, 654], 2.73, [40, 50], [28, 55], 893),
  row('3004', 'wrought-3xxx', 'wrought', { Si: 0.30, Fe: 0.7, Cu: 0.25, Mn: [1.0, 1.5], Mg: [0.8, 1.3], Zn: 0.25 }, [629, 654], 2.72, [41, 43], [45, 77], 893),
  row('4032', 'cast-al-si-cu', 'wrought', { Si: [11.0, 13.5], Fe: 1.0, Cu: [0.50, 1.3], Mg: [0.8, 1.3], Cr: 0.10, Ni: [0.50, 1.3], Zn: 0.25 }, [532, 571], 2.68, [34, 37], [110, 125], 864),
  row('5005', 'wrought-5xxx', 'wrought', { Si: 0.30, Fe: 0.7, Cu: 0.20, Mn: 0.20, Mg: [0.50, 1.1], Cr: 0.10, Zn: 0.25 }, [632, 654], 2.70, [51, 53], [28, 51], 900),
  row('5052', 'wrought-5xxx', 'wrought', { Si: 0.25, Fe: 0.40, Cu: 0.10, Mn: 0.10, Mg: [2.2, 2.8], Cr: [0.15, 0.35], Zn: 0.10 }, [607, 649], 2.68, [34, 36], [47, 77], 900),
  row('5083', 'wrought-5xxx', 'wrought', { Si: 0.40, Fe: 0.40, Cu: 0.10, Mn: [0.40, 1.0], Mg: [4.0, 4.9], Cr: [0.05, 0.25], Zn: 0.25, Ti: 0.15 }, [591, 638], 2.66, [28, 30], [65, 95], 900),
  row('5086', 'wrought-5xxx', 'wrought', { Si: 0.40, Fe: 0.50, Cu: 0.10, Mn: [0.20, 0.7], Mg: [3.5, 4.5], Cr: [0.05, 0.25], Zn: 0.25, Ti: 0.15 }, [585, 641], 2.66, [30, 32], [60, 90], 900),
  row('5154', 'wrought-5xxx', 'wrought', { Si: 0.25, Fe: 0.40, Cu: 0.10, Mn: 0.10, Mg: [3.1, 3.9], Cr: [0.15, 0.35], Zn: 0.20, Ti: 0.20 }, [593, 643], 2.66, [31, 33], [58, 80], 900),
  row('5454', 'wrought-5xxx', 'wrought', { Si: 0.25, Fe: 0.40, Cu: 0.10, Mn: [0.50, 1.0], Mg: [2.4, 3.0], Cr: [0.05, 0.20], Zn: 0.25, Ti: 0.20 }, [602, 646], 2.69, [33, 35], [62, 81], 900),
  row('5456', 'wrought-5xxx', 'wrought', { Si: 0.25, Fe: 0.40, Cu: 0.10, Mn: [0.50, 1.0], Mg: [4.7, 5.5], Cr: [0.05, 0.20], Zn: 0.25, Ti: 0.20 }, [568, 638], 2.66, [28, 30], [70, 95], 900),
  row('6005A', 'wrought-6xxx', 'wrought', { Si: [0.50, 0.9], Fe: 0.35, Cu: 0.30, Mn: 0.50, Mg: [0.40, 0.7], Cr: 0.30, Zn: 0.20, Ti: 0.10 }, [605, 655], 2.70, [46, 50], [80, 95], 892),
  row('6060', 'wrought-6xxx', 'wrought', { Si: [0.30, 0.6], Fe: [0.10, 0.30], Cu: 0.10, Mn: 0.10, Mg: [0.35, 0.6], Cr: 0.05, Zn: 0.15, Ti: 0.10 }, [615, 655], 2.70, [50, 55], [50, 75], 898),
  row('6061', 'wrought-6xxx', 'wrought', { Si: [0.40, 0.8], Fe: 0.7, Cu: [0.15, 0.40], Mn: 0.15, Mg: [0.8, 1.2], Cr: [0.04, 0.35], Zn: 0.25, Ti: 0.15 }, [582, 652], 2.70, [40, 47], [30, 100], 896),
  row('6063', 'wrought-6xxx', 'wrought', { Si: [0.20, 0.6], Fe: 0.35, Cu: 0.10, Mn: 0.10, Mg: [0.45, 0.9], Cr: 0.10, Zn: 0.10, Ti: 0.10 }, [616, 654], 2.69, [50, 58], [25, 80], 900),
  row('6082', 'wrought-6xxx', 'wrought', { Si: [0.7, 1.3], Fe: 0.50, Cu: 0.10, Mn: [0.40, 1.0], Mg: [0.6, 1.2], Cr: 0.25, Zn: 0.20, Ti: 0.10 }, [575, 650], 2.70, [42, 46], [60, 100], 894),
  row('7005', 'wrought-7xxx-weldable', 'wrought', { Si: 0.35, Fe: 0.40, Cu: 0.10, Mn: [0.20, 0.7], Mg: [1.0, 1.8], Cr: [0.06, 0.20], Zn: [4.0, 5.0], Ti: [0.01, 0.06], Zr: [0.08, 0.20] }, [604, 643], 2.78, [35, 40], [90, 120], 875),
  row('7020', 'wrought-7xxx-weldable', 'wrought', { Si: 0.35, Fe: 0.40, Cu: 0.20, Mn: [0.05, 0.50], Mg: [1.0, 1.4], Cr: [0.10, 0.35], Zn: [4.0, 5.0], Zr: [0.08, 0.20] }, [604, 650], 2.78, [35, 39], [90, 120], 875),
  row('7075', 'wrought-7xxx-copper', 'wrought', { Si: 0.40, Fe: 0.50, Cu: [1.2, 2.0], Mn: 0.30, Mg: [2.1, 2.9], Cr: [0.18, 0.28], Zn: [5.1, 6.1], Ti: 0.20 }, [477, 635], 2.81, [31, 40], [135, 160], 960),

  row('201', 'cast-al-cu', 'cast', { Si: 0.10, Fe: 0.15, Cu: [4.0, 5.2], Mn: [0.20, 0.50], Mg: [0.15, 0.55], Ti: [0.15, 0.35], Ag: [0.40, 1.0] }, [535, 650], 2.80, [27, 32], [95, 140], 920),
  row('295', 'cast-al-cu', 'cast', { Si: [0.7, 1.5], Fe: 1.0, Cu: [4.0, 5.0], Mn: 0.35, Mg: 0.03, Zn: 0.35, Ti: 0.25 }, [520, 645], 2.81, [33, 37], [55, 90], 920),
  row('308', 'cast-al-si-cu', 'cast', { Si: [5.0, 6.0], Fe: 1.0, Cu: [4.0, 5.0], Mn: 0.50, Mg: 0.10, Zn: 1.0, Ti: 0.25 }, [520, 615], 2.79, [34, 37], [65, 75], 963),
  row('319', 'cast-al-si-cu', 'cast', { Si: [5.5, 6.5], Fe: 1.0, Cu: [3.0, 4.0], Mn: 0.50, Mg: 0.10, Ni: 0.35, Zn: 1.0, Ti: 0.25 }, [516, 604], 2.79, [26, 29], [70, 85], 963),
  row('332', 'cast-al-si-cu', 'cast', { Si: [8.5, 10.5], Fe: 1.2, Cu: [2.0, 4.0], Mn: 0.50, Mg: [0.50, 1.5], Ni: 0.50, Zn: 1.0, Ti: 0.25 }, [520, 580], 2.76, [25, 28], [95, 115], 963),
  row('355', 'cast-al-si-cu', 'cast', { Si: [4.5, 5.5], Fe: 0.6, Cu: [1.0, 1.5], Mn: 0.50, Mg: [0.40, 0.6], Cr: 0.25, Zn: 0.35, Ti: 0.25 }, [546, 621], 2.71, [36, 43], [65, 90], 963),
  row('356', 'cast-al-si-mg', 'cast', { Si: [6.5, 7.5], Fe: 0.6, Cu: 0.25, Mn: 0.35, Mg: [0.20, 0.45], Zn: 0.35, Ti: 0.25 }, [557, 613], 2.68, [38, 43], [55, 90], 963),
  row('A356', 'cast-al-si-mg', 'cast', { Si: [6.5, 7.5], Fe: 0.20, Cu: 0.20, Mn: 0.10, Mg: [0.25, 0.45], Zn: 0.10, Ti: 0.20 }, [557, 613], 2.68, [38, 43], [60, 95], 963),
  row('357', 'cast-al-si-mg', 'cast', { Si: [6.5, 7.5], Fe: 0.15, Cu: 0.05, Mn: 0.03, Mg: [0.45, 0.6], Zn: 0.05, Ti: 0.20 }, [557, 613], 2.67, [37, 41], [75, 105], 963),
  row('A357', 'cast-al-si-mg', 'cast', { Si: [6.5, 7.5], Fe: 0.20, Cu: 0.20, Mn: 0.10, Mg: [0.40, 0.7], Zn: 0.10, Ti: [0.04, 0.20] }, [557, 613], 2.67, [37, 41], [80, 110], 963),
  row('360', 'cast-al-si-mg', 'cast', { Si: [9.0, 10.0], Fe: 2.0, Cu: 0.6, Mn: 0.35, Mg: [0.40, 0.6], Ni: 0.50, Zn: 0.50, Sn: 0.15 }, [557, 596], 2.63, [27, 31], [70, 80], 963),
  row('A360', 'cast-al-si-mg', 'cast', { Si: [9.0, 10.0], Fe: 1.3, Cu: 0.6, Mn: 0.35, Mg: [0.40, 0.6], Ni: 0.50, Zn: 0.50, Sn: 0.15 }, [557, 596], 2.63, [28, 31], [70, 80], 963),
  row('380', 'die-cast-al-si-cu', 'cast', { Si: [7.5, 9.5], Fe: 2.0, Cu: [3.0, 4.0], Mn: 0.50, Mg: 0.10, Ni: 0.50, Zn: 3.0, Sn: 0.35 }, [538, 593], 2.74, [23, 27], [75, 85], 963),
  row('A380', 'die-cast-al-si-cu', 'cast', { Si: [7.5, 9.5], Fe: 1.3, Cu: [3.0, 4.0], Mn: 0.50, Mg: 0.10, Ni: 0.50, Zn: 3.0, Sn: 0.35 }, [538, 593], 2.72, [23, 27], [75, 85], 963),
  row('383', 'die-cast-al-si-cu', 'cast', { Si: [9.5, 11.5], Fe: 1.3, Cu: [2.0, 3.0], Mn: 0.50, Mg: 0.10, Ni: 0.30, Zn: 3.0, Sn: 0.15 }, [516, 582], 2.74, [22, 25], [70, 80], 963),
  row('384', 'die-cast-al-si-cu', 'cast', { Si: [10.5, 12.0], Fe: 1.3, Cu: [3.0, 4.5], Mn: 0.50, Mg: 0.10, Ni: 0.50, Zn: 3.0, Sn: 0.35 }, [516, 582], 2.76, [21, 24], [80, 90], 963),
  row('390', 'cast-al-si-hypereutectic', 'cast', { Si: [16.0, 18.0], Fe: 1.3, Cu: [4.0, 5.0], Mn: 0.10, Mg: [0.45, 0.65], Zn: 0.10, Ti: 0.20 }, [507, 649], 2.73, [24, 28], [100, 145], 963),
  row('413', 'cast-al-si', 'cast', { Si: [11.0, 13.0], Fe: 2.0, Cu: 1.0, Mn: 0.35, Mg: 0.10, Ni: 0.50, Zn: 0.50, Sn: 0.15 }, [574, 582], 2.66, [29, 33], [70, 85], 963),
  row('A413', 'cast-al-si', 'cast', { Si: [11.0, 13.0], Fe: 1.3, Cu: 1.0, Mn: 0.35, Mg: 0.10, Ni: 0.50, Zn: 0.50, Sn: 0.15 }, [574, 582], 2.66, [30, 34], [70, 85], 963),
  row('443', 'cast-al-si', 'cast', { Si: [4.5, 6.0], Fe: 0.8, Cu: 0.6, Mn: 0.50, Mg: 0.05, Cr: 0.25, Zn: 0.50, Ti: 0.25 }, [574, 632], 2.69, [36, 42], [38, 50], 963),
  row('514', 'cast-al-mg', 'cast', { Si: 0.35, Fe: 0.50, Cu: 0.15, Mn: 0.35, Mg: [3.5, 4.5], Zn: 0.15, Ti: 0.25 }, [599, 640], 2.65, [33, 36], [45, 55], 963),
  row('518', 'cast-al-mg', 'cast', { Si: 0.35, Fe: 1.8, Cu: 0.25, Mn: 0.35, Mg: [7.5, 8.5], Ni: 0.15, Zn: 0.15, Sn: 0.15 }, [535, 621], 2.57, [23, 26], [70, 85], 963),
  row('535', 'cast-al-mg', 'cast', { Si: 0.15, Fe: 0.15, Cu: 0.05, Mn: [0.10, 0.25], Mg: [6.2, 7.5], Ti: [0.10, 0.25] }, [549, 630], 2.62, [22, 25], [60, 75], 963),
  row('712', 'cast-al-zn', 'cast', { Si: 0.30, Fe: 0.50, Cu: 0.25, Mn: 0.10, Mg: [0.50, 0.65], Cr: [0.40, 0.6], Zn: [5.0, 6.5], Ti: [0.15, 0.25] }, [600, 640], 2.81, [35, 40], [70, 80], 963),
  row('713', 'cast-al-zn', 'cast', { Si: 0.25, Fe: 1.1, Cu: [0.40, 1.0], Mn: 0.6, Mg: [0.20, 0.50], Cr: 0.35, Ni: 0.15, Zn: [7.0, 8.0], Ti: 0.25 }, [595, 630], 2.81, [30, 38], [65, 80], 963),

  row('4043', 'filler-al-si', 'filler', { Si: [4.5, 6.0], Fe: 0.8, Cu: 0.30, Mn: 0.05, Mg: 0.05, Zn: 0.10, Ti: 0.20 }, [574, 632], 2.69, [40, 43], [38, 45], 930),
  row('4047', 'filler-al-si', 'filler', { Si: [11.0, 13.0], Fe: 0.8, Cu: 0.30, Mn: 0.15, Mg: 0.10, Zn: 0.20 }, [577, 582], 2.66, [38, 41], [45, 60], 963),
  row('4643', 'filler-al-si', 'filler', { Si: [3.6, 4.6], Fe: 0.8, Cu: 0.10, Mn: 0.05, Mg: [0.10, 0.30], Zn: 0.10, Ti: 0.15 }, [574, 635], 2.69, [40, 43], [40, 50], 930),
  row('4145', 'filler-al-si', 'filler', { Si: [9.3, 10.7], Fe: 0.8, Cu: [3.3, 4.7], Mn: 0.15, Mg: 0.15, Cr: 0.15, Zn: 0.20 }, [521, 585], 2.74, [26, 30], [60, 80], 963),
  row('5183', 'filler-al-mg', 'filler', { Si: 0.40, Fe: 0.40, Cu: 0.10, Mn: [0.50, 1.0], Mg: [4.3, 5.2], Cr: [0.05, 0.25], Zn: 0.25, Ti: 0.15 }, [579, 638], 2.66, [28, 30], [65, 75], 900),
  row('5356', 'filler-al-mg', 'filler', { Si: 0.25, Fe: 0.40, Cu: 0.10, Mn: [0.05, 0.20], Mg: [4.5, 5.5], Cr: [0.05, 0.20], Zn: 0.10, Ti: [0.06, 0.20] }, [571, 635], 2.64, [28, 30], [60, 70], 900),
  row('5554', 'filler-al-mg', 'filler', { Si: 0.25, Fe: 0.40, Cu: 0.10, Mn: [0.50, 1.0], Mg: [2.4, 3.0], Cr: [0.05, 0.20], Zn: 0.25, Ti: [0.05, 0.20] }, [602, 646], 2.69, [33, 35], [55, 65], 900),
  row('5556', 'filler-al-mg', 'filler', { Si: 0.25, Fe: 0.40, Cu: 0.10, Mn: [0.50, 1.0], Mg: [4.7, 5.5], Cr: [0.05, 0.20], Zn: 0.25, Ti: [0.05, 0.20] }, [568, 635], 2.66, [28, 30], [65, 75], 900),
  row('2319', 'filler-al-cu', 'filler', { Si: 0.20, Fe: 0.30, Cu: [5.8, 6.8], Mn: [0.20, 0.40], Mg: 0.02, Zn: 0.10, Ti: [0.10, 0.20], V: [0.05, 0.15], Zr: [0.10, 0.25] }, [543, 643], 2.84, [28, 33], [60, 75], 864),

  row('AZ91D', 'magnesium', 'cast', { Al: [8.3, 9.7], Mg: [88.8, 91.2], Zn: [0.35, 1.0], Mn: [0.15, 0.50], Si: 0.10, Cu: 0.030 }, [470, 595], 1.81, [10, 13], [60, 75], 1050),
  row('AG40A', 'zinc-alloy', 'cast', { Al: [3.5, 4.3], Zn: [95.4, 96.5], Mg: [0.02, 0.06], Cu: 0.25, Fe: 0.10 }, [381, 387], 6.60, [26, 28], [78, 90], 419),
]
