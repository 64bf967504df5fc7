import { describe, expect, it } from 'vitest'
import { questions } from '../questions'
import { lifeOf } from './category.table'
import type { holdSimulate } from './question'

type Answer = ReturnType<typeof holdSimulate.solve>['answer']
function ask(input: object): Answer {
  const asked = questions.ask('hold.simulate', input)
  if (!asked.ok) throw new Error(JSON.stringify(asked.error))
  return asked.answer as Answer
}
const errorOf = (input: object) => {
  const asked = questions.ask('hold.simulate', input)
  if (asked.ok) return null
  return asked.error.kind === 'invalid-input'
    ? asked.error.issues[0]!.path
    : asked.error.kind === 'no-answer'
      ? asked.error.reason
      : ''
}
const off = (ours: number, exact: number) => Math.abs(ours / exact - 1)

/** 6061: E of ASM Handbook vol. 2, from memory, as the core has it; Poisson's ratio 0.33. */
const [E, NU] = [69_000, 0.33]
const BEAM = {
  shape: { kind: 'plate', lengthMm: 200, widthMm: 10, thickMm: 10 },
  cellMm: 5,
  alloy: '6061-T6',
  fixed: [{ face: 'left' }],
  loads: [{ id: 'end', on: { face: 'right' }, forceN: [0, 0, -100] }],
  watch: [
    [200, 5, 10],
    [100, 5, 10],
    [100, 5, 0],
  ],
}

describe('hold.simulate beside closed forms', () => {
  it('a cantilever of two cells through gives as Timoshenko has it, and bends as a beam does: within 1 %', () => {
    const { movedMm, principalMPa, reactionN, imbalancePct } = ask(BEAM)
    const second = 10 ** 4 / 12
    const shear = (100 * 200) / ((5 / 6) * (E / 2 / (1 + NU)) * 100)
    // Timoshenko and Goodier, Theory of Elasticity, 1970.
    expect(off(-movedMm[0]![2], (100 * 200 ** 3) / (3 * E * second) + shear)).toBeLessThan(0.01)
    expect(off(principalMPa[1]![0], (100 * 100 * 5) / second)).toBeLessThan(0.01)
    expect(off(-principalMPa[2]![2], (100 * 100 * 5) / second)).toBeLessThan(0.01)
    expect(reactionN[2]).toBeCloseTo(100, 3)
    expect(imbalancePct).toBeLessThan(1e-3)
  })
  it('a square plate clamped round gives as thin plates do within 3 %, and pulls at its rim within 8 %', () => {
    const { movedMm, principalMPa } = ask({
      shape: { kind: 'plate', lengthMm: 200, widthMm: 200, thickMm: 5 },
      cellMm: 2.5,
      alloy: '6061',
      fixed: ['left', 'right', 'front', 'back'].map(face => ({ face })),
      loads: [{ id: 'p', on: { face: 'top' }, pressureMPa: 0.1 }],
      watch: [
        [100, 100, 0],
        [100, 0, 5],
      ],
    })
    // Timoshenko and Woinowsky-Krieger, Theory of Plates and Shells, 1959, table 35.
    const stiff = (E * 5 ** 3) / 12 / (1 - NU ** 2)
    expect(off(-movedMm[0]![2], (0.00126 * 0.1 * 200 ** 4) / stiff)).toBeLessThan(0.03)
    expect(off(principalMPa[1]![0], (6 * 0.0513 * 0.1 * 200 ** 2) / 5 ** 2)).toBeLessThan(0.08)
  })
  it('a thick ring opens under pressure as Lamé has it within 8 %, and is pulled so away from its stepped bore', () => {
    const { movedMm, principalMPa } = ask({
      shape: { kind: 'ring', outsideMm: 80, insideMm: 40, thickMm: 8 },
      cellMm: 2,
      alloy: '6061',
      fixed: [{ atMm: [40, 0, 4], radiusMm: 3 }],
      loads: [{ id: 'p', on: { hole: { atMm: [40, 40, 4], axis: 'z', diameterMm: 40 } }, pressureMPa: 10 }],
      watch: [
        [20, 40, 4],
        [60, 40, 4],
        [10, 40, 4],
      ],
    })
    const opens = (2 * 10 * 20 * (5 / 3 + NU)) / E
    expect(off(movedMm[1]![0] - movedMm[0]![0], opens)).toBeLessThan(0.08)
    expect(off(principalMPa[2]![0], ((10 * 400) / (1600 - 400)) * (1 + 1600 / 900))).toBeLessThan(0.08)
  })
  it('the greatest pull at a hole lies within 8 % of Heywood, above or below by its steps', () => {
    const wide = 0.2
    const { by } = ask({
      shape: {
        kind: 'union',
        parts: [
          { shape: { kind: 'plate', lengthMm: 200, widthMm: 120, thickMm: 4 } },
          { shape: { kind: 'disc', diameterMm: 24, thickMm: 4 }, atMm: [88, 48, 0], cut: true },
        ],
      },
      cellMm: 2,
      alloy: '6061',
      fixed: [{ face: 'left' }],
      loads: [{ id: 'pull', on: { face: 'right' }, forceN: [24_000, 0, 0] }],
    })
    // Net stress × (2 + (1 − d/W)³): Heywood 1952, as in Peterson.
    expect(off(by[0]!.peakMPa, (50 / (1 - wide)) * (2 + (1 - wide) ** 3))).toBeLessThan(0.08)
  })
  it.each([10, 20])(
    'a strip cracked %i mm from its edge opens at its mouth as the handbook has it, within 8 in 100',
    crackMm => {
      const { movedMm } = ask({
        shape: { kind: 'plate', lengthMm: 160, widthMm: 40, thickMm: 4 },
        cellMm: 2,
        alloy: '6061',
        fixed: [{ face: 'left' }],
        loads: [{ id: 'pull', on: { face: 'right' }, forceN: [8000, 0, 0] }],
        zones: [{ id: 'crack', kind: 'crack', boxMm: [80, 0, 0, 0, crackMm, 4] }],
        watch: [
          [79, 0, 2],
          [81, 0, 2],
        ],
      })
      // Tada, Paris and Irwin, The Stress Analysis of Cracks Handbook: single edge notch in tension, from memory.
      const c = Math.cos((Math.PI * crackMm) / 40 / 2)
      const mouth = ((4 * 50 * crackMm) / E) * ((1.46 + 3.42 * (1 - c)) / c ** 2)
      expect(off(movedMm[1]![0] - movedMm[0]![0], mouth)).toBeLessThan(0.08)
    },
  )
})

