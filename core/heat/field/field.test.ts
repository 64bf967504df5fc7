import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { erf } from '../../quantity/erf'
import { cut, type Mask } from '../../solid/mask'
import type { Shape } from '../../solid/shape.schema'
import { movingSource } from '../moving-source'
import { chebyshevStages, reachOf, stagesFor } from './chebyshev'
import { explicitReference, walked } from './explicit.reference'
import { Field } from './field'
import { coarsen, forEachCell, gridOf, slotAt, type Grid } from './grid'
import { finish, march, type March, type Setup } from './march'
import { orbit } from './path'
import { probeAt } from './probe'
import type { Losses, Material, Place, Source } from './setup'

/** 6061: ASM Handbook vol. 2, from memory. */
const METAL: Material = { densityKgm3: 2700, specificHeatJkgK: 896, conductivityWmK: 167 }
const DIFFUSIVITY_MM2S = (167 / 2700 / 896) * 1e6
const BARE: Losses = { filmWm2K: 0, emissivity: 0, ambientC: 20, contactWm2K: 0 }

interface Case {
  shape: Shape
  cellMm: number
  sources?: Source[]
  losses?: Losses
  startC?: number
  durationS: number
  at?: Place[]
  timesS?: number[]
  material?: Material
  factor?: number
}

function run(given: Case): { march: March; grid: Grid; mask: Mask } {
  const mask = cut(given.shape, given.cellMm)
  const fine = gridOf(mask)
  const grid = given.factor ? coarsen(mask, fine, given.factor) : fine
  const setup: Setup = {
    grid,
    finer: given.factor ? { grid: fine, factor: given.factor } : undefined,
    material: given.material ?? METAL,
    startC: given.startC ?? 20,
    losses: given.losses ?? BARE,
    sources: given.sources ?? [],
    durationS: given.durationS,
    probes: (given.at ?? []).map((place, n) => probeAt(grid, place, `probe ${n}`)),
    timesS: given.timesS ?? [given.durationS],
  }
  return { march: finish(march(setup)), grid, mask }
}

const always = (durationS: number) => ({ startS: 0, endS: durationS })
const imbalance = ({ absorbedJ, lostJ, storedJ }: March) =>
  Math.abs(absorbedJ - lostJ - storedJ) / Math.max(absorbedJ, Math.abs(lostJ))

describe('the method', () => {
  /** What the stages make of y′ = −y over a step of z. */
  const damped = (z: number, s: number) => {
    const { first, rest } = chebyshevStages(s)
    const step = -z
    let [one, two] = [first * step, 0]
    for (const { mu, nu, mu1, gamma1 } of rest)
      [one, two] = [mu * one + nu * two + mu1 * -z * one + (mu1 + gamma1) * step, one]
    return 1 + one
  }
  it('is of second order for any number of stages', () => {
    for (const s of [2, 3, 5, 9, 20]) {
      const error = (z: number) => Math.abs(damped(z, s) - Math.exp(-z))
      expect(Math.log2(error(0.02) / error(0.01)), `${s} stages`).toBeCloseTo(3, 1)
    }
  })
  it('damps everything up to the reach it claims', () => {
    for (const s of [2, 3, 4, 8, 17, 40, 120]) {
      for (let n = 1; n <= 4000; n++) expect(Math.abs(damped((reachOf(s) * n) / 4000, s))).toBeLessThanOrEqual(1 + 1e-9)
    }
  })
  it('takes as many stages as a step needs', () => {
    for (const reach of [0.1, 3, 50, 999, 20000]) expect(reachOf(stagesFor(reach))).toBeGreaterThanOrEqual(reach)
  })
  it('is stable on random solids at random steps: no field grows', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 2 ** 30 }),
        fc.double({ min: 0.001, max: 300, noNaN: true }),
        fc.boolean(),
        (seed, dt, coarse) => {
          let state = seed
          const random = () => (state = (state * 1103515245 + 12345) % 2 ** 31) / 2 ** 31
          const [nx, ny, nz] = [9, 8, 7]
          const solid = Uint8Array.from({ length: nx * ny * nz }, () => (random() < 0.6 ? 1 : 0))
          const mask: Mask = {
            nx,
            ny,
            nz,
            stepMm: [1, 1.5, 2],
            originMm: [0, 0, 0],
            solid,
            count: solid.reduce((sum, cell) => sum + cell, 0),
            distance: null,
          }
          const fine = gridOf(mask)
          const grid = coarse ? coarsen(mask, fine, 2) : fine
          const field = new Field(grid, METAL)
          field.fill(0)
          forEachCell(grid, slot => {
            field.rise[slot] = 200 * random() - 100
          })
          // Weighted by capacity, in which conduction is symmetric.
          const energy = () => {
            let sum = 0
            forEachCell(grid, slot => {
              sum += field.capacityOf(slot) * field.rise[slot]! ** 2
            })
            return sum
          }
          const drainPerS = field.lose(30, 0.5, 20)
          const still = { slots: new Int32Array(0), perS: new Float32Array(0) }
          const eigen = field.conductionPerS + drainPerS
          for (let step = 0; step < 6; step++) {
            const before = energy()
            field.begin()
            field.try(Math.min(dt, reachOf(200) / eigen), eigen, still)
            field.take()
            expect(energy()).toBeLessThanOrEqual(before * (1 + 1e-4) + 1e-12)
          }
        },
      ),
      { numRuns: 60, seed: 5 },
    )
  })
})

