import { z } from 'zod'
import { ROOM_C } from '../../arc/least-preheat'
import { idText, moment, text } from '../text'
import { list, map, reading, schemaOf } from './declared'

export const checkResultSchema = z.strictObject({
  result: z.enum(['pass', 'fail', 'left-out']),
  note: text(),
  at: moment,
})

const dial = reading('mm', 'Dial')
/** One thing that may not move, measured when it came in and again. */
export const compared = {
  beforeMm: reading('mm', 'Before'),
  afterMm: reading('mm', 'After'),
  limitMm: reading('mm', 'May move', { usual: 0.1, min: 0, max: 1000 }),
}

/** What was measured to prove it. */
export const prove = {
  results: map('Checks', checkResultSchema, true),
  /** Dial readings evenly round a turn, the first at the mark. */
  runOut: list('Round a turn', 360, dial.schema, { knownBy: 'turn', order: 'as-put-in' }),
  runOutLimitMm: reading('mm', 'May run out', { usual: 0.05, min: 0, max: 100 }),
  /** What may not move, measured when it came in and again: bores, diameters, pivots, flatness. */
  compared: list(
    'What may not move, before and after',
    40,
    z.strictObject({ id: idText, what: text(80), ...schemaOf(compared).shape }),
    { knownBy: 'itself', order: 'as-put-in' },
    compared,
  ),
  volumeL: reading('l', 'It holds', { above: 0, max: 1e5 }),
  startKPa: reading('kPa', 'Gauge at the start', { max: 1e5 }),
  endKPa: reading('kPa', 'and after', { max: 1e5 }),
  leakS: reading('s', 'Time between', { usual: 300, typed: '5 min', above: 0, max: 1e7 }),
  startC: reading('c', 'Its heat at the start', { usual: ROOM_C, min: -60, max: 500 }),
  endC: reading('c', 'and after', { min: -60, max: 500, help: 'empty: the same' }),
  leakLimitSccm: reading('sccm', 'May lose', { usual: 2, typed: '2', min: 0, max: 1e6, help: 'cm³ of gas a minute' }),
  radiusMm: reading('mm', 'at a radius of', { above: 0, max: 10_000 }),
  addedG: reading('g', 'Put on, or missing', { max: 1e6 }),
  atRadiusMm: reading('mm', 'Put right at', { above: 0, max: 10_000, help: 'empty: the same radius' }),
  balanceLimitGmm: reading('number', 'May be out by, g·mm', { min: 0, max: 1e9 }),
}
