import { expect, it } from 'vitest'
import { readClock } from './clock-face'

it.each([
  ['1:30', 90],
  ['8:00', 480],
  ['17:05', 1025],
  ['0:07', 7],
  [' 2:00 ', 120],
  ['1:75', null],
  ['90', null],
  ['', null],
  ['1:3', null],
])('%j is read as %s', (text, value) => expect(readClock(text)).toBe(value))