describe('against closed forms', () => {
  it("a small block cools as Incropera and DeWitt's lump (ch. 5), within 0.3 % of its rise", () => {
    const timesS = [0, 60, 180, 400, 800]
    const { march: found } = run({
      shape: { kind: 'box', xMm: 20, yMm: 20, zMm: 20 },
      cellMm: 2,
      startC: 300,
      losses: { ...BARE, filmWm2K: 50 },
      durationS: 800,
      at: [[10, 10, 10]],
      timesS,
    })
    const tau = (2700 * 896 * 0.02 ** 3) / (50 * 6 * 0.02 ** 2)
    timesS.forEach((s, n) =>
      expect(Math.abs(found.probesC[0]![n]! - (20 + 280 * Math.exp(-s / tau)))).toBeLessThan(0.003 * 280),
    )
  })
  it('a deep block under an even flux rises as a semi-infinite solid (Incropera and DeWitt eq. 5.59), within 1 %', () => {
    const [flux, timesS] = [2e5, [2, 5, 10]]
    const { march: found } = run({
      shape: { kind: 'box', xMm: 12, yMm: 12, zMm: 150 },
      cellMm: 1.5,
      durationS: 10,
      timesS,
      at: [
        [6, 6, 150],
        [6, 6, 135],
        [6, 6, 120],
      ],
      sources: [{ kind: 'face', face: 'top', absorbedW: flux * 144e-6, ...always(10) }],
    })
    const erfc = (x: number) => 1 - erf(x)
    timesS.forEach((s, n) =>
      [0, 15, 30].forEach((depthMm, p) => {
        const at = DIFFUSIVITY_MM2S * s
        const rise =
          (flux / 167) *
          1e-3 *
          (2 * Math.sqrt(at / Math.PI) * Math.exp(-(depthMm ** 2) / 4 / at) -
            depthMm * erfc(depthMm / 2 / Math.sqrt(at)))
        const surface = (flux / 167) * 1e-3 * 2 * Math.sqrt(at / Math.PI)
        expect(Math.abs(found.probesC[p]![n]! - 20 - rise), `${s} s, ${depthMm} mm`).toBeLessThan(0.01 * surface)
      }),
    )
  })
  it('a long thin rod takes 5.6 W at a base of 100 °C: Incropera and DeWitt example 3.9 (2024, film 100, air 25 °C; here its base end is bare and loses too), within 3 %', () => {
    const { march: found } = run({
      shape: { kind: 'bar', diameterMm: 5, lengthMm: 150 },
      cellMm: 0.625,
      durationS: 240,
      startC: 25,
      at: [[0, 2.5, 2.5]],
      material: { densityKgm3: 2770, specificHeatJkgK: 875, conductivityWmK: 180 },
      losses: { ...BARE, filmWm2K: 100, ambientC: 25 },
      sources: [
        { kind: 'face', face: 'left', absorbedW: 5.6 + ((100 * Math.PI) / 4) * 0.005 ** 2 * 75, ...always(240) },
      ],
    })
    expect(found.probesC[0]![0]! - 25).toBeGreaterThan(75 * 0.97)
    expect(found.probesC[0]![0]! - 25).toBeLessThan(75 * 1.03)
  }, 60_000)
  it("beside an arc along a plate it is Rosenthal's line source, away from the centre, within 4 % of the rise there", () => {
    const [speed, thick] = [8, 4]
    const timesS = [15, 16, 16.25, 17, 18, 20]
    const { march: found } = run({
      shape: { kind: 'plate', lengthMm: 300, widthMm: 160, thickMm: thick },
      cellMm: 2,
      durationS: 20,
      timesS,
      at: [
        [160, 65, 2],
        [160, 100, 2],
      ],
      sources: [
        {
          kind: 'arc',
          face: 'top',
          absorbedW: 1500,
          radiusMm: 4,
          atMm: [30, 80, 4],
          pathMm: [
            [30, 80, 4],
            [290, 80, 4],
          ],
          speedMmS: speed,
          ...always(20),
        },
      ],
    })
    ;[-15, 20].forEach((yMm, p) =>
      timesS.forEach((s, n) => {
        const { temperatureC } = movingSource({
          powerW: 1500,
          travelMmS: speed,
          conductivityWmK: 167,
          diffusivityM2s: DIFFUSIVITY_MM2S * 1e-6,
          startC: 20,
          xMm: 160 - 30 - speed * s,
          yMm,
          zMm: 0,
          wallMm: thick,
        })
        expect(
          Math.abs(found.probesC[p]![n]! - temperatureC) / (temperatureC - 20),
          `${s} s at ${yMm} mm`,
        ).toBeLessThan(0.04)
      }),
    )
  }, 60_000)
  it("a spot half as wide is twice as hot after a quarter of the time (the heat equation's own scaling)", () => {
    const hottest = (radiusMm: number, cellMm: number) =>
      run({
        shape: { kind: 'box', xMm: 16 * radiusMm, yMm: 16 * radiusMm, zMm: 10 * radiusMm },
        cellMm,
        durationS: radiusMm ** 2 / 25,
        at: [[8 * radiusMm, 8 * radiusMm, 10 * radiusMm]],
        sources: [
          {
            kind: 'torch',
            face: 'top',
            absorbedW: 300,
            radiusMm,
            atMm: [8 * radiusMm, 8 * radiusMm, 0],
            speedMmS: 0,
            ...always(radiusMm ** 2 / 25),
          },
        ],
      }).march.probesC[0]![0]! - 20
    expect(hottest(5, 1.25) / hottest(10, 2.5)).toBeCloseTo(2, 2)
  })
})

