/**
 * Which job needs a hand next. A clock that has run out comes first: metal is cooling. Then what will not be ready as
 * promised, then all that can go on, then what waits: for a clock, for something to buy, for somebody else.
 */
export const HAND_TURNS = ['rung', 'late', 'go', 'clock', 'buy', 'on', 'handed'] as const
export type HandTurn = (typeof HAND_TURNS)[number]

export interface Standing {
  handed: boolean
  /** Least time left on its clocks, s; null where none runs. */
  clockLeftS: number | null
  late: boolean
  buys: boolean
  sentOn: boolean
  /** When it is promised for, as an ISO moment; null where it is not. */
  dueAt: string | null
  /** Stations settled, out of all. */
  settled: number
  updatedAt: string
}

export function turnOf({ handed, clockLeftS, late, buys, sentOn }: Standing): HandTurn {
  if (handed) return 'handed'
  if (clockLeftS !== null) return clockLeftS <= 0 ? 'rung' : 'clock'
  if (sentOn) return 'on'
  if (buys) return 'buy'
  return late ? 'late' : 'go'
}

const inTurn = <T>(a: T, b: T) => (a < b ? -1 : a > b ? 1 : 0)

/** Promised sooner first, then what is furthest on, then what was touched last. Handed over: last touched only. */
export function byNeed(a: Standing, b: Standing): number {
  const turn = HAND_TURNS.indexOf(turnOf(a)) - HAND_TURNS.indexOf(turnOf(b))
  const due = a.handed ? 0 : inTurn(a.dueAt ?? '~', b.dueAt ?? '~')
  const further = a.handed ? 0 : b.settled - a.settled
  return turn || due || further || inTurn(b.updatedAt, a.updatedAt)
}
