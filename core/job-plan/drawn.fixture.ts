import fc from 'fast-check'
import { findAlloy } from '../metal/find-alloy'
import { KIND_IDS, type KindId } from '../mend/registry'
import { machine } from './machine.fixture'

/** Figures of a mend that are drawn for each kind: those that it needs, within what a bench would mean. */
const between = (min: number, max: number) =>
  fc.double({ min, max, noNaN: true }).map(value => Number(value.toPrecision(5)))
const READINGS: Readonly<Record<KindId, fc.Arbitrary<Record<string, unknown>>>> = {
  crack: fc.record(
    {
      lengthMm: between(8, 250),
      sides: fc.constantFrom(1, 2),
      startsIn: fc.constantFrom('tip', 'hole', 'edge'),
      landMm: between(0, 1),
      capMm: between(0, 3),
    },
    { requiredKeys: ['lengthMm'] },
  ),
  break: fc.record(
    { lengthMm: between(8, 150), keepBreak: fc.boolean(), reach: fc.constantFrom('both', 'one') },
    { requiredKeys: ['lengthMm'] },
  ),
  hole: fc.record({ diameterMm: between(3, 40), plated: fc.boolean() }, { requiredKeys: ['diameterMm'] }),
  edge: fc.record({ longMm: between(5, 120), wideMm: between(2, 20), highMm: between(2, 20) }),
  turned: fc.record({ turnedMm: between(40, 200), wideMm: between(3, 25), deepMm: between(1, 10) }),
  window: fc.record({ wideMm: between(20, 120), highMm: between(20, 120) }),
  overlay: fc.record({ wideMm: between(20, 150), highMm: between(20, 150) }),
  plate: fc.record({ longMm: between(40, 200), wideMm: between(15, 60), plateMm: between(3, 10) }),
  joint: fc.record({ joint: fc.constantFrom('butt', 'tee', 'lap', 'corner'), lengthMm: between(15, 200) }),
  thread: fc.record(
    {
      thread: fc.constantFrom('M6', 'M8', 'M10', 'M14x1.5'),
      deepMm: between(8, 30),
      bossMm: between(16, 45),
      state: fc.constantFrom('stripped', 'oversize', 'crooked', 'leaking', 'failed-insert', 'broken-stud'),
      through: fc.boolean(),
    },
    { requiredKeys: ['thread', 'deepMm', 'state'] },
  ),
  boss: fc.record({
    thread: fc.constantFrom('M8', 'M10'),
    deepMm: between(10, 30),
    bossMm: between(20, 45),
    state: fc.constantFrom('cracked', 'gone', 'stripped'),
  }),
  face: fc.record(
    {
      wideMm: between(6, 40),
      longMm: between(20, 200),
      lowMm: between(0.2, 3),
      how: fc.constantFrom('laid', 'skimmed'),
    },
    { requiredKeys: ['wideMm', 'longMm', 'lowMm'] },
  ),
  bore: fc.record({ boreMm: between(15, 90), deepMm: between(5, 40), lowMm: between(0.1, 1.5) }),
  bent: fc.record({ bentMm: between(0.5, 6), overMm: between(40, 150) }),
}
const ALLOYS = ['356', '380', '6061', '5052', '3003', '319', '413', '5083'] as const

export interface DrawnJob {
  part: Record<string, unknown> & { bodies: { id: string; alloy: string; wallMm: number }[] }
  mends: (Record<string, unknown> & { id: string; kind: KindId })[]
  kit: Record<string, unknown>
}

/** A mend of any kind. */
export const drawnMend = (id: string): fc.Arbitrary<DrawnJob['mends'][number]> =>
  fc.constantFrom(...KIND_IDS).chain(kind => READINGS[kind].map(values => ({ id, kind, ...values })))
const torch = { id: 't', name: 'propylene torch', gas: 'propylene', powerW: 2500, efficiencyPct: 35 }

/** Jobs as a bench might put them: any kind of mend on any part, with one kit or another. */
export const drawnJob: fc.Arbitrary<DrawnJob> = fc
  .record({
    does: fc.constantFrom('seal', 'static', 'cyclic'),
    moves: fc.constantFrom('still', 'spins', 'to-and-fro'),
    soak: fc.constantFrom('dry', 'handled', 'oily', 'oil-soaked'),
    hotC: fc.constantFrom(40, 90, 200),
    stakes: fc.constantFrom('nothing', 'person'),
    alloy: fc.constantFrom(...ALLOYS),
    wallMm: between(1.6, 18),
    massG: fc.option(between(200, 20_000), { nil: undefined }),
    sizes: fc.tuple(between(80, 400), between(60, 300), between(20, 120)),
    kept: fc.option(fc.record({ id: fc.constant('float'), limitC: between(50, 140) }), { nil: undefined }),
    mends: fc
      .integer({ min: 1, max: 4 })
      .chain(count => fc.tuple(...Array.from({ length: count }, (_, n) => drawnMend(`m${n}`)))),
    highA: fc.constantFrom(120, 160, 200, 300),
    ratedPct: fc.constantFrom(20, 35, 60, 100),
    gun: fc.boolean(),
    torch: fc.boolean(),
  })
  .map(
    ({
      does,
      moves,
      soak,
      hotC,
      stakes,
      alloy,
      wallMm,
      massG,
      sizes,
      kept,
      mends,
      highA,
      ratedPct,
      gun,
      torch: has,
    }) => ({
      part: {
        does,
        moves,
        soak,
        hotC,
        stakes,
        ...(massG === undefined ? { lengthMm: sizes[0], widthMm: sizes[1], heightMm: sizes[2] } : { massG }),
        ...(kept ? { keptOn: [kept] } : {}),
        bodies: [{ id: 'a', alloy: findAlloy(alloy)?.name ?? alloy, wallMm }],
      },
      mends: [...mends],
      kit: {
        machines: [machine('ac-tig', highA, ratedPct), ...(gun ? [machine('mig-pulse', highA, ratedPct)] : [])],
        torches: has ? [torch] : [],
        rods: [{ id: 'r', filler: '4043', diameterMm: 2.4, lengthMm: 914, price: 1, count: 20 }],
        gases: [{ id: 'ar', name: 'argon', cylinderL: 2000, price: 46 }],
      },
    }),
  )
