import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { deviceSchema, type Device } from './device.schema'
import { EXAMPLE_DEVICES } from './examples.table'
import { patternTrouble } from './pattern'
import { channelsOf, lineReader } from './read-line'
import { simulatedLine } from './simulated'
import { LineSplitter } from './split'

const reads = (pattern: string, unit: string) => lineReader({ lines: [{ pattern, channel: 'x', unit }] })

describe("a device's lines", () => {
  it.each([
    ['W {any}, {value} {unit}', 'g', 'W ST, +  12.40 kg', { value: 12_400, unit: 'g' }],
    ['T1={value}{unit}', 'C', 'T1=  +212.0F', { value: 100, unit: 'c' }],
    ['D{value}', 'mm', 'D-0001,250', { value: -1.25, unit: 'mm' }],
    ['P {value} {unit}', 'kPa', 'P 1.2 bar', { value: 120, unit: 'kPa' }],
    ['{value}', 'in', '  .5', { value: 12.7, unit: 'mm' }],
    ['I;{value};{any}', 'A', 'I;142;ok;7', { value: 142, unit: 'a' }],
  ])('%s in %s reads %s', (pattern, unit, line, { value, unit: own }) => {
    const reading = reads(pattern, unit)(line)!
    expect(reading.value).toBeCloseTo(value, 6)
    expect(reading.unit).toBe(own)
  })
  it.each([
    ['T1={value}{unit}', 'T1=OPEN C'],
    ['T1={value}{unit}', 'T2=20C'],
    ['D{value}', 'D1.2 mm'],
    ['P {value} {unit}', 'P 1.2 furlong'],
    ['W {any}, {value}', 'W ST'],
    ['{value}', 'x'.repeat(500)],
  ])('%s takes nothing from %s', (pattern, line) => {
    expect(reads(pattern, 'C')(line)).toBeNull()
  })
  it('says what is wrong with a pattern', () => {
    expect(patternTrouble('T={value}')).toBeNull()
    expect(patternTrouble('T=')).toContain('{value} once')
    expect(patternTrouble('{value}{value}')).toContain('{value} once')
    expect(patternTrouble('{any}{value}')).toContain('between')
    expect(patternTrouble('{value} {colour}')).toContain('only')
  })
  it('whatever comes, a line is read or left, at once', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 300 }), fc.constantFrom(...EXAMPLE_DEVICES), (line, device: Device) => {
        const reading = lineReader(device)(line)
        return reading === null || Number.isFinite(reading.value)
      }),
    )
  })
})

describe('pieces off a wire', () => {
  it('become lines however they are cut', () => {
    const text = 'a 1\r\nb 2\rc 3\n\n d'
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 1, max: 5 }), { maxLength: 12 }), cuts => {
        const splitter = new LineSplitter()
        const lines: string[] = []
        let at = 0
        for (const cut of [...cuts, 99]) {
          lines.push(...splitter.push(text.slice(at, at + cut)))
          at += cut
        }
        return lines.join('|') === 'a 1|b 2|c 3'
      }),
    )
  })
  it('noise without an end of line is thrown away and counted', () => {
    const splitter = new LineSplitter()
    expect(splitter.push('ÿ'.repeat(500))).toEqual([])
    expect(splitter.torn).toBe(1)
    expect(splitter.push('T1=20C\n')).toEqual(['T1=20C'])
  })
})

describe('the devices that come with it', () => {
  it.each(EXAMPLE_DEVICES.map(device => [device.name, device] as const))(
    '%s is a sound file; its simulated port is read but for what is torn',
    (_, device) => {
      expect(deviceSchema.parse(JSON.parse(JSON.stringify(device)))).toEqual(device)
      expect(channelsOf(device)).toHaveLength(new Set(device.lines.map(line => line.channel)).size)
      const reader = lineReader(device)
      const lines = Array.from({ length: 100 }, (_, n) => simulatedLine(device, n).trim())
      expect(lines.filter((line, n) => n % 20 !== 19 && !reader(line))).toEqual([])
    },
  )
  it('a file that is none says which part', () => {
    const [scale] = EXAMPLE_DEVICES
    const issues = (change: object) =>
      deviceSchema.safeParse({ ...scale, ...change }).error?.issues.map(issue => issue.path.join('.'))
    expect(issues({ lines: [{ pattern: 'W', channel: 'pan', unit: 'g' }] })).toEqual(['lines.0.pattern'])
    expect(issues({ serial: { baudRate: 12 } })).toEqual(['serial.baudRate'])
    expect(issues({ id: 'two words' })).toEqual(['id'])
  })
})
