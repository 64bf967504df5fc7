import type { runoutEvaluate } from '../../face/question'
import type { leakDecayQuestion } from '../../leak/question'
import type { AnswerTo } from '../../ask/question'
import { foretoldWhy } from '../pull/pull-says'
import { PROCESSES, type ProcessId } from '../../call/process.table'
import type { Job } from '../../job/job.schema'
import { STATION_NAMES, type StationId } from '../../job/stations.table'
import type { MendsData } from '../mends/mend-row'
import { checkMin } from '../../job-plan/checks.table'
import { THREADS } from '../stale'
import { caution } from '../../safety/cautions.table'
import { CHECKS, CHECK_OF } from './checks.table'
import { comparedOf, type Compared } from './compared'
import { leakOf, runOutOf, unbalanceOf, type MeasuredOrReason } from './measured'
import { capital, count, list, type Sentence, type StationPlan, type Working } from '../parts'

export interface ProveCheck {
  id: string
  name: string
  where: string
  how: string
  back: StationId
  minutes: number
  result: 'pass' | 'fail' | null
  note: string
  /** What the readings say of it, where there are any. */ within: boolean | null
}
export interface ProveData {
  checks: ProveCheck[]
  passed: number
  failed: number
  compared: Compared[]
  runOut: MeasuredOrReason<AnswerTo<typeof runoutEvaluate>>
  leak: MeasuredOrReason<AnswerTo<typeof leakDecayQuestion>>
  balance: MeasuredOrReason<{ unbalanceGmm: number; correctG: number }>
}

/** Minutes that the plan has for a check: at each mend that asks it, and once where the part does. */
function plannedMin({ rows, shared }: Pick<MendsData, 'rows' | 'shared'>, id: string): number {
  const of = (code: string) => (CHECK_OF[code] === id ? checkMin(code) : 0)
  const atMends = rows.flatMap(({ planned }) => planned?.checks ?? []).reduce((sum, code) => sum + of(code), 0)
  return shared.reduce((sum, { code }) => sum + (code.startsWith('check-') ? of(code.slice(6)) : 0), atMends)
}

/** Prove: the checks this duty, repair and cause need, with results and what was measured. */
export function planProve(
  job: Job,
  process: ProcessId,
  mends: Pick<MendsData, 'checks' | 'rows' | 'shared'>,
): StationPlan<ProveData> {
  const asked = new Set(mends.checks.map(check => CHECK_OF[check]))
  const rows = CHECKS.filter(row => row.needed?.(job, process) || asked.has(row.id))
  const measured = { runOut: runOutOf(job), leak: leakOf(job), balance: unbalanceOf(job) }
  const compared = comparedOf(job)
  const judged = compared.filter(entry => entry.within !== null)
  const withinOf: Record<string, boolean | null> = Object.fromEntries(
    (
      [
        ['runout', measured.runOut],
        ['leak', measured.leak],
        ['balance', measured.balance],
      ] as const
    ).map(([id, found]) => [id, found && 'within' in found ? found.within : null]),
  )
  if (judged.length) withinOf.line = judged.every(entry => entry.within)
  const checks = rows.map(({ id, name, where, how, back, minutes }): ProveCheck => ({
    id,
    name,
    where,
    how,
    back,
    minutes: plannedMin(mends, id) || minutes,
    result: job.prove.results[id]?.result ?? null,
    note: job.prove.results[id]?.note ?? '',
    within: withinOf[id] ?? null,
  }))
  const passed = checks.filter(check => check.result === 'pass').length
  const failed = checks.filter(check => check.result === 'fail')
  const open = checks.filter(check => check.result === null)
  const call: Sentence = failed.length
    ? [
        `${capital(list(failed.map(check => check.name.toLowerCase())))} failed: back to ${list([...new Set(failed.map(check => STATION_NAMES[check.back]))])} before anything else.`,
      ]
    : open.length
      ? [
          `${capital(count(open.length, 'check'))} to go${passed ? `, ${passed} passed` : ''}: next, ${open[0]!.name.toLowerCase()}.`,
        ]
      : [`All ${checks.length} checks passed.`]
  const found = [measured.runOut, measured.leak, measured.balance].filter(entry => entry !== null)
  const workings: Record<string, Working> = {}
  for (const [key, entry] of [
    ['runout', measured.runOut],
    ['leak', measured.leak],
    ['balance', measured.balance],
  ] as const)
    if (entry && 'asked' in entry) workings[key] = entry.asked.working
  const leakCautions =
    measured.leak && 'asked' in measured.leak
      ? measured.leak.asked.cautions.filter(entry => entry.code === 'stored-energy')
      : []
  return {
    id: 'prove',
    short: failed.length
      ? `${failed.length} failed`
      : open.length
        ? `${passed} of ${checks.length} checks`
        : 'all passed',
    wants: open.length ? open.map(check => check.name.toLowerCase()) : [],
    call,
    why: [
      ...found.map((entry): Sentence => ('said' in entry ? entry.said : [`${capital(entry.reason)}.`])),
      ...compared.flatMap((entry): Sentence[] => (entry.said ? [entry.said] : [])),
      ...checks
        .filter(check => check.within === false && check.result === 'pass')
        .map((check): Sentence => [`${check.name} is marked passed, but its readings are over their limit.`]),
      [
        `These follow from what it does${job.takeIn.mustNotMove.length ? ', from what may not move' : ''} and from how it is joined.`,
      ],
      ...(open[0] ? [[open[0].how] as Sentence] : []),
      ...foretoldWhy(job.weld.foretold, null),
    ],
    change: [['What is not perfect is said in the record, not hidden.']],
    cautions: [...leakCautions, ...[...new Set(rows.flatMap(row => (row.caution ? [row.caution] : [])))].map(caution)],
    workings,
    basis: {
      'what it does': job.takeIn.does ?? '',
      'may not move': job.takeIn.mustNotMove.join(', '),
      [THREADS]: mends.rows.flatMap(row => row.back?.thread.designation ?? []).join(', '),
      ...(PROCESSES[process].needsAmps ? {} : { 'joined by': PROCESSES[process].name }),
    },
    data: { checks, passed, failed: failed.length, compared, ...measured },
  }
}
