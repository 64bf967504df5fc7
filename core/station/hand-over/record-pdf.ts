import { PDFDocument, rgb, type PDFFont, type PDFPage } from 'pdf-lib'
import { ENGLISH, type Sayer } from '../../words/say'
import { PAPER_MM, PT_PER_MM } from '../../quantity/paper'
import { embedFaces, type FaceFiles } from '../../quantity/pdf-faces'
import type { PartDrawing } from '../take-in/part-drawing'
import type { JobRecord } from './record'

const [WIDE, HIGH] = [PAPER_MM.a4[0] * PT_PER_MM, PAPER_MM.a4[1] * PT_PER_MM]
const MARGIN = 18 * PT_PER_MM
const LABEL_WIDE = 44 * PT_PER_MM
const PICTURE_HIGH = 52 * PT_PER_MM
const PART_HIGH = 62 * PT_PER_MM
const METAL = rgb(0.93, 0.94, 0.945)
const CRACK = rgb(0.65, 0.15, 0.11)
const SIZE = 9.5
const LEADING = 13
const INK = rgb(0.15, 0.14, 0.13)
const QUIET = rgb(0.33, 0.38, 0.42)

/** A text in lines no wider than given; a word that is wider is broken. The text is as its face draws it. */
export function wrapped(text: string, font: PDFFont, size: number, wide: number): string[] {
  const lines: string[] = []
  let line = ''
  for (const word of text.split(' ')) {
    const longer = line ? `${line} ${word}` : word
    if (font.widthOfTextAtSize(longer, size) <= wide) {
      line = longer
      continue
    }
    if (line) lines.push(line)
    line = word
    while (font.widthOfTextAtSize(line, size) > wide) {
      let fits = line.length - 1
      while (fits > 1 && font.widthOfTextAtSize(line.slice(0, fits), size) > wide) fits -= 1
      lines.push(line.slice(0, fits))
      line = line.slice(fits)
    }
  }
  return line ? [...lines, line] : lines
}

export interface RecordPdf {
  shop: string
  title: string
  /** When it came and went, and for whom, in the language it is written in. */
  under: string
  record: JobRecord
  /** The part as one solid, from above; null where it has no shape. */
  part: PartDrawing | null
  pictures: readonly { name: string; type: string; bytes: Uint8Array }[]
  /** The language it is written in. */
  words?: Sayer
  faces: FaceFiles
}

/**
 * The record of a job as a PDF for customer and inspector: sections, log, pictures, who heeded which caution; pages
 * numbered. `lacked` are letters that the typeface has not: they stand as boxes.
 */
