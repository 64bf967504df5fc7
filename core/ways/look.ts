import { NoAnswer } from '../ask/question'
import type { Decision } from '../job-plan/decision'
import type { JobGiven, MendGiven } from '../job-plan/job-given'
import type { JobPlanned } from '../job-plan/job-planned'
import { Memo, planWhole } from '../job-plan/plan'
import { Front, isNoBetter, shownOf, type Figures } from './front'
import { mendOptions, withChoice, type MendChoice, type MendOption } from './mend-options'
import { warmOptions, type WarmSet } from './warm-options'

/** One decision of a way, as a plan has it: what it is about, of which mend, what it took. */
export interface Choice {
  about: 'mend' | 'process' | 'filler' | 'way' | 'warmth' | 'order' | 'finish' | 'supplied'
  of?: string
  took: string
}
/** One way to mend the whole job, with what is set for it. */
export interface Way extends Figures {
  handMin: number
  choices: Choice[]
  warm: WarmSet
  /** What is set of each mend, by its id. */
  set: ReadonlyMap<string, MendChoice>
}
export interface WaysFound {
  ways: Way[]
  /** Which of them the plan takes by itself; null where a better one is there. */
  now: number | null
  /** What the plan takes by itself, shown or not; null where it mends nothing. */
  own: Way | null
  /** Plans worked out. */
  looked: number
  /** Whether every combination was looked at. */
  all: boolean
}
/** How far a look has come. */
export interface Looking {
  looked: number
  of: number
}

/** Up to as many combinations all are worked out, of more as many at most; fewer where each has many mends. */
const ALL_UP_TO = 2000
const MENDS_OF_THAT = 4
const plansFor = (job: JobGiven) => Math.round(ALL_UP_TO * Math.min(1, MENDS_OF_THAT / job.mends.length))

interface Candidate {
  warm: WarmSet
  options: readonly MendOption[]
}
/** A way worked out, with the mends that it does not mend. */
interface Found extends Way {
  candidate: Candidate
  missed: readonly string[]
  /** The chance of each mend by itself, by its id. */
  ofMend: ReadonlyMap<string, number>
}

const isChosen = (about: Decision['about']): about is 'process' | 'filler' | 'way' | 'finish' | 'warmth' =>
  ['process', 'filler', 'way', 'finish', 'warmth'].includes(about)
const isMended = (took: string) => took === 'repair' || took === 'repair-with-limits'

/** What a way took, decision by decision, as its plan has it. */
function choicesOf(plan: JobPlanned, { options }: Candidate): Choice[] {
  const chosen = plan.decisions.flatMap(({ about, of, took }): Choice[] =>
    isChosen(about) && (of === undefined) === (about === 'warmth')
      ? [{ about, ...(of === undefined ? {} : { of }), took }]
      : [],
  )
  const set = options.flatMap(({ choice, given }): Choice[] => {
    const of = given.id
    if (choice.leftOut) return [{ about: 'mend', of, took: 'left-out' }]
    const lays = plan.mends.find(({ id }) => id === of)?.lays ?? []
    return [
      ...(new Set(lays.map(({ side }) => side)).size > 1 ? [{ about: 'order' as const, of, took: given.order }] : []),
      ...(typeof given.values.boughtFor === 'number'
        ? [{ about: 'supplied' as const, of, took: String(given.values.supplied ?? 'made') }]
        : []),
    ]
  })
  return [...chosen, ...set]
}

/** A mend that no longer waits for those left out. */
function without(given: MendGiven, left: ReadonlySet<string>): MendGiven {
  const { after } = given.values
  if (!left.size || !Array.isArray(after) || !after.some(id => left.has(String(id)))) return given
  return { ...given, values: { ...given.values, after: after.filter(id => !left.has(String(id))) } }
}

/** Works candidates of one job out, each mend made ready once for all of them, and remembers what came of each. */
class Workshop {
  looked = 0
  readonly found: Found[] = []
  private readonly done = new Map<string, Found | null>()
  constructor(
    private readonly job: JobGiven,
    readonly memo: Memo,
  ) {}

