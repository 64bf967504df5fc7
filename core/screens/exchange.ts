import { JOB_VERSION } from '../job/version'
import type { Job } from '../job/job.schema'
import { Fetching } from './fetching'
import type { Line, Other } from './line'
import { SPEECH, type Message, type MessageOf, type Scope } from './message.schema'
import { inScope, scopedOf, type InScope } from './scope'
import type { Opened } from './sealed'
import type { Shelf } from './shelf'
import { sumOf } from './take-job'
import { textOf } from '../job/same'

/** Letters of jobs in one message, roughly. */
const BATCH_LETTERS = 300_000
/** As many jobs as are worked on in a while are kept in mind; a shelf may hold thousands. */
const MOST_KNOWN = 200

export interface Me {
  readonly screen: string
  readonly name: string
  readonly scope: Scope
}
export interface Changes {
  readonly jobs: readonly string[]
  readonly kit: boolean
  readonly clocks: boolean
}

/**
 * One screen's part in keeping the shelves of several the same. Nothing rests on a message arriving: what is said is
 * how things stand, not what was done, so that whatever was missed is found by its sums when the two meet again.
 * Everything heard and every change here goes one after another.
 */
export class Exchange {
  private readonly present = new Map<string, Other>()
  /** Jobs as they were last said or heard, the latest of them: what others are known to have. */
  private readonly known = new Map<string, Job>()
  /** Jobs that were said or heard at all. */
  private readonly shared = new Set<string>()
  /** The sum of each job as everybody in the room has it, or has it coming. */
  private readonly said = new Map<string, string>()
  private readonly fetching: Fetching
  private last: Promise<unknown> = Promise.resolve()
  private at: string | null = null

  constructor(
    private me: Me,
    private readonly shelf: Shelf,
    private readonly line: Line,
    /** Told when the others, or what is told of them, changed. */
    private readonly told: (event: { kind: 'others' } | { kind: 'out'; by: string }) => void,
    private readonly now: () => number,
  ) {
    this.fetching = new Fetching(me.screen, shelf, line, now, () => this.others.filter(each => !each.differs))
  }

  get others(): readonly Other[] {
    return [...this.present.values()]
  }

  private inTurn<Out>(work: () => Promise<Out>): Promise<Out> {
    const done = this.last.then(work)
    this.last = done.catch(() => undefined)
    return done
  }

  /** The line is open, for the first time or again. */
  arrived(): void {
    this.present.clear()
    this.here(true)
    this.told({ kind: 'others' })
  }
  /** The line broke off: nobody is within reach. */
  cut(): void {
    this.present.clear()
    this.fetching.stop()
    this.told({ kind: 'others' })
  }
  /** To be called now and then: says that this screen is here, and no longer counts on whoever was silent for long. */
  beat(silentMs: number): void {
    for (const other of this.others) if (this.now() - other.heardAt > silentMs) this.forget(other.screen)
    this.fetching.lookRound()
    this.here(false)
  }
  private here(first: boolean): void {
    const { screen, name, scope } = this.me
    this.line.say({ kind: 'here', screen, name, speech: SPEECH, version: JOB_VERSION, first, at: this.at, scope })
  }
  moved(at: string | null): void {
    if (at === this.at) return
    this.at = at
    this.here(false)
  }
  renamed(name: string): void {
    this.me = { ...this.me, name }
    this.here(false)
  }
  leave(): void {
    this.line.say({ kind: 'bye', screen: this.me.screen })
    this.cut()
  }
  /** Tells another screen to leave. */
  putOut(screen: string): void {
    this.line.say({ kind: 'out', screen: this.me.screen, to: screen })
    this.forget(screen)
  }
  private forget(screen: string) {
    if (this.present.delete(screen)) this.told({ kind: 'others' })
  }

