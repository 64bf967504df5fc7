/**
 * British pipe threads, parallel (G) and taper (R, and Rp inside): size, major diameter at the gauge plane in mm,
 * threads an inch. Source: ISO 228-1 and ISO 7-1, from memory.
 */
export const BRITISH_PIPE: readonly (readonly [size: string, majorMm: number, tpi: number])[] = [
  ['1/16', 7.723, 28],
  ['1/8', 9.728, 28],
  ['1/4', 13.157, 19],
  ['3/8', 16.662, 19],
  ['1/2', 20.955, 14],
  ['5/8', 22.911, 14],
  ['3/4', 26.441, 14],
  ['7/8', 30.201, 14],
  ['1', 33.249, 11],
  ['1-1/8', 37.897, 11],
  ['1-1/4', 41.91, 11],
  ['1-1/2', 47.803, 11],
  ['1-3/4', 53.746, 11],
  ['2', 59.614, 11],
]
/** Sizes that ISO 7-1 leaves out. */
export const NOT_TAPER = ['5/8', '7/8', '1-1/8', '1-3/4']

/**
 * American taper pipe threads: size, outside of the pipe in inches, threads an inch, hand-tight engagement L1 in
 * inches. Source: ASME B1.20.1, table 2, from memory.
 */
export const AMERICAN_PIPE: readonly (readonly [size: string, outsideIn: number, tpi: number, l1In: number])[] = [
  ['1/16', 0.3125, 27, 0.16],
  ['1/8', 0.405, 27, 0.1615],
  ['1/4', 0.54, 18, 0.2278],
  ['3/8', 0.675, 18, 0.24],
  ['1/2', 0.84, 14, 0.32],
  ['3/4', 1.05, 14, 0.339],
  ['1', 1.315, 11.5, 0.4],
  ['1-1/4', 1.66, 11.5, 0.42],
  ['1-1/2', 1.9, 11.5, 0.42],
  ['2', 2.375, 11.5, 0.436],
]