  /** A way worked out; null where the whole is not mended so. */
  work(candidate: Candidate): Found | null {
    const key = JSON.stringify([candidate.warm, candidate.options.map(({ choice }) => choice)])
    const known = this.done.get(key)
    if (known !== undefined) return known
    const found = this.planned(candidate)
    this.done.set(key, found)
    if (found) this.found.push(found)
    return found
  }

  private planned(candidate: Candidate): Found | null {
    const { warm, options } = candidate
    const left = new Set(options.flatMap(({ choice, given }) => (choice.leftOut ? [given.id] : [])))
    const mends = options.flatMap(({ given }) => (left.has(given.id) ? [] : [without(given, left)]))
    if (!mends.length) return null
    this.looked++
    let plan: JobPlanned
    try {
      plan = planWhole({ ...this.job, ...warm, mends }, false, this.memo)
    } catch (error) {
      if (error instanceof NoAnswer) return null
      throw error
    }
    if (!isMended(plan.decision)) return null
    return {
      price: plan.totals.price,
      elapsedMin: plan.totals.elapsedMin,
      handMin: plan.totals.handMin,
      chancePct: plan.chancePct,
      choices: choicesOf(plan, candidate),
      warm,
      set: new Map(options.map(({ choice, given }) => [given.id, choice])),
      missed: plan.mends.flatMap(({ id, decision }) => (isMended(decision) ? [] : [id])),
      candidate,
      ofMend: new Map(plan.mends.map(({ id, chancePct }) => [id, chancePct])),
    }
  }

  /** The best of what was found: of ways that mend as much as any, those of which none is worse than another. */
  front(): Found[] {
    const fewest = Math.min(...this.found.map(({ missed }) => missed.length))
    const front = new Front<Found>()
    for (const one of this.found) if (one.missed.length === fewest) front.add(one)
    return front.kept
  }
}

/** Every combination of one from each list, the first of each first. */
function* combinations<T>(lists: readonly (readonly T[])[]): Generator<T[]> {
  const at = lists.map(() => 0)
  for (;;) {
    yield lists.map((list, n) => list[at[n]!]!)
    let n = lists.length - 1
    while (n >= 0 && ++at[n]! >= lists[n]!.length) at[n--] = 0
    if (n < 0) return
  }
}
const productOf = (lists: readonly (readonly unknown[])[]) => lists.reduce((total, list) => total * list.length, 1)

/** What one job's search goes over. */
interface Ground {
  warms: readonly WarmSet[]
  lists: readonly (readonly MendOption[])[]
}

/** One with one thing changed: its warmth, or one of its mends. */
function* neighbours({ warm, options }: Candidate, { warms, lists }: Ground): Generator<Candidate> {
  for (const other of warms) if (other !== warm) yield { warm: other, options }
  for (const [n, list] of lists.entries())
    for (const option of list)
      if (option !== options[n]) yield { warm, options: options.map((one, m) => (m === n ? option : one)) }
}

/** Every combination, one after another. */
function* everyOne({ warms, lists }: Ground): Generator<Candidate> {
  for (const warm of warms) for (const options of combinations(lists)) yield { warm, options }
}

/**
 * From the plan's own on: each mend in turn changed to each of its options; each at its cheapest, its quickest and its
 * surest together, under each warmth; those that were best of each in every combination, where they are few; then
 * whatever differs in one thing from the best so far.
 */
function* searched(shop: Workshop, ground: Ground, most: number): Generator<Candidate> {
  const { warms, lists } = ground
  const own = lists.map(list => list[0]!)
  const fronts = []
  for (const [n, list] of lists.entries()) {
    const front = new Front<Figures & { option: MendOption }>()
    for (const option of list) {
      const candidate = { warm: warms[0]!, options: own.map((one, m) => (m === n ? option : one)) }
      yield candidate
      const found = shop.work(candidate)
      const { id } = option.given
      // The whole is as sure as its least sure mend: what makes another surer is seen at that one alone.
      if (found && !found.missed.includes(id))
        front.add({ price: found.price, elapsedMin: found.elapsedMin, chancePct: found.ofMend.get(id) ?? 100, option })
    }
    fronts.push(front.kept)
  }
  const best = fronts.map((kept, n) => [...new Set([own[n]!, ...kept.map(one => one.option)])])
  const ends: ((one: Figures) => number)[] = [one => one.price, one => one.elapsedMin, one => -one.chancePct]
  for (const end of ends) {
    const options = fronts.map((kept, n) => kept.toSorted((a, b) => end(a) - end(b))[0]?.option ?? own[n]!)
    for (const warm of warms) yield { warm, options }
  }
  if (productOf(best) <= most / 2 / warms.length) yield* everyOne({ warms, lists: best })
  yield* beside(shop, { warms, lists: best })
  yield* beside(shop, ground)
}

