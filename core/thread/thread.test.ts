import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { questions } from '../questions'
import { compareBoss } from './boss'
import { stressAreaMm2, tapDrills, threadDims, threadPct } from './dims'
import { findThread } from './find'
import { identifyThread, readPitchMm } from './identify'
import { findAlloy } from '../metal/find-alloy'
import { threadInsert } from './insert'
import { THREADS } from './list'
import { threadStrength } from './strength'

/**
 * Golden rows, from the standards' own tables, typed in apart from the application's: designation; pitch or effective
 * diameter; minor diameter of the nut; stress area (ISO 724, ISO 898-1, ASME B1.1, ISO 228-1, BS 84, BS 93, ASME
 * B1.20.1; from memory). Inches by `in`.
 */
const inch = (value: number) => value * 25.4
type Golden = readonly [name: string, pitchDiameterMm: number, minorMm: number, stressAreaMm2?: number]
const GOLDEN: readonly Golden[] = [
  ['M1.6', 1.373, 1.221, 1.27],
  ['M2', 1.74, 1.567, 2.07],
  ['M2.5', 2.208, 2.013, 3.39],
  ['M3', 2.675, 2.459, 5.03],
  ['M3.5', 3.11, 2.85, 6.78],
  ['M4', 3.545, 3.242, 8.78],
  ['M5', 4.48, 4.134, 14.2],
  ['M6', 5.35, 4.917, 20.1],
  ['M7', 6.35, 5.917, 28.9],
  ['M8', 7.188, 6.647, 36.6],
  ['M10', 9.026, 8.376, 58],
  ['M12', 10.863, 10.106, 84.3],
  ['M14', 12.701, 11.835, 115],
  ['M16', 14.701, 13.835, 157],
  ['M18', 16.376, 15.294, 192],
  ['M20', 18.376, 17.294, 245],
  ['M22', 20.376, 19.294, 303],
  ['M24', 22.051, 20.752, 353],
  ['M27', 25.051, 23.752, 459],
  ['M30', 27.727, 26.211, 561],
  ['M33', 30.727, 29.211, 694],
  ['M36', 33.402, 31.67, 817],
  ['M39', 36.402, 34.67, 976],
  ['M42', 39.077, 37.129, 1120],
  ['M48', 44.752, 42.587, 1470],
  ['M56', 52.428, 50.046, 2030],
  ['M64', 60.103, 57.505, 2680],
  ['M8x1', 7.35, 6.917, 39.2],
  ['M10x1', 9.35, 8.917, 64.5],
  ['M10x1.25', 9.188, 8.647, 61.2],
  ['M12x1.25', 11.188, 10.647, 92.1],
  ['M12x1.5', 11.026, 10.376, 88.1],
  ['M14x1.5', 13.026, 12.376, 125],
  ['M16x1.5', 15.026, 14.376, 167],
  ['M18x1.5', 17.026, 16.376, 216],
  ['M20x1.5', 19.026, 18.376, 272],
  ['M22x1.5', 21.026, 20.376, 333],
  ['M24x2', 22.701, 21.835, 384],
  ['M30x2', 28.701, 27.835, 621],
  ...(
    [
      ['#4-40 UNC', 0.0958, 0.0849, 0.00604],
      ['#6-32 UNC', 0.1177, 0.1042, 0.00909],
      ['#8-32 UNC', 0.1437, 0.1302, 0.014],
      ['#10-24 UNC', 0.1629, 0.1449, 0.0175],
      ['1/4-20 UNC', 0.2175, 0.1959, 0.0318],
      ['5/16-18 UNC', 0.2764, 0.2524, 0.0524],
      ['3/8-16 UNC', 0.3344, 0.3073, 0.0775],
      ['7/16-14 UNC', 0.3911, 0.3602, 0.1063],
      ['1/2-13 UNC', 0.45, 0.4167, 0.1419],
      ['9/16-12 UNC', 0.5084, 0.4723, 0.182],
      ['5/8-11 UNC', 0.566, 0.5266, 0.226],
      ['3/4-10 UNC', 0.685, 0.6417, 0.334],
      ['7/8-9 UNC', 0.8028, 0.7547, 0.462],
      ['1-8 UNC', 0.9188, 0.8647, 0.606],
      ['1-1/8-7 UNC', 1.0322, 0.9704, 0.763],
      ['1-1/4-7 UNC', 1.1572, 1.0954, 0.969],
      ['1-3/8-6 UNC', 1.2667, 1.1946, 1.155],
      ['1-1/2-6 UNC', 1.3917, 1.3196, 1.405],
      ['#10-32 UNF', 0.1697, 0.1562, 0.02],
      ['1/4-28 UNF', 0.2268, 0.2113, 0.0364],
      ['5/16-24 UNF', 0.2854, 0.2674, 0.058],
      ['3/8-24 UNF', 0.3479, 0.3299, 0.0878],
      ['7/16-20 UNF', 0.405, 0.3834, 0.1187],
      ['1/2-20 UNF', 0.4675, 0.4459, 0.1599],
      ['9/16-18 UNF', 0.5264, 0.5024, 0.203],
      ['5/8-18 UNF', 0.5889, 0.5649, 0.256],
      ['3/4-16 UNF', 0.7094, 0.6823, 0.373],
      ['7/8-14 UNF', 0.8286, 0.7977, 0.509],
      ['1-12 UNF', 0.9459, 0.9098, 0.663],
      ['#4-48 UNF', 0.0985, 0.0894, 0.00661],
      ['#6-40 UNF', 0.1218, 0.1109, 0.01015],
      ['#8-36 UNF', 0.146, 0.1339, 0.01474],
      ['1/4-32 UNEF', 0.2297, 0.2162, 0.0379],
      ['5/16-32 UNEF', 0.2922, 0.2787, 0.0625],
      ['3/8-32 UNEF', 0.3547, 0.3412, 0.0932],
      ['1/2-28 UNEF', 0.4768, 0.4613, 0.17],
      ['3/4-20 UNEF', 0.7175, 0.6959, 0.386],
      ['1-20 UNEF', 0.9675, 0.9459, 0.711],
    ] as const
  ).map(([name, pitch, minor, area]) => [name, inch(pitch), inch(minor), area * 25.4 ** 2] as Golden),
  ['G1/8', 9.147, 8.566],
  ['G1/4', 12.301, 11.445],
  ['G3/8', 15.806, 14.95],
  ['G1/2', 19.793, 18.631],
  ['G3/4', 25.279, 24.117],
  ['G1', 31.77, 30.291],
  ['G1-1/4', 40.431, 38.952],
  ['G1-1/2', 46.324, 44.845],
  ['G2', 58.135, 56.656],
  ['R1/8', 9.147, 8.566],
  ['R1/4', 12.301, 11.445],
  ['R3/8', 15.806, 14.95],
  ['R1/2', 19.793, 18.631],
  ['R3/4', 25.279, 24.117],
  ['R1', 31.77, 30.291],
  ...(
    [
      ['1/4 BSW', 0.218, 0.186],
      ['5/16 BSW', 0.2769, 0.2413],
      ['3/8 BSW', 0.335, 0.295],
      ['7/16 BSW', 0.3918, 0.3461],
      ['1/2 BSW', 0.4466, 0.3932],
      ['5/8 BSW', 0.5668, 0.5086],
      ['3/4 BSW', 0.686, 0.622],
      ['1 BSW', 0.92, 0.84],
      ['1/4 BSF', 0.2254, 0.2008],
      ['5/16 BSF', 0.2834, 0.2543],
      ['3/8 BSF', 0.343, 0.311],
      ['1/2 BSF', 0.46, 0.42],
      ['5/8 BSF', 0.5793, 0.5336],
      ['3/4 BSF', 0.6966, 0.6432],
    ] as const
  ).map(([name, pitch, minor]) => [name, inch(pitch), inch(minor)] as Golden),
  ['0 BA', 5.4, 4.8],
  ['1 BA', 4.76, 4.22],
  ['2 BA', 4.215, 3.73],
  ['3 BA', 3.66, 3.22],
  ['4 BA', 3.205, 2.81],
  ['5 BA', 2.845, 2.49],
  ['6 BA', 2.48, 2.16],
  ['8 BA', 1.94, 1.68],
  ['10 BA', 1.49, 1.28],
]
/** ASME B1.20.1, table 2: E1 in inches, from memory. */
const E1: readonly (readonly [string, number])[] = [
  ['1/16-27 NPT', 0.28118],
  ['1/8-27 NPT', 0.3736],
  ['1/4-18 NPT', 0.49163],
  ['3/8-18 NPT', 0.62701],
  ['1/2-14 NPT', 0.77843],
  ['3/4-14 NPT', 0.98887],
  ['1-11.5 NPT', 1.23863],
  ['1-1/4-11.5 NPT', 1.58338],
  ['1-1/2-11.5 NPT', 1.82234],
  ['2-11.5 NPT', 2.29627],
]

