import { describe, expect, it } from 'vitest'
import { aimed } from './aim'
import { SHOT, take } from './camera.fixture'
import { cardScene } from './card/card.fixture'
import { greyOf } from './grey'

const frame = (change: Partial<typeof SHOT>) =>
  aimed(greyOf(take(cardScene({ card: 'M' }), { ...SHOT, wide: 640, high: 480, pxPerMm: 4.6, ...change })))

describe('aiming at the card', () => {
  it('sharp and square, it is taken; its corners are where the card is', () => {
    const aim = frame({ tiltDeg: 8, towardDeg: 40 })
    expect(aim).toMatchObject({ ready: true, says: 'sharp and square' })
    expect(aim.cornersPx).toHaveLength(4)
    expect(aim.edgePx!).toBeLessThan(3)
  })
  it('held aslant, it says by how much', () => {
    expect(frame({ tiltDeg: 42, towardDeg: 80 })).toMatchObject({
      ready: false,
      says: expect.stringMatching(/squarer: 4\d°/),
    })
  })
  it('blurred, its edges are wider, and it says to hold still', () => {
    const soft = frame({ blurPx: 2.2 })
    expect(soft.edgePx!).toBeGreaterThan(frame({}).edgePx! * 1.5)
    expect(soft).toMatchObject({ ready: false, says: expect.stringContaining('hold still') })
  })
  it('nothing in sight, it says where to lay it', () => {
    const none = aimed(greyOf(take(() => [0.4, 0.4, 0.4], { ...SHOT, wide: 320, high: 240 })))
    expect(none).toMatchObject({ ready: false, cornersPx: null, says: expect.stringContaining('no card') })
  })
})
