import { EMPTY_KIT } from './empty-kit'
import { jobToText, readFile, readJob, shopToText } from './files'
import { kitSchema, type Job, type Kit } from './job.schema'

/** A stored thing that no bench could take in: named, with why and with all of its words. */
export interface Damaged {
  readonly id: string
  readonly title: string
  readonly why: string
  readonly text: string
}
export interface Out {
  readonly text: string
  readonly jobs: readonly Job[]
  readonly damaged: readonly Damaged[]
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

/**
 * A whole shop as a file's text, read back as another bench would read it before it is offered. What could not be
 * brought back is left out of it and told apart; it never holds back the rest.
 */
export function shopOut(stored: readonly unknown[], kit: Kit, exportedAt: string): Out {
  const whole = shopToText(stored as Job[], kit, exportedAt)
  const readBack = readFile(whole)
  if (readBack.ok) return { text: whole, jobs: readBack.jobs, damaged: [] }
  const { jobs, damaged } = sorted(stored)
  const soundKit = kitSchema.safeParse(kit)
  const text = shopToText(jobs, soundKit.success ? soundKit.data : EMPTY_KIT, exportedAt)
  const again = readFile(text)
  if (!again.ok) throw new Error(`what was written does not read back: ${whyNot(again.issues)}`)
  return {
    text,
    jobs,
    damaged: [
      ...damaged,
      ...(soundKit.success
        ? []
        : [{ id: 'kit', title: 'the kit', why: 'it cannot be read', text: JSON.stringify(kit, null, 2) }]),
    ],
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
