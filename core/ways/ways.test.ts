import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { drawnJob } from '../job-plan/drawn.fixture'
import { machine } from '../job-plan/machine.fixture'
import { jobPlan } from '../station/question'
import { atOnce, jobGiven } from '../station/job-given'
import type { jobWays } from '../station/ways/question'
import { questions } from '../questions'
import { Front, shownOf, type Figures } from './front'
import { waysOf } from './look'

const KIT = {
  machines: [machine('ac-tig', 200), machine('mig-pulse', 200)],
  torches: [{ id: 'torch', name: 'torch', gas: 'propylene', powerW: 2500, efficiencyPct: 45 }],
  rods: [{ id: 'r', filler: '4043', diameterMm: 2.4, lengthMm: 914, price: 1.2, count: 20 }],
}
const PLATE = {
  kit: KIT,
  part: { soak: 'dry', lengthMm: 200, widthMm: 120, heightMm: 40, bodies: [{ id: 'a', alloy: '356', wallMm: 6 }] },
}
const CRACK = { id: 'c', kind: 'crack', lengthMm: 60 }
const ONE = { ...PLATE, mends: [CRACK] }
/** One machine and no torch: combinations enough, and soon done. */
const TWO = {
  ...PLATE,
  kit: { ...KIT, machines: KIT.machines.slice(0, 1), torches: [] },
  mends: [CRACK, { id: 'e', kind: 'edge', longMm: 40, wideMm: 8, highMm: 6, finish: 'rough' }],
}

type Answer = ReturnType<typeof jobWays.solve>['answer']
function ask(input: unknown): Answer {
  const asked = questions.ask('job.ways', input)
  if (!asked.ok) throw new Error(JSON.stringify(asked.error))
  return asked.answer as Answer
}
function planned(input: unknown): (Figures & { decision: string }) | null {
  const asked = questions.ask('job.plan', input)
  if (!asked.ok) return null
  const { totals, chancePct, decision, mends } = asked.answer as ReturnType<typeof jobPlan.solve>['answer']
  const declined = mends.some(mend => !mend.decision.startsWith('repair'))
  return { price: totals.price, elapsedMin: totals.elapsedMin, chancePct, decision: declined ? 'decline' : decision }
}
const givenOf = (input: object) => jobGiven(jobPlan.input.parse(input))
const keyOf = ({ price, elapsedMin, chancePct }: Figures) =>
  [price, elapsedMin, chancePct].map(value => value.toFixed(6)).join(' ')
const dominates = (a: Figures, b: Figures) =>
  a.price <= b.price && a.elapsedMin <= b.elapsedMin && a.chancePct >= b.chancePct

describe('a front', () => {
  const three = [
    { price: 1, elapsedMin: 9, chancePct: 50 },
    { price: 2, elapsedMin: 5, chancePct: 60 },
    { price: 9, elapsedMin: 1, chancePct: 55 },
  ]
  it('keeps what nothing is better than, and the first of two that are the same', () => {
    const front = new Front<Figures>()
    expect(three.map(one => front.add(one))).toEqual([true, true, true])
    expect(front.add({ price: 2, elapsedMin: 5, chancePct: 60 })).toBe(false)
    expect(front.add({ price: 2, elapsedMin: 6, chancePct: 60 })).toBe(false)
    expect(front.add({ price: 1, elapsedMin: 4, chancePct: 70 })).toBe(true)
    expect(front.kept).toEqual([three[2], { price: 1, elapsedMin: 4, chancePct: 70 }])
  })
  it('holds none that another one dominates, and one for each that was put in', () =>
    fc.assert(
      fc.property(
        fc.array(fc.record({ price: fc.nat(6), elapsedMin: fc.nat(6), chancePct: fc.nat(6) }), { maxLength: 40 }),
        all => {
          const front = new Front<Figures>()
          for (const one of all) front.add(one)
          for (const a of front.kept) for (const b of front.kept) expect(a !== b && dominates(a, b)).toBe(false)
          for (const one of all) expect(front.kept.some(kept => dominates(kept, one))).toBe(true)
        },
      ),
    ))
  it('shows the ends of it whatever is left out', () =>
    fc.assert(
      fc.property(fc.array(fc.tuple(fc.nat(99), fc.nat(99), fc.nat(99)), { minLength: 1, maxLength: 60 }), all => {
        const front = new Front<Figures>()
        for (const [price, elapsedMin, chancePct] of all) front.add({ price, elapsedMin, chancePct })
        const shown = shownOf(front.kept, 5, null)
        expect(shown.length).toBe(Math.min(5, front.kept.length))
        const ends = [
          (list: readonly Figures[]) => Math.min(...list.map(one => one.price)),
          (list: readonly Figures[]) => Math.min(...list.map(one => one.elapsedMin)),
          (list: readonly Figures[]) => Math.max(...list.map(one => one.chancePct)),
        ]
        for (const end of ends) expect(end(shown)).toBe(end(front.kept))
      }),
    ))
})

