import type { Job } from '../../job/job.schema'
import { CHECK_OF } from './checks.table'

type Result = { result: 'pass' | 'fail' | 'left-out' | null; note: string }

/** Whether a check is done with: passed, failed, or left out with its reason. */
export const isDone = ({ result, note }: Result): boolean =>
  result !== null && (result !== 'left-out' || note.trim() !== '')

/** Checks, by the plan's codes, that the shop leaves out and has said why: they are neither asked nor charged. */
export const leftOutOf = ({ prove: { results } }: Job): string[] =>
  Object.entries(CHECK_OF).flatMap(([code, id]) => {
    const found = results[id]
    return found?.result === 'left-out' && isDone(found) ? [code] : []
  })
