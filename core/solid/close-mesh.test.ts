import { describe, expect, it } from 'vitest'
import { NoAnswer } from '../ask/question'
import { closeMesh } from './close-mesh'
import { cut } from './mask'
import { measureMesh } from './measure'

type Point = readonly [number, number]

/** A bar of a section (anticlockwise) standing on its end, its bottom as a fan; its top left open. */
function openBar(section: readonly Point[], highMm: number, fanFrom: Point): number[] {
  const out: number[] = []
  section.forEach(([x1, y1], n) => {
    const [x2, y2] = section[(n + 1) % section.length]!
    out.push(x1, y1, 0, x2, y2, 0, x2, y2, highMm, x1, y1, 0, x2, y2, highMm, x1, y1, highMm)
    out.push(x2, y2, 0, x1, y1, 0, fanFrom[0], fanFrom[1], 0)
  })
  return out
}
const ANGLE: Point[] = [
  [0, 0],
  [20, 0],
  [20, 5],
  [5, 5],
  [5, 20],
  [0, 20],
]
const round = (radius: number): Point[] =>
  Array.from({ length: 60 }, (_, n) => [radius * Math.cos((n * Math.PI) / 30), radius * Math.sin((n * Math.PI) / 30)])

describe('closeMesh', () => {
  it('closes the end of a round bar, and says how wide it was and where', () => {
    const { trianglesMm, closed } = closeMesh(openBar(round(10), 80, [0, 0]))
    expect(closed).toHaveLength(1)
    expect(closed[0]!.acrossMm).toBeCloseTo(20, 4)
    expect(closed[0]!.atMm[2]).toBeCloseTo(80, 6)
    // A prism of sixty sides: ½ n r² sin(2π/n) × height.
    expect(measureMesh(trianglesMm).volumeMm3).toBeCloseTo(30 * 100 * Math.sin(Math.PI / 30) * 80, 1)
  })

  it('closes one that is no round hole: volume and cells are those of the angle bar', () => {
    const { trianglesMm } = closeMesh(openBar(ANGLE, 60, [2, 2]))
    const volumeMm3 = (20 * 5 + 15 * 5) * 60
    expect(measureMesh(trianglesMm).volumeMm3).toBeCloseTo(volumeMm3, 1)
    const { count, stepMm } = cut({ kind: 'mesh', trianglesMm: [...trianglesMm] }, 1)
    expect((count * stepMm[0] * stepMm[1] * stepMm[2]) / volumeMm3).toBeCloseTo(1, 1)
  })

  it('puts back a triangle that is missing', () => {
    const whole = closeMesh(openBar(round(10), 80, [0, 0])).trianglesMm
    const { trianglesMm, closed } = closeMesh(whole.slice(9))
    expect(closed).toHaveLength(1)
    expect(measureMesh(trianglesMm).volumeMm3).toBeCloseTo(measureMesh(whole).volumeMm3, 1)
  })

  it('finds no opening where triangles are only turned the wrong way', () => {
    const whole = [...closeMesh(openBar(ANGLE, 60, [2, 2])).trianglesMm]
    const turned = [...whole.slice(3, 6), ...whole.slice(0, 3), ...whole.slice(6)]
    expect(closeMesh(turned).closed).toEqual([])
  })

  it('leaves a closed mesh as it is', () => {
    const whole = closeMesh(openBar(ANGLE, 60, [2, 2])).trianglesMm
    const again = closeMesh(whole)
    expect(again.closed).toEqual([])
    expect([...again.trianglesMm]).toEqual([...whole])
  })

  it('names an opening that it cannot close: too wide, or too uneven', () => {
    expect(() => closeMesh(openBar(round(50), 30, [0, 0]))).toThrow(NoAnswer)
    expect(() => closeMesh(openBar(round(50), 30, [0, 0]))).toThrow(/100 mm across at 0, 0, 30/)
    const slanted = openBar(round(10), 80, [0, 0]).map((value, n, all) =>
      n % 3 === 2 && value === 80 ? 80 + Math.abs(all[n - 2]!) : value,
    )
    expect(() => closeMesh(slanted)).toThrow(/uneven/)
  })
})
