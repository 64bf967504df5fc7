import { PDFDocument, PDFRawStream, decodePDFRawStream } from 'pdf-lib'
import decodeQR from 'qr/decode.js'
import { describe, expect, it } from 'vitest'
import { FACES } from '../quantity/pdf-faces.fixture'
import { labelsPdf } from './labels-pdf'

const label = (n: number) => ({
  title: `Part ${n} with a name that is much too long for any tag`,
  customer: 'the cider co-operative',
  due: 'for 3 Dec',
  address: `http://bench.local:4173/job/part-${n}/take-in`,
})

describe('labels', () => {
  it('take as many sheets as they need', async () => {
    const one = await PDFDocument.load(await labelsPdf([label(1)], 'a4', FACES))
    expect(one.getPageCount()).toBe(1)
    const many = await PDFDocument.load(
      await labelsPdf(
        Array.from({ length: 20 }, (_, n) => label(n)),
        'letter',
        FACES,
      ),
    )
    expect(many.getPageCount()).toBe(2)
  })

  it('carry a code that reads as the job, off the paper as it is drawn', async () => {
    const document = await PDFDocument.load(await labelsPdf([label(7)], 'a4', FACES))
    const PX_PER_PT = 4
    const [wide, high] = [Math.ceil(200 * PX_PER_PT), Math.ceil(140 * PX_PER_PT)]
    const data = new Uint8Array(wide * high * 3).fill(255)
    const top = document.getPage(0).getHeight()
    for (const [, thing] of document.context.enumerateIndirectObjects()) {
      if (!(thing instanceof PDFRawStream)) continue
      const text = new TextDecoder('latin1').decode(decodePDFRawStream(thing).decode())
      // A filled rectangle: moved to its corner, drawn as lines, filled.
      for (const found of text.matchAll(
        /1 0 0 1 ([\d.]+) ([\d.]+) cm[^Q]*?0 0 m\s+0 ([\d.]+) l\s+([\d.]+) [\d.]+ l[^Q]*?\sf\s/g,
      )) {
        const [x, y, tall, long] = found.slice(1).map(Number) as [number, number, number, number]
        for (let v = Math.round((top - y - tall) * PX_PER_PT); v < Math.round((top - y) * PX_PER_PT); v++)
          for (let u = Math.round(x * PX_PER_PT); u < Math.round((x + long) * PX_PER_PT); u++)
            if (u < wide && v < high) data.fill(0, 3 * (v * wide + u), 3 * (v * wide + u) + 3)
      }
    }
    expect(decodeQR({ width: wide, height: high, data }, { format: 'RGB' })).toBe(label(7).address)
  })
})
