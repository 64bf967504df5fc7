import { describe, expect, it } from 'vitest'
import { readBlue } from './blue'
import { fillMask } from './fill'
import { outlineOf } from './outline'
import { otsu, partsOf } from './parts'
import type { Picture } from './picture'
import { blueTrial } from './trials.fixture'

const drawn = (wide: number, high: number, tone: (x: number, y: number) => readonly number[]): Picture => {
  const rgba = new Uint8ClampedArray(wide * high * 4)
  for (let y = 0; y < high; y++)
    for (let x = 0; x < wide; x++) rgba.set([...tone(x + 0.5, y + 0.5), 255], 4 * (y * wide + x))
  return { wide, high, rgba }
}
const BLUE = [40, 60, 150]
const METAL = [150, 151, 153]
const PAPER = [235, 232, 224]

describe('blue on a face', () => {
  it('comes within three points of made faces, close up, outlined and on their ground', () => {
    for (const trial of [0, 1, 2, 3, 4, 5].map(blueTrial)) expect(Math.abs(trial.offPct!)).toBeLessThan(3)
  })

  it('counts a chequer as even and one end as not', () => {
    const chequer = readBlue(drawn(240, 120, (x, y) => ((Math.floor(x / 5) + Math.floor(y / 5)) % 2 ? BLUE : METAL)))
    expect(chequer.sharePct).toBeCloseTo(50, -1)
    expect(chequer.even).toBeGreaterThan(0.9)
    const end = readBlue(drawn(240, 120, x => (x < 80 ? BLUE : METAL)))
    expect(end.sharePct).toBeCloseTo(33.3, 0)
    expect(end.even).toBeLessThan(0.1)
    expect(end.patches).toHaveLength(1)
    expect(end.patches[0]!.atPx[0]).toBeCloseTo(40, 0)
  })

  it('says all or nothing where all or nothing is blue', () => {
    expect(readBlue(drawn(60, 60, () => METAL)).sharePct).toBe(0)
    expect(readBlue(drawn(60, 60, () => BLUE)).sharePct).toBe(100)
  })

  it('keeps to the outline given, and refuses one that holds nothing', () => {
    const picture = drawn(100, 100, x => (x < 50 ? BLUE : METAL))
    const right = readBlue(picture, [
      [60, 10],
      [95, 10],
      [95, 90],
      [60, 90],
    ])
    expect(right.sharePct).toBe(0)
    expect(() =>
      readBlue(picture, [
        [10, 10],
        [12, 10],
        [12, 12],
      ]),
    ).toThrow(/too little/)
  })
})

describe('an object on a plain ground', () => {
  const ring = drawn(300, 240, (x, y) => {
    const r = Math.hypot(x - 150, y - 120)
    const shade = 1 - 0.3 * (x / 300)
    return (r < 90 && r > 30 ? METAL : PAPER).map(value => value * shade)
  })
  it('is outlined with its hole, shade and all', () => {
    const found = outlineOf(ring)!
    expect(found.holes).toHaveLength(1)
    for (const [x, y] of found.outer) expect(Math.hypot(x - 150, y - 120)).toBeCloseTo(90, -0.4)
    for (const [x, y] of found.holes[0]!) expect(Math.hypot(x - 150, y - 120)).toBeCloseTo(30, -0.4)
    expect(found.share).toBeCloseTo((Math.PI * (90 ** 2 - 30 ** 2)) / (300 * 240), 1)
  })
  it('is none on a ground that is not plain, nor where nothing lies', () => {
    expect(
      outlineOf(drawn(100, 100, (x, y) => ((Math.floor(x / 8) + Math.floor(y / 8)) % 2 ? METAL : BLUE))),
    ).toBeNull()
    expect(outlineOf(drawn(100, 100, () => PAPER))).toBeNull()
  })
})

describe('what it is made of', () => {
  it('parts two crowds (Otsu 1979)', () => {
    const { level, explained } = otsu([1, 1, 1, 2, 9, 9, 10, 10], 0, 11)
    expect(level).toBeGreaterThan(2)
    expect(level).toBeLessThan(9)
    expect(explained).toBeGreaterThan(0.95)
  })
  it('labels parts that touch by a side', () => {
    const { parts } = partsOf(Uint8Array.from([1, 1, 0, 0, 0, 1, 1, 0, 0]), 3, 3)
    expect(parts.map(part => part.count)).toEqual([2, 1, 1])
  })
  it('fills what lies inside an odd number of rings', () => {
    const square = (a: number, b: number) =>
      [
        [a, a],
        [b, a],
        [b, b],
        [a, b],
      ] as [number, number][]
    const mask = fillMask(10, 10, [square(1, 9), square(3, 6)])
    expect(mask.reduce((sum, value) => sum + value, 0)).toBe(64 - 9)
  })
})
