import { NoAnswer } from '../ask/question'
import type { JobGiven } from '../job-plan/job-given'
import type { JobPlanned } from '../job-plan/job-planned'
import { planWhole } from '../job-plan/plan'
import { goTogether } from './readings'
import { firstOrder, hypercube, percentile, shareOfGroups } from './shares'
import { groupAt, isUnsure, valueAt, type Unsure } from './spread'

/** Places along each reading at which it alone is moved. */
const ALONE = 16
const SEED = 41
/** A tenth lies below the low one, a tenth above the high one. */
const [LOW_PCT, MID_PCT, HIGH_PCT] = [10, 50, 90]

export interface Range {
  low: number
  mid: number
  high: number
}
/** What one reading makes of a job. */
export interface Matter {
  path: string
  /** Of the spread of the price, by itself. */
  sharePct: number
  /** How often it alone turns a decision. */
  turnsPct: number
  measureMin: number
  /** What knowing it before deciding saves, in money, on average. */
  worth: number
}
export interface Mattering {
  price: Range
  elapsedMin: Range
  chancePct: Range
  decision: { took: JobPlanned['decision']; pct: number }[]
  readings: Matter[]
  drawn: number
}
export interface Drawing {
  drawn: number
  of: number
}

const isMended = (took: string) => took === 'repair' || took === 'repair-with-limits'
/** Money spent in vain, on average. */
const lossOf = (price: number, chancePct: number) => price * (1 - chancePct / 100)

/** A plan of a job; null where its readings make no job. */
function tried(job: JobGiven): JobPlanned | null {
  if (!goTogether(job)) return null
  try {
    return planWhole(job, false)
  } catch (error) {
    if (error instanceof NoAnswer) return null
    throw error
  }
}

/** Decisions that are somebody's to make: counts, checks and the order of the work follow from them. */
const MADE = new Set(['mend', 'process', 'filler', 'way', 'warmth', 'finish'])
const tookOf = ({ decisions }: JobPlanned): string =>
  decisions.flatMap(({ about, of = '', took }) => (MADE.has(about) ? [`${about} ${of} ${took}`] : [])).join('\n')

/** A job held to what a plan took, whatever its readings turn out to be. */
function heldTo(job: JobGiven, plan: JobPlanned): JobGiven {
  const { need, toC } = plan.warm
  return {
    ...job,
    warm: need === 'none' ? 'none' : { toC },
    doing: {
      again: {},
      extras: [],
      leftOut: [],
      currentA: null,
      flowLMin: null,
      interpassC: null,
      ...job.doing,
      decision: isMended(plan.decision) ? 'mend' : 'decline',
    },
    mends: job.mends.map(mend => {
      const { process, filler, way } = plan.mends.find(({ id }) => id === mend.id) ?? {}
      const byHand = (mend.lays?.length ?? 0) > 1
      return {
        ...mend,
        ...(process && !byHand ? { lays: [{ process, filler: filler ?? undefined, upTo: 'cap' as const }] } : {}),
        values: { ...mend.values, ...(way ? { way } : {}) },
      }
    }),
  }
}

/** What is lost on average where a job is what `moved` makes of it and somebody does what was planned for `plan`. */
function lossUnknowing(moved: JobGiven, plan: JobPlanned): number | null {
  const there = tried(heldTo(moved, plan))
  if (!there) return null
  // What cannot be done so after all was begun, and paid for, all the same.
  const begun = isMended(plan.decision) && !isMended(there.decision)
  return lossOf(begun ? plan.totals.price : there.totals.price, there.chancePct)
}