export async function recordPdf({
  words = ENGLISH,
  ...given
}: RecordPdf): Promise<{ bytes: Uint8Array; lacked: string[] }> {
  const { shop, title, under, record, part, pictures, faces } = given
  const said = (text: string) => words(text)
  const document = await PDFDocument.create()
  document.setLanguage(words.language)
  document.setTitle(title)
  document.setAuthor(shop)
  const { plain: font, bold, drawn, lacked } = await embedFaces(document, faces)
  let page: PDFPage = document.addPage([WIDE, HIGH])
  let y = HIGH - MARGIN
  const need = (high: number) => {
    if (y - high >= MARGIN + 12) return
    page = document.addPage([WIDE, HIGH])
    y = HIGH - MARGIN
  }
  const put = (text: string, x: number, size: number, face: PDFFont, color = INK) =>
    page.drawText(text, { x, y, size, font: face, color })
  const say = (text: string, size = SIZE, face = font, color = INK) => {
    for (const line of wrapped(drawn(text), face, size, WIDE - 2 * MARGIN)) {
      need(LEADING)
      y -= size + 3
      put(line, MARGIN, size, face, color)
    }
  }
  const heading = (text: string) => {
    need(46)
    y -= 12
    say(text, 11.5, bold)
    y -= 3
    page.drawLine({ start: { x: MARGIN, y }, end: { x: WIDE - MARGIN, y }, thickness: 0.6, color: INK })
  }
  say(shop || said('Repair record'), SIZE, font, QUIET)
  say(title, 17, bold)
  say(under)
  if (part) {
    const [wide, high] = [part.high[0] - part.low[0], part.high[1] - part.low[1]]
    const scale = Math.min(PART_HIGH / high, (WIDE - 2 * MARGIN - 40) / wide)
    need(high * scale + 30)
    y -= high * scale + 22
    const foot = y
    const at = ([u, v]: readonly [number, number]) => ({
      x: MARGIN + 20 + (u - part.low[0]) * scale,
      y: foot + (v - part.low[1]) * scale,
    })
    // The library's paths run downwards from where they are put.
    const path = (rings: PartDrawing['layers'][number]['rings']) =>
      rings
        .map(
          ring =>
            `M${ring.map(([u, v]) => `${((u - part.low[0]) * scale).toFixed(2)} ${(-(v - part.low[1]) * scale).toFixed(2)}`).join('L')}Z`,
        )
        .join('')
    for (const { rings, edge } of part.layers)
      page.drawSvgPath(path(rings), {
        x: MARGIN + 20,
        y: foot,
        color: METAL,
        borderColor: edge ? INK : QUIET,
        borderWidth: edge ? 0.7 : 0.15,
      })
    for (const { number, line } of part.marks) {
      line
        .slice(1)
        .forEach((to, n) =>
          page.drawLine({
            start: at(line[n]!),
            end: at(to),
            thickness: 1.4,
            color: CRACK,
            dashArray: [5, 1.5, 1.5, 1.5],
          }),
        )
      const place = at(line[0]!)
      page.drawCircle({ ...place, size: 6, color: rgb(1, 1, 1), borderColor: INK, borderWidth: 0.7 })
      page.drawText(String(number), {
        x: place.x - font.widthOfTextAtSize(String(number), 7) / 2,
        y: place.y - 2.5,
        size: 7,
        font: bold,
        color: INK,
      })
    }
    y -= 6
    say(part.marks.map(({ number, text }) => `${number} ${said(text)}`).join('; '), 8.5, font, QUIET)
  }
  for (const section of record.sections) {
    heading(said(section.title))
    for (const { label, text, own } of section.lines) {
      const [labels, lines] = [
        wrapped(drawn(said(label)), font, SIZE, LABEL_WIDE - 6),
        wrapped(drawn(own ? text : said(text)), font, SIZE, WIDE - 2 * MARGIN - LABEL_WIDE),
      ]
      for (let n = 0; n < Math.max(labels.length, lines.length); n++) {
        need(LEADING)
        y -= LEADING
        if (labels[n]) put(labels[n]!, MARGIN, SIZE, font, QUIET)
        if (lines[n]) put(lines[n]!, MARGIN + LABEL_WIDE, SIZE, font)
      }
    }
  }
  if (record.log.length) {
    heading(said('What the puddle did'))
    for (const entry of record.log)
      say(
        words('{0}  {1}pass {2}: {3}{4}; {5}{6}', [
          entry.at.replace('T', ' ').slice(0, 16),
          entry.mend ? `${entry.mend}, ` : '',
          entry.pass,
          entry.saw,
          entry.temperatureC === undefined ? '' : `, part at ${Math.round(entry.temperatureC)} °C`,
          entry.settings,
          entry.note ? `; ${entry.note}` : '',
        ]),
      )
  }
  if (record.acknowledged.length) {
    heading(said('Stop cautions, read and heeded'))
    for (const entry of record.acknowledged)
      say(`${entry.name}, ${entry.at.replace('T', ' ').slice(0, 16)}: ${said(entry.text)}`)
  }
  const drawable = pictures.filter(picture => picture.type === 'image/jpeg' || picture.type === 'image/png')
  if (drawable.length) {
    heading(said('Pictures'))
    for (const { name, type, bytes } of drawable) {
      const image = await (type === 'image/png' ? document.embedPng(bytes) : document.embedJpg(bytes)).catch(() => null)
      if (!image) {
        say(words('{0}: this picture could not be drawn.', [name]), SIZE, font, QUIET)
        continue
      }
      need(PICTURE_HIGH + LEADING + 8)
      const scale = Math.min(PICTURE_HIGH / image.height, (WIDE - 2 * MARGIN) / image.width)
      y -= image.height * scale + 6
      page.drawImage(image, { x: MARGIN, y, width: image.width * scale, height: image.height * scale })
      say(name, 8.5, font, QUIET)
    }
  }
  y -= 8
  say(
    said(
      'Worked out and recorded at the bench; where life depends on the part, local codes, its maker and licensed practice come first.',
    ),
    8.5,
    font,
    QUIET,
  )
  const pages = document.getPages()
  pages.forEach((each, n) =>
    each.drawText(drawn(words('{0} of {1}', [n + 1, pages.length])), {
      x: WIDE - MARGIN - 30,
      y: MARGIN - 14,
      size: 8,
      font,
      color: QUIET,
    }),
  )
  return { bytes: await document.save({ useObjectStreams: false }), lacked: lacked() }
}
