import { PDFDocument, rgb, type PDFPage } from 'pdf-lib'
import { NoAnswer } from '../ask/question'
import { PAPER_MM, PT_PER_MM, type Paper } from '../quantity/paper'
import { embedFaces, type FaceFiles } from '../quantity/pdf-faces'
import { ENGLISH, type Sayer } from '../words/say'
import type { Point } from '../photo/point'

export type PageName = Paper
const MARGIN_MM = 12
const RULER_MM = 100
const LONGEST_TITLE = 80
const INK = rgb(0.15, 0.14, 0.13)
const NEW = rgb(0.12, 0.43, 0.55)

export interface Template {
  title: string
  /** The whole outline, closed, mm, counted down from the top as in a picture. */
  outlineMm: readonly Point[]
  /** What is missing of it, drawn over it. */
  missingMm: readonly (readonly Point[])[]
  page: PageName
}

const extent = (points: readonly Point[]) => {
  const [xs, ys] = [points.map(point => point[0]), points.map(point => point[1])]
  return {
    left: Math.min(...xs),
    top: Math.min(...ys),
    wide: Math.max(...xs) - Math.min(...xs),
    high: Math.max(...ys) - Math.min(...ys),
  }
}

/** A ruler with its ends at a known distance: whoever prints it lays a rule on it before cutting anything. */
function ruler(page: PDFPage, xMm: number, yMm: number): void {
  for (let mm = 0; mm <= RULER_MM; mm++) {
    const tick = mm % 10 === 0 ? 5 : mm % 5 === 0 ? 3.5 : 2
    page.drawLine({
      start: { x: (xMm + mm) * PT_PER_MM, y: yMm * PT_PER_MM },
      end: { x: (xMm + mm) * PT_PER_MM, y: (yMm + tick) * PT_PER_MM },
      thickness: 0.4,
      color: INK,
    })
  }
  page.drawLine({
    start: { x: xMm * PT_PER_MM, y: yMm * PT_PER_MM },
    end: { x: (xMm + RULER_MM) * PT_PER_MM, y: yMm * PT_PER_MM },
    thickness: 0.4,
    color: INK,
  })
}

/**
 * A template at its own size, with a ruler that proves the scale.
 * @throws NoAnswer where it does not fit on the paper, naming its size
 */
export async function templatePdf(
  { title, outlineMm, missingMm, page: name }: Template,
  faces: FaceFiles,
  say: Sayer = ENGLISH,
): Promise<Uint8Array> {
  const size = PAPER_MM[name]
  const { left, top, wide, high } = extent(outlineMm)
  const room = [size[0] - 2 * MARGIN_MM, size[1] - 2 * MARGIN_MM - 22]
  const turn = wide > room[0]! && high <= room[0]! && wide <= room[1]!
  if (!turn && (wide > room[0]! || high > room[1]!))
    throw new NoAnswer(
      `the template is ${Math.round(wide)} × ${Math.round(high)} mm and the paper takes ${Math.round(room[0]!)} × ${Math.round(room[1]!)}: take larger paper, or the DXF`,
    )
  const document = await PDFDocument.create()
  document.setTitle(title)
  const page = document.addPage([size[0] * PT_PER_MM, size[1] * PT_PER_MM])
  const { plain: font, drawn } = await embedFaces(document, faces)
  const at = ([x, y]: Point): [number, number] =>
    turn
      ? [(MARGIN_MM + (y - top)) * PT_PER_MM, (size[1] - MARGIN_MM - wide + (x - left)) * PT_PER_MM]
      : [(MARGIN_MM + (x - left)) * PT_PER_MM, (size[1] - MARGIN_MM - (y - top)) * PT_PER_MM]
  const ring = (points: readonly Point[], thickness: number, color: typeof INK) =>
    points.forEach((point, n) => {
      const [from, to] = [at(point), at(points[(n + 1) % points.length]!)]
      page.drawLine({ start: { x: from[0], y: from[1] }, end: { x: to[0], y: to[1] }, thickness, color })
    })
  ring(outlineMm, 0.6, INK)
  for (const piece of missingMm) ring(piece, 1.4, NEW)
  ruler(page, MARGIN_MM, 14)
  page.drawText(
    drawn(
      say('{0}. Printed at 100 %: lay a rule on this line, it is {1} mm long. Heavy line: what is missing.', [
        title.slice(0, LONGEST_TITLE),
        RULER_MM,
      ]),
    ),
    { x: MARGIN_MM * PT_PER_MM, y: 8 * PT_PER_MM, size: 7.5, font, color: INK },
  )
  return document.save({ useObjectStreams: false })
}
