import { encode } from 'fast-png'
import { encode as encodeJpeg } from 'jpeg-js'
import fc from 'fast-check'
import { zlibSync } from 'fflate'
import { describe, expect, it } from 'vitest'
import { NoAnswer } from '../ask/question'
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
  it('is refused where it unpacks to more than its own header says, before that is laid out', () => {
    const bomb = encode({ width: 4000, height: 4000, data: new Uint8Array(16e6), channels: 1, depth: 8 }).slice()
    const header = new DataView(bomb.buffer)
    header.setUint32(16, 100)
    header.setUint32(20, 100)
    expect(() => readPicture(bomb)).toThrow(/more than its header says/)
    header.setUint32(16, 4000)
    header.setUint32(20, 15_000)
    expect(() => readPicture(bomb.slice(0, 4000))).toThrow(/too short for the size/)
    const { data } = encodeJpeg({ width: 8, height: 8, data: new Uint8Array(256).fill(200) }, 90)
    const frame = data.findIndex((byte, n) => byte === 0xff && data[n + 1] === 0xc0)
    const tall = Uint8Array.from(data)
    tall.set([0x1b, 0x58, 0x1b, 0x58], frame + 5)
    expect(() => readPicture(tall)).toThrow(/too short for the size/)
  })
  it('leaves out what no picture needs: a profile that unpacks to ten megabytes is not looked at', () => {
    const packed = zlibSync(new Uint8Array(1e7))
    const body = Uint8Array.from([...Buffer.from('iCCPp\0\0'), ...packed])
    const chunk = new Uint8Array(body.length + 8)
    new DataView(chunk.buffer).setUint32(0, body.length - 4)
    chunk.set(body, 4)
    const [head, rest] = [rgb.slice(0, 33), rgb.slice(33)]
    expect(readPicture(Uint8Array.from([...head, ...chunk, ...rest])).rgba).toHaveLength(8)
  })
  it('is read or refused in words, whatever of it was changed: a thousand of each kind', () => {
    const points = Uint8Array.from({ length: 32 * 24 * 3 }, (_, n) => (n * 37) % 256)
    const rgba = Uint8Array.from({ length: 32 * 24 * 4 }, (_, n) => (n * 37) % 256)
    const files = [
      encode({ width: 32, height: 24, data: points, channels: 3, depth: 8 }),
      encodeJpeg({ width: 32, height: 24, data: rgba }, 80).data,
    ]
    for (const file of files)
      fc.assert(
        fc.property(
          fc.array(fc.tuple(fc.nat(file.length - 1), fc.nat(255)), { minLength: 1, maxLength: 6 }),
          fc.nat(file.length),
          fc.boolean(),
          (changes, end, cutShort) => {
            const bytes = Uint8Array.from(file)
            for (const [at, byte] of changes) bytes[at] = byte
            try {
              const { wide, high, rgba: found } = readPicture(cutShort ? bytes.slice(0, end) : bytes)
              expect(found).toHaveLength(4 * wide * high)
            } catch (error) {
              if (!(error instanceof NoAnswer)) throw error
            }
          },
        ),
        { seed: 1201, numRuns: 1000 },
      )
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