describe('against the plain explicit method', () => {
  const shape: Shape = { kind: 'boss-on-plate', xMm: 80, yMm: 70, plateMm: 6, bossMm: 24, bossHighMm: 14, holeMm: 0 }
  const losses: Losses = { filmWm2K: 12, emissivity: 0.3, ambientC: 20, contactWm2K: 120 }
  it.each([
    ['held', false],
    ['walked', true],
  ] as const)(
    '%s (walked: %s), probes within 1 percent of their rise at all times, the field within 2',
    (_, walk) => {
      const durationS = 60
      const timesS = Array.from({ length: 31 }, (_, n) => 2 * n)
      const path = orbit([40, 35, 6], 16, 12)
      const cells = [
        [19, 20, 2],
        [0, 0, 0],
        [34, 16, 1],
      ] as const
      const mask = cut(shape, 2)
      const grid = gridOf(mask)
      const found = finish(
        march({
          grid,
          material: METAL,
          losses,
          startC: 20,
          durationS,
          timesS,
          probes: cells.map(cell => [{ slot: slotAt(grid, cell[0], cell[1], cell[2]), weight: 1 }]),
          sources: [
            {
              kind: 'torch',
              face: 'top',
              absorbedW: 500,
              radiusMm: 10,
              atMm: [40, 35, 20],
              ...(walk ? { pathMm: path, speedMmS: 9 } : { speedMmS: 0 }),
              ...always(durationS),
            },
          ],
        }),
      )
      const slow = explicitReference({
        mask,
        material: METAL,
        losses,
        startC: 20,
        absorbedW: 500,
        radiusMm: 10,
        durationS,
        timesS,
        probes: cells,
        spotAt: walk ? walked(path, 9) : () => [40, 35, 20],
      })
      slow.probesC.forEach((series, n) => {
        const rise = Math.max(...series) - 20
        series.forEach((value, at) => expect(Math.abs(value - found.probesC[n]![at]!) / rise).toBeLessThan(0.01))
      })
      let [worst, rise, cell] = [0, 0, 0]
      forEachCell(grid, slot => {
        worst = Math.max(worst, Math.abs(found.endC[slot]! - slow.endC[cell]!))
        rise = Math.max(rise, slow.endC[cell++]! - 20)
      })
      expect(worst / rise).toBeLessThan(0.02)
      expect(imbalance(found)).toBeLessThan(0.005)
      expect(found.bytesPerCell).toBeLessThan(60)
    },
    60_000,
  )
})

