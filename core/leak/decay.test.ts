import { describe, expect, it } from 'vitest'
import { questions } from '../questions'
import { leakDecay } from './decay'

const STILL = { volumeL: 1, startKPa: 10, endKPa: 9, seconds: 60, startC: 0, endC: 0, baroKPa: 101.325 }

describe('pressure decay', () => {
  it('is the ideal gas law: 1 kPa a minute out of a litre at 0 °C is 1000 ÷ 101.325 sccm', () => {
    expect(leakDecay(STILL).sccm).toBeCloseTo(1000 / 101.325, 9)
    expect(leakDecay(STILL).kPaMin).toBeCloseTo(1, 9)
  })
  it('sees no leak in a part that only cooled', () => {
    const cooled = (101.325 + 10) * (283.15 / 293.15) - 101.325
    expect(leakDecay({ ...STILL, startC: 20, endC: 10, endKPa: cooled }).sccm).toBeCloseTo(0, 9)
  })
  it('stores what an isentropic expansion gives: 10 bar of air in a litre, about 1.2 kJ', () => {
    // W = p V / (γ − 1) [1 − (p₀/p)^((γ−1)/γ)] for p = 1101.325 kPa.
    const closed = (1101.325 / 0.4) * (1 - (101.325 / 1101.325) ** (0.4 / 1.4))
    expect(leakDecay({ ...STILL, startKPa: 1000 }).storedJ).toBeCloseTo(closed, 6)
    expect(closed).toBeGreaterThan(1100)
  })
  it('finds a hole whose choked flow is the textbook 0.0404 · A · p/√T', () => {
    const high = leakDecay({ ...STILL, startKPa: 500, endKPa: 499.9 })
    const area = (Math.PI / 4) * (high.holeUm * 1e-6) ** 2 * 0.6
    const massKgS = (0.040418 * area * 601.275e3) / Math.sqrt(273.15)
    expect((((massKgS * 287.05 * 273.15) / 101325) * 6e7) / high.sccm).toBeCloseTo(1, 3)
  })
  it('stops a test that stores too much', () => {
    const asked = questions.ask('leak.decay', { volumeL: 20, startKPa: '60 psi', endKPa: '59 psi', seconds: 60 })
    expect(asked.ok && asked.cautions.some(entry => entry.code === 'stored-energy' && entry.level === 'stop')).toBe(
      true,
    )
  })
  it('has no answer below vacuum', () =>
    expect(
      questions.ask('leak.decay', { volumeL: 1, startKPa: 5, endKPa: -101, seconds: 60, baroKPa: 90 }),
    ).toMatchObject({ ok: false, error: { kind: 'no-answer' } }))
})
