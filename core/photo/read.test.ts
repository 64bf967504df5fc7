import { encode } from 'fast-png'
import { encode as encodeJpeg } from 'jpeg-js'
import { describe, expect, it } from 'vitest'
import { questions } from '../questions'
import { bytesOf, readPicture } from './read'

const base64 = (bytes: Uint8Array) => Buffer.from(bytes).toString('base64')
const rgb = encode({ width: 2, height: 1, data: Uint8Array.from([255, 0, 0, 0, 0, 255]), channels: 3, depth: 8 })

describe('a picture file', () => {
  it('is read from PNG of several kinds', () => {
    expect([...readPicture(rgb).rgba]).toEqual([255, 0, 0, 255, 0, 0, 255, 255])
    const grey16 = encode({ width: 1, height: 1, data: Uint16Array.from([65535]), channels: 1, depth: 16 })
    expect([...readPicture(grey16).rgba]).toEqual([255, 255, 255, 255])
  })
  it('is read from JPEG', () => {
    const { data } = encodeJpeg({ width: 8, height: 8, data: new Uint8Array(256).fill(200) }, 90)
    expect(readPicture(data).rgba[0]).toBeCloseTo(200, -1)
  })
  it('is refused in plain words where it is none, broken or monstrous', () => {
    expect(() => readPicture(Uint8Array.from([1, 2, 3]))).toThrow(/neither/)
    expect(() => readPicture(rgb.slice(0, 40))).toThrow(/broken/)
    const huge = rgb.slice()
    new DataView(huge.buffer).setUint32(16, 60_000)
    new DataView(huge.buffer).setUint32(20, 60_000)
    expect(() => readPicture(huge)).toThrow(/million points/)
  })
  it('takes base64 with or without the start of an address', () => {
    expect(bytesOf(`data:image/png;base64,${base64(rgb)}`)).toEqual(new Uint8Array(rgb))
    expect(bytesOf('no base64!')).toBeNull()
  })
})

describe('the questions about pictures', () => {
  it('refuse none, two, and what is no base64, at its field', () => {
    for (const input of [{}, { png: base64(rgb), jpg: base64(rgb) }, { png: '%%%' }]) {
      const asked = questions.ask('photo.card', input)
      expect(!asked.ok && asked.error.kind).toBe('invalid-input')
    }
  })
  it('say found: false with the reason where no card lies', () => {
    const asked = questions.ask('photo.card', { png: base64(rgb) })
    expect(asked.ok && asked.answer).toMatchObject({ found: false, why: expect.stringMatching(/no code/) as string })
  })
  it('give known points that photo.measure takes', () => {
    const card = questions.ask('photo.card', questions.get('photo.card')!.example)
    if (!card.ok) throw new Error('no card')
    const { known, cornersPx } = card.answer as { known: object[]; cornersPx: [number, number][] }
    const measured = questions.ask('photo.measure', { known, trace: [cornersPx[0], cornersPx[1]], pickPx: 0.1 })
    expect(measured.ok && (measured.answer as { lengthMm: number }).lengthMm).toBeCloseTo(90, 2)
  })
  it('name a point outside the picture', () => {
    const asked = questions.ask('photo.trace', {
      ...(questions.get('photo.trace')!.example as object),
      points: [
        [5, 5],
        [5000, 5],
      ],
    })
    expect(!asked.ok && asked.error.kind === 'no-answer' && asked.error.reason).toMatch(/outside the picture/)
  })
})
