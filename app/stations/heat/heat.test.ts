import { describe, expect, it } from 'vitest'
import { heatColour, paint } from '~/drawing/heat-colours'
import { surfaceOf } from './surface'
import { readSeries } from '#core/heat/series'

const block = (nx: number, ny: number, nz: number) => ({
  nx,
  ny,
  nz,
  stepMm: [2, 2, 2] as [number, number, number],
  originMm: [0, 0, 0] as [number, number, number],
  slots: Int32Array.from({ length: nx * ny * nz }, (_, n) => n),
})

describe('the drawn skin', () => {
  it('has a face for every side of a cell without a neighbour', () => {
    expect(surfaceOf(block(3, 2, 1), null).slots).toHaveLength(2 * (3 * 2 + 3 + 2))
  })
  it('closes a cut with the cells it goes through', () => {
    const cut = surfaceOf(block(4, 2, 2), { axis: 0, share: 0.5 })
    expect(cut.slots).toHaveLength(2 * (2 * 2 + 2 * 2 + 2 * 2))
    expect(Math.max(...cut.positions.filter((_, n) => n % 3 === 0))).toBe(4)
  })
})

describe('colours', () => {
  it('grow darker all the way, so that they read in grey', () => {
    const light = (share: number) => {
      const [r, g, b] = heatColour(share)
      return 0.2126 * r + 0.7152 * g + 0.0722 * b
    }
    for (let n = 1; n <= 20; n++) expect(light(n / 20)).toBeLessThan(light((n - 1) / 20) + 1e-9)
  })
  it('are four a face, and hot ones darker', () => {
    const colours = paint(Int32Array.from([0, 1]), Uint8Array.from([5, 5]), Int16Array.from([200, 1100]), 20, 110)
    expect(colours).toHaveLength(24)
    expect(colours[12]).toBeLessThan(colours[0]!)
  })
})

describe('a series of readings', () => {
  it.each([
    [
      '0 s, 18 °C\n30 s, 40.5 °C',
      [
        { s: 0, C: 18 },
        { s: 30, C: 40.5 },
      ],
    ],
    [
      'time,temp\n0,20\n60,45',
      [
        { s: 0, C: 20 },
        { s: 60, C: 45 },
      ],
    ],
    [
      '1:30 64\n2:00; 71',
      [
        { s: 90, C: 64 },
        { s: 120, C: 71 },
      ],
    ],
    ['1 min, 212 F', [{ s: 60, C: 100 }]],
    [
      '60\t50\n30\t40',
      [
        { s: 30, C: 40 },
        { s: 60, C: 50 },
      ],
    ],
  ])('%j is read', (text, readings) => {
    const read = readSeries(text)
    expect(read.wrong).toEqual([])
    expect(read.readings.map(({ s, C }) => ({ s, C: Math.round(C * 10) / 10 }))).toEqual(readings)
  })
  it('names the lines it does not understand', () =>
    expect(readSeries('0 s, 18\nabout noon, warm 3').wrong[0]).toMatch(/^line 2/))
})
