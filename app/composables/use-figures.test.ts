import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it } from 'vitest'
import { useSettings } from '~/stores/settings'
import { useFigures } from './use-figures'

describe('figures of a page', () => {
  beforeEach(() => {
    setActivePinia(createPinia())
    useSettings().language = 'en'
  })
  it('are read with their units and times; what is wrong is said, and stays as it was typed', () => {
    const { read, shown, wrongAt, left } = useFigures()
    expect(read('took', '1 h 35 min', { unit: 'min' })).toBeCloseTo(95, 9)
    expect(shown('took', 95)).toBe('1 h 35 min')
    left('took')
    expect(shown('took', 95)).toBe('95')
    expect(read('took', 'soon', { unit: 'min' })).toBeUndefined()
    expect(wrongAt('took')).toHaveLength(1)
    left('took')
    expect(shown('took', 95)).toBe('soon')
    expect(read('took', '')).toBeNull()
    expect(wrongAt('took')).toEqual([])
  })
  it('keep their bounds, and ask about a point where decimals have a comma', () => {
    const { read, wrongAt } = useFigures()
    expect(read('alike', '-1', { least: 1, most: 1000 })).toBeUndefined()
    expect(wrongAt('alike')).toEqual(['from 1 to 1000'])
    expect(read('alike', '1.5', { least: 1, whole: true })).toBeUndefined()
    expect(read('pull', '60 kg', { unit: 'n' })).toBeUndefined()
    expect(read('pull', '1.2 kN', { unit: 'n' })).toBeCloseTo(1200, 6)
    useSettings().language = 'de'
    expect(read('price', '7,5')).toBe(7.5)
    expect(read('price', '1.500')).toBeUndefined()
    expect(wrongAt('price')).toHaveLength(1)
  })
})