  /** Something changed here. */
  changed(changes: Changes): Promise<void> {
    return this.inTurn(async () => {
      if (!this.present.size) return
      if (changes.jobs.length) await this.sayChanged(changes.jobs)
      if (changes.kit && this.me.scope.kind === 'shop') await this.sayKit()
      if (changes.clocks) await this.sayClocks(false)
    })
  }
  private async sayChanged(ids: readonly string[]) {
    const jobs = (await this.shelf.jobs(ids)).filter(job => this.isMine(job))
    this.sayJobs(jobs.filter(job => this.said.get(job.id) !== sumOf(job)))
    const here = new Set(jobs.map(job => job.id))
    const missing = ids.filter(id => !here.has(id))
    if (!missing.length || this.me.scope.kind !== 'shop') return
    const all = await this.shelf.gone()
    const gone = Object.fromEntries(missing.flatMap(id => (all[id] === undefined ? [] : [[id, all[id]]])))
    if (Object.keys(gone).length) this.line.say({ kind: 'gone', screen: this.me.screen, gone })
  }
  private isMine = (job: Job) => inScope(this.me.scope, scopedOf(job)) || this.shared.has(job.id)

  private sayJobs(jobs: readonly Job[]) {
    let [batch, letters]: [Job[], number] = [[], 0]
    const send = () => {
      if (batch.length) this.line.say({ kind: 'jobs', screen: this.me.screen, jobs: batch })
      ;[batch, letters] = [[], 0]
    }
    for (const job of jobs) {
      const long = JSON.stringify(job).length
      if (letters + long > BATCH_LETTERS) send()
      batch.push(job)
      letters += long
      this.note(job)
    }
    send()
  }
  private note(job: Job) {
    this.keep(job)
    this.said.set(job.id, sumOf(job))
  }
  private keep(job: Job) {
    this.shared.add(job.id)
    this.known.delete(job.id)
    this.known.set(job.id, job)
    for (const [oldest] of this.known)
      if (this.known.size > MOST_KNOWN) this.known.delete(oldest)
      else break
  }
  private async sayKit() {
    const { kit, stamps } = await this.shelf.kit()
    this.line.say({ kind: 'kit', screen: this.me.screen, kit, stamps: { ...stamps } })
  }
  private clocksSaid = ''
  private async sayClocks(anyway: boolean) {
    const { clocks, stopped } = await this.shelf.clocks()
    const { scope } = this.me
    const mine = clocks.filter(({ jobId }) => scope.kind !== 'jobs' || (jobId !== null && scope.ids.includes(jobId)))
    const now = textOf([mine, stopped])
    // What was taken in changes the clocks here too: it is not said back.
    if (!anyway && now === this.clocksSaid) return
    this.clocksSaid = now
    this.line.say({ kind: 'clocks', screen: this.me.screen, clocks: mine, stopped })
  }

  /** Something was heard. What a screen of another version says is left, but for its being there. */
  heard({ message, tail }: Opened): Promise<void> {
    return this.inTurn(async () => {
      if (!('screen' in message) || message.screen === this.me.screen) return
      if ('to' in message && message.to !== this.me.screen) return
      const other = this.present.get(message.screen)
      if (other) this.present.set(message.screen, { ...other, heardAt: this.now() })
      if (message.kind !== 'here' && other?.differs) return
      await this.answer(message, tail)
    })
  }

  private async answer(message: Message, tail: Uint8Array): Promise<void> {
    switch (message.kind) {
      case 'here':
        return this.met(message)
      case 'sums':
        return this.compare(message)
      case 'want':
        this.sayJobs((await this.shelf.jobs(message.jobs)).filter(this.isMine))
        if (message.kit && this.me.scope.kind === 'shop') await this.sayKit()
        return
      case 'jobs':
        return this.takeJobs(message)
      case 'gone':
        if (this.goesAlong(message.screen)) await this.shelf.takeGone(message.gone)
        return
      case 'kit':
        if (this.me.scope.kind === 'shop' && (await this.shelf.takeKit(message))) await this.sayKit()
        return
      case 'clocks':
        return this.shelf.takeClocks(message)
      case 'file-want':
        return this.fetching.give(message)
      case 'file-part':
        return this.fetching.take(message, tail)
      case 'file-none':
        return this.fetching.none(message)
      case 'bye':
        return this.forget(message.screen)
      case 'out':
        return this.told({ kind: 'out', by: this.present.get(message.screen)?.name ?? '' })
      case 'ask':
      case 'offer':
    }
  }

