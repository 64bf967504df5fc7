import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { leakDecay } from '../leak/decay'
import { INSTRUMENT_IDS, INSTRUMENTS } from './kinds.table'
import { readLines, toCsv, toJsonLine } from './lines'
import { evenAt, normalAt } from './noise'
import type { ReadingLine } from './reading.schema'
import { ReadingRing } from './ring'
import { thinned } from './thin'
import { bandRadianceWM2, bandTemperatureC, infraredShownC } from './stand-in/infrared'
import { setupTrouble, standInRun, type StreamRequest } from './stand-in/run'

const STARTED = '2026-11-12T09:00:00.000Z'
const SETUPS: Record<string, unknown> = {
  thermocouple: {
    curve: [
      { s: 0, c: 20 },
      { s: 100, c: 120 },
    ],
  },
  infrared: { curve: [{ s: 0, c: 150 }] },
  caliper: { sizeMm: 8 },
  scale: { massG: 640 },
  gauge: { startKPa: 20, volumeL: 2, leakSccm: 3 },
  arc: { setA: 150, arcS: 5, restS: 5 },
}
const request = (instrument: StreamRequest['instrument'], more: Partial<StreamRequest> = {}): StreamRequest => ({
  instrument,
  setup: SETUPS[instrument],
  perSecond: 20,
  seed: 7,
  startedAt: STARTED,
  from: 0,
  ...more,
})
const values = (asked: StreamRequest, count: number) => {
  const run = standInRun(asked)
  return Array.from({ length: count }, () => run.next().map(line => line.value))
}

describe('lines', () => {
  const amount = fc.double({ min: -1e6, max: 1e6, noNaN: true }).map(value => Number(value.toFixed(4)) + 0)
  const line: fc.Arbitrary<ReadingLine> = fc.record({
    at: fc.constant(STARTED),
    n: fc.nat(),
    instrument: fc.constantFrom('scale', 'a, "quoted" one', '=SUM(A1)'),
    channel: fc.constantFrom('', 'T1'),
    value: amount,
    unit: fc.constantFrom('c', 'mm', 'g', 'kPa', 'a', 'v'),
  })
  it('come back as they went, in either form', () => {
    fc.assert(
      fc.property(fc.array(line, { minLength: 1, maxLength: 20 }), readings => {
        expect(readLines(readings.map(toJsonLine).join('\n'))).toEqual({ ok: true, readings })
        expect(readLines(toCsv(readings))).toEqual({ ok: true, readings })
      }),
      { seed: 91 },
    )
  })
  it('take a value in any unit of its kind, and a byte-order mark and line ends of another system', () => {
    const found = readLines(
      '\uFEFFat,instrument,value,unit\r\n2026-11-12T09:00:00Z,probe,212,F\r\n2026-11-12T09:00:01Z,jaws,1/2,in\r\n',
    )
    expect(found).toMatchObject({ ok: false, issues: [{ line: 3 }] })
    expect(
      readLines('at,instrument,value,unit\n2026-11-12T09:00:00Z,probe,212,F\n2026-11-12T09:00:01Z,gauge,1,bar\n'),
    ).toMatchObject({
      ok: true,
      readings: [
        { value: 100, unit: 'c', n: 0 },
        { value: 100, unit: 'kPa', n: 1 },
      ],
    })
  })
  it.each([
    ['', 'empty'],
    ['hello\nthere', 'not a reading'],
    ['{"at":"yesterday","instrument":"x","value":1,"unit":"c"}', 'moment'],
    ['{"at":"2026-11-12T09:00:00Z","instrument":"x","value":1,"unit":"parsec"}', 'not a reading'],
    ['{broken', 'not a reading'],
    ['at,instrument,value,unit\n2026-11-12T09:00:00Z,x', 'not a reading'],
    ['at,instrument,value,unit', 'no reading'],
  ])('refuse %j with its reason', (text, reason) => {
    const found = readLines(text)
    expect(found.ok).toBe(false)
    if (!found.ok) expect(found.issues[0]!.message).toContain(reason)
  })
})

