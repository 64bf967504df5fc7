import { describe, expect, it } from 'vitest'
import { lens, SHOT, take } from '../camera.fixture'
import { greyOf } from '../grey'
import type { Point } from '../point'
import { ISO, screwScene, type Screw } from '../thread.fixture'
import { threadTrial } from '../trials.fixture'
import { measureThread } from './measure'

const M10: Screw = { ...ISO, pitchMm: 1.5, majorMm: 10, turns: 8, leanDeg: 0 }
function seen(screw: Screw, shot: Partial<typeof SHOT> = {}) {
  const long = screw.turns * screw.pitchMm
  const all = { ...SHOT, wide: 300, high: 320, pxPerMm: 15, middleMm: [long / 2, 0] as Point, ...shot }
  const { toPx } = lens(all)
  return measureThread(
    greyOf(take(screwScene(screw), all)),
    [toPx([0.5, 0.2]), toPx([long - 0.5, -0.3])],
    1 / all.pxPerMm,
  )
}

describe('a thread seen from the side', () => {
  it('gives pitch, diameter and flanks of a made screw (ISO 68-1 section)', () => {
    const thread = seen(M10)
    expect(thread.pitchMm).toBeCloseTo(1.5, 2)
    expect(thread.majorMm! / 10).toBeCloseTo(1, 2)
    expect(Math.abs(thread.flankDeg! - 60)).toBeLessThan(3)
    expect(thread.depthMm / 1.5).toBeCloseTo(0.6, 1)
    expect(thread.sides).toBe(2)
    expect(Math.abs(thread.taperDeg!)).toBeLessThan(0.5)
  })

  it('tells 55° flanks from 60°', () => {
    const whitworth = seen(
      { ...M10, flankDeg: 55, depthShare: 0.64, crestShare: 0.1 },
      { pxPerMm: 20, high: 420, wide: 360 },
    )
    expect(whitworth.flankDeg!).toBeGreaterThan(52)
    expect(whitworth.flankDeg!).toBeLessThan(58)
  })

  it('is within what it says on pitches from 0.5 mm up, leaning up to 3°, or refuses', () => {
    const trials = [0, 1, 3, 4, 6].map(threadTrial)
    expect(trials.filter(trial => trial.seen).length).toBeGreaterThanOrEqual(4)
    for (const { seen: thread, pitchMm } of trials)
      if (thread) expect(Math.abs(thread.pitchMm - pitchMm)).toBeLessThan(3 * thread.uncertaintyMm)
  })

  it('refuses one out of focus, one seen aslant, one too far off and plain ground, each with its reason', () => {
    expect(() => seen(M10, { blurPx: 7 })).toThrow(/out of focus|no even pitch/)
    expect(() => seen({ ...M10, leanDeg: 20 })).toThrow(/aslant/)
    expect(() => seen(M10, { pxPerMm: 2.4, wide: 120, high: 120 })).toThrow(/nearer|out of focus|aslant|short/)
    const bare = { wide: 200, high: 100, data: new Float32Array(20_000).fill(120) }
    expect(() =>
      measureThread(
        bare,
        [
          [20, 50],
          [180, 50],
        ],
        0.1,
      ),
    ).toThrow(/plain, even ground/)
  })

  it('says nothing of a shaft without a thread', () => {
    const shaft = {
      wide: 200,
      high: 100,
      data: Float32Array.from({ length: 20_000 }, (_, i) => (Math.abs(Math.floor(i / 200) - 50) < 20 ? 40 : 210)),
    }
    expect(() =>
      measureThread(
        shaft,
        [
          [20, 50],
          [180, 50],
        ],
        0.1,
      ),
    ).toThrow()
  })
})
