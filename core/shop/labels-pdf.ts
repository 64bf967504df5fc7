import { PDFDocument, rgb } from 'pdf-lib'
import encodeQR from 'qr'
import { PAPER_MM, PT_PER_MM, type Paper } from '../quantity/paper'
import { embedFaces, type FaceFiles } from '../quantity/pdf-faces'

const INK = rgb(0, 0, 0)
const FAINT = rgb(0.7, 0.7, 0.7)
const MARGIN_MM = 10
/** A tag that ties on or sticks on: room for a hole at its left, a code, three lines. */
const TAG = { wideMm: 90, highMm: 34, codeMm: 26, holeMm: 5 }
const LONGEST = 34

export interface Label {
  title: string
  customer: string
  /** Day it is promised for, as it is to be read; empty, none. */
  due: string
  /** What scanning it opens. */
  address: string
}

/** A tag for each part, with its job as a code, cut lines and the place of a tie, on as many sheets as it takes. */
export async function labelsPdf(labels: readonly Label[], paper: Paper, faces: FaceFiles): Promise<Uint8Array> {
  const [wide, high] = PAPER_MM[paper]
  const across = Math.floor((wide - 2 * MARGIN_MM) / TAG.wideMm)
  const down = Math.floor((high - 2 * MARGIN_MM) / TAG.highMm)
  const document = await PDFDocument.create()
  document.setTitle('Labels')
  const { plain: words, bold, drawn } = await embedFaces(document, faces)
  labels.forEach((label, n) => {
    const place = n % (across * down)
    const page =
      place === 0
        ? document.addPage([wide * PT_PER_MM, high * PT_PER_MM])
        : document.getPage(document.getPageCount() - 1)
    const left = MARGIN_MM + (place % across) * TAG.wideMm
    const top = high - MARGIN_MM - Math.floor(place / across) * TAG.highMm
    page.drawRectangle({
      x: left * PT_PER_MM,
      y: (top - TAG.highMm) * PT_PER_MM,
      width: TAG.wideMm * PT_PER_MM,
      height: TAG.highMm * PT_PER_MM,
      borderColor: FAINT,
      borderWidth: 0.3,
    })
    page.drawCircle({
      x: (left + TAG.holeMm) * PT_PER_MM,
      y: (top - TAG.highMm / 2) * PT_PER_MM,
      size: 2 * PT_PER_MM,
      borderColor: FAINT,
      borderWidth: 0.3,
    })
    const modules = encodeQR(label.address, 'raw', { ecc: 'quartile', border: 1 })
    const module = TAG.codeMm / modules.length
    const [codeLeft, codeTop] = [left + 2 * TAG.holeMm, top - (TAG.highMm - TAG.codeMm) / 2]
    modules.forEach((row, j) => {
      row.forEach((dark, i) => {
        if (dark)
          page.drawRectangle({
            x: (codeLeft + i * module) * PT_PER_MM,
            y: (codeTop - (j + 1) * module) * PT_PER_MM,
            width: module * PT_PER_MM,
            height: module * PT_PER_MM,
            color: INK,
          })
      })
    })
    const x = (codeLeft + TAG.codeMm + 3) * PT_PER_MM
    const lines = [
      { text: label.title, font: bold, size: 10 },
      { text: label.customer, font: words, size: 9 },
      { text: label.due, font: words, size: 9 },
    ]
    lines.forEach(({ text, font, size }, row) => {
      const letters = [...drawn(text)].slice(0, LONGEST)
      while (
        letters.length &&
        font.widthOfTextAtSize(letters.join(''), size) > (TAG.wideMm - TAG.codeMm - 17) * PT_PER_MM
      )
        letters.pop()
      page.drawText(letters.join(''), { x, y: (top - 11 - 7 * row) * PT_PER_MM, size, font, color: INK })
    })
  })
  return document.save({ useObjectStreams: false })
}
