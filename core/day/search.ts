import { seeded } from '../quantity/seeded'
import { NoAnswer } from '../ask/question'
import { lowerBound } from './bound'
import { cost, layer, type Laid } from './decode'
import type { Day } from './model'

/** Lists tried, over the square of the tasks, and at most. */
const TRIES_PER_SQUARE = 150
const MOST_TRIES = 260_000
/**
 * Share of the tries that anneal, before tabu search takes over; warmth at their beginning and end, as a share of the
 * first cost.
 */
const ANNEALED_SHARE = 0.45
const WARM = 0.02
const COLD = 0.0006
/** Moves for which a pair that has changed places may not change back, at least, and at most so many more. */
const TABU_MOVES = 7
const TABU_MORE = 8
/**
 * Moves without a better plan after which it goes back to a good one and shakes it, and how many changes a shake makes.
 */
const STUCK_MOVES = 220
const SHAKES = 5
/** Good plans kept to go back to. */
const ELITE = 4
const YIELD_EVERY = 256

/** How far a search is, and the best plan it has found so far. */
export interface Underway {
  share: number
  makespanMin: number
  lateMin: number
  starts: number[]
}

export interface Scheduled {
  starts: number[]
  makespanMin: number
  lateMin: number
  lowerBoundMin: number
  tries: number
}

/** Lists to start from: by several rules, each kept in an order in which nothing comes before what it waits for. */
function firstLists(day: Day): number[][] {
  const { tasks, order, due } = day
  const tail = new Float64Array(tasks.length)
  for (const n of order.toReversed())
    tail[n] = tasks[n]!.minutes + Math.max(0, ...tasks[n]!.then.map(next => tail[next]!))
  const ready = (rank: (n: number) => number): number[] => {
    const waiting = tasks.map(task => task.before.length)
    const open = waiting.flatMap((count, n) => (count === 0 ? [n] : []))
    const list: number[] = []
    while (open.length) {
      const best = open.reduce((a, b) => (rank(b) < rank(a) ? b : a))
      open.splice(open.indexOf(best), 1)
      list.push(best)
      for (const next of tasks[best]!.then) if (--waiting[next]! === 0) open.push(next)
    }
    return list
  }
  return [
    ready(n => -tail[n]!),
    ready(n => due[tasks[n]!.job]! * 1e3 - tail[n]!),
    ready(n => tasks[n]!.minutes),
    ready(n => -tasks[n]!.minutes),
    ready(n => tasks[n]!.earliestMin * 1e3 - tail[n]!),
  ]
}

/** One plan on the way: a list, the day it lays, and what holds up each task of it, as far as it was asked. */
interface Plan {
  list: Int32Array
  laid: Laid
  cost: number
  heldBy: (readonly number[] | undefined)[]
}

/** What ends as a task begins and keeps it from beginning sooner; what takes no time holds nothing up. */
function heldBy({ tasks }: Day, { starts, ends }: Laid, at: number): number[] {
  const start = starts[at]!
  const { before, needs } = tasks[at]!
  const holds: number[] = []
  for (let n = 0; n < ends.length; n++) {
    if (Math.abs(ends[n]! - start) > 1e-9 || n === at || tasks[n]!.minutes === 0) continue
    if (before.includes(n) || tasks[n]!.needs.some(resource => needs.includes(resource))) holds.push(n)
  }
  return holds
}

/** A chain of tasks each of which begins when the one before it ends, back from the last: what the length hangs on. */
function criticalChain(day: Day, { laid, heldBy: known }: Plan, from: number, random: () => number): number[] {
  const chain = [from]
  for (let at = from; ;) {
    const holds = (known[at] ??= heldBy(day, laid, at))
    if (!holds.length) return chain.reverse()
    at = holds[Math.floor(random() * holds.length)]!
    chain.push(at)
  }
}

/**
 * The list by start, so that neighbours in time are neighbours in the list. It nearly is so: moved one by one, a
 * few places are less work than a sort.
 */