describe("threads against the standards' tables", () => {
  it('holds at least 120 of them', () => expect(GOLDEN.length + E1.length).toBeGreaterThanOrEqual(120))
  it.each(GOLDEN.map(row => ({ row, name: row[0] })))('$name', ({ row: [name, pitchDiameter, minor, area] }) => {
    const thread = findThread(name)!
    const tolerance = name.includes('BA') ? 0.015 : 0.004
    expect(Math.abs(thread.pitchDiameterMm - pitchDiameter)).toBeLessThan(tolerance)
    expect(Math.abs(thread.minorInternalMm - minor)).toBeLessThan(
      name.includes('BSW') || name.includes('BSF') ? 0.01 : tolerance,
    )
    if (area !== undefined) expect(stressAreaMm2(thread)! / area).toBeCloseTo(1, 1.8)
  })
  it.each(E1.map(row => ({ row, name: row[0] })))('$name', ({ row: [name, e1] }) =>
    expect(Math.abs(findThread(name)!.pitchDiameterMm - inch(e1))).toBeLessThan(0.003),
  )
  it('every row keeps its order: minor, pitch diameter, major; a name once', () => {
    for (const thread of THREADS) {
      expect(
        thread.minorExternalMm <= thread.minorInternalMm &&
          thread.minorInternalMm < thread.pitchDiameterMm &&
          thread.pitchDiameterMm < thread.majorMm,
        thread.designation,
      ).toBe(true)
      expect(findThread(thread.designation), thread.designation).toBe(thread)
      expect(tapDrills(thread).length, thread.designation).toBeGreaterThan(0)
    }
    expect(new Set(THREADS.map(thread => thread.designation)).size).toBe(THREADS.length)
  })
})

