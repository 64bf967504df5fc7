import { describe, expect, it } from 'vitest'
import { shapeOfPieces } from '../solid/stored/to-shape'
import { measured } from '../solid/measure'
import { pieceSchema } from '../solid/stored/stored.schema'
import type { Triple } from '../solid/forms'
import { heatMap, seenWarm } from './heat-map'
import { onCells } from './on-cells'
import { simulateInput } from '../heat/simulate.schema'
import { cutPart } from '../heat/simulate'
import { quickRun } from '../heat/bench/quick'

const mm = (value: number) => ({ typed: `${value} mm`, value })
const plate = shapeOfPieces([
  pieceSchema.parse({ id: 'p', kind: 'plate', size: { lengthMm: mm(200), widthMm: mm(100), thickMm: mm(8) } }),
])
const topMm = 8
const low = measured(plate).originMm
const place = (x: number, y: number): Triple => [low[0] + x, low[1] + y, low[2] + topMm]
const found = onCells({
  shape: plate,
  volumeMm3: 200 * 100 * 8,
  alloy: 'A356',
  path: [place(30, 50), place(60, 50)],
  face: 'top',
  torch: { powerW: 2500, efficiencyPct: 30, headMm: 25, gas: 'propylene' } as never,
  startC: 20,
  toC: 110,
  stand: 'strips',
  flameStays: false,
  guards: [],
})!

describe('the part in colours as it is warmed', () => {
  it('agrees with the zone and the far end at the moment the flame is taken off', () => {
    const off = found.map.moments.findLast(({ flame }) => flame === 'on')!
    expect(off.s).toBe(found.onS)
    const squares = seenWarm(found.map, off, 'plan', null)
    const all = squares.map(({ c }) => c)
    // The zone's own places lie between cells: within a few degrees of the cells about them.
    expect(Math.max(...all)).toBeGreaterThanOrEqual(found.zoneC)
    expect(Math.max(...all)).toBeLessThan(found.hottestC + 0.15 * (found.hottestC - 20))
    expect(Math.min(...all)).toBeCloseTo(found.farC, -1)
  })

  it('gets hotter with the flame on, and evens out without losing what it holds once it is off', () => {
    const { moments } = found.map
    expect(moments.map(({ flame }) => flame)).toEqual(['on', 'on', 'on', 'on', 'off', 'off'])
    const mean = ({ tenths }: (typeof moments)[number]) =>
      tenths.reduce((sum, value) => sum + value, 0) / tenths.length / 10
    const spread = ({ tenths }: (typeof moments)[number]) => (Math.max(...tenths) - Math.min(...tenths)) / 10
    const means = moments.map(mean)
    expect(means.slice(0, 4)).toEqual(means.slice(0, 4).toSorted((a, b) => a - b))
    expect(spread(moments[4]!)).toBeLessThan(spread(moments[3]!))
    // In still air a part this size keeps most of its heat for a minute.
    expect(means[4]! - 20).toBeGreaterThan(0.85 * (means[3]! - 20))
    expect(means[4]!).toBeLessThanOrEqual(means[3]! + 0.5)
  })

  it('covers the sheet of every view once, near side first, and less of it behind a cut', () => {
    const moment = found.map.moments[3]!
    for (const [view, wide, high] of [
      ['plan', 200, 100],
      ['front', 200, 8],
      ['side', 100, 8],
    ] as const) {
      const squares = seenWarm(found.map, moment, view, null)
      const area = squares.reduce(
        (sum, square) => sum + (square.high[0] - square.low[0]) * (square.high[1] - square.low[1]),
        0,
      )
      // Cells stand out over the skin by a part of one.
      expect(area).toBeGreaterThanOrEqual(0.99 * wide * high)
      expect(new Set(squares.map(square => square.low.join())).size).toBe(squares.length)
    }
    // Looked at from the left, the flame's end is the near one; cut off past the run, what is seen is cooler.
    const hottest = (cutMm: number | null) => Math.max(...seenWarm(found.map, moment, 'side', cutMm).map(({ c }) => c))
    expect(hottest(low[0] + 45)).toBeGreaterThan(hottest(null) + 10)
    expect(hottest(low[0] + 150)).toBeLessThan(hottest(low[0] + 45) - 30)
  })

  it('is the field of the run itself while the flame is on', () => {
    const input = simulateInput.parse({
      shape: plate,
      cellMm: 4,
      alloy: 'A356',
      startC: 20,
      sources: [{ kind: 'torch', powerW: 900, efficiencyPct: 30, face: 'top', atMm: place(40, 50), radiusMm: 15 }],
      losses: { filmWm2K: 10, emissivity: 0.2, ambientC: 20 },
      durationS: 60,
      probes: [{ xMm: place(40, 50)[0], yMm: place(40, 50)[1], zMm: low[2] + 4 }],
      readings: 21,
    })
    const run = quickRun(input, cutPart(input), undefined, true)
    const map = heatMap(run, 12, 20, 3)
    const probeAtOff = run.probes[0]![12]!
    const [x, y] = place(40, 50)
    const under = seenWarm(map, map.moments[3]!, 'plan', null).find(
      square => square.low[0] <= x && square.high[0] > x && square.low[1] <= y && square.high[1] > y,
    )!
    expect(map.moments[3]!.s).toBe(36)
    expect(Math.abs(under.c - probeAtOff)).toBeLessThan(0.12 * (probeAtOff - 20))
  })
})
