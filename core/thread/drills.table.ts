import { MM_PER_INCH } from '../quantity/constants'

/**
 * Drills found in a shop: millimetres by the tenth (halves above 13), inch sixty-fourths, numbers and letters. Source:
 * ISO 235 and ASME B94.11M, from memory.
 */
const LETTERS: Readonly<Record<string, number>> = {
  A: 0.234,
  B: 0.238,
  C: 0.242,
  D: 0.246,
  E: 0.25,
  F: 0.257,
  G: 0.261,
  H: 0.266,
  I: 0.272,
  J: 0.277,
  K: 0.281,
  L: 0.29,
  M: 0.295,
  N: 0.302,
  O: 0.316,
  P: 0.323,
  Q: 0.332,
  R: 0.339,
  S: 0.348,
  T: 0.358,
  U: 0.368,
  V: 0.377,
  W: 0.386,
  X: 0.397,
  Y: 0.404,
  Z: 0.413,
}
const NUMBERS = [
  0.228, 0.221, 0.213, 0.209, 0.2055, 0.204, 0.201, 0.199, 0.196, 0.1935, 0.191, 0.189, 0.185, 0.182, 0.18, 0.177,
  0.173, 0.1695, 0.166, 0.161, 0.159, 0.157, 0.154, 0.152, 0.1495, 0.147, 0.144, 0.1405, 0.136, 0.1285, 0.12, 0.116,
  0.113, 0.111, 0.11, 0.1065, 0.104, 0.1015, 0.0995, 0.098, 0.096, 0.0935, 0.089, 0.086, 0.082, 0.081, 0.0785, 0.076,
  0.073, 0.07, 0.067, 0.0635, 0.0595, 0.055, 0.052, 0.0465, 0.043, 0.042, 0.041, 0.04,
]

export interface Drill {
  mm: number
  name: string
}

function fraction(sixtyFourths: number): string {
  let [top, bottom] = [sixtyFourths, 64]
  while (top % 2 === 0 && bottom > 1) [top, bottom] = [top / 2, bottom / 2]
  const whole = Math.floor(top / bottom)
  const rest = top - whole * bottom
  return [...(whole ? [whole] : []), ...(rest ? [`${rest}/${bottom}`] : [])].join(' ')
}

export const DRILLS: readonly Drill[] = [
  ...Array.from({ length: 121 }, (_, n) => (n + 10) / 10).map(mm => ({ mm, name: `${mm} mm` })),
  ...Array.from({ length: 134 }, (_, n) => 13.5 + n / 2).map(mm => ({ mm, name: `${mm} mm` })),
  ...Array.from({ length: 128 }, (_, n) => n + 1).map(n => ({ mm: (n * MM_PER_INCH) / 64, name: `${fraction(n)} in` })),
  ...NUMBERS.map((inch, n) => ({ mm: inch * MM_PER_INCH, name: `No. ${n + 1}` })),
  ...Object.entries(LETTERS).map(([letter, inch]) => ({ mm: inch * MM_PER_INCH, name: `letter ${letter}` })),
].toSorted((a, b) => a.mm - b.mm)
