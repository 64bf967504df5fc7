import { describe, expect, it } from 'vitest'
import { march } from '../heat/field/march'
import { secondsBetween, STILL_AIR } from '../heat/lumped'
import { cutPart, setUp } from '../heat/simulate'
import { simulateInput } from '../heat/simulate.schema'
import { spotRise } from '../heat/spot'
import { conductivityWmK } from '../metal/conductivity'
import { findAlloy } from '../metal/find-alloy'
import type { Triple } from '../solid/forms'
import type { Shape } from '../solid/shape.schema'
import { onCells, type CellsAsk } from './on-cells'

const PROPYLENE = { name: 'propylene torch', gas: 'propylene', powerW: 3200, efficiencyPct: 30 }
const HOT_AIR = { name: 'hot-air gun', gas: 'mains', powerW: 1600, efficiencyPct: 18 }
const alloy = findAlloy('A356')!
const plate = (lengthMm: number, widthMm: number, thickMm: number): CellsAsk['shape'] =>
  ({
    kind: 'union',
    parts: [{ shape: { kind: 'plate', lengthMm, widthMm, thickMm }, atMm: [0, 0, 0], lies: 'up', cut: false }],
  }) as Extract<Shape, { kind: 'union' }>
/** A torch held on the middle of a plate. */
const askedOf = (long: number, wide: number, thick: number): CellsAsk => ({
  shape: plate(long, wide, thick),
  volumeMm3: long * wide * thick,
  alloy: 'A356',
  path: [[long / 2, wide / 2, thick]],
  face: 'top',
  torch: PROPYLENE,
  startC: 20,
  toC: 110,
  stand: 'air',
  flameStays: false,
  guards: [],
})
const onPlate = (long: number, wide: number, thick: number, change: Partial<CellsAsk> = {}) =>
  onCells({ ...askedOf(long, wide, thick), ...change })!
/** The zone at a time of the run. */
const at = (curve: readonly { s: number; zoneC: number }[], s: number) =>
  curve.find(point => point.s >= s)?.zoneC ?? Number.NaN

describe("a torch on the part's own cells", () => {
  it('heats a large plate as the closed form of a spot on it does (Carslaw and Jaeger, 10.3)', () => {
    const found = onPlate(500, 500, 12)
    const conductivity = conductivityWmK(alloy)
    const spot = {
      absorbedW: 960,
      sigmaMm: 20,
      wallMm: 12,
      conductivityWmK: conductivity,
      diffusivityM2s: conductivity / (alloy.densityGcm3 * 1000 * alloy.specificHeatJkgK),
    }
    const middle = 20 + spotRise(spot, found.onS!)
    // The closed form loses nothing to the air: two minutes of it are some five per cent.
    expect((found.hottestC - middle) / (middle - 20)).toBeLessThan(0)
    expect((middle - found.hottestC) / (middle - 20)).toBeLessThan(0.08)
    expect(found.where).toBe('zone')
    expect(found.farC).toBeLessThan(25)
  })

  it('warms a lump as a lump: all of it, in the time its heat takes', () => {
    // A flame small enough to fall on it whole.
    const found = onPlate(60, 60, 40, { torch: { ...PROPYLENE, gas: 'oxy-propane' } })
    const lump = {
      massKg: (60 * 60 * 40 * alloy.densityGcm3) / 1e6,
      specificHeatJkgK: alloy.specificHeatJkgK,
      areaMm2: 2 * 60 * 60 + 4 * 60 * 40,
      ambientC: 20,
      absorbedW: 960,
      ...STILL_AIR,
    }
    // Read to three seconds.
    expect(Math.abs(found.onS! - secondsBetween(lump, 20, 110))).toBeLessThan(5)
    expect(found.where).toBe('whole')
    expect(found.staysS).toBe(240)
  })

  it('takes the flame off as a run in which it goes out, on cells a quarter as large, to a twentieth', () => {
    const [long, wide, thick] = [260, 160, 8]
    const path: Triple[] = [
      [100, 80, 8],
      [160, 80, 8],
    ]
    const found = onPlate(long, wide, thick, { path, stand: 'strips' })
    const input = simulateInput.parse({
      shape: plate(long, wide, thick),
      cellMm: 2,
      alloy: 'A356',
      sources: [0, 1, 2, 3, 4].map(n => ({
        kind: 'torch',
        powerW: 640,
        efficiencyPct: 30,
        face: 'top',
        atMm: [100 + 15 * n, 80, 8],
        radiusMm: 40,
        endS: found.onS!,
      })),
      losses: { filmWm2K: 10, emissivity: 0.2, benchWm2K: 150, stripMm: 10 },
      durationS: found.onS! + 90,
      readings: found.onS! + 91,
      probes: [
        { xMm: 130, yMm: 60, zMm: 8 },
        { xMm: 130, yMm: 100, zMm: 8 },
        { xMm: 100, yMm: 80, zMm: 8 },
        { xMm: 110, yMm: 80, zMm: 8 },
      ],
    })
    const running = march(setUp(input, cutPart(input)))
    let next = running.next()
    while (!next.done) next = running.next()
    const { probesC } = next.value
    const coldest = (s: number) => Math.min(...probesC.map(series => series[s]!))
    for (const s of [found.onS!, found.onS! + 30, found.onS! + 90])
      expect(Math.abs(at(found.curve, s) - coldest(s)) / (coldest(s) - 20)).toBeLessThan(0.05)
  })

  it('does what is done at a bench (common practice, no source)', () => {
    // An edge of a large plate comes to brazing heat under one torch, though the plate as a lump never would.
    const edge = onPlate(500, 400, 6, { path: [[250, 2, 6]], toC: 400, flameStays: true })
    expect(edge.onS! / 60).toBeLessThan(6)
    expect(edge.farC).toBeLessThan(60)
    // A flange has its chill taken off while what lies beyond it stays cool.
    const flange = onPlate(300, 200, 10, {
      path: [[20, 100, 10]],
      toC: 58,
      guards: [{ kind: 'seal', name: 'lip seal', limitC: 100, atMm: [280, 100, 5] }],
    })
    expect(flange.onS! / 60).toBeLessThan(3)
    expect(flange.guards[0]!.hottestC).toBeLessThan(45)
    // A hot-air gun does that locally too, slower.
    const gun = onPlate(300, 200, 10, { path: [[20, 100, 10]], toC: 58, torch: HOT_AIR })
    expect(gun.onS!).toBeGreaterThan(flange.onS!)
    expect(gun.onS! / 60).toBeLessThan(10)
    expect(gun.where).toBe('zone')
    // It never brazes.
    expect(onPlate(300, 200, 10, { toC: 450, torch: HOT_AIR }).onS).toBeNull()
  })

  it('takes the flame to a side that sees the place, and has nothing to say where it lies off the part or is warm', () => {
    const below = onPlate(200, 100, 6, { path: [[100, 50, 0]], face: 'top' })
    expect(below.onS).toBeCloseTo(onPlate(200, 100, 6, { path: [[100, 50, 6]] }).onS!, -1)
    const asked = askedOf(200, 100, 6)
    expect(onCells({ ...asked, path: [[900, 50, 6]] })).toBeNull()
    expect(onCells({ ...asked, startC: 90 })).toBeNull()
    expect(onCells({ ...asked, toC: 15 })).toBeNull()
  })
})
