import { PDFDocument, StandardFonts, rgb } from 'pdf-lib'
import { ENGLISH, type Sayer } from '../words/say'
import { MM_PER_INCH } from '../quantity/constants'
import { PAPER_MM, PT_PER_MM } from '../quantity/paper'

const PAGE_MM = PAPER_MM.a4
const COMB_MM = 60
const ROW_MM = 11
const INK = rgb(0.15, 0.14, 0.13)

export interface Comb {
  label: string
  pitchMm: number
  flankDeg: number
}

/**
 * Pitches that are met, as combs: millimetres and threads an inch, in order. ISO 261, ASME B1.1, BS 84, from memory.
 */
export const COMBS: readonly Comb[] = [
  ...[0.5, 0.7, 0.75, 0.8, 1, 1.25, 1.5, 1.75, 2, 2.5, 3].map(pitchMm => ({
    label: `${pitchMm} mm`,
    pitchMm,
    flankDeg: 60,
  })),
  ...[40, 36, 32, 28, 27, 26, 24, 20, 19, 18, 16, 14, 13, 12, 11.5, 11, 10, 9, 8].map(tpi => ({
    label: `${tpi} an inch`,
    pitchMm: MM_PER_INCH / tpi,
    flankDeg: [26, 19, 11].includes(tpi) ? 55 : 60,
  })),
].toSorted((a, b) => a.pitchMm - b.pitchMm)

/**
 * A sheet of pitch combs at their own size to lay against a thread, with a ruler of 100 mm that proves the printer's
 * scale.
 * Each comb is cut out along its base line; its teeth must sit in the thread over its whole length.
 */
export async function combPdf(words: Sayer = ENGLISH, combs: readonly Comb[] = COMBS): Promise<Uint8Array> {
  const document = await PDFDocument.create()
  document.setTitle(words('Pitch combs, 1:1'))
  const font = await document.embedFont(StandardFonts.Helvetica)
  const page = document.addPage([PAGE_MM[0] * PT_PER_MM, PAGE_MM[1] * PT_PER_MM])
  const line = (x1: number, y1: number, x2: number, y2: number, thickness = 0.35) =>
    page.drawLine({
      start: { x: x1 * PT_PER_MM, y: y1 * PT_PER_MM },
      end: { x: x2 * PT_PER_MM, y: y2 * PT_PER_MM },
      thickness,
      color: INK,
    })
  const put = (text: string, x: number, y: number, size = 8) =>
    page.drawText(words(text), { x: x * PT_PER_MM, y: y * PT_PER_MM, size, font, color: INK })
  put(
    'Pitch combs at their own size. Print at 100 %. Lay a rule on the line below: it is 100 mm long, or the sheet is of no use.',
    12,
    284,
  )
  line(12, 276, 112, 276, 0.5)
  for (let mm = 0; mm <= 100; mm++) line(12 + mm, 276, 12 + mm, 276 + (mm % 10 === 0 ? 5 : mm % 5 === 0 ? 3.5 : 2))
  const perColumn = Math.ceil(combs.length / 2)
  combs.forEach(({ label, pitchMm, flankDeg }, n) => {
    const [left, base] = [
      12 + Math.floor(n / perColumn) * 98,
      264 - ((n % perColumn) + 1) * (Math.min(ROW_MM, 250 / perColumn) * 1.35),
    ]
    // A full sharp vee is pitch ÷ (2 tan ½ flank) high; the teeth are left flat by an eighth at the tip and a quarter
    // at the root.
    const high = (pitchMm / (2 * Math.tan(((flankDeg / 2) * Math.PI) / 180))) * (1 - 1 / 8 - 1 / 4)
    const teeth = Math.floor(COMB_MM / pitchMm)
    const flat = pitchMm / 8
    const rise = (pitchMm - flat - pitchMm / 4) / 2
    line(left, base, left, base + 3)
    for (let tooth = 0; tooth < teeth; tooth++) {
      const x = left + tooth * pitchMm
      line(x, base + 3, x + rise, base + 3 + high, 0.3)
      line(x + rise, base + 3 + high, x + rise + flat, base + 3 + high, 0.3)
      line(x + rise + flat, base + 3 + high, x + 2 * rise + flat, base + 3, 0.3)
      line(x + 2 * rise + flat, base + 3, x + pitchMm, base + 3, 0.3)
    }
    line(left + teeth * pitchMm, base + 3, left + teeth * pitchMm, base)
    line(left, base, left + teeth * pitchMm, base)
    put(`${label}, ${flankDeg}°`, left + COMB_MM + 2, base + 2, 7.5)
  })
  return document.save({ useObjectStreams: false })
}