describe('a designation as people write it', () => {
  it.each([
    ['m10', 'M10x1.5'],
    ['M10 x 1.25', 'M10x1.25'],
    ['M8×1.25-6H', 'M8x1.25'],
    ['3/8-16', '3/8-16 UNC'],
    ['10-32', '#10-32 UNF'],
    ['#10-24 UNC', '#10-24 UNC'],
    ['1/4 UNF', '1/4-28 UNF'],
    ['1 1/4-7 UNC-2B', '1-1/4-7 UNC'],
    ['G 1/4', 'G1/4'],
    ['1/4 BSP', 'G1/4'],
    ['BSPT 1/2', 'R1/2'],
    ['1/4 NPT', '1/4-18 NPT'],
    ['1/4-18NPT', '1/4-18 NPT'],
    ['1/4 bsw', '1/4 BSW'],
    ['2BA', '2 BA'],
    ['g1 1/2', 'G1-1/2'],
  ])('%s', (written, designation) => expect(findThread(written)?.designation).toBe(designation))
  it('makes a metric thread that no list holds, and refuses what is none, with the nearest', () => {
    expect(findThread('M15x1.2')).toMatchObject({ pitchDiameterMm: expect.closeTo(15 - 0.649519 * 1.2, 5) })
    expect(questions.ask('thread.dims', { designation: 'M10x9' })).toMatchObject({
      ok: false,
      error: {
        kind: 'invalid-input',
        issues: [{ path: 'designation', message: expect.stringContaining('no such thread') }],
      },
    })
  })
})

