import { JUDGE_VERDICTS } from '../call/judge'
import { DECLINE_BELOW_PCT } from '../call/judge.table'
import { PROCESS_IDS, PROCESSES } from '../process/registry'
import { verdictWords } from './verdict-words'
import type { Job } from '../job/job.schema'
import { declaredAt } from '../job/fields/sections'
import type { Decision } from '../job-plan/decision'
import { WHOLE_WORDS } from '../job-plan/words'
import { FINISHES } from '../mend/finishes.table'
import { kindOf, wordsFor } from '../mend/registry'
import { wayName } from '../mend/way-name'
import type { UnitKey } from '../quantity/units.table'
import { capital, count, figure, fine, list, type Sentence } from './parts'
import { resolved } from './mends/mend-given'
import { CHECKS, CHECK_OF } from './prove/checks.table'

/** A decision as a station shows it: what was settled, why, what else was open, which reading would turn it. */
export interface ShownDecision {
  id: string
  about: string
  mend: string | null
  /** Whether the shop gave its mend that name, which is never translated. */
  isNamed: boolean
  took: string
  because: string[]
  others: { took: string; minutes: number | null; chancePct: number | null; because: string[] }[]
  near: Sentence[]
}

export const ABOUT: Readonly<Record<Decision['about'], string>> = {
  mend: 'Mend or not',
  process: 'Laid by',
  filler: 'Filler',
  way: 'Way',
  warmth: 'Warming',
  order: 'Order',
  finish: 'Left',
  passes: 'Passes',
  checks: 'Proved by',
}
const WARMTH: Readonly<Record<string, string>> = { none: 'not warmed', chill: 'the chill taken off', preheat: 'warmed' }
/** What speaks for or against a process or a filler, by code. */
const OTHERS: Readonly<Record<string, string>> = {
  'not-in-kit': 'not in the kit',
  'not-mended-so': 'not for this metal',
  'not-fusion-welded': 'this metal is not fusion welded',
  'fuses-badly': 'it fuses badly',
  'rod-unfit': 'its rod is not for this metal',
  'never-melts-rod': 'no torch here melts its rod on this part',
  'wants-preheat': 'it wants warming',
  'past-the-metal': 'it wants more heat than the metal bears',
  'nothing-brings-it': 'nothing here brings the heat that it wants',
  'slow-cold': 'slow on a cold wall',
  'does-not-melt-in': 'it does not melt in',
  'short-duty': 'a short duty',
  dirt: 'by the dirt',
  'not-for-load': 'not for this load',
  'may-weep': 'it may weep',
  tight: 'tight to reach',
  'off-its-walls': 'not for this wall',
  rests: 'its duty makes it rest',
  'its-school': 'by its school',
  'filler-first': 'first in rank',
  'filler-works': 'it works',
  'filler-avoid': 'to be avoided',
  'filler-never': 'never here',
}

interface Of {
  job: Job
  kind: Job['mends'][number]['kind'] | null
  /** That it lasts, where a decision tells it. */
  chancePct?: number
}

const checkName = (code: string) => CHECKS.find(({ id }) => id === CHECK_OF[code])?.name ?? code
/** What a mend is called: by its shop, else by its kind. */
export const named = (job: Job, id: string) => {
  const mend = job.mends.find(one => one.id === id)
  return mend ? mend.name || kindOf(mend.kind).name : id
}

/** What a decision took, in words. */
export function tookWords(about: Decision['about'], took: string, { job, kind, chancePct }: Of): string {
  const verdict = JUDGE_VERDICTS.find(id => id === took)
  const process = PROCESS_IDS.find(id => id === took)
  switch (about) {
    case 'mend':
      return verdict ? verdictWords(verdict, chancePct) : took
    case 'process':
      return process ? PROCESSES[process].name : took
    case 'way':
      return kind ? wayName(kind, took) : took
    case 'warmth':
      return WARMTH[took] ?? took
    case 'finish':
      return Object.entries(FINISHES).find(([id]) => id === took)?.[1] ?? took
    case 'passes':
      return count(Number(took), 'pass', 'passes')
    case 'order':
      if (took === 'flush-side') return 'the side that must end flush first'
      return took
        .split(' ')
        .map(id => named(job, id))
        .join(', ')
    case 'checks':
      return list([...new Set(took.split(' ').filter(Boolean).map(checkName))])
    case 'filler':
      return took
  }
}

