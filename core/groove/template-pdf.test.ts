import { inflateSync } from 'node:zlib'
import { PDFDocument, PDFRawStream } from 'pdf-lib'
import { describe, expect, it } from 'vitest'
import { FACES } from '../quantity/pdf-faces.fixture'
import { templatePdf } from './template-pdf'

const square = [
  [0, 0],
  [80, 0],
  [80, 50],
  [0, 50],
] as const
/** The lines a page draws, in millimetres, as another reader of the file finds them. */
async function linesMm(bytes: Uint8Array): Promise<number[]> {
  const document = await PDFDocument.load(bytes)
  const streams = document.context
    .enumerateIndirectObjects()
    .flatMap(([, object]) => (object instanceof PDFRawStream ? [object] : []))
  const text = streams
    .map(stream => {
      try {
        return inflateSync(stream.contents).toString('latin1')
      } catch {
        return Buffer.from(stream.contents).toString('latin1')
      }
    })
    .join('\n')
  return [...text.matchAll(/([\d.]+) ([\d.]+) m\n([\d.]+) ([\d.]+) l/g)].map(
    ([, a, b, c, d]) => (Math.hypot(Number(a) - Number(c), Number(b) - Number(d)) / 72) * 25.4,
  )
}

describe('a template on paper', () => {
  it('is as large as the part, with a ruler of 100 mm', async () => {
    const bytes = await templatePdf({ title: 'Lug', outlineMm: square, missingMm: [], page: 'a4' }, FACES)
    const lines = await linesMm(bytes)
    expect(lines.filter(mm => Math.abs(mm - 80) < 1e-3)).toHaveLength(2)
    expect(lines.filter(mm => Math.abs(mm - 50) < 1e-3)).toHaveLength(2)
    expect(lines.filter(mm => Math.abs(mm - 100) < 1e-3)).toHaveLength(1)
    expect(((await PDFDocument.load(bytes)).getPage(0).getWidth() / 72) * 25.4).toBeCloseTo(210, 6)
  })
  it('turns what is too wide, and refuses what does not fit', async () => {
    const wide = square.map(([x, y]) => [x * 3, y * 3] as const)
    expect(
      (await linesMm(await templatePdf({ title: 'Long', outlineMm: wide, missingMm: [], page: 'a4' }, FACES))).some(
        mm => Math.abs(mm - 240) < 1e-3,
      ),
    ).toBe(true)
    await expect(
      templatePdf(
        { title: 'Huge', outlineMm: square.map(([x, y]) => [x * 9, y * 9] as const), missingMm: [], page: 'a4' },
        FACES,
      ),
    ).rejects.toThrow(/720 × 450 mm/)
  })
})
