import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { measurePhoto } from '../core/photo/measure'
import { layOn, missing } from '../core/groove/template'
import { BROKEN, FLANGE, LOST_MM2, SOUND, lengthMm, makePictures } from './make-pictures'
import { makeShop } from './make-shop'

describe('the made-up shop', () => {
  it('stands in its file as it is made', () =>
    expect(readFileSync(new URL('./larkmoor-bench.json', import.meta.url), 'utf8')).toBe(makeShop()))
  it('keeps away from what the demo may not show', () =>
    expect(makeShop()).not.toMatch(/\b(car|boat|engine|chain ?saw|wheel|motor|tractor|tool ?box)\b/i))
})

describe('the made-up pictures', () => {
  it('stand in their files as they are made', () => {
    for (const [id, bytes] of Object.entries(makePictures()))
      expect(
        Buffer.compare(readFileSync(new URL(`./pictures/${id}.jpg`, import.meta.url)), Buffer.from(bytes)),
        id,
      ).toBe(0)
  })
  it('measure what they show: the crack by the card, seen at a slant', () => {
    const known = FLANGE.card.map((_, n) => ({
      px: FLANGE.view.toPx(FLANGE.card[n]!),
      mm: (
        [
          [0, 0],
          [85.6, 0],
          [85.6, 54],
          [0, 54],
        ] as const
      )[n]!,
    }))
    expect(measurePhoto(known, FLANGE.crack.map(FLANGE.view.toPx), 1).lengthMm).toBeCloseTo(lengthMm(FLANGE.crack), 6)
  })
  it('the sound lug, turned over on the broken one, shows what it lost', () => {
    const onPart = ({ view, holes, outline, apartMm }: typeof SOUND) => {
      const scale = [
        { px: view.toPx(holes[0]!), mm: [0, 0] as const },
        { px: view.toPx(holes[1]!), mm: [apartMm, 0] as const },
      ]
      return {
        outline: measurePhoto(scale, outline.map(view.toPx), 1).pointsMm,
        holes: measurePhoto(scale, holes.map(view.toPx), 1).pointsMm,
      }
    }
    const [sound, broken] = [onPart(SOUND), onPart(BROKEN)]
    const { place, misfitMm } = layOn(sound.holes, broken.holes, true)
    expect(misfitMm).toBeLessThan(1e-6)
    expect(missing(sound.outline.map(place), broken.outline).areaMm2).toBeCloseTo(LOST_MM2, 0)
  })
})