function planOf(list: Int32Array, laid: Laid): Plan {
  const sorted = list.slice()
  for (let n = 1; n < sorted.length; n++) {
    const task = sorted[n]!
    let at = n
    for (; at > 0 && laid.starts[sorted[at - 1]!]! > laid.starts[task]!; at--) sorted[at] = sorted[at - 1]!
    sorted[at] = task
  }
  return { list: sorted, laid, cost: cost(laid), heldBy: [] }
}

/** Tasks of a chain that follow one another only because they share a resource. */
function loosePairs(day: Day, chain: readonly number[]): [number, number][] {
  const pairs: [number, number][] = []
  for (let at = 1; at < chain.length; at++)
    if (!day.tasks[chain[at]!]!.before.includes(chain[at - 1]!)) pairs.push([chain[at - 1]!, chain[at]!])
  return pairs
}

/** A list turned round somewhere, and how many tasks stand before that place. */
interface Turned {
  list: Int32Array
  from: number
}
/**
 * The list with `b` just before `a`, and with it whatever `b` waits for that stands between; null where `b` waits for
 * `a`.
 */
function turned(day: Day, list: Int32Array, [a, b]: readonly [number, number]): Turned | null {
  const [from, to] = [list.indexOf(a), list.indexOf(b)]
  const needed = new Set([b])
  for (let at = to - 1; at >= from; at--)
    if (day.tasks[list[at]!]!.then.some(task => needed.has(task))) needed.add(list[at]!)
  if (needed.has(a)) return null
  const next = list.slice()
  let at = from
  for (let n = from; n <= to; n++) if (needed.has(list[n]!)) next[at++] = list[n]!
  for (let n = from; n <= to; n++) if (!needed.has(list[n]!)) next[at++] = list[n]!
  return { list: next, from }
}

/** The task whose end a plan hangs on: the last, or, where jobs are late, now and then that of a late one. */
function hangsOn({ tasks, due }: Day, { starts, lateMin }: Laid, random: () => number): number {
  const late = lateMin > 0 && random() < 0.7
  let [last, most] = [0, -Infinity]
  tasks.forEach((task, n) => {
    const end = starts[n]! + task.minutes
    const over = end - due[task.job]!
    const value = !late ? end : over > 0 ? over * random() : -1
    if (value > most) [most, last] = [value, n]
  })
  return last
}

/**
 * A day's plan: least lateness, then least length.
 *
 * Lists laid by the serial scheme and improved: first by annealing, then by tabu search, in which of all pairs on a
 * critical chain that only share a resource the one is turned round that gives the best plan and was not turned lately
 * (Van Laarhoven, Aarts and Lenstra 1992; Nowicki and Smutnicki 1996); stuck, it goes back to a good plan and shakes
 * it. The bound says how far from the best it can be. The same day gives the same plan.
 * A generator of the share done and the best length and lateness so far; given true, it ends with the best so far.
 * @throws NoAnswer where the shifts are too short for the work
 */
