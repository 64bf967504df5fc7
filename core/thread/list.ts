import { MM_PER_INCH } from '../quantity/constants'
import { BRITISH_ASSOCIATION, CONSTANT_PITCH, UNIFIED, WHITWORTH } from './inch.table'
import { METRIC } from './metric.table'
import { AMERICAN_PIPE, BRITISH_PIPE, NOT_TAPER } from './pipe.table'
import { form47, form55, form60, formPipe60, PIPE_TAPER_DEG, type System, type Thread } from './thread'

/** How often each system is met, against metric coarse: judgement. */
const USUAL: Readonly<Record<System, number>> = {
  metric: 1,
  'metric-fine': 0.35,
  UNC: 0.8,
  UNF: 0.6,
  UNEF: 0.04,
  UN: 0.06,
  BSW: 0.12,
  BSF: 0.12,
  BA: 0.08,
  G: 0.5,
  R: 0.2,
  Rp: 0.1,
  NPT: 0.45,
  NPTF: 0.05,
}
/** Sizes seldom met count this much less: judgement. */
const ODD_DIAMETERS_MM = [1.8, 2.2, 3.5, 4.5, 7, 9, 11, 27, 33, 39, 45, 52, 60]
const ODD = 0.3

const parallel = (
  designation: string,
  system: System,
  majorMm: number,
  pitchMm: number,
  form = form60,
  weight = 1,
): Thread => ({
  designation,
  system,
  majorMm,
  pitchMm,
  ...form(majorMm, pitchMm),
  taperDeg: 0,
  usual: USUAL[system] * weight,
})
const inch = (designation: string, system: System, inches: number, tpi: number, form = form60) =>
  tpi ? [parallel(designation, system, inches * MM_PER_INCH, MM_PER_INCH / tpi, form)] : []

/** Every standard thread the application knows. */
export const THREADS: readonly Thread[] = [
  ...METRIC.flatMap(([d, coarse, ...fine]) => {
    const weight = ODD_DIAMETERS_MM.includes(d) ? ODD : 1
    return [
      parallel(`M${d}x${coarse}`, 'metric', d, coarse, form60, weight),
      ...fine.map(pitch => parallel(`M${d}x${pitch}`, 'metric-fine', d, pitch, form60, weight)),
    ]
  }),
  ...UNIFIED.flatMap(([size, d, unc, unf, unef]) => [
    ...inch(`${size}-${unc} UNC`, 'UNC', d, unc),
    ...inch(`${size}-${unf} UNF`, 'UNF', d, unf),
    ...inch(`${size}-${unef} UNEF`, 'UNEF', d, unef),
  ]),
  ...CONSTANT_PITCH.flatMap(([size, d, tpi]) => inch(`${size}-${tpi} UN`, 'UN', d, tpi)),
  ...WHITWORTH.flatMap(([size, d, bsw, bsf]) => [
    ...inch(`${size} BSW`, 'BSW', d, bsw, form55),
    ...inch(`${size} BSF`, 'BSF', d, bsf, form55),
  ]),
  ...BRITISH_ASSOCIATION.map(([n, d, pitch]) => parallel(`${n} BA`, 'BA', d, pitch, form47)),
  ...BRITISH_PIPE.flatMap(([size, d, tpi]): Thread[] => {
    const at = parallel(`G${size}`, 'G', d, MM_PER_INCH / tpi, form55)
    return NOT_TAPER.includes(size)
      ? [at]
      : [
          at,
          { ...at, designation: `R${size}`, system: 'R', taperDeg: PIPE_TAPER_DEG, usual: USUAL.R },
          { ...at, designation: `Rp${size}`, system: 'Rp', usual: USUAL.Rp },
        ]
  }),
  ...AMERICAN_PIPE.flatMap(([size, outside, tpi, l1]) =>
    (['NPT', 'NPTF'] as const).map((system): Thread => ({
      designation: `${size}-${tpi} ${system}`,
      system,
      majorMm: outside * MM_PER_INCH,
      pitchMm: MM_PER_INCH / tpi,
      ...formPipe60(outside * MM_PER_INCH, MM_PER_INCH / tpi, l1 * MM_PER_INCH),
      taperDeg: PIPE_TAPER_DEG,
      usual: USUAL[system],
    })),
  ),
]
