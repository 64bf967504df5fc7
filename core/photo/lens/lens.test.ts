import { describe, expect, it } from 'vitest'
import { SHOT, take } from '../camera.fixture'
import { cardScene } from '../card/card.fixture'
import { findCard } from '../card/find'
import { greyOf } from '../grey'
import { learnLens } from './learn'
import { bent, straightened, type Lens } from './model'
import { straightenPicture } from './straighten'

const SIZE = { wide: 800, high: 600 }
const look = (bend: Lens, tiltDeg: number, towardDeg: number) =>
  take(cardScene({ card: 'M' }), {
    ...SHOT,
    ...SIZE,
    pxPerMm: 7,
    tiltDeg,
    towardDeg,
    rollDeg: tiltDeg,
    noise: 0.01,
    seed: tiltDeg,
    bend,
  })
const made = new Map<Lens, ReturnType<typeof look>[]>()
/** Four pictures through a lens; they take seconds to make, so each lens's are made once. */
function looks(bend: Lens) {
  const known = made.get(bend) ?? [look(bend, 5, 0), look(bend, 25, 100), look(bend, 22, 200), look(bend, 15, 300)]
  made.set(bend, known)
  return known
}
const STRONG = { k1: 0.09, k2: -0.01 }

describe('a lens that bends lines', () => {
  it('there and back is the same point', () => {
    for (const px of [
      [0, 0],
      [400, 300],
      [123, 456],
      [799, 12],
    ] as const) {
      const back = straightened(bent(px, STRONG, SIZE), STRONG, SIZE)
      expect(back[0]).toBeCloseTo(px[0], 6)
      expect(back[1]).toBeCloseTo(px[1], 6)
    }
  })
  it.each([{ k1: 0.03, k2: -0.01 }, STRONG, { k1: -0.05, k2: 0.01 }])(
    'is learnt from four made pictures of the card: k1 $k1',
    bend => {
      const pictures = looks(bend)
      const lens = learnLens(pictures)
      expect(Math.abs(lens.k1 - bend.k1)).toBeLessThan(0.005)
      expect(lens.beforePx).toBeGreaterThan(2.5 * lens.afterPx)
      expect(lens.afterPx).toBeLessThan(0.2)
    },
  )
  it('a picture refused for its bend is taken once the lens is known, and measures to half a percent', () => {
    const picture = look(STRONG, 10, 60)
    expect(findCard(greyOf(picture))).toMatchObject({ why: expect.stringMatching(/lens bends lines/) })
    const found = findCard(greyOf(straightenPicture(picture, learnLens(looks(STRONG)))))
    expect('found' in found && found.found[0]!.lengthPct).toBeLessThan(0.5)
  })
  it('pictures of different sizes, or too few with a card, are refused in words', () => {
    const [a, b, c] = looks(STRONG)
    expect(() => learnLens([a!, { ...b!, wide: 600, high: 800 }, c!])).toThrow(/differ in size/)
    expect(() => learnLens([a!, b!])).toThrow(/at least 3 pictures/)
    expect(() => learnLens([])).toThrow(/no pictures/)
  })
})
