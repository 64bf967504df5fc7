import 'fake-indexeddb/auto'
import fc from 'fast-check'
import { afterEach, describe, expect, it, vi } from 'vitest'
import { stamped } from '#core/job/field'
import type { Job } from '#core/job/job.schema'
import { newJob } from '#core/job/new-job'
import { newMend } from '#core/job/new-mend'
import { pictureSchema } from '#core/job/picture.schema'
import { applyPatch, type PathKey } from '#core/job/patch'
import { textOf } from '#core/job/same'
import { Exchange } from '#core/screens/exchange'
import type { Message, Scope } from '#core/screens/message.schema'
import { opened, sealed } from '#core/screens/sealed'
import { meetingOf, newSecret } from '#core/screens/secret'
import { BenchDatabase } from '~/db/database'
import { removeJob } from '~/db/off-the-shelf'
import { putJobs } from '~/db/shelf'
import { SharedShelf } from './shared-shelf'

vi.stubGlobal('localStorage', { getItem: () => null, setItem: () => undefined, removeItem: () => undefined })

interface Said {
  from: string
  message: Message
  tail: Uint8Array
}
/** Screens with shelves of their own, and what is said between them, passed on when it is asked for. */
class Shop {
  readonly screens: Screen[] = []
  readonly air: Said[] = []

  add(name: string, scope: Scope = { kind: 'shop' }, clockMs = 0): Screen {
    const screen = new Screen(this, name, scope, clockMs)
    this.screens.push(screen)
    return screen
  }
  /** Passes on all that was said, and what is said to it, until nothing more is. */
  async quiet() {
    for (let round = 0; this.air.length || round < 2; round = this.air.length ? 0 : round + 1) {
      for (const { from, message, tail } of this.air.splice(0))
        for (const screen of this.screens)
          if (screen.name !== from && screen.within) await screen.exchange.heard({ message, tail })
      await Promise.all(this.screens.map(screen => screen.exchange.changed({ jobs: [], kit: false, clocks: false })))
    }
  }
}
let made = 0
class Screen {
  readonly base = new BenchDatabase(`screen-${made++}`)
  readonly shelf = new SharedShelf(this.base)
  readonly exchange: Exchange
  within = false
  constructor(
    shop: Shop,
    readonly name: string,
    scope: Scope,
    readonly clockMs: number,
  ) {
    const say = (message: Message, tail = new Uint8Array()) => {
      if (this.within) shop.air.push({ from: name, message: structuredClone(message), tail })
    }
    const line = { say: say as (message: Message, tail?: Uint8Array) => void }
    this.exchange = new Exchange(
      { screen: name, name, scope },
      this.shelf,
      line,
      () => undefined,
      () => 0,
    )
  }
  arrive() {
    this.within = true
    this.exchange.arrived()
  }
  cut() {
    this.within = false
    this.exchange.cut()
  }
  async job(id = 'a'): Promise<Job> {
    return (await this.base.jobs.get(id))!
  }
  /** A change by hand, stamped by this screen's own clock. */
  async edit(path: PathKey[], value: unknown, second: number, id = 'a') {
    const job = await this.base.jobs.get(id)
    if (!job) return
    const at = new Date(Date.parse('2026-11-12T09:00:00Z') + this.clockMs + second * 1000).toISOString()
    const next = applyPatch(job, { path, value })
    await putJobs([{ ...next, updatedAt: at, stamps: stamped(job, next, [path], at, job.updatedAt) }], this.base)
    await this.exchange.changed({ jobs: [id], kit: false, clocks: false })
  }
  /** All of its shelf, to the letter. */
  async letters() {
    const [jobs, kit] = await Promise.all([this.base.jobs.toArray(), this.shelf.kit()])
    return textOf([jobs.toSorted((a, b) => (a.id < b.id ? -1 : 1)), kit])
  }
}
let shop = new Shop()
afterEach(async () => {
  await Promise.all(shop.screens.map(screen => screen.base.delete()))
  shop = new Shop()
})
const START = { ...newJob('a', 'A part', '', '2026-11-12T08:00:00.000Z'), mends: [newMend('m', 'crack')] }
const reading = (value: number) => ({ typed: `${value} mm`, value })
const YEAR = 365 * 86_400_000

