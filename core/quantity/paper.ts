import { MM_PER_INCH } from './constants'

/** Points (1/72 in, what a PDF counts in) a millimetre: exact. */
export const PT_PER_MM = 72 / MM_PER_INCH

/** Width and height of paper, mm: ISO 216; US letter is 8.5 × 11 in (ANSI/ASME Y14.1). */
export const PAPER_MM = { a4: [210, 297], a3: [297, 420], letter: [215.9, 279.4] } as const
export type Paper = keyof typeof PAPER_MM
