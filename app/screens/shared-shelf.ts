import Dexie from 'dexie'
import { wrongKind } from '#core/job/file-kind'
import { kitSchema, type Job } from '#core/job/job.schema'
import { mergeKit, type TimedKit } from '#core/job/merge-kit'
import { scopedOf, type InScope } from '#core/screens/scope'
import type { Clocks, FileHead, Place, Shelf, Summed, Taken } from '#core/screens/shelf'
import { lastTouched, sumOf, takeJob } from '#core/screens/take-job'
import { stoppedClock, db, type BenchDatabase } from '~/db/database'
import { placesOf, type FilePlace } from '~/db/files'
import { removeJob, type TakenOff } from '~/db/off-the-shelf'
import { putJobs, putKit, timedKit } from '~/db/shelf'

/** Jobs looked at in one go: between them the page may do something else. */
const AT_ONCE = 40
/** No file of a job is larger. */
const LARGEST_FILE_BYTES = 128 * 1024 * 1024
/** How long it is remembered that a clock was stopped. */
const CLOCK_GONE_MS = 7 * 86_400_000
const CLOCK = stoppedClock('')

const idOf = (came: unknown) => {
  const { id } = (came ?? {}) as { id?: unknown }
  return typeof id === 'string' ? id : ''
}

/** The shelf of this browser, as screens of one shop share it. What comes is checked here, as what a file brings. */
export class SharedShelf implements Shelf {
  constructor(
    private readonly base: BenchDatabase = db,
    /** Told of a job that another screen took off the shelf. */
    private readonly tookOff: (taken: TakenOff) => void = () => undefined,
  ) {}

  async sums(): Promise<readonly Summed[]> {
    const ids = await this.base.jobs.toCollection().primaryKeys()
    const found: Summed[] = []
    for (let n = 0; n < ids.length; n += AT_ONCE)
      for (const job of await this.jobs(ids.slice(n, n + AT_ONCE))) found.push({ ...scopedOf(job), sum: sumOf(job) })
    return found
  }
  async jobs(ids: readonly string[]): Promise<readonly Job[]> {
    return (await this.base.jobs.bulkGet([...ids])).filter(job => job !== undefined)
  }

  take(
    came: readonly unknown[],
    accepts: (job: InScope, isHere: boolean) => boolean,
    known: ReadonlyMap<string, Job>,
  ): Promise<Taken> {
    const { base } = this
    return base.transaction('rw', base.jobs, base.cards, base.gone, async () => {
      const ids = came.map(idOf)
      const [here, gone] = await Promise.all([base.jobs.bulkGet(ids), base.gone.bulkGet(ids)])
      const [put, more, stand]: [Job[], Job[], Job[]] = [[], [], []]
      came.forEach((each, n) => {
        const taken = takeJob(here[n], each, known.get(ids[n]!), gone[n]?.at)
        if (taken.kind === 'refused' || !accepts(scopedOf(taken.job), here[n] !== undefined)) return
        if (taken.kind === 'taken') put.push(taken.job)
        if (taken.more) more.push(taken.job)
        stand.push(taken.job)
      })
      if (put.length) await putJobs(put, base)
      const back = put.filter(job => gone[ids.indexOf(job.id)]).map(job => job.id)
      if (back.length) await base.gone.bulkDelete(back)
      return { more, stand }
    })
  }

  async gone() {
    const rows = await this.base.gone.toArray()
    return Object.fromEntries(rows.filter(({ id }) => !id.startsWith(CLOCK)).map(({ id, at }) => [id, at]))
  }
  async takeGone(gone: Readonly<Record<string, string>>) {
    for (const [id, at] of Object.entries(gone)) {
      if (id.startsWith(CLOCK)) continue
      const job = await this.base.jobs.get(id)
      if (job && Date.parse(lastTouched(job)) > Date.parse(at)) continue
      if (job) this.tookOff(await removeJob(id, this.base))
      await this.base.gone.put({ id, at })
    }
  }

  kit(): Promise<TimedKit> {
    return timedKit(this.base)
  }
  async takeKit({ kit, stamps }: { kit: unknown; stamps: Readonly<Record<string, string>> }): Promise<TimedKit | null> {
    const parsed = kitSchema.safeParse(kit)
    if (!parsed.success) return null
    const theirs = { kit: parsed.data, stamps }
    const { base } = this
    return base.transaction('rw', base.kit, async () => {
      const ours = await timedKit(base)
      const merged = mergeKit(ours, theirs)
      if (sumOf(merged) !== sumOf(ours)) await putKit(merged, base)
      return sumOf(merged) === sumOf(theirs) ? null : merged
    })
  }

