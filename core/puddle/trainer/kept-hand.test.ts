import { describe, expect, it } from 'vitest'
import { onSteps, packHand, unpackHand } from './kept-hand'
import { lessonById } from './lessons.table'
import { replay, type HandFrame } from './session'

/** A hand that trembles along its line, dips, and lets the pedal up. */
const hand = (frames: number): HandFrame[] =>
  Array.from({ length: frames }, (_, n) =>
    onSteps({
      xMm: 10 + n * 0.05 + 0.2 * Math.sin(n / 7),
      yMm: 20 + 0.3 * Math.cos(n / 11),
      arcMm: 3,
      a: Math.max(0, 160 - n * 0.04),
      dip: n % 40 === 39,
    }),
  )

describe('a kept hand', () => {
  it('comes back to the last bit, and gives the run that it gave', () => {
    const made = hand(240)
    const back = unpackHand(packHand(made))
    expect(back).toEqual(made)
    const { bench } = lessonById('feed')
    expect(replay(bench, back!).outcome()).toEqual(replay(bench, made).outcome())
  })

  it('takes less than eight kilobytes for forty seconds', () => {
    expect(packHand(hand(2400)).length).toBeLessThan(8000)
  })

  it.each(['', 'no base64!', btoa('not deflated'), packHand([]), packHand(hand(4)).slice(3)])(
    'is none where the text is broken: %s',
    text => {
      expect(unpackHand(text)).toBeNull()
    },
  )

  it('longer than any run is none, however small it came', () => {
    const still = Array.from({ length: 36_001 }, () => onSteps({ xMm: 1, yMm: 1, arcMm: 3, a: 0, dip: false }))
    expect(packHand(still).length).toBeLessThan(2000)
    expect(unpackHand(packHand(still))).toBeNull()
  })
})