describe('tap drills', () => {
  it('leave what the textbook says: 8.5 mm in M10 77 %, 6.8 mm in M8 74 % (ISO 2306 drills, from memory)', () => {
    expect(threadPct(findThread('M10')!, 8.5)).toBeCloseTo(77, 0)
    expect(threadPct(findThread('M8')!, 6.8)).toBeCloseTo(73.9, 0)
    expect(threadPct(findThread('1/4-20 UNC')!, 0.201 * 25.4)).toBeCloseTo(75.4, 0)
    expect(threadDims(findThread('M6')!).tapDrills.map(drill => drill.name)).toContain('5 mm')
    expect(threadDims(findThread('3/8-16 UNC')!).tapDrills.map(drill => drill.name)).toContain('5/16 in')
  })
  it("of taper pipe threads are the standard's own: NPT 1/4 is 7/16 in, 1/2 is 45/64 in, 2 is 2 3/16 in; R 1/2 is 18.25 mm (with ASME B1.20.1 and ISO 7-1, from memory)", () => {
    for (const [name, drill, mm] of [
      ['1/4-18 NPT', '7/16 in', 11.1],
      ['1/2-14 NPT', '45/64 in', 17.9],
      ['2-11.5 NPT', '2 3/16 in', 55.6],
      ['1-1/4-11.5 NPT', '1 31/64 in', 37.7],
      ['R1/2', '18.25 mm', 18.25],
    ] as const) {
      const [first] = threadDims(findThread(name)!).tapDrills
      expect([first!.name, first!.mm.toFixed(1)]).toEqual([drill, mm.toFixed(1)])
    }
    expect(threadDims(findThread('1/4 NPT')!).tapDrills.every(drill => Math.abs(drill.mm - 11.1125) <= 0.1)).toBe(true)
  })
})