describe('energy', () => {
  const shape: Shape = { kind: 'plate', lengthMm: 80, widthMm: 60, thickMm: 6 }
  const losses: Losses = { filmWm2K: 15, emissivity: 0.4, ambientC: 20, contactWm2K: 200 }
  it.each<[string, Source, Losses]>([
    [
      'a torch over an edge, walked to and fro',
      {
        kind: 'torch',
        face: 'top',
        absorbedW: 600,
        radiusMm: 15,
        atMm: [0, 0, 6],
        pathMm: [
          [0, 0, 6],
          [80, 0, 6],
        ],
        speedMmS: 10,
        startS: 5,
        endS: 50,
      },
      losses,
    ],
    [
      'hot air',
      { kind: 'hot-air', airC: 500, filmWm2K: 150, face: 'top', atMm: [40, 30, 6], radiusMm: 25, startS: 0, endS: 40 },
      losses,
    ],
    ['an oven, then the bench', { kind: 'oven', airC: 180, startS: 0, endS: 60 }, { ...losses, contactWm2K: 20 }],
    ['two strips', { kind: 'volume', absorbedW: 400, startS: 0, endS: 30 }, { ...losses, stripMm: 8 }],
    [
      'a copper backing that warms',
      { kind: 'face', face: 'left', absorbedW: 400, startS: 0, endS: 30 },
      { ...losses, contactWm2K: 2000, backingJK: 100 },
    ],
  ])('closes within half a percent with %s', (_, source, given) => {
    const { march: found } = run({ shape, cellMm: 2, sources: [source], losses: given, durationS: 90 })
    // An oven is not a source but warmer air: what it gives is a loss below nothing.
    const turnover = Math.max(found.absorbedJ, Math.abs(found.lostJ), Math.abs(found.storedJ))
    expect(Math.abs(found.absorbedJ - found.lostJ - found.storedJ) / turnover).toBeLessThan(0.005)
  })
  it('a part that rests on strips stays warmer than one on the whole bench', () => {
    const warm = (stripMm?: number) =>
      run({
        shape,
        cellMm: 2,
        sources: [{ kind: 'volume', absorbedW: 300, ...always(60) }],
        losses: { ...losses, stripMm },
        durationS: 60,
        at: [[40, 30, 6]],
      }).march.probesC[0]![0]!
    expect(warm(8)).toBeGreaterThan(warm() + 5)
  })
  it('a hollow the air cannot reach loses nothing', () => {
    const skin = (shape: Shape) => gridOf(cut(shape, 2)).areaMm2.reduce((sum, area) => sum + area, 0)
    expect(skin({ kind: 'hollow-box', xMm: 40, yMm: 30, zMm: 20, wallMm: 4 })).toBeCloseTo(
      2 * (40 * 30 + 40 * 20 + 30 * 20),
      0,
    )
  })
})

describe('the coarse preview', () => {
  const shape: Shape = { kind: 'hollow-box', xMm: 90, yMm: 60, zMm: 40, wallMm: 4 }
  it('keeps mass and skin whatever the factor', () => {
    const mask = cut(shape, 2)
    const fine = gridOf(mask)
    for (const factor of [2, 3, 4]) {
      const coarse = coarsen(mask, fine, factor)
      const sum = (values: Float32Array) => values.reduce((total, value) => total + value, 0)
      expect(sum(coarse.shares!.volume) * factor ** 3).toBeCloseTo(fine.count, 0)
      expect(sum(coarse.areaMm2)).toBeCloseTo(sum(fine.areaMm2), -1)
    }
  })
  it("is honest about a thin wall: within 6 % of the fine run's rise away from the spot", () => {
    const heat = (factor?: number) =>
      run({
        shape,
        cellMm: 2,
        factor,
        durationS: 60,
        at: [
          [88, 58, 20],
          [45, 2, 20],
          [2, 30, 38],
        ],
        losses: { filmWm2K: 15, emissivity: 0.2, ambientC: 20, contactWm2K: 100 },
        sources: [
          { kind: 'torch', face: 'top', absorbedW: 500, radiusMm: 15, atMm: [45, 30, 40], speedMmS: 0, ...always(60) },
        ],
      }).march.probesC.map(series => series[0]! - 20)
    const fine = heat()
    heat(2).forEach((rise, n) => expect(Math.abs(rise / fine[n]! - 1)).toBeLessThan(0.06))
  })
})

describe('probes', () => {
  const grid = gridOf(cut({ kind: 'plate', lengthMm: 30, widthMm: 20, thickMm: 6 }, 2))
  it('read a linear field exactly, at the skin too', () => {
    const value = ([x, y, z]: Place) => 3 + 2 * x - y + 0.5 * z
    const field = new Map<number, number>()
    forEachCell(grid, (slot, i, j, k) => field.set(slot, value([2 * i + 1, 2 * j + 1, 2 * k + 1])))
    for (const place of [
      [0, 0, 0],
      [30, 20, 6],
      [13.3, 7.1, 2.2],
      [30, 0, 3],
    ] as Place[]) {
      expect(
        probeAt(grid, place, 'probe').reduce((sum, { slot, weight }) => sum + weight * field.get(slot)!, 0),
      ).toBeCloseTo(value(place), 9)
    }
  })
  it('outside the metal are refused by name', () =>
    expect(() => probeAt(grid, [40, 10, 3], 'the seal')).toThrow(/the seal at 40, 10, 3 mm lies outside/))
})
