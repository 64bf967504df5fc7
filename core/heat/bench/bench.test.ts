import { describe, expect, it } from 'vitest'
import { NoAnswer } from '../../ask/question'
import { findAlloy } from '../../metal/find-alloy'
import { cutPart } from '../simulate'
import { dissolutionS, softening } from '../softening'
import { backwards } from './backwards'
import { oneChanges } from './changes'
import { PLACE_KINDS } from './places.table'
import { mm } from '../../quantity/stored'
import { heatSetupSchema, type HeatSetup } from './setup.schema'
import { toSimulate, type Surroundings } from './to-simulate'
import { crossing, heatVerdict } from './verdict'

const at = (x: number, y: number, z: number) => ({ x: mm(x), y: mm(y), z: mm(z) })
const seconds = (value: number) => ({ typed: `${value} s`, value })
const AROUND: Surroundings = {
  alloy: '356',
  startC: 20,
  ambientC: 20,
  targetC: 110,
  torch: { powerW: 3000, efficiencyPct: 30 },
}
const PLATE: HeatSetup = heatSetupSchema.parse({
  parts: [{ kind: 'plate', size: { lengthMm: mm(140), widthMm: mm(80), thickMm: mm(8) } }],
  cellMm: mm(4),
  heat: { at: at(30, 40, 8) },
  onS: seconds(240),
  afterS: seconds(300),
  places: [
    { id: 'w', kind: 'weld-zone', at: at(30, 40, 8) },
    { id: 's', kind: 'seal', at: at(136, 40, 4) },
  ],
})
const done = <Out>(steps: Generator<number, Out>): Out => {
  for (;;) {
    const next = steps.next()
    if (next.done) return next.value
  }
}

describe('a set-up of the heat bench', () => {
  it("names what is missing in the bench's words", () => {
    const reason = (change: Partial<HeatSetup>, around = AROUND) => {
      try {
        toSimulate({ ...PLATE, ...change }, around)
        return ''
      } catch (error) {
        return error instanceof NoAnswer ? error.message : 'fault'
      }
    }
    expect(reason({ parts: [{ ...PLATE.parts[0]!, size: { lengthMm: mm(100), widthMm: mm(50) } }] })).toBe(
      'plate: thick is missing',
    )
    expect(reason({ cellMm: { typed: 'small', value: null } })).toBe('the cells is not understood: small')
    expect(reason({}, { ...AROUND, torch: null })).toContain('no torch in the kit')
    expect(reason({ onS: seconds(-300) })).toBe('how long the heat is on must be more than nothing')
    expect(reason({ mesh: 'gone' })).toContain('put it in again')
    expect(reason({}, { ...AROUND, targetC: 600 })).toContain('begins to melt at 557')
  })
  it('walks a ring of its radius in the time of a turn', () => {
    const [source] = toSimulate(
      { ...PLATE, heat: { ...PLATE.heat, kind: 'walked', ringMm: mm(20), turnS: seconds(10) } },
      AROUND,
    ).sources
    expect(source).toMatchObject({ kind: 'torch', speedMmS: expect.closeTo((2 * Math.PI * 20) / 10, 1) })
  })
  it('a lid keeps film and radiation down', () =>
    expect(toSimulate({ ...PLATE, lid: true }, AROUND).losses.filmWm2K).toBeLessThan(
      toSimulate(PLATE, AROUND).losses.filmWm2K,
    ))
})

