import { describe, expect, it } from 'vitest'
import { byNeed, turnOf, type Standing } from './hand-order'

const job: Standing = {
  handed: false,
  clockLeftS: null,
  late: false,
  buys: false,
  sentOn: false,
  dueAt: null,
  settled: 0,
  updatedAt: '2026-11-20',
}

describe('which job needs a hand next', () => {
  it('a clock run out, then what is late, what can go on, what waits, what is handed over', () => {
    const jobs: Standing[] = [
      { ...job, handed: true, updatedAt: '2026-11-26' },
      { ...job, sentOn: true },
      { ...job, buys: true },
      { ...job, clockLeftS: 300 },
      job,
      { ...job, late: true },
      { ...job, clockLeftS: -4 },
    ]
    expect(jobs.toSorted(byNeed).map(turnOf)).toEqual(['rung', 'late', 'go', 'clock', 'buy', 'on', 'handed'])
  })
  it('promised sooner first, then furthest on, then touched last', () => {
    const soon = { ...job, dueAt: '2026-12-01' }
    const later = { ...job, dueAt: '2026-12-09' }
    const far = { ...job, settled: 5 }
    const fresh = { ...job, updatedAt: '2026-11-25' }
    expect([job, fresh, far, later, soon].toSorted(byNeed)).toEqual([soon, later, far, fresh, job])
  })
})
