// eslint-disable-next-line @typescript-eslint/triple-slash-reference -- the library ships no types of its own
/// <reference path="../quantity/jstat.d.ts" />
import jstat from 'jstat'
import type { Step } from '../ask/question'

/** One finished job, as lessons see it. */
export interface FinishedJob {
  success: boolean
  family?: string | undefined
  process?: string | undefined
  soak?: string | undefined
  filler?: string | undefined
  /** Kinds of mend it had, each once. */
  mends?: readonly string[] | undefined
  plannedMin?: number | undefined
  actualMin?: number | undefined
}

const KINDS = ['family', 'process', 'soak', 'filler', 'mend'] as const

export interface Rate {
  jobs: number
  successes: number
  ratePct: number
  lowPct: number
  highPct: number
}
export interface Ratio {
  jobs: number
  ratio: number
  low: number | null
  high: number | null
}
export interface Group extends Rate {
  by: 'all' | (typeof KINDS)[number]
  value: string
  timeRatio: Ratio | null
}

/** Share of intervals that hold the true value. */
const COVERAGE = 0.9
/** Shrinks a small shop's ratio towards one: as if so many jobs had come out as planned. Judgement. */
const PRIOR_JOBS = 2

/**
 * Success rate with a Jeffreys interval: Beta(successes + ½, failures + ½). Honest for few jobs: one success in one is
 * 15 to 100 %, not 100.
 * Source: Brown, Cai and DasGupta, Statistical Science 16 (2001) 101. Valid for any count from one.
 */
export function successRate(successes: number, jobs: number): Rate {
  const failures = jobs - successes
  const quantile = (p: number) => jstat.beta.inv(p, successes + 0.5, failures + 0.5)
  return {
    jobs,
    successes,
    ratePct: (100 * (successes + 0.5)) / (jobs + 1),
    lowPct: successes === 0 ? 0 : 100 * quantile((1 - COVERAGE) / 2),
    highPct: failures === 0 ? 100 : 100 * quantile((1 + COVERAGE) / 2),
  }
}

/**
 * Time taken over time planned: geometric mean with Student's interval on the logarithms, drawn towards one by two
 * jobs' worth.
 * Source: Student's t on log ratios, any text. No interval from one job.
 */
export function timeRatio(ratios: readonly number[]): Ratio | null {
  if (!ratios.length) return null
  const logs = ratios.map(Math.log)
  const n = logs.length
  const sum = logs.reduce((total, value) => total + value, 0)
  const ratio = Math.exp(sum / (n + PRIOR_JOBS))
  if (n < 2) return { jobs: n, ratio, low: null, high: null }
  const mean = sum / n
  const sd = Math.sqrt(logs.reduce((total, value) => total + (value - mean) ** 2, 0) / (n - 1))
  const half = (jstat.studentt.inv((1 + COVERAGE) / 2, n - 1) * sd) / Math.sqrt(n)
  return { jobs: n, ratio, low: Math.exp(mean - half), high: Math.exp(mean + half) }
}

function groupOf(by: Group['by'], value: string, jobs: readonly FinishedJob[]): Group {
  const ratios = jobs.flatMap(({ plannedMin, actualMin }) => (plannedMin && actualMin ? [actualMin / plannedMin] : []))
  return {
    by,
    value,
    ...successRate(jobs.filter(job => job.success).length, jobs.length),
    timeRatio: timeRatio(ratios),
  }
}

/** Draws a small shop's odds towards what is foretold: as if so many jobs had come out as foretold. Judgement. */
const PRIOR_ODDS_JOBS = 10

/**
 * By how many percentage points a shop's jobs held oftener, or seldomer, than was foretold of them: the mean of (held −
 * chance), drawn towards nought by ten jobs' worth. Source: shrinkage of a mean towards its prior, any text.
 */
export function oddsOf(jobs: readonly { chancePct: number; held: boolean }[]): { points: number; jobs: number } | null {
  if (!jobs.length) return null
  const over = jobs.reduce((sum, { chancePct, held }) => sum + (held ? 100 : 0) - chancePct, 0)
  return { points: over / (jobs.length + PRIOR_ODDS_JOBS), jobs: jobs.length }
}

/** What a job counts under: one thing, or each kind of mend it had. */
const under = (job: FinishedJob, by: (typeof KINDS)[number]): readonly string[] =>
  by === 'mend' ? (job.mends ?? []) : job[by] ? [job[by]] : []

/** Success and time by family, process, soak, filler and kind of mend; groups with most jobs first. */
export function learn(jobs: readonly FinishedJob[]): { all: Group | null; groups: Group[]; working: Step[] } {
  const groups = KINDS.flatMap(by => {
    const values = [...new Set(jobs.flatMap(job => under(job, by)))]
    return values.map(value =>
      groupOf(
        by,
        value,
        jobs.filter(job => under(job, by).includes(value)),
      ),
    )
  }).toSorted((a, b) => b.jobs - a.jobs || a.value.localeCompare(b.value))
  return {
    all: jobs.length ? groupOf('all', 'all jobs', jobs) : null,
    groups,
    working: [
      {
        label: 'Finished jobs',
        formula: 'counted',
        value: jobs.length,
        unit: 'jobs',
        source: "the shop's own records",
      },
      {
        label: 'Interval of a success rate',
        formula: `Beta(successes + ½, failures + ½), ${100 * COVERAGE} %`,
        value: '',
        unit: '',
        source: 'Jeffreys; Brown, Cai and DasGupta (2001)',
      },
      {
        label: 'Interval of a time ratio',
        formula: `Student's t on log(taken ÷ planned), ${100 * COVERAGE} %`,
        value: '',
        unit: '',
        source: 'Student (1908)',
      },
    ],
  }
}
