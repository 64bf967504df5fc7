import { describe, expect, it } from 'vitest'
import { questions } from '../questions'
import type { jobPlan } from '../station/question'
import type { jobMatters } from '../station/matters/question'
import { firstOrder, hypercube, percentile, shareOfGroups } from './shares'

type Answer = ReturnType<typeof jobMatters.solve>['answer']
function ask(input: unknown): Answer {
  const asked = questions.ask('job.matters', input)
  if (!asked.ok) throw new Error(JSON.stringify(asked.error))
  return asked.answer as Answer
}
function planned(input: unknown) {
  const asked = questions.ask('job.plan', input)
  if (!asked.ok) throw new Error(JSON.stringify(asked.error))
  return asked.answer as ReturnType<typeof jobPlan.solve>['answer']
}
const of = (answer: Answer, path: string) => answer.readings.find(reading => reading.path === path)!

const JOB = {
  part: { soak: 'dry', massG: 900, bodies: [{ id: 'a', alloy: '356', wallMm: 6 }] },
  mends: [{ id: 'c', kind: 'crack', lengthMm: 60 }],
}
/** Everything that stands in a job as sure as can be, but for what is said. */
const onlySure = (job: typeof JOB, ...unsure: object[]) => ({
  ...job,
  sure: [
    ...unsure,
    ...['part.massG', 'part.bodies[0].wallMm', 'mends[0].lengthMm']
      .filter(path => !unsure.some(one => 'path' in one && one.path === path))
      .map(path => ({ path, plusMinus: 0 })),
  ],
})

describe('shares of a spread', () => {
  /** Ishigami and Homma 1990, a = 7, b = 0.1; indices in closed form, as in Saltelli et al. 2008. */
  const ishigami = (x: number, y: number, z: number) => Math.sin(x) + 7 * Math.sin(y) ** 2 + 0.1 * z ** 4 * Math.sin(x)
  const A = 7
  const B = 0.1
  const variance = A ** 2 / 8 + (B * Math.PI ** 4) / 5 + (B ** 2 * Math.PI ** 8) / 18 + 0.5
  const exact = [0.5 * (1 + (B * Math.PI ** 4) / 5) ** 2, A ** 2 / 8, 0].map(part => part / variance)
  it.each([1, 2, 3])('of the Ishigami function lie within 0.03 of their closed forms (seed %i)', seed => {
    const places = hypercube(3, 2000, seed)
    const at = (r: number, n: number) => Math.PI * (2 * places[r]![n]! - 1)
    const answers = Float64Array.from({ length: 2000 }, (_, n) => ishigami(at(0, n), at(1, n), at(2, n)))
    for (const [r, share] of exact.entries())
      expect(Math.abs(firstOrder(places[r]!, answers) - share)).toBeLessThan(0.03)
  })
  it('of a sum are the squares of its terms, of groups what they differ by', () => {
    const [a, b] = hypercube(2, 800, 7) as [Float64Array, Float64Array]
    const sum = Float64Array.from(a, (place, n) => 3 * place + b[n]!)
    expect(firstOrder(a, sum)).toBeCloseTo(0.9, 1)
    expect(firstOrder(b, sum)).toBeCloseTo(0.1, 1)
    const groups = [...a].map(place => (place < 0.5 ? 0 : 1))
    expect(
      shareOfGroups(
        groups,
        Float64Array.from(groups, group => group * 5),
      ),
    ).toBeCloseTo(1, 6)
    expect(firstOrder(a, new Float64Array(800).fill(4))).toBe(0)
  })
  it('cut every reading into equal parts, one draw in each', () => {
    for (const places of hypercube(4, 50, 3))
      expect([...places].toSorted().map(place => Math.floor(place * 50))).toEqual(
        Array.from({ length: 50 }, (_, n) => n),
      )
  })
  it('a percentile is the straight line between', () => {
    expect(percentile(Float64Array.from([4, 1, 3, 2]), 50)).toBe(2.5)
    expect(percentile(Float64Array.from([7]), 10)).toBe(7)
  })
})

