import type { Job } from '#core/job/job.schema'
import { madeChange } from '#core/job/made-change'
import { newJob } from '#core/job/new-job'
import { addressed, valueAt, type PathKey } from '#core/job/patch'
import { putChanges, type Change } from '#core/job/put-changes'
import { same } from '#core/job/same'
import { seeded } from '#core/quantity/seeded'
import { changeQueue } from './change-queue'
import type { Entry } from './journal'
import type { Written } from './shelf'

const START_MS = Date.parse('2026-11-12T09:00:00.000Z')
const WALL: PathKey[] = ['takeIn', 'wallMm']
const EXTRAS: PathKey[] = ['handOver', 'other']

/** What was done, kept as a plain list beside the shelf it is compared with. */
interface Deed {
  readonly tab: number
  readonly stamp: string
  readonly sets?: string
  readonly value?: unknown
  readonly adds?: string
  readonly takesOut?: string
}
interface Attempt {
  readonly carryOut: () => Written
  readonly done: (written: Written) => void
  readonly fail: (error: Error) => void
}
const turn = () => new Promise<void>(resolve => setImmediate(resolve))

/**
 * One drawn schedule of two tabs on one job: edits, writes that come through late or fail, tries again, tabs cut in the
 * middle of a write with their journals left behind. @returns what is wrong with the shelf by the plain list, in words
 */
export async function schedule(seed: number, steps = 40): Promise<string[]> {
  const next = seeded(seed)
  const pick = <One>(list: readonly One[]): One => list[Math.floor(next() * list.length)]!
  let shelf: Job = newJob('a', 'A part', '', new Date(START_MS).toISOString())
  let nowMs = START_MS
  const deeds: Deed[] = []
  const wrong: string[] = []
  const journals = new Map<number, readonly Entry[]>()
  let count = 0

  const carryOut = (entries: readonly Change[], at: string): Written => {
    const put = putChanges(shelf, entries, at)
    shelf = put.job
    return { kind: 'stored', ...put }
  }
  function openTab() {
    const id = count++
    const attempts: Attempt[] = []
    let again: (() => void) | null = null
    const tab = { id, view: shelf, attempts, tryAgain: () => again?.() }
    const queue = changeQueue({
      write: (_, entries, at) =>
        new Promise((done, fail) => attempts.push({ carryOut: () => carryOut(entries, at), done, fail })),
      keep: entries => {
        journals.set(id, entries)
        return true
      },
      later: retry => {
        again = retry
        return () => {
          again = null
        }
      },
      stored: now => {
        tab.view = now
      },
    })
    return Object.assign(tab, { queue })
  }
  type Tab = ReturnType<typeof openTab>
  let tabs: Tab[] = [openTab(), openTab()]

  function edit(tab: Tab, path: PathKey[], value: unknown, deed: Omit<Deed, 'tab' | 'stamp'>) {
    const at = new Date(nowMs).toISOString()
    const way = addressed(tab.view, path)
    const made = madeChange(tab.view, { path: way, value }, valueAt(tab.view, way), at)
    if (!('change' in made)) return wrong.push(made.reason)
    tab.view = made.next
    deeds.push({ tab: tab.id, stamp: made.change.stamp, ...deed })
    return tab.queue.add({ ...made.change, jobId: 'a', at })
  }
  function change(tab: Tab) {
    const n = deeds.length + 1
    const extras = tab.view.handOver.other
    const what = pick(['wall', 'title', 'add', 'add', 'takeOut'] as const)
    if (what === 'wall') edit(tab, WALL, { typed: `${n} mm`, value: n }, { sets: 'takeIn.wallMm', value: n })
    else if (what === 'title') edit(tab, ['title'], `Title ${n}`, { sets: 'title', value: `Title ${n}` })
    else if (what === 'add') edit(tab, EXTRAS, [...extras, { id: `x${n}`, name: `x${n}`, price: n }], { adds: `x${n}` })
    else if (extras.length) {
      const gone = pick(extras).id
      edit(
        tab,
        EXTRAS,
        extras.filter(({ id }) => id !== gone),
        { takesOut: gone },
      )
    }
  }
  function come(tab: Tab, isThrough: boolean) {
    const attempt = tab.attempts.shift()
    if (!attempt) return
    if (isThrough) attempt.done(attempt.carryOut())
    else attempt.fail(new Error('no room'))
  }
  /** Cut off in the middle: the write may have been carried out, its journal may not know. */
  function cut(tab: Tab) {
    const attempt = tab.attempts.shift()
    if (attempt && next() < 0.5) attempt.carryOut()
    const left = journals.get(tab.id) ?? []
    journals.set(tab.id, [])
    orphans.push(left)
    tabs = tabs.map(each => (each === tab ? openTab() : each))
  }
  const orphans: (readonly Entry[])[] = []
  function replay() {
    for (const entries of orphans.splice(0))
      if (entries.length)
        carryOut(
          entries.map(entry => ({ ...entry, maybeStored: !entry.refused })),
          entries.at(-1)!.at,
        )
  }
  /** What the other tab stored, seen. */
  const look = (tab: Tab) => {
    if (tab.queue.idle() && !same(tab.view, shelf)) tab.view = shelf
  }

  const newestOf = (field: string) =>
    deeds
      .filter(({ sets }) => sets === field)
      .reduce<Deed | null>((last, deed) => (last && last.stamp > deed.stamp ? last : deed), null)
  const standing = (field: string): unknown => (field === 'title' ? shelf.title : shelf.takeIn.wallMm.value)
  const stampOf = (field: string) => shelf.stamps[field] ?? ''
  function saidToBeStored(tab: Tab) {
    if (!tab.queue.idle()) return
    for (const { tab: by, sets, adds, stamp } of deeds) {
      if (by !== tab.id) continue
      if (sets && stampOf(sets) < stamp) wrong.push(`${sets} of ${stamp} is said to be stored and is not`)
      const isOut = deeds.some(({ takesOut }) => takesOut === adds)
      if (adds && !isOut && !shelf.handOver.other.some(({ id }) => id === adds))
        wrong.push(`${adds} is said to be stored and is not`)
    }
  }

  for (let n = 0; n < steps; n++) {
    nowMs += Math.floor(next() * 2000)
    const tab = pick(tabs)
    const drawn = next()
    if (drawn < 0.45) change(tab)
    else if (drawn < 0.65) come(tab, true)
    else if (drawn < 0.75) come(tab, false)
    else if (drawn < 0.83) tab.tryAgain()
    else if (drawn < 0.94) look(tab)
    else if (drawn < 0.97) cut(tab)
    else replay()
    await turn()
    for (const each of tabs) saidToBeStored(each)
  }
  replay()
  for (const tab of tabs)
    for (let most = 0; !tab.queue.idle() && most < 2 * steps; most++) {
      tab.tryAgain()
      await turn()
      come(tab, true)
      await turn()
    }
  for (const field of ['title', 'takeIn.wallMm']) {
    const newest = newestOf(field)
    const last = deeds.filter(({ sets, stamp }) => sets === field && stamp === newest?.stamp).map(({ value }) => value)
    if (newest && !last.includes(standing(field)))
      wrong.push(`${field} is ${String(standing(field))}, changed last to ${last.join(' or ')}`)
  }
  for (const { adds } of deeds) {
    if (!adds) continue
    const isOut = deeds.some(({ takesOut }) => takesOut === adds)
    if (isOut === shelf.handOver.other.some(({ id }) => id === adds))
      wrong.push(`${adds} is ${isOut ? 'back' : 'lost'}`)
  }
  return wrong.map(words => `schedule ${seed}: ${words}`)
}