/** One reading moved by itself: how often that turns a decision, and what knowing it saves. */
function* alone(job: JobGiven, plan: JobPlanned, unsure: Unsure): Generator<void, Pick<Matter, 'turnsPct' | 'worth'>> {
  const { sure, reading } = unsure
  const places =
    sure.kind === 'one-of'
      ? sure.values.map(({ value, share }) => ({ value, share }))
      : Array.from({ length: ALONE }, (_, n) => ({ value: valueAt(unsure, (n + 0.5) / ALONE), share: 1 / ALONE }))
  const took = tookOf(plan)
  let [turns, worth] = [0, 0]
  for (const { value, share } of places) {
    const moved = reading.moved(job, value)
    const there = tried(moved)
    yield
    if (!there || tookOf(there) === took) continue
    turns += share
    if (plan.decision === 'refer' || there.decision === 'refer') continue
    const unknowing = lossUnknowing(moved, plan)
    // Whoever knows it may still do what was planned without.
    if (unknowing !== null) worth += share * Math.max(0, unknowing - lossOf(there.totals.price, there.chancePct))
  }
  return { turnsPct: 100 * turns, worth }
}

const rangeOf = (values: Float64Array): Range => ({
  low: percentile(values, LOW_PCT),
  mid: percentile(values, MID_PCT),
  high: percentile(values, HIGH_PCT),
})

/**
 * A job drawn so many times, each reading as sure as it is: what its price, hours and chance come to, how often it is
 * decided which way, and what each reading makes of it. The same job gives the same answer.
 * Worth: what is saved on average by planning with a reading known rather than as it was said, the others as they were
 * said; judged by money spent in vain, price × (1 − chance).
 * @throws NoAnswer where the job itself can't be planned, or none of what is drawn is a job
 */
export function* mattersOf(job: JobGiven, unsure: readonly Unsure[], draws: number): Generator<Drawing, Mattering> {
  const plan = planWhole(job, false)
  const live = unsure.filter(isUnsure)
  const of = draws + live.length * ALONE
  const places = hypercube(live.length, draws, SEED)
  const kept: { n: number; plan: JobPlanned }[] = []
  // What is one of a few comes again and again.
  const known = new Map<string, JobPlanned | null>()
  for (let n = 0; n < draws; n++) {
    const values = live.map((one, r) => valueAt(one, places[r]![n]!))
    const key = live
      .map(({ sure }, r) => (sure.kind === 'one-of' ? groupAt(sure.values, places[r]![n]!) : values[r]))
      .join()
    const drawn = known.get(key)
    const there =
      drawn === undefined ? tried(live.reduce((so, one, r) => one.reading.moved(so, values[r]), job)) : drawn
    known.set(key, there)
    if (there) kept.push({ n, plan: there })
    yield { drawn: n + 1, of }
  }
  if (!kept.length) throw new NoAnswer('none of the values drawn makes a job that can be planned')
  const figures = (value: (plan: JobPlanned) => number) => Float64Array.from(kept, one => value(one.plan))
  const price = figures(({ totals }) => totals.price)
  const readings: Matter[] = []
  let told = draws
  for (const one of unsure) {
    const path = one.reading.path
    const r = live.indexOf(one)
    if (r < 0) {
      readings.push({ path, sharePct: 0, turnsPct: 0, measureMin: one.minutes, worth: 0 })
      continue
    }
    const at = Float64Array.from(kept, ({ n }) => places[r]![n]!)
    const { sure } = one
    const share =
      sure.kind === 'one-of'
        ? shareOfGroups(
            [...at].map(place => groupAt(sure.values, place)),
            price,
          )
        : firstOrder(at, price)
    const moving = alone(job, plan, one)
    let next = moving.next()
    while (!next.done) {
      yield { drawn: ++told, of }
      next = moving.next()
    }
    readings.push({ path, sharePct: 100 * share, measureMin: one.minutes, ...next.value })
  }
  const decisions = new Map<JobPlanned['decision'], number>()
  for (const { plan: one } of kept) decisions.set(one.decision, (decisions.get(one.decision) ?? 0) + 1)
  return {
    price: rangeOf(price),
    elapsedMin: rangeOf(figures(({ totals }) => totals.elapsedMin)),
    chancePct: rangeOf(figures(({ chancePct }) => chancePct)),
    decision: [...decisions]
      .map(([took, count]) => ({ took, pct: (100 * count) / kept.length }))
      .toSorted((a, b) => b.pct - a.pct),
    readings: readings.toSorted((a, b) => b.worth - a.worth || b.turnsPct - a.turnsPct || b.sharePct - a.sharePct),
    drawn: kept.length,
  }
}