  /** What takes a job off its shelf takes it off here too, unless it is a screen that only borrowed some. */
  private goesAlong = (screen: string) => this.present.get(screen)?.scope.kind === 'shop'

  private async met({ screen, name, speech, version, first, at, scope }: MessageOf<'here'>) {
    const before = this.present.get(screen)
    const newer = speech !== SPEECH ? speech > SPEECH : version > JOB_VERSION
    const differs = speech === SPEECH && version === JOB_VERSION ? null : newer ? 'newer' : 'older'
    this.present.set(screen, { screen, name, at, scope, differs, heardAt: this.now() })
    this.told({ kind: 'others' })
    if (first) this.here(false)
    if (differs || (before && !first)) return
    await this.saySums(screen, scope)
    await this.sayClocks(true)
    await this.fetching.look()
  }

  private async saySums(to: string, theirs: Scope) {
    const sums = (await this.shelf.sums()).filter(job => inScope(theirs, job) && this.isShared(job))
    const whole = this.me.scope.kind === 'shop' && theirs.kind === 'shop'
    this.line.say({
      kind: 'sums',
      screen: this.me.screen,
      to,
      jobs: Object.fromEntries(sums.map(({ id, sum }) => [id, sum])),
      gone: whole ? { ...(await this.shelf.gone()) } : {},
      kit: whole ? sumOf(await this.shelf.kit()) : null,
    })
  }
  private isShared = (job: InScope) => inScope(this.me.scope, job) || this.shared.has(job.id)

  /** Asks for what differs or is not here; sends what the other has not got. */
  private async compare({ screen, jobs, gone, kit }: MessageOf<'sums'>) {
    if (this.goesAlong(screen)) await this.shelf.takeGone(gone)
    const theirs = this.present.get(screen)?.scope
    const here = await this.shelf.sums()
    const sums = new Map(here.map(({ id, sum }) => [id, sum]))
    const wanted = Object.keys(jobs).filter(id => sums.get(id) !== jobs[id] && this.mayTake(id))
    for (const [id, sum] of sums) if (jobs[id] === sum) this.said.set(id, sum)
    const differs = kit !== null && this.me.scope.kind === 'shop' && kit !== sumOf(await this.shelf.kit())
    if (wanted.length || differs)
      this.line.say({ kind: 'want', screen: this.me.screen, to: screen, jobs: wanted, kit: differs })
    const lacking = here.filter(
      job => jobs[job.id] === undefined && theirs && inScope(theirs, job) && this.isShared(job),
    )
    for (let n = 0; n < lacking.length; n += 50)
      this.sayJobs(await this.shelf.jobs(lacking.slice(n, n + 50).map(({ id }) => id)))
  }
  private mayTake = (id: string) => this.me.scope.kind !== 'jobs' || this.me.scope.ids.includes(id)

  private async takeJobs({ screen, jobs }: MessageOf<'jobs'>) {
    const accepts = (job: InScope, isHere: boolean) =>
      inScope(this.me.scope, job) || (isHere && this.me.scope.kind === 'open')
    const { more, stand } = await this.shelf.take(jobs, accepts, this.known)
    const lacking = new Set(more.map(job => job.id))
    for (const job of stand)
      if (!lacking.has(job.id)) this.note(job)
      else this.keep(job)
    // What was said in just this state is on its way to them: said again for each older state that still comes, three
    // screens would never end.
    this.sayJobs(more.filter(job => this.said.get(job.id) !== sumOf(job)))
    await this.fetching.look(
      stand.map(job => job.id),
      screen,
    )
  }
}
