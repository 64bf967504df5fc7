import { expect, it } from 'vitest'
import { erf, normalShare } from './erf'

// Abramowitz and Stegun, tables 7.1 and 26.1, from memory.
it.each([
  [0, 0],
  [0.5, 0.5204999],
  [1, 0.8427008],
  [2, 0.9953223],
  [-1, -0.8427008],
])('erf(%d) is %d', (x, value) => expect(erf(x)).toBeCloseTo(value, 6))
it.each([
  [0, 0.5],
  [1, 0.8413447],
  [1.959964, 0.975],
  [-2.326348, 0.01],
])('%d standard deviations hold %d', (x, share) => expect(normalShare(x)).toBeCloseTo(share, 6))
