import { describe, expect, it } from 'vitest'
import { standsA } from '../pool/tungsten'
import { LESSONS, lessonById } from './lessons.table'
import { pedalA } from './pedal'

describe('what the pedal gives as a lesson begins', () => {
  it('follows the plate: a thin edge a fraction of a thick plate, and each never more than its tungsten stands', () => {
    expect(pedalA(lessonById('copper').bench)).toBeLessThan(pedalA(lessonById('puddle').bench) / 2)
    for (const { bench } of LESSONS) {
      expect(pedalA(bench)).toBeGreaterThanOrEqual(40)
      expect(pedalA(bench)).toBeLessThanOrEqual(standsA(bench.tungstenMm, bench.enPct))
    }
  })
  it('is no more than the machine gives', () => {
    expect(pedalA(lessonById('layers').bench, 90)).toBe(90)
  })
})