describe('screens of one shop', () => {
  it('hold the same after the one that joins has taken the whole of it', async () => {
    const [desk, phone] = [shop.add('desk'), shop.add('phone')]
    await putJobs([START, { ...START, id: 'b' }], desk.base)
    await putJobs([{ ...START, id: 'c' }], phone.base)
    desk.arrive()
    phone.arrive()
    await shop.quiet()
    expect(await phone.letters()).toBe(await desk.letters())
    expect(await desk.base.jobs.toCollection().primaryKeys()).toEqual(['a', 'b', 'c'])
    expect(await desk.base.cards.count()).toBe(3)
  })
  it('take only what they take part in: one job, or those that are open', async () => {
    const desk = shop.add('desk')
    const one = shop.add('one', { kind: 'jobs', ids: ['b'] })
    const open = shop.add('open', { kind: 'open' })
    const handed = { ...START, id: 'h', handOver: { ...START.handOver, handedAt: '2026-11-12T08:30:00.000Z' } }
    await putJobs([START, { ...START, id: 'b' }, handed], desk.base)
    for (const screen of [desk, one, open]) screen.arrive()
    await shop.quiet()
    expect(await one.base.jobs.toCollection().primaryKeys()).toEqual(['b'])
    expect(await open.base.jobs.toCollection().primaryKeys()).toEqual(['a', 'b'])
    await one.edit(['title'], 'Of the phone', 5, 'b')
    await desk.edit(['handOver', 'handedAt'], '2026-11-12T10:00:00.000Z', 6)
    await shop.quiet()
    expect([(await desk.job('b')).title, (await open.job('b')).title]).toEqual(['Of the phone', 'Of the phone'])
    expect((await open.job()).handOver.handedAt).not.toBeNull()
    // What a screen that borrowed one takes off its shelf stays on the others.
    await removeJob('b', one.base)
    await one.exchange.changed({ jobs: ['b'], kit: false, clocks: false })
    await shop.quiet()
    expect(await desk.job('b')).toBeDefined()
  })
  it('take a job off together, unless it was touched after that', async () => {
    const [desk, phone] = [shop.add('desk'), shop.add('phone')]
    await putJobs([START, { ...START, id: 'b' }], desk.base)
    for (const screen of [desk, phone]) screen.arrive()
    await shop.quiet()
    phone.cut()
    for (const id of ['a', 'b']) {
      await removeJob(id, desk.base)
      await desk.exchange.changed({ jobs: [id], kit: false, clocks: false })
    }
    await phone.edit(['title'], 'Still wanted', 20 * 365 * 86_400, 'b')
    phone.arrive()
    await shop.quiet()
    for (const screen of [desk, phone]) expect(await screen.base.jobs.toCollection().primaryKeys()).toEqual(['b'])
    expect((await desk.job('b')).title).toBe('Still wanted')
  })
  it('share clocks, and stop them together', async () => {
    const [desk, phone] = [shop.add('desk'), shop.add('phone')]
    for (const screen of [desk, phone]) screen.arrive()
    await desk.base.clocks.put({ id: 'c', name: 'Bake', jobId: null, startedAt: 1, endsAt: 2 })
    await desk.exchange.changed({ jobs: [], kit: false, clocks: true })
    await shop.quiet()
    expect(await phone.base.clocks.toArray()).toMatchObject([{ name: 'Bake' }])
    await phone.base.clocks.delete('c')
    await phone.base.gone.put({ id: 'clock-c', at: new Date().toISOString() })
    await phone.exchange.changed({ jobs: [], kit: false, clocks: true })
    await shop.quiet()
    expect(await desk.base.clocks.count()).toBe(0)
  })
  it('fetch a picture across a line that is cut five times, and none that is not what it is said to be', async () => {
    const [desk, phone] = [shop.add('desk'), shop.add('phone')]
    const picture = (id: string) => pictureSchema.parse({ id, name: id, widthPx: 10, heightPx: 10 })
    const bytes = new Uint8Array(3 * 1024 * 1024).map((_, n) => (n * 7919) % 251)
    bytes.set([0xff, 0xd8, 0xff])
    await putJobs([{ ...START, pictures: [picture('p'), picture('q')] }], phone.base)
    const file = (id: string, of: Uint8Array) => ({
      id,
      jobId: 'a',
      kind: 'picture' as const,
      name: id,
      type: 'image/jpeg',
      bytes: of.slice().buffer,
    })
    await phone.base.held.bulkPut([file('p', bytes), file('q', new Uint8Array(9))])
    desk.arrive()
    phone.arrive()
    for (let cut = 0; cut < 5; cut++) {
      for (let n = 0; n < 9; n++) {
        const said = shop.air.shift()
        if (said) await (said.from === 'desk' ? phone : desk).exchange.heard(said)
      }
      shop.air.length = 0
      desk.cut()
      desk.arrive()
    }
    await shop.quiet()
    const held = await desk.base.held.toArray()
    expect(held.map(({ id }) => id)).toEqual(['p'])
    expect(Buffer.compare(new Uint8Array(held[0]!.bytes), bytes)).toBe(0)
    expect(await desk.base.parts.count()).toBe(0)
  })
  it('that lag behind do not answer every older state that still comes: what is said stays in proportion', async () => {
    const screens = [shop.add('desk'), shop.add('phone'), shop.add('booth')]
    for (const screen of screens) {
      await putJobs([START], screen.base)
      screen.arrive()
    }
    await shop.quiet()
    for (let n = 0; n < 30; n++) await screens[n % 3]!.edit(['takeIn', n % 2 ? 'wallMm' : 'heightMm'], reading(n), n)
    let said = 0
    while (shop.air.length) {
      said += 1
      const { from, message, tail } = shop.air.shift()!
      for (const screen of screens) if (screen.name !== from) await screen.exchange.heard({ message, tail })
    }
    expect(await screens[1]!.letters()).toBe(await screens[0]!.letters())
    expect(said).toBeLessThan(150)
  })
  it('come to no harm by a screen that sends nonsense', async () => {
    const [desk, odd] = [shop.add('desk'), shop.add('odd')]
    await putJobs([START], desk.base)
    for (const screen of [desk, odd]) screen.arrive()
    await shop.quiet()
    const before = await desk.letters()
    const nonsense: Message[] = [
      { kind: 'jobs', screen: 'odd', jobs: [null, 7, { id: 'a' }, { ...START, title: 9 }, { ...START, version: 99 }] },
      { kind: 'kit', screen: 'odd', kit: { shop: 3 }, stamps: {} },
      { kind: 'want', screen: 'odd', to: 'desk', jobs: ['nobody'], kit: false },
      { kind: 'file-want', screen: 'odd', to: 'desk', jobId: 'a', id: 'x', from: 5 },
      {
        kind: 'file-part',
        screen: 'odd',
        to: 'desk',
        jobId: 'a',
        id: 'x',
        fileKind: 'picture',
        name: '',
        type: 'image/png',
        from: 0,
        total: 3,
      },
    ]
    for (const message of nonsense) await desk.exchange.heard({ message, tail: new Uint8Array(3) })
    expect(await desk.letters()).toBe(before)
    expect(await desk.base.held.count()).toBe(0)
  })

  it('come to the same to the letter, whatever is changed where, cut off when, by clocks years apart', async () => {
    const deed = fc.record({
      screen: fc.nat(2),
      what: fc.nat(8),
      n: fc.nat(5),
      second: fc.nat(60),
      /** What happens to the line after it. */
      then: fc.constantFrom('nothing', 'nothing', 'pass on', 'pass on', 'cut', 'arrive', 'lose'),
    })
    await fc.assert(
      fc.asyncProperty(fc.array(deed, { minLength: 5, maxLength: 40 }), async deeds => {
        shop = new Shop()
        const screens = [
          shop.add('desk', { kind: 'shop' }, 0),
          shop.add('phone', { kind: 'shop' }, -6 * YEAR),
          shop.add('booth', { kind: 'shop' }, 5 * YEAR),
        ]
        for (const { base } of screens) await putJobs([START], base)
        for (const screen of screens) screen.arrive()
        for (const { screen: which, what, n, second, then } of deeds) {
          const screen = screens[which]!
          const job = await screen.base.jobs.get('a')
          const edits: readonly [PathKey[], unknown][] = [
            [['title'], `Part ${n}`],
            [['takeIn', 'wallMm'], reading(n)],
            [['takeIn', 'damage'], `crack ${n}`],
            [['mends', '#m', 'done'], [`pass-${n}`]],
            [['mends', '#m', 'readings', 'capMm'], reading(n)],
            [['mends'], [...(job?.mends ?? []).filter(({ id }) => id !== `x${n}`), newMend(`x${n}`, 'hole')]],
            [['mends'], (job?.mends ?? []).filter(({ id }) => id !== `x${n}`)],
            [['handOver', 'other'], n % 2 ? [{ id: `e${n}`, name: 'plug', price: n }] : []],
            [['settled', 'know'], n % 2 ? { at: '2026-11-12T09:00:00.000Z', basis: {} } : undefined],
          ]
          await screen.edit(...edits[what]!, second)
          if (then === 'pass on') await shop.quiet()
          else if (then === 'cut') screen.cut()
          else if (then === 'arrive') screen.arrive()
          else if (then === 'lose') shop.air.splice(0)
        }
        for (const screen of screens) {
          screen.cut()
          screen.arrive()
        }
        await shop.quiet()
        const [first, ...others] = await Promise.all(screens.map(screen => screen.letters()))
        for (const other of others) expect(other).toBe(first)
        await Promise.all(screens.map(({ base }) => base.delete()))
        shop.screens.length = 0
      }),
      { seed: 43, numRuns: 25 },
    )
  })
})

