import { describe, expect, it } from 'vitest'
import { z } from 'zod'
import { ALLOYS } from '../../metal/alloys.table'
import { shapeOf } from '../../field/field'
import { runOfCut } from '../../groove/cut'
import { drawn, type KindInput, type PartFacts } from '../kind'
import { kindOf, KIND_IDS, type KindId } from '../registry'
import type { Fields } from '../../field/field'
import type { DrawnShape } from './shapes'

const LEAST: Readonly<Record<KindId, object>> = {
  crack: { lengthMm: 50 },
  break: { lengthMm: 40 },
  hole: { diameterMm: 8 },
  edge: { longMm: 30, wideMm: 6, highMm: 8 },
  turned: { turnedMm: 80, wideMm: 8, deepMm: 4 },
  window: { wideMm: 60, highMm: 40 },
  overlay: { wideMm: 80, highMm: 60 },
  plate: { longMm: 90, wideMm: 30, plateMm: 5 },
  joint: { joint: 'tee', lengthMm: 60 },
  thread: { thread: 'M10', deepMm: 18 },
  boss: { thread: 'M10', deepMm: 18 },
  face: { wideMm: 12, longMm: 80, lowMm: 0.6 },
  bore: { boreMm: 40, deepMm: 15, lowMm: 0.3 },
  bent: { bentMm: 2, overMm: 60 },
}

describe('a mend in section', () => {
  it.each(KIND_IDS)('a %s is drawn with metal, with what is new where any is laid, and with its sizes', kind => {
    const values = z.strictObject(shapeOf(kindOf(kind).fields)).parse(LEAST[kind])
    for (const way of [null, 'weld-and-tap', 'pressed-slug', 'new-boss', 'wire-insert', 'cast-on-screw']) {
      const { shapes, sizes, title } = kindOf(kind).section({ values, wallMm: 6, otherMm: 6, way })
      expect(title.length).toBeGreaterThan(3)
      expect(shapes.some(shape => shape.role === 'metal')).toBe(true)
      expect(sizes.length).toBeGreaterThan(0)
      for (const shape of shapes) for (const point of shape.points) expect(point.every(Number.isFinite)).toBe(true)
      for (const size of sizes)
        expect(Math.hypot(size.to[0] - size.from[0], size.to[1] - size.from[1])).toBeCloseTo(size.mm, 6)
      if (!['thread', 'boss', 'bent'].includes(kind)) expect(shapes.some(shape => shape.role === 'new')).toBe(true)
    }
  })
  it('a groove is as deep as its wall less what is kept of the break', () => {
    const values = z.strictObject(shapeOf(kindOf('break').fields)).parse({ lengthMm: 40, landMm: 2, sides: 2 })
    expect(kindOf('break').section({ values, wallMm: 12, otherMm: 12, way: null }).sizes[0]!.mm).toBeCloseTo(5, 9)
  })
})

const PART: PartFacts = { does: 'static', moves: 'still', soak: 'dry', hotC: 40, mustNotMove: [] }
const alloy = ALLOYS.find(row => row.name === '356')!
/** By the shoelace, of what is drawn as new metal, mm². */
const newAreaMm2 = (shapes: readonly DrawnShape[]) =>
  shapes
    .filter(shape => shape.role === 'new')
    .reduce(
      (sum, { points }) =>
        sum +
        Math.abs(
          points.reduce((area, [x, y], n) => {
            const [nextX, nextY] = points[(n + 1) % points.length]!
            return area + (x * nextY - nextX * y) / 2
          }, 0),
        ),
      0,
    )

describe('a groove is drawn as it is laid', () => {
  it.each([
    ['crack', { lengthMm: 60, sides: 2, landMm: 1 }],
    ['crack', { lengthMm: 60, startsIn: 'hole', keepBreak: true, includedDeg: 90 }],
    ['crack', { lengthMm: 188, closed: true }],
    ['break', { lengthMm: 40, landMm: 3, startsIn: 'tip' }],
    ['window', { wideMm: 60, highMm: 40, patchMm: 4 }],
    ['joint', { joint: 'butt', lengthMm: 50 }],
    ['joint', { joint: 'butt', lengthMm: 50, sidesWelded: 1 }],
    ['hole', { diameterMm: 40, way: 'patched' }],
  ] as const)('%s %j', (id, said) => {
    const kind = kindOf(id)
    const values = z.strictObject(shapeOf(kind.fields)).parse(said)
    for (const wallMm of [2.5, 6, 14]) {
      const bodies = [{ id: 'part', alloy, wallMm }] as const
      const work = kind.plan({
        values,
        bodies,
        part: PART,
        filler: alloy,
        opened: false,
        finish: 'rough',
      } as unknown as KindInput<Fields>)
      const given = { ...drawn(values, bodies), way: work.way }
      const cut = kind.cut!(given)!
      const laidMm3 = work.laid.reduce((sum, one) => sum + one.volumeMm3, 0)
      // The flanks' curve at the root is drawn in straight pieces.
      expect((newAreaMm2(kind.section(given).shapes) * runOfCut(cut)) / laidMm3).toBeGreaterThan(0.97)
      expect((newAreaMm2(kind.section(given).shapes) * runOfCut(cut)) / laidMm3).toBeLessThan(1.03)
      expect(cut.alongMm).toBeLessThanOrEqual(runOfCut(cut))
    }
  })
  it.each([
    ['overlay', { wideMm: 80, highMm: 60 }, 2 * (80 + 60)],
    ['joint', { joint: 'tee', lengthMm: 60 }, 60],
  ] as const)('%s is drawn with the fillets it is laid with', (id, said, runMm) => {
    const kind = kindOf(id)
    const values = z.strictObject(shapeOf(kind.fields)).parse(said)
    const bodies = [{ id: 'part', alloy, wallMm: 5 }] as const
    const work = kind.plan({
      values,
      bodies,
      part: PART,
      filler: alloy,
      opened: false,
      finish: 'rough',
    } as unknown as KindInput<Fields>)
    const fillets = newAreaMm2(kind.section(drawn(values, bodies)).shapes) / 2
    const [one] = work.laid
    // A fillet lies a little over its flat triangle.
    expect(one!.volumeMm3 / runMm / fillets).toBeGreaterThanOrEqual(1)
    expect(one!.volumeMm3 / runMm / fillets).toBeLessThan(1.3)
  })
})
