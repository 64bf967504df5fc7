import { PDFDocument } from 'pdf-lib'
import { describe, expect, it } from 'vitest'
import { embedFaces } from './pdf-faces'
import { FACES } from './pdf-faces.fixture'

describe('the typeface of every PDF', () => {
  it('draws Latin, Greek and Cyrillic letters, and the signs of the trade', async () => {
    const { drawn, lacked, plain } = await embedFaces(await PDFDocument.create(), FACES)
    const text = 'Łukasz Šimůnek, Ωμέγα, Иван; ⌀ 8 ≤ 5 − 3 → ½ ″ ✓'
    expect(drawn(text)).toBe(text)
    expect(lacked()).toEqual([])
    // No letter of it is the empty box that stands for none.
    expect(plain.encodeText(text).asString().match(/.{4}/g)).not.toContain('0000')
  })
  it('says which letters it lacks, and puts a box for each', async () => {
    const { drawn, lacked } = await embedFaces(await PDFDocument.create(), FACES)
    expect(drawn('中村 the 中')).toBe('□□ the □')
    expect(drawn('שלום')).toBe('□□□□')
    expect(lacked()).toEqual(['中', '村', 'ש', 'ל', 'ו', 'ם'])
  })
  it('takes a letter and its accent for one, and line ends for spaces', async () => {
    const { drawn } = await embedFaces(await PDFDocument.create(), FACES)
    expect(drawn('S\u030ci\n\tm\u0000u')).toBe('Ši m u')
  })
  it('goes into a document by the letters that are used', async () => {
    const document = await PDFDocument.create()
    const { plain, drawn } = await embedFaces(document, FACES)
    document.addPage().drawText(drawn('Łukasz'), { font: plain })
    expect((await document.save()).length).toBeLessThan(40_000)
  })
})