describe('hold.simulate', () => {
  it('is linear: twice the load is twice of all, two loads together are the sum of each', () => {
    const side = { id: 'side', on: { atMm: [120, 5, 10], radiusMm: 4 }, forceN: [0, 40, 0] }
    const [end, other, both] = [BEAM.loads, [side], [...BEAM.loads, side]].map(loads => ask({ ...BEAM, loads }))
    both!.movedMm.forEach((moved, n) =>
      moved.forEach((value, c) => expect(value).toBeCloseTo(end!.movedMm[n]![c]! + other!.movedMm[n]![c]!, 6)),
    )
    const twice = ask({ ...BEAM, loads: [{ ...BEAM.loads[0]!, forceN: [0, 0, -200] }] })
    expect(twice.by[0]!.peakMPa / end!.by[0]!.peakMPa).toBeCloseTo(2, 5)
  })
  it('the same part lying along another axis bears the same', () => {
    const along = (lengthMm: number, widthMm: number, thickMm: number, from: string, to: string, forceN: number[]) =>
      ask({
        ...BEAM,
        shape: { kind: 'plate', lengthMm, widthMm, thickMm },
        fixed: [{ face: from }],
        loads: [{ id: 'end', on: { face: to }, forceN }],
        watch: [],
      }).by[0]!.peakMPa
    const x = along(100, 10, 20, 'left', 'right', [0, 0, 50])
    expect(along(20, 100, 10, 'front', 'back', [50, 0, 0])).toBeCloseTo(x, 4)
    expect(along(10, 20, 100, 'bottom', 'top', [0, 50, 0])).toBeCloseTo(x, 4)
  })
  it('the weakest zone is the one whose metal bears least of what it is asked', () => {
    const seam = { id: 'seam', kind: 'weld', boxMm: [90, 0, 0, 20, 10, 10], yieldMPa: 60 }
    const { by, weakest } = ask({ ...BEAM, zones: [seam] })
    expect(by.map(({ zone }) => zone)).toEqual(['base', 'seam'])
    for (const { yieldMPa, peakMPa, factor } of by) expect(factor).toBeCloseTo(yieldMPa / peakMPa, 9)
    expect(by.find(({ zone }) => zone === weakest)!.factor).toBe(Math.min(...by.map(({ factor }) => factor)))
    expect(weakest).toBe('seam')
  })
  it('knows the temper that was named, and a weld without a yield is softer than what it is in', () => {
    const seam = { id: 'seam', kind: 'softened', boxMm: [90, 0, 0, 20, 10, 10] }
    const of = (alloy: string) => ask({ ...BEAM, alloy, zones: [seam] }).by.map(({ yieldMPa }) => yieldMPa)
    expect(of('6061-T6')[0]).toBe(276)
    expect(of('6061-T4')[0]).toBe(145)
    expect(of('6061-T651')[0]).toBe(276)
    expect(of('6061-T6')[1]).toBeLessThan(150)
    expect(ask({ ...BEAM, yieldMPa: 100 }).by[0]!.yieldMPa).toBe(100)
  })
  it('a crack makes it give more, and the part stiffer beyond it no less', () => {
    const crack = { id: 'c', kind: 'crack', boxMm: [50, 0, 5, 0, 10, 5] }
    const [whole, parted] = [ask(BEAM), ask({ ...BEAM, zones: [crack] })]
    expect(-parted.movedMm[0]![2]).toBeGreaterThan(-1.05 * whole.movedMm[0]![2])
    expect(parted.by.map(({ zone }) => zone)).toEqual(['base'])
  })
  it('lasts by its class and slope: at the class two million, at half the range by the slope so much longer', () => {
    const life = (forceN: number[]) =>
      ask({
        ...BEAM,
        times: 1e5,
        loads: [{ id: 'end', on: { face: 'right' }, forceN }],
        zones: [{ id: 'seam', kind: 'weld', boxMm: [90, 0, 0, 20, 10, 10], category: 40 }],
      }).life!.find(({ zone }) => zone === 'seam')!
    const { rangeMPa, lowCycles, cycles, highCycles, category } = life([0, 0, -100])
    expect(category).toBe(40)
    expect(lowCycles).toBeCloseTo(2e6 * (40 / rangeMPa) ** 3, 0)
    expect([cycles / lowCycles, highCycles / lowCycles]).toEqual([expect.closeTo(3, 6), expect.closeTo(10, 6)])
    expect(life([0, 0, -50]).lowCycles / lowCycles).toBeCloseTo(8, 3)
    expect(lifeOf(71, { mPa: 71, slope: 5, source: '' }).lowCycles).toBeCloseTo(2e6, 3)
    expect(ask(BEAM).life).toBeUndefined()
  })
  it('names a place that lies on no metal', () => {
    expect(errorOf({ ...BEAM, watch: [[400, 5, 5]] })).toBe('watch[0]')
    expect(errorOf({ ...BEAM, fixed: [{ atMm: [100, 5, 40], radiusMm: 5 }] })).toBe('fixed[0].atMm')
    expect(errorOf({ ...BEAM, fixed: [{ hole: { atMm: [100, 5, 5], axis: 'z', diameterMm: 4 } }] })).toBe(
      'fixed[0].hole',
    )
    expect(errorOf({ ...BEAM, loads: [{ id: 'a', on: { atMm: [100, 50, 10] }, pressureMPa: 1 }] })).toBe(
      'loads[0].on.atMm',
    )
    expect(errorOf({ ...BEAM, zones: [{ id: 'w', kind: 'weld', boxMm: [300, 0, 0, 5, 5, 5] }] })).toBe('zones[0].boxMm')
    expect(errorOf({ ...BEAM, zones: [{ id: 'w', kind: 'crack', boxMm: [300, 0, 0, 0, 5, 5] }] })).toBe(
      'zones[0].boxMm',
    )
    expect(errorOf({ ...BEAM, zones: [{ id: 'w', kind: 'crack', boxMm: [50, 0, 0, 5, 5, 5] }] })).toBe('zones[0].boxMm')
    expect(errorOf({ ...BEAM, loads: [{ id: 'a', on: { face: 'right' } }] })).toBe('loads[0].forceN')
  })
  it('refuses a part that can still move as a whole, and says which', () => {
    const through = { id: 'c', kind: 'crack', boxMm: [100, 0, 0, 0, 10, 10] }
    expect(errorOf({ ...BEAM, zones: [through] })).toContain('nothing holds the piece of metal')
    expect(errorOf({ ...BEAM, cellMm: 0.2 })).toContain('cells')
  })
})
