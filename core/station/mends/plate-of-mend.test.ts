import { expect, it, describe } from 'vitest'
import { EMPTY_KIT } from '../../job/empty-kit'
import { newJob } from '../../job/new-job'
import { sentenceText } from '../hand-over/record'
import { mendMade } from '../mend-made.fixture'
import { planJob } from '../plan-job'

const empty = newJob('x', 'X', '', '2026-11-12T09:00:00Z')
const part = { ...empty, takeIn: { ...empty.takeIn, wallMm: { typed: '12 mm', value: 12 } } }
const PLATE = { longMm: 80, wideMm: 30, plateMm: 4 }
const ARM = { armWideMm: 30, armHighMm: 12, armLongMm: 110 }
const rowOf = (readings: Record<string, number | string>) =>
  planJob({ ...part, mends: [mendMade('plate', readings)] }, EMPTY_KIT).mends.rows[0]!

const whyOf = (readings: Record<string, number | string>) =>
  rowOf(readings)
    .says.open.why.map(sentence => sentenceText(sentence, 'metric'))
    .join(' ')

describe('a plate over an arm', () => {
  it('makes it as strong and stiff as the built-up section is by hand, and must reach so far', () => {
    // By the parallel-axis theorem, worked by hand: the axis moves 120 × 8 ÷ 480 = 2 mm; I = 4320 + 360 × 2² + 160 +
    // 120 × 6² = 10 240 mm⁴, 2.370 of the bare 4320; the outer fibre lies at 8 mm, so 1280 mm³ over 720 is 1.778, and
    // past 1 − 1 ÷ 1.778 of 110 mm the bare arm does.
    const { plated } = rowOf({ ...PLATE, ...ARM })
    if (!plated || !('answer' in plated)) throw new Error('no answer')
    expect(plated.answer.stiffnessRatio).toBeCloseTo(2.3704, 4)
    expect(plated.answer.strengthRatio).toBeCloseTo(1.7778, 4)
    expect(plated.answer.coverMm).toBeCloseTo(48.125, 3)
    expect(whyOf({ ...PLATE, ...ARM })).toMatch(/1\.78 times as strong and 2\.37 times as stiff.*at least 48\.1 mm/)
  })
  it('says that one which ends too soon does, and nothing of an arm that nobody told', () => {
    expect(whyOf({ ...PLATE, ...ARM, longMm: 40 })).toMatch(
      /40\.0 mm long: it ends where the bare arm still carries more/,
    )
    expect(whyOf({ ...PLATE, ...ARM })).not.toMatch(/Make it longer/)
    expect(whyOf({ ...PLATE, armWideMm: 30, armHighMm: 12 })).toMatch(/past 43\.8 ?% of the arm/)
    expect([rowOf(PLATE).plated, whyOf(PLATE)]).toEqual([null, ''])
  })
  it('on both faces is twice the metal and the cutting, from both sides', () => {
    const [one, both] = [rowOf(PLATE).planned!, rowOf({ ...PLATE, sides: '2' }).planned!]
    expect(both.depositG).toBeCloseTo(2 * one.depositG, 6)
    expect([...new Set(both.lays.map(({ side }) => side))]).toEqual([1, 2])
    expect(both.price).toBeGreaterThan(one.price)
  })
})
