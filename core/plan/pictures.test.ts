import { describe, expect, it } from 'vitest'
import { pictureSchema } from '../job/picture.schema'
import { blueMap } from './pictures'

const face = pictureSchema.parse({
  id: 'p',
  name: '',
  widthPx: 800,
  heightPx: 600,
  traces: [
    {
      id: 't',
      kind: 'outline',
      px: [
        [100, 100],
        [500, 100],
        [500, 300],
        [100, 300],
      ],
    },
  ],
  blue: {
    sharePct: 30,
    uncertaintyPct: 3,
    even: 0.5,
    patches: [
      { sharePct: 25, atPx: [300, 200] },
      { sharePct: 5, atPx: [120, 120] },
    ],
  },
})

describe('blue on a face', () => {
  it('is drawn where it lay, each patch as a round of its own area', () => {
    const map = blueMap(face)!
    expect([map.wide, map.high]).toEqual([160, 80])
    expect(map.patches[0]!.at).toEqual([80, 40])
    // A quarter of 160 × 80.
    expect(Math.PI * map.patches[0]!.r ** 2).toBeCloseTo(0.25 * 160 * 80, 6)
  })
  it('wants an outline and blue read in it', () => {
    expect(blueMap({ ...face, blue: null })).toBeNull()
    expect(blueMap({ ...face, traces: [] })).toBeNull()
  })
})
