import { describe, expect, it } from 'vitest'
import { lens, SHOT, take } from '../camera.fixture'
import { greyOf } from '../grey'
import { fitHomography, inverse, mapped, tiltDeg } from '../plane'
import { cardTrial } from '../trials.fixture'
import { cardScene } from './card.fixture'
import { findCard } from './find'
import { CARD_IDS, CARDS, cardLeaf, codeModules, codeText, readCodeText } from './layout'
import { cardSheetPdf } from './sheet-pdf'

const SMALL = { ...SHOT, wide: 640, high: 480, pxPerMm: 4.6 }
const look = (scene: Parameters<typeof cardScene>[0], shot: Partial<typeof SHOT> = {}) =>
  findCard(greyOf(take(cardScene(scene), { ...SMALL, ...shot })))

describe('the card as it is printed', () => {
  it('has codes that name their place, with finder squares at three corners (ISO/IEC 18004, 6.3.3)', () => {
    const modules = codeModules(codeText('M', 'A', 2))
    expect(modules).toHaveLength(21)
    for (const [row, column] of [
      [0, 0],
      [0, 14],
      [14, 0],
    ] as const) {
      expect(modules.slice(row, row + 7).every(line => line[column] && line[column + 6])).toBe(true)
      expect(modules[row + 3]![column + 3]).toBe(true)
      expect(modules[row + 1]![column + 1]).toBe(false)
    }
    expect(readCodeText(codeText('F', 'B', 3))).toEqual({ card: 'F', leaf: 'B', corner: 3 })
    expect(readCodeText('WS-Q9')).toBeNull()
  })

  it.each(CARD_IDS)('%s keeps four clear modules round its codes and no two things on one another', id => {
    const leaf = cardLeaf(id, 'A')
    const [[x0], [x1]] = [leaf.codes[0]!.cornersMm[0]!, leaf.codes[0]!.cornersMm[1]!]
    const quiet = (4 * (x1 - x0)) / 21 - 1e-6
    for (const { cornersMm } of leaf.codes) {
      const [[left, top], [right, bottom]] = [cornersMm[0]!, cornersMm[2]!]
      const within = (room: number) =>
        leaf.dark.filter(
          ({ xMm, yMm, wideMm, highMm }) =>
            xMm + wideMm > left - room && xMm < right + room && yMm + highMm > top - room && yMm < bottom + room,
        )
      expect(within(quiet)).toEqual(within(-1e-6))
    }
    expect(leaf.dark.every(rect => rect.xMm >= 0 && rect.xMm + rect.wideMm <= leaf.wideMm)).toBe(true)
  })

  it.each(CARD_IDS)('%s goes on a sheet at its own size', async id => {
    const bytes = await cardSheetPdf(id, 'a4')
    const { PDFDocument } = await import('pdf-lib')
    const document = await PDFDocument.load(bytes)
    expect(document.getPage(0).getWidth()).toBeCloseTo((210 * 72) / 25.4, 6)
    expect(document.getTitle()).toContain(CARDS[id].name)
  })
})

describe('the card in a picture', () => {
  // A picture each: together they take a slow machine longer than a test may.
  const trials: ReturnType<typeof cardTrial>[] = []
  it.each([0, 1, 2, 3, 4, 5])('gives lengths within half a percent on a picture at a slant, or says why not: %i', n => {
    const trial = cardTrial(n)
    trials.push(trial)
    expect(trial.offPct ?? 0).toBeLessThan(0.5)
    expect(trial.tiltOffDeg).toBeLessThan(1.5)
    expect(trial.offPct !== null || trial.why).toBeTruthy()
  })
  it('is found in all of them but one at most', () => {
    expect(trials).toHaveLength(6)
    expect(trials.filter(trial => trial.offPct !== null).length).toBeGreaterThanOrEqual(5)
  })

  it('knows its corners', () => {
    const shot = { ...SMALL, tiltDeg: 25, towardDeg: 40, rollDeg: 15 }
    const seen = look({ card: 'M' }, shot)
    if (!('found' in seen)) throw new Error(seen.why)
    const { toPx } = lens(shot)
    seen.found[0]!.cornersPx.forEach((corner, n) => {
      const [x, y] = toPx(
        (
          [
            [0, 0],
            [90, 0],
            [90, 60],
            [0, 60],
          ] as const
        )[n]!,
      )
      expect(Math.hypot(corner[0] - x, corner[1] - y)).toBeLessThan(0.5)
    })
    expect(seen.found[0]!.lengthPct).toBeLessThan(0.3)
  })

  it('is found with half of it under a hand', () => {
    const seen = look({ card: 'M', covered: 0.5 }, { rollDeg: 180 })
    expect('found' in seen && seen.found[0]!.mmPerPx).toBeCloseTo(1 / 4.6, 2)
  })

  it('refuses one that is bent, and says so', () => {
    const seen = look({ card: 'M', bentMm: 60 })
    expect('why' in seen && seen.why).toMatch(/not flat/)
  })

  it('finds none where there is none', () => {
    const seen = findCard({ wide: 200, high: 150, data: new Float32Array(30_000).fill(90) })
    expect('why' in seen && seen.why).toMatch(/no code/)
  })

  it('finds one in haze, its dark a fifth of the whole scale under its light', () => {
    const card = cardScene({ card: 'M' })
    const hazy = take((x, y) => card(x, y).map(value => 0.666 + 0.26 * value) as [number, number, number], SMALL)
    const seen = findCard(greyOf(hazy))
    expect('found' in seen && seen.found[0]!.lengthPct).toBeLessThan(0.5)
  })

  it('finds both leaves of a folded card, each a plane of its own', () => {
    const one = cardScene({ card: 'F', leaf: 'A' })
    const other = cardScene({ card: 'F', leaf: 'B', seed: 1 })
    const picture = take((x, y) => (y < 60 ? one(x, y) : other(x, y - 60)), { ...SMALL, high: 640, middleMm: [45, 60] })
    const seen = findCard(greyOf(picture))
    expect('found' in seen && seen.found.map(leaf => leaf.leaf).sort()).toEqual(['A', 'B'])
  })
})

describe('a plane seen through a pinhole', () => {
  const shot = { ...SHOT, tiltDeg: 37, towardDeg: 120, rollDeg: 200 }
  const { toPx } = lens(shot)
  const pairs = [
    [0, 0],
    [90, 0],
    [90, 60],
    [0, 60],
    [45, 20],
  ].map(([x, y]) => ({ from: [x!, y!] as const, to: toPx([x!, y!]) }))

  it('is fitted exactly by exact pairs, there and back', () => {
    const h = fitHomography(pairs)!
    const [x, y] = mapped(h, [30, 44])!
    expect([x, y]).toEqual(toPx([30, 44]).map(value => expect.closeTo(value, 6) as number))
    expect(mapped(inverse(h), [x, y])![0]).toBeCloseTo(30, 6)
    expect(tiltDeg(h, shot.wide, shot.high)).toBeCloseTo(37, 4)
  })

  it('is none where the points lie in a line', () => {
    expect(fitHomography([0, 1, 2, 3].map(n => ({ from: [n, n], to: [2 * n, n] })))).toBeNull()
    expect(fitHomography(pairs.slice(0, 3))).toBeNull()
  })
})