describe('the verdict', () => {
  const times = [0, 60, 120, 180, 240, 300]
  it('finds crossings between readings', () => {
    expect(crossing(times, [20, 80, 140, 120, 90, 60], 110, true)).toBeCloseTo(90)
    expect(crossing(times, [20, 80, 140, 120, 90, 60], 105, false, 120)).toBeCloseTo(210)
    expect(crossing(times, [20, 30, 40, 50, 60, 70], 110, true)).toBeNull()
  })
  it('says when it is ready, how long it stays warm, and which guard is at risk and when', () => {
    const verdict = heatVerdict(
      PLATE,
      {
        times,
        probes: [
          [20, 80, 140, 120, 90, 60],
          [20, 40, 70, 110, 90, 60],
        ],
      },
      110,
      20,
      120,
    )
    // Keeps until it has fallen a quarter of the way: 87.5 °C, at 245 s; the torch went off at 120 s.
    expect(verdict).toMatchObject({ readyS: expect.closeTo(90), warmForS: expect.closeTo(125), warmBeyond: false })
    expect(verdict.guards[0]).toMatchObject({
      state: 'over',
      limitC: PLACE_KINDS.seal.limitC,
      hottestC: 110,
      hottestS: 180,
      overS: expect.closeTo(165),
    })
  })
  it('takes the coldest of several weld zones', () => {
    const two = { places: [PLATE.places[0]!, { ...PLATE.places[0]!, id: 'w2' }] }
    expect(
      heatVerdict(
        two,
        {
          times,
          probes: [
            [20, 200, 200, 200, 200, 200],
            [20, 20, 20, 20, 110, 120],
          ],
        },
        110,
        20,
        300,
      ).readyS,
    ).toBeCloseTo(240)
  })
})

describe('one change', () => {
  it('strips and a bigger tip are quicker than a cold bench; a change that does not fit is not offered', () => {
    const { asIs, changed } = done(oneChanges(PLATE, AROUND, cutPart(toSimulate(PLATE, AROUND))))
    const ready = Object.fromEntries(changed.map(({ id, verdict }) => [id, verdict.readyS ?? Infinity]))
    expect(ready.bigger).toBeLessThan(asIs.readyS!)
    expect(ready.strips).toBeLessThan(asIs.readyS!)
    expect(ready.held).toBeUndefined()
  })
})

describe('backwards', () => {
  const part = cutPart(toSimulate(PLATE, AROUND))
  it('finds a way that makes the zone ready and keeps the seal cool, and its own run says the same', () => {
    const { best } = done(backwards(PLATE, AROUND, part))
    expect(best).not.toBeNull()
    expect(best!.verdict.guards.every(guard => guard.state !== 'over')).toBe(true)
    expect(best!.verdict.readyS).not.toBeNull()
    expect(best!.hottestC).toBeLessThan(findAlloy('356')!.solidusC)
  })
  it('says that it cannot be done, and what would make it possible: the seal beside the weld out', () => {
    const beside = { ...PLATE, places: [PLATE.places[0]!, { ...PLATE.places[1]!, name: 'seal', at: at(42, 40, 4) }] }
    const result = done(backwards(beside, AROUND, part))
    expect(result.best).toBeNull()
    expect(result.reason).toMatch(/seal comes to|too near melting/)
    expect(result.wouldHelp.map(help => help.words)).toContain('the seal taken out, or kept cool')
  })
  it('says that a torch is too small, and wants a weld zone', () => {
    expect(done(backwards(PLATE, { ...AROUND, torch: { powerW: 60, efficiencyPct: 30 } }, part)).reason).toMatch(
      /gets no further than/,
    )
    expect(() => done(backwards({ ...PLATE, places: [] }, AROUND, part))).toThrow(/where the weld zone is/)
  }, 60_000)
})

describe('softening (Myhr and Grong 1991, from memory)', () => {
  const alloy = findAlloy('6061')!
  const hold = (c: number, s: number) => softening(alloy, [0, s], [c, c])
  it('takes all after ten minutes at 375 °C and nearly nothing at a preheat', () => {
    expect(hold(375, 600).leftPct).toBeCloseTo(0, 6)
    expect(hold(110, 1800).leftPct).toBeGreaterThan(99.5)
    expect(dissolutionS(375)).toBeCloseTo(600, 6)
  })
  it('brackets half an hour at 315 °C, after which 6061-T6 keeps about half to four fifths (handbook exposure curves, from memory)', () => {
    const { lowPct, highPct } = hold(315, 1800)
    expect(lowPct).toBeLessThan(60)
    expect(highPct).toBeGreaterThan(75)
  })
  it('adds up: two halves are one whole', () =>
    expect(softening(alloy, [0, 300, 600], [300, 300, 300]).leftPct).toBeCloseTo(hold(300, 600).leftPct, 9))
  it('has nothing to say of an alloy hardened otherwise', () =>
    expect(() => softening(findAlloy('2024')!, [0, 60], [200, 200])).toThrow(/not hardened by magnesium silicide/))
})
