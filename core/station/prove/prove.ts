import type { runoutEvaluate } from '../../face/question'
import type { leakDecayQuestion } from '../../leak/question'
import type { AnswerTo } from '../../ask/question'
import { foretoldWhy } from '../pull/pull-says'
import { isArc, type ProcessId } from '../../process/registry'
import type { Job } from '../../job/job.schema'
import { ids, inOrder } from '../../job/rests-on'
import { STATION_NAMES, type StationId } from '../../job/stations.table'
import type { MendsData } from '../mends/mend-row'
import { said } from '../../job/fields/said'
import { checkMin, partChecks } from '../../job-plan/checks.table'
import type { Made } from '../../job-plan/step'
import { caution } from '../../safety/cautions.table'
import { CHECKS, CHECK_OF } from './checks.table'
import { isDone } from './left-out'
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
  result: 'pass' | 'fail' | 'left-out' | null
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

/** Minutes that the plan has for each check; of a part without a plan, the checks that it wants by itself. */
function plannedMin(job: Job, steps: readonly Made[]): Map<string, number> {
  const found = new Map<string, number>()
  const add = (code: string, minutes: number) => {
    const id = CHECK_OF[code]
    if (id) found.set(id, (found.get(id) ?? 0) + minutes)
  }
  for (const { code, minutes } of steps) if (code.startsWith(CHECK)) add(code.slice(CHECK.length), minutes)
  if (!steps.length) for (const code of ['look', ...partChecks(checkedPart(job))]) add(code, checkMin(code, 1))
  return found
}
const CHECK = 'check-'
const checkedPart = (job: Job) => ({ ...said(job, 'takeIn'), pressureMPa: job.takeIn.pressureMPa.value ?? undefined })

/** Prove: the checks this duty, repair and cause need, with results and what was measured. */
export function planProve(
  job: Job,
  process: ProcessId,
  mends: Pick<MendsData, 'rows'>,
  steps: readonly Made[],
): StationPlan<ProveData> {
  const asked = plannedMin(job, steps)
  // What was noted of a check that is not asked any more stays with the rest.
  const rows = CHECKS.filter(
    row =>
      asked.has(row.id) || job.prove.results[row.id]?.result || (row.id === 'runout' && job.prove.runOut.length > 0),
  )
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
  const checks = rows.map(({ id, name, where, how, back }): ProveCheck => ({
    id,
    name,
    where,
    how,
    back,
    minutes: asked.get(id) ?? 0,
    result: job.prove.results[id]?.result ?? null,
    note: job.prove.results[id]?.note ?? '',
    within: withinOf[id] ?? null,
  }))
  const passed = checks.filter(check => check.result === 'pass').length
  const failed = checks.filter(check => check.result === 'fail')
  const open = checks.filter(check => !isDone(check))
  const leftOut = checks.filter(check => check.result === 'left-out' && isDone(check)).length
  const call: Sentence = failed.length
    ? [
        `${capital(list(failed.map(check => check.name.toLowerCase())))} failed: back to ${list([...new Set(failed.map(check => STATION_NAMES[check.back]))])} before anything else.`,
      ]
    : open.length
      ? [
          `${capital(count(open.length, 'check'))} to go${passed ? `, ${passed} passed` : ''}: next, ${open[0]!.name.toLowerCase()}.`,
        ]
      : checks.length
        ? leftOut
          ? [`${capital(count(passed, 'check'))} passed, ${leftOut} left out.`]
          : [`All ${checks.length} checks passed.`]
        : ['Nothing is mended, so there is nothing to prove.']
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
        : checks.length
          ? 'all passed'
          : 'nothing to prove',
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
    outcomes: {
      threads: ids(mends.rows.flatMap(row => row.back?.thread.designation ?? [])),
      checks: inOrder(checks.map(({ id }) => id)),
      open: inOrder([...failed, ...open].map(({ id }) => id)),
      process: isArc(process) ? null : process,
    },
    data: { checks, passed, failed: failed.length, compared, ...measured },
  }
}
