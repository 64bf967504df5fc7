import { describe, expect, it } from 'vitest'
import { ref } from 'vue'
import { clockFace } from '#core/quantity/clock-face'
import { useDrawing } from './use-drawing'

describe('fitting a thing into a drawing', () => {
  const pixels = { width: 520, height: 330, margin: 30 }
  it('fits the tighter way, and keeps it inside the margins', () => {
    const wide = useDrawing(ref({ widthMm: 460, heightMm: 10 }), pixels)
    expect(wide.scale.value).toBeCloseTo(1, 9)
    const tall = useDrawing(ref({ widthMm: 10, heightMm: 135 }), pixels)
    expect(tall.scale.value).toBeCloseTo(2, 9)
  })
  it('says its scale as a drawing does, at 96 pixels an inch', () => {
    expect(useDrawing(ref({ widthMm: (460 * 25.4) / 96 / 10, heightMm: 1 }), pixels).scaleText.value).toBe('10 : 1')
    expect(useDrawing(ref({ widthMm: ((460 * 25.4) / 96) * 2.5, heightMm: 1 }), pixels).scaleText.value).toBe('1 : 2.5')
  })
  it('bears a thing of no size, and follows one that grows', () => {
    const box = ref({ widthMm: 0, heightMm: 0 })
    const { scale } = useDrawing(box, pixels)
    expect(Number.isFinite(scale.value)).toBe(true)
    box.value = { widthMm: 46, heightMm: 1 }
    expect(scale.value).toBeCloseTo(10, 9)
  })
})

describe('the face of a clock', () => {
  it.each([
    [0, '00:00:00'],
    [59, '00:00:59'],
    [3661, '01:01:01'],
    [5870, '01:37:50'],
    [-1, '−00:00:01'],
    [-0.4, '00:00:00'],
    [90_000, '25:00:00'],
  ])('%d s is %s', (seconds, face) => expect(clockFace(seconds)).toBe(face))
})
