import { EMPTY_KIT } from './empty-kit'
import { checkJob, jobToText, readFile, readJob } from './files'
import { kitSchema, type Job, type Kit } from './job.schema'

/** A stored thing that no bench could take in: named, with why and with all of its words. */
export interface Damaged {
  readonly id: string
  readonly title: string
  readonly why: string
  readonly text: string
}
const LONGEST_TITLE = 120

/** What is stored of a job that cannot be read, kept whole. */
export function damagedJob(stored: unknown, why: string): Damaged {
  const { id, title } = (stored ?? {}) as { id?: unknown; title?: unknown }
  return {
    id: String(id ?? ''),
    title: typeof title === 'string' && title.trim() ? title.slice(0, LONGEST_TITLE) : 'a job without a name',
    why,
    text: JSON.stringify(stored, null, 2) ?? '',
  }
}

const whyNot = (issues: readonly { path: string; message: string }[]) =>
  issues
    .slice(0, 3)
    .map(({ path, message }) => (path ? `${path}: ${message}` : message))
    .join('; ')

/** Stored jobs told apart: those that can be read, and the damaged. */
export function sorted(stored: readonly unknown[]): { jobs: Job[]; damaged: Damaged[] } {
  const [jobs, damaged]: [Job[], Damaged[]] = [[], []]
  for (const each of stored) {
    const read = readJob(each)
    if (read.ok) jobs.push(read.job)
    else damaged.push(damagedJob(each, whyNot(read.issues)))
  }
  return { jobs, damaged }
}

/** Jobs as they go into a shop's file. */
export interface PartOut {
  /** A line for each, and commas between them. */
  readonly text: string
  readonly jobs: readonly Job[]
  readonly damaged: readonly Damaged[]
}

/**
 * Stored jobs as the lines of a shop's file, each read back as another bench would read it before it is offered. What
 * could not be brought back is left out and told apart; it never holds back the rest.
 */
export function partOut(stored: readonly unknown[]): PartOut {
  const [lines, jobs, damaged]: [string[], Job[], Damaged[]] = [[], [], []]
  for (const each of stored) {
    const line = JSON.stringify(each) ?? 'null'
    const back = checkJob(JSON.parse(line))
    if (back.ok) {
      lines.push(line)
      jobs.push(back.job)
    } else damaged.push(damagedJob(each, whyNot(back.issues)))
  }
  return { text: lines.join(',\n'), jobs, damaged }
}

/** The kit as it goes into a file; damaged, an empty one goes, and its words apart. */
export function kitOut(kit: Kit): { kit: Kit; damaged: readonly Damaged[] } {
  const read = kitSchema.safeParse(kit)
  return read.success
    ? { kit: read.data, damaged: [] }
    : {
        kit: EMPTY_KIT,
        damaged: [{ id: 'kit', title: 'the kit', why: 'it cannot be read', text: JSON.stringify(kit, null, 2) }],
      }
}

/** One job as a file's text, read back; damaged, it has no file but its own words. */
export function jobOut(stored: unknown): { ok: true; text: string; job: Job } | { ok: false; damaged: Damaged } {
  const read = readJob(stored)
  if (!read.ok) return { ok: false, damaged: damagedJob(stored, whyNot(read.issues)) }
  const text = jobToText(read.job)
  const back = readFile(text)
  return back.ok ? { ok: true, text, job: read.job } : { ok: false, damaged: damagedJob(stored, whyNot(back.issues)) }
}
