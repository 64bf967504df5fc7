import { hasParts, inTurn } from './changed-parts'
import { isReading, keyed } from './entry-key'
import type { ListRule } from './fields/declared'
import { same, textOf } from './same'

/** Times of change by the names of fields and their parts, ISO. */
export type Stamps = Readonly<Record<string, string>>
/** When the two versions of a value were last changed. */
export type Times = readonly [a: number, b: number]

/**
 * Before any change: where a field was never touched, what another bench made of it goes, however far back that bench's
 * clock is.
 */
export const UNTOUCHED = Date.parse('1990-01-01T00:00:00.000Z')

/**
 * Whether the first of two values goes: the newer, and at the same moment the one that stands later in the alphabet, so
 * that either bench comes to the same.
 */
export const wins = (a: unknown, b: unknown, aAt: number, bAt: number) =>
  aAt !== bAt ? aAt > bAt : textOf(a) > textOf(b)

/**
 * One value out of two versions of it. Lists hold the entries of both, less those that one took out after the other
 * last touched them; what differs goes by the newer, part by part where parts are timed by themselves.
 * The same whichever is called a; of a version and what came of it, what came of it.
 */
export class TwoVersions {
  constructor(
    private readonly a: Stamps,
    private readonly b: Stamps,
    private readonly rule: ListRule | undefined,
  ) {}

  /** @param at the name of the value, by which its parts are timed @param times of the field that it is in */
  joined(a: unknown, b: unknown, at: string, times: Times): unknown {
    if (same(a, b)) return a
    const here = this.timesAt(at, times)
    if (Array.isArray(a) && Array.isArray(b)) {
      const [mine, yours] = [keyed(a), keyed(b)]
      if (mine && yours) return this.entries(mine, yours, at, here)
      // What one bench has not filled in, the other may have; the longer list goes on.
      if (inTurn(a, b)) return this.turns(a, b, at, here)
    }
    if (hasParts(a, b)) {
      const [mine, yours] = [new Map(Object.entries(a as object)), new Map(Object.entries(b as object))]
      return Object.fromEntries(this.parts(mine, yours, key => `${at}.${key}`, here))
    }
    return wins(a, b, ...here) ? a : b
  }

  /**
   * Times of a part: a part that either bench has timed by itself goes by that, and where the other has not, nobody
   * touched it there; every other part goes by what it is in.
   */
  private timesAt(at: string, outer: Times): Times {
    const [a, b] = [this.a[at], this.b[at]]
    return a === undefined && b === undefined
      ? outer
      : [a === undefined ? UNTOUCHED : Date.parse(a), b === undefined ? UNTOUCHED : Date.parse(b)]
  }

  /** Whether a part that one version holds and the other lacks was taken out there since it was last touched here. */
  private takenOut(at: string, holds: Stamps, lacks: Stamps): boolean {
    const gone = lacks[at]
    if (gone === undefined) return false
    const touched = Object.keys(holds)
      .filter(name => name === at || name.startsWith(`${at}.`))
      .reduce((latest, name) => Math.max(latest, Date.parse(holds[name]!)), UNTOUCHED)
    return Date.parse(gone) > touched
  }

  private parts(
    mine: ReadonlyMap<string, unknown>,
    yours: ReadonlyMap<string, unknown>,
    name: (key: string) => string,
    times: Times,
  ): [string, unknown][] {
    return [...new Set([...mine.keys(), ...yours.keys()])].flatMap((key): [string, unknown][] => {
      const at = name(key)
      if (mine.has(key) && yours.has(key)) return [[key, this.joined(mine.get(key), yours.get(key), at, times)]]
      const out = mine.has(key) ? this.takenOut(at, this.a, this.b) : this.takenOut(at, this.b, this.a)
      return out ? [] : [[key, mine.has(key) ? mine.get(key) : yours.get(key)]]
    })
  }

  private entries(mine: Map<string, unknown>, yours: Map<string, unknown>, at: string, times: Times): unknown[] {
    const all = new Map(this.parts(mine, yours, key => `${at}.#${key}`, times))
    const [here, there] = [[...mine.keys()], [...yours.keys()]]
    const names = same(here, there) || this.rule?.order !== 'time' ? putIn(here, there, times) : byTime(all)
    return names.flatMap(key => (all.has(key) ? [all.get(key)] : []))
  }

  private turns(a: readonly unknown[], b: readonly unknown[], at: string, times: Times): unknown[] {
    const length = `${at}.length`
    const [aLong, bLong] = this.timesAt(length, times)
    const long =
      this.a[length] === undefined && this.b[length] === undefined
        ? Math.max(a.length, b.length)
        : wins(a.length, b.length, aLong, bLong)
          ? a.length
          : b.length
    return Array.from({ length: long }, (_, n) => {
      if (n >= a.length || n >= b.length) return n >= a.length ? b[n] : a[n]
      const turn = `${at}.${n}`
      if (this.a[turn] === undefined && this.b[turn] === undefined && isReading(a[n]))
        return filled(a[n], b[n], ...times)
      return this.joined(a[n], b[n], turn, times)
    })
  }
}

function filled(a: unknown, b: unknown, aAt: number, bAt: number): unknown {
  const empty = (reading: unknown) => (reading as { typed: string }).typed.trim() === ''
  if (empty(a) !== empty(b)) return empty(a) ? b : a
  return wins(a, b, aAt, bAt) ? a : b
}

/** Keys as the newer list has them, and after those what only the other has. */
function putIn(here: readonly string[], there: readonly string[], [aAt, bAt]: Times): string[] {
  const [first, second] = wins(here, there, aAt, bAt) ? [here, there] : [there, here]
  const has = new Set(first)
  return [...first, ...second.filter(key => !has.has(key))]
}

/** Keys in the order of their entries' time. */
function byTime(entries: ReadonlyMap<string, unknown>): string[] {
  const moment = (entry: unknown) => {
    const { at, from } = (entry ?? {}) as { at?: unknown; from?: unknown }
    return String(at ?? from ?? '')
  }
  return [...entries]
    .map(([key, entry]) => ({ key, at: moment(entry) }))
    .toSorted((p, q) => (p.at !== q.at ? (p.at < q.at ? -1 : 1) : p.key < q.key ? -1 : p.key > q.key ? 1 : 0))
    .map(({ key }) => key)
}