  async clocks(): Promise<Clocks> {
    const [clocks, gone] = await Promise.all([
      this.base.clocks.toArray(),
      this.base.gone.where('id').startsWith(CLOCK).toArray(),
    ])
    return { clocks, stopped: gone.map(({ id }) => id.slice(CLOCK.length)) }
  }
  takeClocks({ clocks, stopped }: Clocks): Promise<void> {
    const { base } = this
    return base.transaction('rw', base.clocks, base.gone, async () => {
      const rows = await base.gone.where('id').startsWith(CLOCK).toArray()
      const known = new Set(rows.map(({ id }) => id.slice(CLOCK.length)))
      const at = new Date().toISOString()
      for (const id of stopped.filter(each => !known.has(each))) {
        known.add(id)
        await base.gone.put({ id: CLOCK + id, at })
        if (await base.clocks.get(id)) await base.clocks.delete(id)
      }
      const old = rows.filter(each => Date.now() - Date.parse(each.at) > CLOCK_GONE_MS).map(({ id }) => id)
      if (old.length) await base.gone.bulkDelete(old)
      for (const clock of clocks) {
        if (known.has(clock.id)) continue
        const here = await base.clocks.get(clock.id)
        if (!here) await base.clocks.put(clock)
        else if (clock.hushed && !here.hushed) await base.clocks.update(clock.id, { hushed: true })
      }
    })
  }

  async missing(ids?: readonly string[]): Promise<readonly Place[]> {
    const all = ids ?? (await this.base.jobs.toCollection().primaryKeys())
    const found: Place[] = []
    for (let n = 0; n < all.length; n += AT_ONCE) {
      const places = (await this.jobs(all.slice(n, n + AT_ONCE))).flatMap(placesOf)
      const held = new Set((await this.base.held.where(':id').anyOf(places).primaryKeys()).map(key => key.join('/')))
      for (const [jobId, id] of places) if (!held.has(`${jobId}/${id}`)) found.push({ jobId, id })
    }
    return found
  }
  async file({ jobId, id }: Place, from: number, most: number) {
    const file = await this.base.held.get([jobId, id])
    if (!file) return null
    const { kind: fileKind, name, type, bytes } = file
    const head: FileHead = { fileKind, name, type: type as FileHead['type'], total: bytes.byteLength }
    return { ...head, bytes: new Uint8Array(bytes.slice(from, from + most)) }
  }
  async begun({ jobId, id }: Place): Promise<number> {
    const last = await this.parts([jobId, id]).last()
    return last ? last.from + last.bytes.byteLength : 0
  }
  /** The pieces of a file that came, in their order. */
  private parts([jobId, id]: FilePlace) {
    return this.base.parts.where('[jobId+id+from]').between([jobId, id, Dexie.minKey], [jobId, id, Dexie.maxKey])
  }

  add({ jobId, id }: Place, head: FileHead, from: number, bytes: Uint8Array): Promise<'more' | 'done' | 'bad'> {
    const { base } = this
    return base.transaction('rw', base.parts, base.held, async () => {
      const last = await this.parts([jobId, id]).last()
      const long = last ? last.from + last.bytes.byteLength : 0
      // A piece that was asked for twice is here already.
      if (from !== long) return 'more'
      const drop = () => this.parts([jobId, id]).delete()
      const odd = last !== undefined && last.total !== head.total
      const past = long + bytes.length > head.total || head.total > LARGEST_FILE_BYTES
      if (odd || past || (bytes.length === 0 && long < head.total)) {
        await drop()
        return 'bad'
      }
      await base.parts.put({ jobId, id, from, total: head.total, bytes: bytes.slice().buffer })
      if (long + bytes.length < head.total) return 'more'
      const whole = new Uint8Array(head.total)
      for (const part of await this.parts([jobId, id]).toArray()) whole.set(new Uint8Array(part.bytes), part.from)
      await drop()
      if (wrongKind(whole, head.type) !== null) return 'bad'
      const { fileKind: kind, name, type } = head
      await base.held.put({ jobId, id, kind, name, type, bytes: whole.buffer })
      return 'done'
    })
  }
}