describe('job.matters', () => {
  it('a price that is linear in one unsure reading has its spread', () => {
    const plate = { id: 'c', kind: 'plate', longMm: 80, wideMm: 40, plateMm: 5, supplied: 'bought', boughtFor: 100 }
    const answer = ask({
      part: { ...JOB.part },
      mends: [plate],
      sure: [
        { path: 'mends[0].boughtFor', plusMinus: 20 },
        ...[
          'part.massG',
          'part.bodies[0].wallMm',
          ...['longMm', 'wideMm', 'plateMm'].map(key => `mends[0].${key}`),
        ].map(path => ({ path, pct: 0 })),
      ],
    })
    const { totals } = planned({ part: JOB.part, mends: [plate] })
    // A tenth of a normal lies more than 1.2816 deviations below its mean: any table of it.
    expect(answer.price.mid).toBeCloseTo(totals.price, 2)
    expect(answer.price.mid - answer.price.low).toBeCloseTo(12.816, 1)
    expect(answer.price.high - answer.price.mid).toBeCloseTo(12.816, 1)
    expect(of(answer, 'mends[0].boughtFor')).toMatchObject({ turnsPct: 0, worth: 0 })
    expect(of(answer, 'mends[0].boughtFor').sharePct).toBeGreaterThan(99)
  })
  it('of two metals at even odds half the draws are each, and what each decides is what its plan says', () => {
    const answer = ask(
      onlySure(JOB, {
        path: 'part.bodies[0].alloy',
        oneOf: [
          { value: '356', pct: 50 },
          { value: '7075', pct: 50 },
        ],
      }),
    )
    expect(new Map(answer.decision.map(({ took, pct }) => [took, pct]))).toEqual(
      new Map([
        [planned(JOB).decision, 50],
        ['decline', 50],
      ]),
    )
    expect(of(answer, 'part.bodies[0].alloy')).toMatchObject({ turnsPct: 50 })
  })
  it('is worth what is not spent in vain: by hand, on a price of new that is one of two', () => {
    const { totals, chancePct } = planned(JOB)
    const declined = planned({ ...JOB, part: { ...JOB.part, newPrice: 5 } })
    const answer = ask(
      onlySure(
        { ...JOB, part: { ...JOB.part, newPrice: 1000 } as typeof JOB.part },
        {
          path: 'part.newPrice',
          oneOf: [
            { value: 1000, pct: 60 },
            { value: 5, pct: 40 },
          ],
        },
      ),
    )
    const byHand = 0.4 * (totals.price * (1 - chancePct / 100) - declined.totals.price * (1 - declined.chancePct / 100))
    expect(of(answer, 'part.newPrice').worth).toBeCloseTo(byHand, 6)
    expect(answer.readings[0]!.path).toBe('part.newPrice')
  })
  it('what is sure makes nothing, and a job that is sure of everything has one price', () => {
    const answer = ask(onlySure(JOB))
    const { totals } = planned(JOB)
    expect(answer.price).toEqual({ low: totals.price, mid: totals.price, high: totals.price })
    for (const reading of answer.readings) expect(reading).toMatchObject({ sharePct: 0, turnsPct: 0, worth: 0 })
  })
  it('draws the numbers that stand in it, by how such things are measured; the rest where it is said', () => {
    const paths = (sure: object[] = []) =>
      ask({ ...JOB, sure, draws: 40 })
        .readings.map(({ path }) => path)
        .toSorted()
    expect(paths()).toEqual(['mends[0].lengthMm', 'part.bodies[0].wallMm', 'part.massG'])
    expect(paths([{ path: 'part.hotC', plusMinus: '40 F' }])).toContain('part.hotC')
  })
  it('more unsure is no narrower', () => {
    const wide = (pct: number) => {
      const { price } = ask({ ...onlySure(JOB, { path: 'part.bodies[0].wallMm', pct }), draws: 100 })
      return price.high - price.low
    }
    expect(wide(40)).toBeGreaterThan(wide(10))
    expect(wide(10)).toBeGreaterThan(wide(2))
  })
  it('says the same twice', () => expect(ask({ ...JOB, draws: 60 })).toEqual(ask({ ...JOB, draws: 60 })))
  it('says by name what it can not read', () => {
    const issues = (sure: unknown[]) => {
      const asked = questions.ask('job.matters', { ...JOB, sure })
      return asked.ok || asked.error.kind !== 'invalid-input' ? [] : asked.error.issues.map(({ path }) => path)
    }
    expect(issues([{ path: 'part.nothing', pct: 5 }])).toEqual(['sure[0].path'])
    expect(issues([{ path: 'mends[3].lengthMm', pct: 5 }])).toEqual(['sure[0].path'])
    expect(issues([{ path: 'mends[0].lengthMm', plusMinus: '5 kg' }])).toEqual(['sure[0].plusMinus'])
    expect(issues([{ path: 'mends[0].lengthMm', plusMinus: -1 }])).toEqual(['sure[0].plusMinus'])
    expect(issues([{ path: 'part.soak', pct: 5 }])).toEqual(['sure[0].pct'])
    expect(issues([{ path: 'part.soak', oneOf: [{ value: 'wet', pct: 5 }] }])).toEqual(['sure[0].oneOf[0].value'])
    expect(
      issues([
        { path: 'part.massG', pct: 5 },
        { path: 'part.massG', pct: 6 },
      ]),
    ).toEqual(['sure[1].path'])
    expect(issues([{ path: 'part.massG' }])).toEqual(['sure[0]'])
  })
})
