import { describe, expect, it } from 'vitest'
import { NoAnswer } from '../../ask/question'
import { mm } from '../../quantity/stored'
import { measured } from '../measure'
import { cut } from '../mask'
import { seenFrom, wallAt } from '../wall'
import { SOLIDS, type SolidKind } from './solids.table'
import { startersPieces, startPiece, STARTERS, type StarterId } from './starters.table'
import { pathLongMm, pathOf, shapeOfPieces, shapeOfSolid } from './to-shape'

const ring = {
  edge: [
    [0, 0],
    [40, 0],
    [40, 30],
    [0, 30],
  ] as [number, number][],
  holes: [],
}
const EDGED = (kind: SolidKind) => ({ ...startPiece('p', { kind }), ...(kind === 'outline' && { outline: ring }) })
const reason = (work: () => unknown) => {
  try {
    work()
    return ''
  } catch (error) {
    return error instanceof NoAnswer ? error.message : 'fault'
  }
}

describe('pieces as they are stored', () => {
  it.each(Object.keys(SOLIDS) as SolidKind[])('%s can be measured and cut at the sizes it starts from', kind => {
    const shape = shapeOfPieces([EDGED(kind)])
    expect(measured(shape).volumeMm3).toBeGreaterThan(100)
    expect(cut(shape, 2).count).toBeGreaterThan(20)
  })
  it.each(Object.keys(STARTERS) as StarterId[])(
    'the starter %s is one part, and its cells weigh what its rays do',
    id => {
      const shape = shapeOfPieces(startersPieces(id))
      const { count, stepMm } = cut(shape, 1)
      expect((count * stepMm[0] * stepMm[1] * stepMm[2]) / measured(shape).volumeMm3).toBeCloseTo(1, 1)
    },
  )
  it('says what is missing, not understood or cannot be, in the words of the piece', () => {
    const box = startPiece('p', { kind: 'box' })
    expect(reason(() => shapeOfPieces([{ ...box, size: { ...box.size, yMm: { typed: '', value: null } } }]))).toBe(
      'solid block: width is missing',
    )
    expect(reason(() => shapeOfPieces([{ ...box, size: { ...box.size, yMm: { typed: 'wide', value: null } } }]))).toBe(
      'solid block: width is not understood: wide',
    )
    const tube = startPiece('p', { kind: 'tube' })
    expect(reason(() => shapeOfPieces([{ ...tube, size: { ...tube.size, wallMm: mm(40) } }]))).toContain(
      'half the outside',
    )
    expect(reason(() => shapeOfPieces([{ ...box, cut: true }]))).toContain('first piece')
    expect(reason(() => shapeOfPieces([startPiece('p', { kind: 'outline' })]))).toContain('trace it')
    expect(shapeOfSolid({ pieces: [], mesh: null })).toBeNull()
  })
})

describe('what is read off the solid', () => {
  const cover = shapeOfPieces(startersPieces('cover'))
  it('the wall straight in from a face: floor, flange and side', () => {
    expect(wallAt(cover, [100, 70, 6], 'top')).toBeCloseTo(6, 6)
    expect(wallAt(cover, [100, 70, 0], 'bottom')).toBeCloseTo(6, 6)
    expect(wallAt(cover, [7, 70, 50], 'top')).toBeCloseTo(10, 6)
    expect(wallAt(cover, [15, 70, 20], 'left')).toBeCloseTo(6, 6)
  })
  it('through the boss it is boss and floor together', () =>
    expect(wallAt(cover, [75, 70, 6], 'top')).toBeCloseTo(18, 6))
  it('is none where there is no metal', () => {
    expect(wallAt(cover, [100, 70, 30], 'top')).toBeNull()
    expect(wallAt(cover, [500, 70, 0], 'top')).toBeNull()
  })
  it('a tap from above lands on the skin that is seen', () => {
    expect(seenFrom(cover, [100, 70, 0], 'top')).toEqual([100, 70, 6])
    expect(seenFrom(cover, [7, 70, 0], 'top')![2]).toBeCloseTo(50)
    expect(seenFrom(cover, [75, 70, 0], 'bottom')![2]).toBeCloseTo(-12)
    expect(seenFrom(cover, [-5, 70, 0], 'top')).toBeNull()
  })
  it('a path is as long as its stretches together', () => {
    const at = { x: mm(0), y: mm(0), z: mm(0) }
    expect(
      pathLongMm(
        pathOf({
          at,
          path: [
            [30, 40, 0],
            [30, 40, 12],
          ],
        })!,
      ),
    ).toBeCloseTo(62)
    expect(pathOf({ at: { ...at, x: { typed: '?', value: null } }, path: [] })).toBeNull()
  })
})