/** Whatever differs in one thing from the best so far, until nothing new is best. */
function* beside(shop: Workshop, ground: Ground): Generator<Candidate> {
  const seen = new Set<Found>()
  for (;;) {
    const next = shop.front().filter(one => !seen.has(one))
    if (!next.length) return
    for (const one of next) {
      seen.add(one)
      yield* neighbours(one.candidate, ground)
    }
  }
}

/** A way with nothing set that the plan takes by itself beside the rest, where it comes to the same. */
function plainest(way: Found, own: Found, shop: Workshop): Found {
  const took = (of: Found, about: Choice['about'], id: string) =>
    of.choices.find(one => one.about === about && one.of === id)?.took
  const options = way.candidate.options.map((option, n): MendOption => {
    const { choice, given } = option
    const asGiven = own.candidate.options[n]!
    const isSame = (about: Choice['about']) => took(way, about, given.id) === took(own, about, given.id)
    const { lays, order, way: by, finish, supplied, leftOut } = choice
    const set: MendChoice = {
      ...(lays && !(isSame('process') && isSame('filler')) ? { lays } : {}),
      ...(order && order !== asGiven.given.order ? { order } : {}),
      ...(by && !isSame('way') ? { way: by } : {}),
      ...(finish && !isSame('finish') ? { finish } : {}),
      ...(supplied && !isSame('supplied') ? { supplied } : {}),
      ...(leftOut ? { leftOut } : {}),
    }
    return { choice: set, given: withChoice(asGiven.given, set) }
  })
  const plain = shop.work({ warm: way.warm, options })
  return plain && plain.missed.length === way.missed.length && isNoBetter(plain, way) && isNoBetter(way, plain)
    ? plain
    : way
}

/**
 * The ways of a job of which none is worse than or equal to another in price, elapsed minutes and chance: of every
 * combination where they are few; else a search that changes one thing at a time, until nothing beside the best is
 * better or it has looked at as many. A mend that no combination mends stands as it was given.
 * Told after each plan how far it is; the same job gives the same ways.
 */
export function* waysOf(job: JobGiven, most: number, allUpTo = plansFor(job)): Generator<Looking, WaysFound> {
  const memo = new Memo()
  const shop = new Workshop(job, memo)
  const { warm, warmSchool } = job
  const asGiven = { warm: { warm, warmSchool }, options: job.mends.map((given): MendOption => ({ choice: {}, given })) }
  const own = shop.work(asGiven)
  const ground: Ground = { warms: warmOptions(job), lists: job.mends.map(mend => mendOptions(job, mend, memo)) }
  const every = ground.warms.length * productOf(ground.lists)
  const all = every <= allUpTo
  for (const candidate of all ? everyOne(ground) : searched(shop, ground, allUpTo)) {
    if (!all && shop.looked >= allUpTo) break
    shop.work(candidate)
    yield { looked: shop.looked, of: Math.min(every, allUpTo) }
  }
  const front = shop.front()
  const ownOnIt = front.find(one => own && isNoBetter(own, one) && own.missed.length === one.missed.length) ?? null
  const isOwn = ownOnIt && own && isNoBetter(ownOnIt, own) ? ownOnIt : null
  const { looked } = shop
  const shown = shownOf(front, most, isOwn)
  return {
    ways: shown.map(one => (one === isOwn || !own ? (isOwn ?? one) : plainest(one, own, shop))),
    now: isOwn ? shown.indexOf(isOwn) : null,
    own,
    looked,
    all,
  }
}