export function* schedule(day: Day, effort = 1): Generator<Underway, Scheduled, boolean | undefined> {
  const n = day.tasks.length
  const lowerBoundMin = lowerBound(day)
  const random = seeded(20_231 + n)
  const layList = layer(day)
  const first = firstLists(day)
    .flatMap(list => {
      const laid = layList(list)
      return laid ? [planOf(Int32Array.from(list), laid)] : []
    })
    .toSorted((a, b) => a.cost - b.cost)[0]
  if (!first)
    throw new NoAnswer('the shifts given are too short for this work: lengthen them, add one, or take a job out')
  let [now, best] = [first, first]
  const elite: Plan[] = [first]
  const tabu = new Map<number, number>()
  const most = Math.ceil(Math.min(MOST_TRIES, TRIES_PER_SQUARE * n * n) * effort)
  let [tries, move, betterAt, told] = [0, 0, 0, -Infinity]
  let enough: boolean | undefined = false
  const underway = (): Underway => ({
    share: tries / most,
    makespanMin: best.laid.makespanMin,
    lateMin: best.laid.lateMin,
    starts: [...best.laid.starts],
  })
  const proved = () => best.laid.lateMin === 0 && best.laid.makespanMin <= lowerBoundMin + 1e-9
  /** What comes of turning a pair of the plan round, where that costs less than `below`. */
  const tried = (pair: readonly [number, number], below = Infinity): Plan | null => {
    tries += 1
    const turn = turned(day, now.list, pair)
    if (!turn) return null
    const laid = layList(turn.list, now.laid.held ? null : { starts: now.laid.starts, tasks: turn.from }, below)
    return laid && { list: turn.list, laid, cost: cost(laid), heldBy: [] }
  }
  const go = ({ list, laid }: Plan) => {
    now = planOf(list, laid)
  }
  const better = (plan: Plan) => {
    best = plan
    betterAt = move
    elite.unshift(plan)
    elite.length = Math.min(elite.length, ELITE)
  }
  for (const annealed = most * ANNEALED_SHARE; tries < annealed && !proved() && !enough;) {
    if (tries - told >= YIELD_EVERY) {
      told = tries
      enough = yield underway()
    }
    const pairs = loosePairs(day, criticalChain(day, now, hangsOn(day, now.laid, random), random))
    if (!pairs.length) break
    // Drawn beforehand, it says what a plan may cost at most to be gone to.
    const warmth = first.cost * WARM * (COLD / WARM) ** (tries / annealed)
    const next = tried(pairs[Math.floor(random() * pairs.length)]!, now.cost - warmth * Math.log(random()))
    if (!next) continue
    go(next)
    if (now.cost < best.cost - 1e-9) better(now)
  }
  now = best
  while (tries < most && !proved() && !enough) {
    if (tries - told >= YIELD_EVERY) {
      told = tries
      enough = yield underway()
    }
    move += 1
    const pairs = loosePairs(day, criticalChain(day, now, hangsOn(day, now.laid, random), random))
    let chosen: { plan: Plan; pair: readonly [number, number] } | null = null
    for (const pair of pairs) {
      const barred = (tabu.get(pair[1] * n + pair[0]) ?? 0) > move
      const plan = tried(pair, Math.min(chosen?.plan.cost ?? Infinity, barred ? best.cost : Infinity))
      if (plan) chosen = { plan, pair }
    }
    if (chosen) {
      // a now stands after b; the pair (b, a) may not be turned round again for a while.
      tabu.set(chosen.pair[0] * n + chosen.pair[1], move + TABU_MOVES + Math.floor(TABU_MORE * random()))
      go(chosen.plan)
      if (now.cost < best.cost - 1e-9) better(now)
    }
    if (!chosen || move - betterAt > STUCK_MOVES) {
      now = elite[Math.floor(random() * elite.length)]!
      for (let shake = 0; shake < SHAKES; shake++) {
        const loose = loosePairs(day, criticalChain(day, now, hangsOn(day, now.laid, random), random))
        const at = Math.floor(random() * Math.max(1, n - 1))
        const pair = loose.length
          ? loose[Math.floor(random() * loose.length)]!
          : n > 1
            ? ([now.list[at]!, now.list[at + 1]!] as const)
            : null
        const shaken = pair && tried(pair)
        if (shaken) go(shaken)
        tries += 1
      }
      tabu.clear()
      betterAt = move
    }
  }
  return {
    starts: [...best.laid.starts],
    makespanMin: best.laid.makespanMin,
    lateMin: best.laid.lateMin,
    lowerBoundMin,
    tries,
  }
}

/** Runs a search to its end. */
export function scheduled(running: ReturnType<typeof schedule>): Scheduled {
  for (;;) {
    const next = running.next()
    if (next.done) return next.value
  }
}
