import { describe, expect, it } from 'vitest'
import { roomWords } from './room'

describe('room in words', () => {
  it('says plenty, half full and nearly full, and what still goes in', () => {
    expect(roomWords(12, 10_738)).toEqual({ nearlyFull: false, words: 'Plenty of room.' })
    expect(roomWords(600, 1000).words).toBe('More than half full: room for about 200 pictures more.')
    expect(roomWords(950, 1000)).toEqual({ nearlyFull: true, words: 'Nearly full: room for about 33 pictures more.' })
    expect(roomWords(1100, 1000).words).toContain('about 0 pictures')
    expect(roomWords(0, 0).nearlyFull).toBe(false)
  })
})
