import { describe, expect, it } from 'vitest'
import { pictureSchema } from '../../job/picture.schema'
import { blueOnFace, ownFace } from '../rebuild/blue-on-face'
import { crackWithBranches } from './pictures'

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

const BOX = { leftMm: 10, bottomMm: 0, wideMm: 160, highMm: 80 }
const near = (at: readonly number[], to: readonly number[]) => {
  for (const [n, value] of to.entries()) expect(at[n]!).toBeCloseTo(value, 6)
}
const middle = (edge: readonly (readonly number[])[]) =>
  [0, 1].map(k => edge.reduce((sum, point) => sum + point[k]!, 0) / edge.length)

describe('blue on a face', () => {
  it('lies on its map as in the picture, up staying up; one without an edge as a round of its own area', () => {
    const { patches, outlineMm } = blueOnFace(face, BOX)!
    near(middle(patches[0]!.edgeMm), [90, 40])
    // 20 of 400 px from the left and 20 of 200 from the top.
    near(middle(patches[1]!.edgeMm), [18, 72])
    expect(Math.max(...outlineMm.map(([x]) => x))).toBeCloseTo(170, 6)
    const r = Math.hypot(patches[0]!.edgeMm[0]![0] - 90, patches[0]!.edgeMm[0]![1] - 40)
    expect(Math.PI * r ** 2).toBeCloseTo(0.25 * 160 * 80, 6)
  })
  it('is turned by quarters when told, and lies along a face that stands', () => {
    const turned = { ...face, blue: { ...face.blue!, turned: 2 } }
    near(middle(blueOnFace(turned, BOX)!.patches[1]!.edgeMm), [162, 8])
    const stands = blueOnFace(face, { leftMm: 0, bottomMm: 0, wideMm: 80, highMm: 160 })!
    // A quarter turn to the left: what was at the top left is at the bottom left.
    near(middle(stands.patches[1]!.edgeMm), [8, 8])
  })
  it('has a slant taken out by the corners of its scale', () => {
    const scale = {
      ...face.scale,
      kind: 'four' as const,
      // A square of 100 mm that is seen narrowing: its middle is not the middle of the picture.
      px: [
        [200, 100],
        [400, 100],
        [500, 300],
        [100, 300],
      ] as [number, number][],
      wideMm: { typed: '100 mm', value: 100 },
      highMm: { typed: '100 mm', value: 100 },
    }
    const traces = [{ ...face.traces[0]!, px: scale.px }]
    const edgePx = [[300, 100 + 200 / 3]] as [number, number][]
    const blue = {
      ...face.blue!,
      patches: [{ sharePct: 1, atPx: [0, 0] as [number, number], edgePx: [...edgePx, ...edgePx, ...edgePx] }],
    }
    const square = { leftMm: 0, bottomMm: 0, wideMm: 100, highMm: 100 }
    // The diagonals of the figure cross at (300, 166.7): the middle of the square.
    near(blueOnFace({ ...face, scale, traces, blue }, square)!.patches[0]!.edgeMm[0]!, [50, 50])
  })
  it('has a face of its own shape where none was measured; wants an outline and blue read in it', () => {
    expect(ownFace(face)).toEqual({ leftMm: 0, bottomMm: 0, wideMm: 1, highMm: 0.5 })
    expect(blueOnFace({ ...face, blue: null }, BOX)).toBeNull()
    expect(blueOnFace({ ...face, traces: [] }, BOX)).toBeNull()
    expect(ownFace({ ...face, traces: [] })).toBeNull()
  })
})

describe('a crack with branches', () => {
  const trace = (id: string, of: string | null = null) => ({ id, kind: 'crack' as const, name: '', of, px: [] })
  const long = (mm: number) => ({ lengthMm: mm, uncertaintyMm: mm / 100 })
  it('is as long as all of it; a branch and one not measured have no whole of their own', () => {
    const list = [
      { trace: trace('a'), measure: long(60) },
      { trace: trace('b', 'a'), measure: long(20) },
      { trace: trace('c', 'a'), measure: null },
      { trace: trace('d', 'gone'), measure: long(5) },
    ]
    expect(crackWithBranches(list[0]!.trace, list)).toEqual({ lengthMm: 80, uncertaintyMm: 0.8, branches: 1 })
    expect(crackWithBranches(list[1]!.trace, list)).toBeNull()
    // Its crack was taken off: it stands for itself.
    expect(crackWithBranches(list[3]!.trace, list)).toMatchObject({ lengthMm: 5, branches: 0 })
    expect(crackWithBranches(trace('e'), list)).toBeNull()
  })
})
