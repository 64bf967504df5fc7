import { describe, expect, it } from 'vitest'
import { z } from 'zod'
import { shapeOf } from '../../field/field'
import { kindOf, KIND_IDS, type KindId } from '../registry'
import { sectionOf } from './section'

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
      const { shapes, sizes, title } = sectionOf(kind, { values, wallMm: 6, otherMm: 6, way })
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
    expect(sectionOf('break', { values, wallMm: 12, otherMm: 12, way: null }).sizes[0]!.mm).toBeCloseTo(5, 9)
  })
})
