import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { kinds } from '../mend/registry'
import { questions } from '../questions'
import { drawnMend } from './drawn.fixture'
import type { JobPlanned } from './job-planned'

const ODD: readonly unknown[] = [null, '', 'x', -1, 0, 1e-9, 1e9, [], [[]], ['zz'], ['m'], {}, '1e999', [['a', 'b']]]
const part = { bodies: [{ id: 'a', alloy: '356', wallMm: 8 }], lengthMm: 200, widthMm: 120, heightMm: 40 }
const crack = { id: 'm', kind: 'crack', lengthMm: 50 }

/** What an input breaks: thrown, or sums that are no figures; null where it is answered or refused in words. */
function broken(input: object): string | null {
  try {
    const asked = questions.ask('job.plan', input)
    if (!asked.ok) return null
    const { totals } = asked.answer as JobPlanned
    const odd = Object.values(totals).filter(value => typeof value === 'number' && !(value >= 0 && value < Infinity))
    return odd.length ? `sums of ${odd.join()}` : null
  } catch (error) {
    return String(error)
  }
}
const each = (name: string, inputOf: (odd: unknown) => object) =>
  ODD.flatMap(odd => {
    const wrong = broken(inputOf(odd))
    return wrong === null ? [] : [`${name} ${JSON.stringify(odd)}: ${wrong}`]
  })

describe('odd input to job.plan', () => {
  it.each(kinds().map(kind => [kind.id, kind] as const))(
    'is answered or refused at every reading of %s',
    (id, kind) => {
      const [mend] = fc.sample(
        drawnMend('m').filter(drawn => drawn.kind === id),
        { numRuns: 1, seed: 3 },
      )
      const keys = [...Object.keys(kind.fields), 'lays', 'bodies', 'opened', 'order', 'atMm', 'id']
      expect(keys.flatMap(key => each(key, odd => ({ part, mends: [{ ...mend, [key]: odd }] })))).toEqual([])
    },
  )
  it('is answered or refused of the part and beside it', () => {
    const keys = [
      'soak',
      'does',
      'stakes',
      'alike',
      'pressureMPa',
      'keptOn',
      'massG',
      'wallMm',
      'bodies',
      'hotC',
      'protect',
    ]
    expect(keys.flatMap(key => each(key, odd => ({ part: { ...part, [key]: odd }, mends: [crack] })))).toEqual([])
    const beside = ['warm', 'kit', 'stored', 'mends', 'part']
    expect(beside.flatMap(key => each(key, odd => ({ part, mends: [crack], [key]: odd })))).toEqual([])
  })
})