describe('what goes over the line', () => {
  it('is opened by those who hold the secret alone, and holds nothing that could be read', async () => {
    const meeting = await meetingOf(newSecret())
    const message: Message = { kind: 'jobs', screen: 'desk', jobs: [{ ...START, title: 'Cider press gate' }] }
    const bytes = await sealed(meeting, message, new Uint8Array([1, 2, 3]))
    expect(new TextDecoder('latin1').decode(bytes)).not.toMatch(/Cider|wild|desk/)
    expect(await opened(meeting, bytes)).toEqual({ message, tail: new Uint8Array([1, 2, 3]) })
    const other = await meetingOf(newSecret())
    expect(await opened(other, bytes)).toBeNull()
    expect(await opened({ ...meeting, room: other.room }, bytes)).toBeNull()
    for (const at of [0, 20, bytes.length - 1])
      expect(
        await opened(
          meeting,
          bytes.map((byte, n) => (n === at ? byte ^ 1 : byte)),
        ),
      ).toBeNull()
    expect(await opened(meeting, new Uint8Array(4))).toBeNull()
  })
  it('meets in a room that says nothing of the secret, the same for the same secret', async () => {
    const secret = newSecret()
    const [one, two] = [await meetingOf(secret), await meetingOf(secret)]
    expect(one.room).toBe(two.room)
    expect(one.room).toMatch(/^[\w-]{22}$/)
    expect(secret).not.toContain(one.room)
  })
})