describe('job.ways', () => {
  it('is the same set as every combination asked one by one', () => {
    const fillers = (
      questions.ask('filler.choose', { baseA: '356' }) as never as {
        answer: { ranked: { filler: string; verdict: string }[] }
      }
    ).answer.ranked.filter(row => row.verdict !== 'never' && /^\d/.test(row.filler))
    const warms = ['auto', 'none', { toC: 58, torch: 'torch' }, { toC: 105, torch: 'torch' }]
    const front = new Front<Figures>()
    let asked = 0
    for (const warm of warms)
      for (const process of ['ac-tig', 'mig-pulse', 'zinc-rod-braze', 'al-si-braze'])
        for (const { filler } of /braze/.test(process) ? [{ filler: undefined }] : fillers)
          for (const finish of ['proud', 'rough', 'blend']) {
            const found = planned({ ...ONE, warm, mends: [{ ...CRACK, lays: [{ process, filler }], finish }] })
            asked++
            if (found?.decision.startsWith('repair')) front.add(found)
          }
    const { ways, all, looked } = ask({ ...ONE, most: 60 })
    expect(all).toBe(true)
    expect(looked).toBeGreaterThan(asked / 4)
    expect(new Set(ways.map(keyOf))).toEqual(new Set(front.kept.map(keyOf)))
  })
  it('finds by searching what all combinations have', () => {
    const job = givenOf(TWO)
    const every = atOnce(waysOf(job, 60, Infinity))
    const searched = atOnce(waysOf(job, 60, every.looked / 3))
    expect([every.all, searched.all]).toEqual([true, false])
    expect(searched.looked).toBeLessThanOrEqual(every.looked / 3)
    expect(new Set(searched.ways.map(keyOf))).toEqual(new Set(every.ways.map(keyOf)))
  })
  it(
    'of any job: each way asked by itself is what it says, none is worse than another, all mend',
    () =>
      fc.assert(
        fc.property(drawnJob, job => {
          const { ways, now } = ask({ ...job, mends: job.mends.slice(0, 2) })
          for (const [n, way] of ways.entries()) {
            const alone = planned(way.input)
            expect(alone && keyOf(alone)).toBe(keyOf(way))
            expect(ways.some((other, m) => m !== n && dominates(other, way))).toBe(false)
          }
          const own = planned({ ...job, mends: job.mends.slice(0, 2) })
          if (now !== null) expect(own && keyOf(own)).toBe(keyOf(ways[now]!))
          else if (own?.decision.startsWith('repair')) expect(ways.some(way => dominates(way, own))).toBe(true)
        }),
        { numRuns: 3, seed: 41 },
      ),
    120_000,
  )
  it('says the same twice', () => expect(ask(ONE)).toEqual(ask(ONE)))
  it('leaves a mend out only where the part does its work without it', () => {
    const leftOut = (input: object) => ask(input).ways.some(way => way.choices.some(({ took }) => took === 'left-out'))
    expect(leftOut(TWO)).toBe(false)
    const spare = {
      ...TWO,
      mends: [
        { ...CRACK, finish: 'rough' },
        { ...TWO.mends[1], spare: true },
      ],
    }
    expect(leftOut(spare)).toBe(true)
    for (const { input, choices } of ask(spare).ways)
      expect((input.mends as unknown[]).length).toBe(choices.some(({ took }) => took === 'left-out') ? 1 : 2)
  })
  it('buys a piece only where its price is known, and counts that', () => {
    const plate = { id: 'p', kind: 'plate', longMm: 80, wideMm: 40, plateMm: 5 }
    const supplied = (boughtFor?: number) =>
      ask({ ...PLATE, mends: [{ ...plate, boughtFor }] }).ways.map(
        way => way.choices.find(({ about }) => about === 'supplied')?.took,
      )
    expect(new Set(supplied())).toEqual(new Set([undefined]))
    expect(supplied(0.5)).toContain('bought')
    expect(supplied(500)).toContain('made')
  })
  it('is no way to decline, nor to send on', () => {
    expect(ask({ ...ONE, part: { ...PLATE.part, safetyCritical: 'lifting' } })).toMatchObject({ ways: [], now: null })
    expect(ask({ ...ONE, part: { ...PLATE.part, newPrice: 1 } }).ways).toEqual([])
  })
  it('refuses what is no job by its names', () => {
    expect(questions.ask('job.ways', { ...ONE, most: 1 })).toMatchObject({ error: { issues: [{ path: 'most' }] } })
    expect(questions.ask('job.ways', {})).toMatchObject({ error: { issues: [{ path: 'part' }, { path: 'mends' }] } })
  })
})