describe('what thread is this?', () => {
  let state = 11
  const random = () => (state = (state * 1103515245 + 12345) % 2 ** 31) / 2 ** 31
  const error = () => (0.05 * (random() + random() + random() - 1.5)) / 0.5
  const measured = (side: 'male' | 'female', thread: (typeof THREADS)[number]) => ({
    side,
    diameterMm: (side === 'male' ? thread.majorMm : thread.minorInternalMm) + error(),
    uncertaintyMm: 0.05,
    region: 'any' as const,
  })
  // Threads that share diameter and pitch with a more usual one (BSW with UNC, NPTF with NPT, R and Rp with G) are told
  // apart by flank and taper.
  const full = (thread: (typeof THREADS)[number]) => ({ flankDeg: thread.flankDeg, taperDeg: thread.taperDeg })
  it('is right first on at least 95 % with pitch, flank and taper measured, 0.05 mm of error', () => {
    const tried = THREADS.filter(thread => thread.system !== 'NPTF' && thread.system !== 'Rp')
    const right = tried.filter(
      thread =>
        identifyThread({
          ...measured('male', thread),
          pitchMm: thread.pitchMm * (1 + 0.005 * (random() - 0.5)),
          ...full(thread),
        }).ranked[0]?.designation === thread.designation,
    )
    expect(right.length / tried.length).toBeGreaterThan(0.95)
  })
  it('is right first on at least 95 % of the usual threads with the pitch alone', () => {
    const tried = THREADS.filter(thread => ['metric', 'metric-fine', 'UNC', 'UNF', 'G', 'NPT'].includes(thread.system))
    const right = tried.filter(
      thread =>
        identifyThread({ ...measured('male', thread), pitchMm: thread.pitchMm }).ranked[0]?.designation ===
        thread.designation,
    )
    expect(right.length / tried.length).toBeGreaterThan(0.95)
  })
  it('has it among the first three on at least 95 % with the region known, inside and out', () => {
    const region = {
      metric: 'metric',
      'metric-fine': 'metric',
      UNC: 'inch',
      UNF: 'inch',
      G: 'hydraulic',
      NPT: 'hydraulic',
    } as const
    for (const side of ['male', 'female'] as const) {
      const tried = THREADS.filter(thread => thread.system in region)
      const found = tried.filter(thread =>
        identifyThread({
          ...measured(side, thread),
          pitchMm: thread.pitchMm,
          region: region[thread.system as keyof typeof region],
        })
          .ranked.slice(0, 3)
          .some(entry => entry.designation === thread.designation),
      )
      expect(found.length / tried.length, side).toBeGreaterThan(0.95)
    }
  })
  it('finds a hydraulic pipe thread that no bolt matches: 13.1 mm at 19 threads an inch is G1/4', () => {
    expect(questions.ask('thread.identify', { side: 'male', diameterMm: 13.1, tpi: 19 })).toMatchObject({
      ok: true,
      answer: {
        ranked: expect.arrayContaining([
          expect.objectContaining({ designation: 'G1/4', diameterErrorMm: expect.closeTo(-0.057, 3) }),
        ]),
      },
    })
    expect(
      identifyThread({ side: 'male', diameterMm: 13.1, pitchMm: 25.4 / 19, uncertaintyMm: 0.1, region: 'any' })
        .ranked[0]!.designation,
    ).toBe('G1/4')
  })
  it('warns of look-alikes and says what would settle it', () => {
    const found = identifyThread({
      side: 'male',
      diameterMm: 9.5,
      uncertaintyMm: 0.1,
      pitchMm: 25.4 / 16,
      region: 'any',
    })
    expect(found.ranked[0]!.designation).toBe('3/8-16 UNC')
    expect(found.confusable).toContain('3/8 BSW')
    expect(identifyThread({ side: 'male', diameterMm: 9.95, uncertaintyMm: 0.1, region: 'any' }).next).toContain(
      'pitch',
    )
  })
  it('gives probabilities that sum to no more than one, best first, for anything measured', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 60, noNaN: true }),
        fc.option(fc.double({ min: 0.2, max: 6, noNaN: true }), { nil: undefined }),
        fc.constantFrom('male' as const, 'female' as const),
        (diameterMm, pitchMm, side) => {
          const { ranked } = identifyThread({ side, diameterMm, pitchMm, uncertaintyMm: 0.1, region: 'any' })
          const sum = ranked.reduce((total, entry) => total + entry.probability, 0)
          return (
            sum <= 1 + 1e-9 && ranked.every((entry, n) => n === 0 || entry.probability <= ranked[n - 1]!.probability)
          )
        },
      ),
      { numRuns: 200, seed: 7 },
    )
  })
  it('refuses what is near nothing', () =>
    expect(questions.ask('thread.identify', { side: 'male', diameterMm: 100, pitchMm: 0.3 })).toMatchObject({
      ok: false,
      error: { kind: 'no-answer' },
    }))
})