describe('a long run', () => {
  it('is thinned channel by channel: two that take turns are both kept, with their first and last', () => {
    const lines = Array.from({ length: 4000 }, (_, n) => ({ instrument: 'arc', channel: n % 2 ? 'U' : 'I', n }))
    const few = thinned(lines, 600)
    expect(few.length).toBeLessThanOrEqual(600)
    for (const channel of ['I', 'U']) expect(few.filter(line => line.channel === channel)).toHaveLength(300)
    expect([few[0]!.n, few.at(-1)!.n]).toEqual([0, 3999])
    expect(few.every((line, at) => at === 0 || line.n > few[at - 1]!.n)).toBe(true)
    expect(thinned(lines.slice(0, 5), 600)).toHaveLength(5)
  })
})

describe('the ring', () => {
  it('keeps the newest, counts what came and what is missing, and takes nothing twice', () => {
    const ring = new ReadingRing(5)
    for (let n = 0; n < 12; n++) if (n !== 4) ring.push(n, n * 50, n)
    expect(ring.push(3, 0, 99)).toBe(false)
    expect([ring.size, ring.came, ring.missing, ring.last]).toEqual([5, 11, 1, 11])
    expect(ring.series(10).map(point => point.value)).toEqual([7, 8, 9, 10, 11])
    expect(ring.back(0)).toEqual({ atMs: 550, value: 11 })
    expect([ring.back(5), ring.back(-1)]).toEqual([null, null])
  })
  it('drops none of ten minutes at twenty a second, and holds no more than it was made for', () => {
    const ring = new ReadingRing(12_000)
    const run = standInRun(request('thermocouple'))
    for (let n = 0; n < 13_000; n++) for (const { n: place, value } of run.next()) ring.push(place, n * 50, value)
    expect([ring.came, ring.missing, ring.size]).toEqual([13_000, 0, 12_000])
    const thinned = ring.series(600)
    expect(thinned).toHaveLength(600)
    expect(thinned.at(-1)).toEqual(ring.back(0))
  })
})

describe('noise', () => {
  it('is even and normal to what chance allows in 20,000', () => {
    const even = Array.from({ length: 20_000 }, (_, n) => evenAt(3, n))
    const normal = Array.from({ length: 20_000 }, (_, n) => normalAt(3, n))
    const mean = (of: number[]) => of.reduce((a, b) => a + b, 0) / of.length
    expect(mean(even)).toBeCloseTo(0.5, 1)
    expect(Math.abs(mean(normal))).toBeLessThan(0.03)
    expect(Math.abs(mean(normal.map(value => value * value)) - 1)).toBeLessThan(0.04)
  })
})

describe('every stand-in', () => {
  it.each(INSTRUMENT_IDS)(
    '%s: the same seed gives the same readings, and a stream taken up again goes on as if it had not been cut',
    instrument => {
      const whole = values(request(instrument), 200)
      expect(values(request(instrument), 200)).toEqual(whole)
      expect(values(request(instrument, { from: 150 }), 50)).toEqual(whole.slice(150))
      expect(whole[0]).toHaveLength(INSTRUMENTS[instrument].channels.length)
      expect(
        setupTrouble({ instrument, setup: {} }) === null ||
          setupTrouble({ instrument, setup: {} })!.path.startsWith('setup.'),
      ).toBe(true)
    },
  )
  it('says what is wrong with how it is set', () => {
    expect(setupTrouble({ instrument: 'scale', setup: { massG: -3 } })).toMatchObject({ path: 'setup.massG' })
    expect(
      setupTrouble({
        instrument: 'thermocouple',
        setup: {
          curve: [
            { s: 5, c: 1 },
            { s: 1, c: 2 },
          ],
        },
      })!.message,
    ).toContain('rise')
  })
})

