import { computed, ref, shallowRef } from 'vue'
import type { Job } from '#core/job/job.schema'
import { applyPatch, valueAt } from '#core/job/patch'
import { threeWay } from '#core/job/three-way'
import { refusalWords } from '~/composables/refusal'
import type { Entry } from './journal'
import type { Written } from './shelf'

/** A change that was not stored, because somebody had changed the same thing later. */
export interface Overruled {
  readonly path: Entry['path']
  readonly mine: unknown
  readonly stands: unknown
}

export interface QueueParts {
  /** Stores changes to one job in their order: all of them or none. */
  readonly write: (jobId: string, entries: readonly Entry[], updatedAt: string) => Promise<Written>
  /** Keeps what waits where it outlives the page. @returns whether it was taken */
  readonly keep: (entries: readonly Entry[]) => boolean
  /** Tries again in a while. @returns what calls that off */
  readonly later: (again: () => void) => () => void
  /** A job as it is stored now, with what still waits for it put on. */
  readonly stored: (job: Job) => void
}

/**
 * Changes made here and not stored yet, in their order, of whatever job. Each waits, is stored, or is refused and tried
 * again; those to a job that was taken off are kept for when it is put back; those that somebody overruled are said.
 */
export function changeQueue({ write, keep, later, stored }: QueueParts) {
  const entries = shallowRef<readonly Entry[]>([])
  /** Why the last attempt was refused. */
  const trouble = ref<string | null>(null)
  const overruled = shallowRef<readonly Overruled[]>([])
  const isKept = ref(true)
  const goneJobs = shallowRef<ReadonlySet<string>>(new Set())
  let writing: Promise<void> | null = null
  let callOff = () => {}

  function set(next: readonly Entry[]) {
    entries.value = next
    isKept.value = keep(next)
  }
  const due = () => entries.value.filter(entry => !goneJobs.value.has(entry.jobId))

  /** A stored job with what waits for it. */
  const onto = (job: Job): Job =>
    entries.value
      .filter(entry => entry.jobId === job.id)
      .reduce(
        (found, { path, value, before }) =>
          applyPatch(found, { path, value: threeWay(before, valueAt(found, path), value) }),
        job,
      )

  async function writeFirst(): Promise<void> {
    const { jobId } = due()[0]!
    // From here on nobody knows whether it is stored, should the page go in the middle of it.
    if (due().some(entry => entry.refused)) set(entries.value.map(entry => ({ ...entry, refused: false })))
    const batch = due().filter(entry => entry.jobId === jobId)
    const written = await write(jobId, batch, batch.at(-1)!.at).catch((error: unknown) => {
      set(entries.value.map(entry => (batch.includes(entry) ? { ...entry, refused: true } : entry)))
      throw error
    })
    if (written.kind === 'gone') {
      goneJobs.value = new Set([...goneJobs.value, jobId])
      return
    }
    set(entries.value.filter(entry => !batch.includes(entry)))
    overruled.value = [
      ...overruled.value,
      ...written.overruled.map(({ path, value }) => ({ path, mine: value, stands: valueAt(written.job, path) })),
    ]
    stored(onto(written.job))
  }

  /** Stores what is waiting, one job after another; what cannot be stored stays, and is tried again. */
  function flush(): Promise<void> {
    writing ??= (async () => {
      callOff()
      try {
        while (due().length) await writeFirst()
        trouble.value = null
      } catch (error) {
        trouble.value = refusalWords(error)
        callOff = later(() => void flush())
      }
    })().finally(() => {
      writing = null
    })
    return writing
  }

  return {
    entries,
    trouble,
    overruled,
    isKept,
    onto,
    flush,
    /** Whether nothing is being stored and nothing waits to be. */
    idle: () => !writing && due().length === 0,
    add(entry: Entry) {
      set([...entries.value, entry])
      void flush()
    },
    /** A job that was taken off stands on the shelf again: what waited for it goes on. */
    backOnShelf(jobId: string) {
      if (!goneJobs.value.has(jobId)) return
      goneJobs.value = new Set([...goneJobs.value].filter(id => id !== jobId))
      void flush()
    },
    heard: () => {
      overruled.value = []
    },
    waits: computed(() => due().length > 0),
    /** Resolves when what waits now is stored, or refused. */
    settled: () => writing ?? Promise.resolve(),
  }
}
