import type { Job } from '../job/job.schema'
import { caution } from '../safety/cautions.table'
import { CHECKS } from './checks.table'
import { capital, count, list, type Sentence, type StationPlan } from './parts'

export interface ProveCheck { id: string, name: string, where: string, how: string, minutes: number, result: 'pass' | 'fail' | null, note: string }
export interface ProveData { checks: ProveCheck[], passed: number, failed: number }

/** Prove: the checks this duty needs, with results. */
export function planProve(job: Job): StationPlan<ProveData> {
  const rows = CHECKS.filter(row => row.needed(job))
  const checks = rows.map(({ id, name, where, how, minutes }): ProveCheck => ({ id, name, where, how, minutes, result: job.prove.results[id]?.result ?? null, note: job.prove.results[id]?.note ?? '' }))
  const passed = checks.filter(check => check.result === 'pass').length
  const failed = checks.filter(check => check.result === 'fail')
  const open = checks.filter(check => check.result === null)
  const call: Sentence = failed.length
    ? [`${capital(list(failed.map(check => check.name.toLowerCase())))} failed: back to the station it belongs to before anything else.`]
    : open.length
      ? [`${capital(count(open.length, 'check'))} to go${passed ? `, ${passed} passed` : ''}: next, ${open[0]!.name.toLowerCase()}.`]
      : [`All ${checks.length} checks passed.`]
  return {
    id: 'prove',
    short: failed.length ? `${failed.length} failed` : open.length ? `${passed} of ${checks.length} checks` : 'all passed',
    wants: open.length ? open.map(check => check.name.toLowerCase()) : [],
    call,
    why: [[`These follow from what it does${job.takeIn.mustNotMove.length ? ' and from what may not move' : ''}.`], ...(open[0] ? [[open[0].how] as Sentence] : [])],
    change: [['What is not perfect is said in the record, not hidden.']],
    cautions: [...new Set(rows.flatMap(row => row.caution ? [row.caution] : []))].map(caution),
    workings: {},
    basis: { 'what it does': job.takeIn.does ?? '', 'may not move': job.takeIn.mustNotMove.join(', ') },
    data: { checks, passed, failed: failed.length },
  }
}