function becauseWords(code: string, { kind }: Of): string | null {
  const own = OTHERS[code] ?? WHOLE_WORDS[code]
  if (own) return own
  if (!kind) return null
  try {
    return wordsFor(kind, code)
  } catch {
    return null
  }
}

/** By how much a machine, its torch or its mains is too small; null of what is not. */
const shortOf = ({ wantsA, hasA }: Record<string, number> = {}): string | null =>
  wantsA === undefined || hasA === undefined
    ? null
    : `It wants ${Math.ceil(wantsA)} A cold, and has ${Math.floor(hasA)} A.`

/** What a reading is called, and its unit, by its path in a question. */
export function readingOf(path: string, job: Job): { label: string; unit: UnitKey; mend: string | null; key: string } {
  const of = /^mends\[(\d+)\]\.(\w+)$/.exec(path)
  if (of) {
    // A mend that still wants a reading is none of the plan's.
    const mend = job.mends.filter(one => 'values' in resolved(one))[Number(of[1])]
    const key = of[2] ?? ''
    const field = mend && kindOf(mend.kind).fields[key]
    return { label: field?.label ?? path, unit: field?.unit ?? 'number', mend: mend?.id ?? null, key }
  }
  const key = path.endsWith('wallMm') ? 'wallMm' : path.endsWith('alloy') ? 'alloy' : path.slice('part.'.length)
  const field = declaredAt(`takeIn.${key}`) ?? declaredAt(`warm.${key}`)
  return {
    label: field?.label ?? (path.endsWith('alloy') ? 'Alloy' : key),
    unit: field?.unit ?? 'number',
    mend: null,
    key,
  }
}

/** Nearer than this, a length in millimetres to a tenth reads the same, mm. */
const CLOSE_MM = 0.1
type Other = ShownDecision['others'][number]
/** What has no figures of its own stands with the rest of which the same is said. */
function together(others: readonly Other[]): Other[] {
  const rows: Other[] = []
  for (const other of others) {
    const at = rows.findIndex(
      row =>
        row.because.join() === other.because.join() &&
        [row, other].every(one => one.minutes === null && one.chancePct === null),
    )
    const same = rows[at]
    if (same) rows[at] = { ...same, took: `${same.took}, ${other.took}` }
    else rows.push(other)
  }
  return rows
}

/** The decisions of a plan as a station shows them; what is the same whatever was said stays out. */
export const shownDecisions = (job: Job, decisions: readonly Decision[]): ShownDecision[] =>
  decisions.map(({ about, of, took, others, because, near }) => {
    const kind = job.mends.find(({ id }) => id === of)?.kind ?? null
    const told: Of = { job, kind }
    return {
      id: `${about} ${of ?? ''}`.trim(),
      about: ABOUT[about],
      mend: of === undefined ? null : named(job, of),
      isNamed: !!job.mends.find(({ id }) => id === of)?.name,
      took: capital(
        tookWords(about, took, { ...told, chancePct: because.find(({ code }) => code === 'chance')?.figures?.pct }),
      ),
      because: [
        ...new Set(
          because.flatMap(one => [becauseWords(one.code, told), shortOf(one.figures)].flatMap(said => said ?? [])),
        ),
      ],
      others: together(
        others.map(other => ({
          took: tookWords(about, other.took, { ...told, chancePct: other.chancePct }),
          minutes: other.minutes ?? null,
          chancePct: other.chancePct ?? null,
          because: other.because.flatMap(code => becauseWords(code, told) ?? []),
        })),
      ),
      near: near.map((line): Sentence => {
        const { label, unit } = readingOf(line.reading, job)
        // Where a line is so near that both would read the same, they are said to thousandths.
        const isClose = unit === 'mm' && Math.abs(line.turnsAt - line.now) < CLOSE_MM
        const read = (value: number) => (isClose ? fine(value) : figure(value, unit))
        return [
          `${label}, now `,
          read(line.now),
          ': from ',
          read(line.turnsAt),
          ` it would be “${tookWords(about, line.tookThen, { ...told, chancePct: because.some(({ code }) => code === 'odds') ? DECLINE_BELOW_PCT : undefined })}”.`,
        ]
      }),
    }
  })