describe('strength', () => {
  it('breaks an 8.8 bolt at its standard load: M10 46.4 kN, M8 29.2 kN, M12 67.4 kN (ISO 898-1, table of minimum ultimate loads, from memory)', () => {
    for (const [name, kN] of [
      ['M8', 29.2],
      ['M10', 46.4],
      ['M12', 67.4],
    ] as const)
      expect(threadStrength(findThread(name)!, 20, 800, 250).boltBreakN / 1000).toBeCloseTo(kN, 0)
  })
  it("is Barrett's shear area of the nut thread at basic size, ⅞ π d a millimetre, and ¾ π D1 for the bolt (NASA RP-1228 gives these as H28, from memory)", () => {
    const m10 = findThread('M10')!
    const { bodyStripN, boltStripN } = threadStrength(m10, 10, 800, 200)
    expect(bodyStripN).toBeCloseTo((Math.PI * 10 * 10 * 0.875 * 200) / Math.sqrt(3), 0)
    expect(boltStripN).toBeCloseTo((Math.PI * m10.minorInternalMm * 10 * 0.75 * 800) / Math.sqrt(3), 0)
  })
  it('in aluminium wants about two diameters to break the bolt (common practice, no source)', () => {
    const { engagementToBreakBoltMm, governs } = threadStrength(findThread('M10')!, 10, 800, 200)
    expect(engagementToBreakBoltMm / 10).toBeGreaterThan(1.2)
    expect(engagementToBreakBoltMm / 10).toBeLessThan(2.5)
    expect(governs).toBe('body-thread')
    expect(threadStrength(findThread('M10')!, engagementToBreakBoltMm * 1.01, 800, 200).governs).toBe('bolt')
  })
  it('has no answer for a pipe taper', () =>
    expect(
      questions.ask('thread.strength', { designation: '1/4 NPT', engagementMm: 10, bodyUtsMPa: 200 }),
    ).toMatchObject({ ok: false, error: { kind: 'no-answer' } }))
})

describe('inserts and bosses', () => {
  it('drills 10.3 mm and taps 11.95 mm for a wire insert of M10, 8.3 and 9.62 mm for M8 (insert hole tables, from memory)', () => {
    expect(threadInsert(findThread('M10')!, 'wire')).toMatchObject({
      drillMm: expect.closeTo(10.325, 2),
      tapMajorMm: expect.closeTo(11.948, 2),
    })
    expect(threadInsert(findThread('M8')!, 'wire')).toMatchObject({
      drillMm: expect.closeTo(8.27, 2),
      tapMajorMm: expect.closeTo(9.624, 2),
    })
    expect(() => threadInsert(findThread('G1/4')!, 'wire')).toThrow(/no insert/)
  })
  const compare = (change: object = {}) =>
    compareBoss({
      thread: findThread('M8')!,
      boltUtsMPa: 800,
      torqueNm: 24,
      depthMm: 16,
      bossMm: 22,
      body: findAlloy('356')!,
      filler: findAlloy('4043')!,
      slug: findAlloy('6061')!,
      ...change,
    })
  it('loads a bolt by its torque: 24 N·m on M8 is 15 kN', () => expect(compare().loadN).toBeCloseTo(15_000, 0))
  it("a slug of 6061 holds more than soft weld metal, an insert's wider thread more than the bolt's own", () => {
    const by = Object.fromEntries(compare().ranked.map(row => [row.method, row]))
    expect(by['pressed-slug']!.stripN).toBeGreaterThan(by['weld-and-tap']!.stripN * 0.9)
    expect(by['wire-insert']!.reasons.join()).toContain('wider thread')
    expect(compare().ranked[0]!.factor).toBeGreaterThan(1.5)
  })
  it('rules out what leaves no wall, and says so', () => {
    const thin = Object.fromEntries(compare({ bossMm: 12 }).ranked.map(row => [row.method, row]))
    expect(thin['solid-insert']).toMatchObject({
      possible: false,
      reasons: expect.arrayContaining([expect.stringMatching(/leaves .* mm of wall/)]),
    })
    expect(() => compare({ bossMm: 7 })).toThrow(/there is no wall/)
  })
})

describe('a pitch as typed', () => {
  it.each([
    ['19', 25.4 / 19],
    ['19 tpi', 25.4 / 19],
    ['4 tpi', 6.35],
    ['1.25 mm', 1.25],
    ['1.25', 1.25],
    ['0.05 in', 1.27],
    ['', null],
    ['about one', null],
    ['0 tpi', null],
  ])('%j', (text, mm) => {
    const read = readPitchMm(text, 'metric')
    if (mm === null) expect(read).toBeNull()
    else expect(read).toBeCloseTo(mm, 9)
  })
})