describe('physics of the stand-ins', () => {
  it('thermocouple: trails a steady rise by its lag, within its class (IEC 60584-1, from memory)', () => {
    const read = values(
      request('thermocouple', {
        setup: {
          curve: [
            { s: 0, c: 20 },
            { s: 100, c: 120 },
          ],
          lagS: 2,
        },
      }),
      1600,
    ).map(([c]) => c!)
    // At 80 s the part is at 100 °C; a first-order bead trails 1 K/s × 2 s behind. The class leaves 2.5 K, taken three
    // deviations wide.
    expect(Math.abs(read[1600 - 1]! - (99.95 - 2))).toBeLessThan(2.5 * 1.5)
  })
  it('infrared: shares of the black body in the band (Incropera and DeWitt, table 12.1, from memory: F(4200) = 0.516, F(2400) = 0.140)', () => {
    const all = 5.670374e-8 * 300 ** 4
    expect(bandRadianceWM2(300 - 273.15, [8, 14]) / all).toBeCloseTo(0.516 - 0.14, 2)
    expect(bandTemperatureC(bandRadianceWM2(137))).toBeCloseTo(137, 6)
  })
  it('infrared: true on paint it is set for, far too low on bright metal, and jumping (common practice, no source)', () => {
    expect(infraredShownC(150, 0.95, 0.95, 20)).toBeCloseTo(150, 6)
    expect(infraredShownC(150, 0.1, 0.95, 20)).toBeLessThan(50)
    const bright = values(request('infrared'), 200).map(([c]) => c!)
    const paint = values(request('infrared', { setup: { curve: [{ s: 0, c: 150 }], emissivity: 0.95 } }), 200).map(
      ([c]) => c!,
    )
    const spread = (of: number[]) => Math.max(...of) - Math.min(...of)
    expect(spread(bright)).toBeGreaterThan(4)
    expect(Math.max(...bright)).toBeLessThan(80)
    expect(Math.abs(paint.reduce((a, b) => a + b, 0) / 200 - 150)).toBeLessThan(3)
  })
  it('caliper: closes on the part and stays within 0.02 mm and a thumb (ISO 13385-1, from memory)', () => {
    const read = values(request('caliper'), 100).map(([mm]) => mm!)
    expect(read[0]).toBeGreaterThan(15)
    for (const mm of read.slice(60)) expect(Math.abs(mm - 8)).toBeLessThan(0.05)
  })
  it('scale: swings and settles; in water it bears the part less the water pushed away', () => {
    const dry = values(request('scale'), 200).map(([g]) => g!)
    expect(Math.max(...dry)).toBeGreaterThan(700)
    expect(Math.abs(dry.at(-1)! - 640)).toBeLessThanOrEqual(2)
    const wet = values(request('scale', { setup: { massG: 640, inWater: true, densityGcm3: 2.68 } }), 200).at(-1)![0]!
    expect(Math.abs(wet - 640 * (1 - 0.998 / 2.68))).toBeLessThanOrEqual(2)
  })
  it('gauge: the leak it was given is found again by the leak question, put right for temperature', () => {
    const setup = { startKPa: 20, volumeL: 2, leakSccm: 3, startC: 26, settlesC: 20, settlesInS: 60, baroKPa: 101.3 }
    const perSecond = 2
    const read = values(request('gauge', { setup, perSecond }), 601).map(([kPa]) => kPa!)
    const at = (s: number) => 20 + 6 * Math.exp(-s / 60)
    const found = leakDecay({
      volumeL: 2,
      startKPa: read[0]!,
      endKPa: read[600]!,
      seconds: 300,
      startC: 26,
      endC: at(300),
      baroKPa: 101.3,
    })
    expect(Math.abs(found.sccm / 3 - 1)).toBeLessThan(0.08)
  })
  it('arc: nothing at rest; on the conventional load line while it burns (IEC 60974-1, from memory)', () => {
    const read = values(request('arc'), 200)
    expect(read.slice(105, 195).every(([a, v]) => a === 0 && v === 0)).toBe(true)
    for (const [a, v] of read.slice(20, 95)) {
      expect(Math.abs(a! - 150)).toBeLessThan(12)
      expect(Math.abs(v! - (10 + 0.04 * a!))).toBeLessThan(0.6)
    }
  })
})
