import type { Job, Kit } from '../../job/job.schema'
import type { Patch } from '../../job/patch'
import type { Prefers } from '../../job/words.table'
import { ORDERS } from '../../lay/lays'
import { SUPPLIED } from '../../mend/common'
import { kindOf } from '../../mend/registry'
import { isNoBetter, shownOf } from '../../ways/front'
import { waysOf, type Choice, type Looking, type Way } from '../../ways/look'
import { ABOUT, named, tookWords } from '../decision-words'
import { planKnow } from '../know/know'
import { givenOfJob } from '../mends/whole-of'
import { capital } from '../parts'
import { wayPatches } from './take-way'

/** One decision in which a way is not as the plan's own. */
export interface Differs {
  id: string
  about: string
  mend: string | null
  /** Whether the shop gave its mend that name, which is never translated. */
  isNamed: boolean
  now: string
  then: string
}
/** A way as *Call* shows it. */
export interface ShownWay {
  id: string
  price: number
  elapsedMin: number
  handMin: number
  chancePct: number
  /** The plan's own: nothing has to be taken. */
  isOwn: boolean
  /** Whether another is better in everything. */
  isBeaten: boolean
  differs: Differs[]
  /** What is changed in the job to go this way. */
  patches: Patch[]
  /** What it is the best of. */
  best: Prefers[]
}
export interface ShownWays {
  ways: ShownWay[]
  looked: number
  all: boolean
}

/** As many as can be told apart in a picture, out of as many as are looked at for it. */
const MOST = 8
const LOOKED_AT = 40
/** Ways nearer to one another than this are one to whoever chooses: a share of price and hours, points of chance. */
const ALIKE_SHARE = 0.006
const ALIKE_POINTS = 0.6

/** Whether nobody who chooses would see that a way is better than another in anything. */
const looksNoBetter = (a: Way, b: Way): boolean =>
  a.price > b.price * (1 - ALIKE_SHARE) &&
  a.elapsedMin > b.elapsedMin * (1 - ALIKE_SHARE) &&
  a.chancePct < b.chancePct + ALIKE_POINTS

/** Ways that can be told apart, the plan's own whatever comes: of those alike the one with the fewest changes. */
function apart(own: Way | null, ways: readonly Way[]): Way[] {
  let kept: Way[] = own ? [own] : []
  const changed = (way: Way) => [...way.set.values()].reduce((sum, choice) => sum + Object.keys(choice).length, 0)
  for (const way of ways.toSorted((a, b) => changed(a) - changed(b))) {
    if (kept.some(one => looksNoBetter(way, one))) continue
    kept = [...kept.filter(one => one === own || !looksNoBetter(one, way)), way]
  }
  return kept
}

function choiceWords(job: Job, { about, of, took }: Choice): string {
  if (took === 'left-out') return 'left out: the part does without it'
  if (about === 'order') return Object.entries(ORDERS).find(([id]) => id === took)?.[1] ?? took
  if (about === 'supplied') return Object.entries(SUPPLIED).find(([id]) => id === took)?.[1] ?? took
  const kind = job.mends.find(({ id }) => id === of)?.kind ?? null
  return tookWords(about, took, { job, kind })
}
const ABOUT_CHOICE: Readonly<Record<Choice['about'], string>> = {
  ...ABOUT,
  order: 'Order of its sides',
  supplied: 'The piece for it',
}

function differsOf(job: Job, own: Way, way: Way): Differs[] {
  const key = ({ about, of = '' }: Choice) => `${about} ${of}`
  const before = new Map(own.choices.map(choice => [key(choice), choice]))
  return way.choices.flatMap((choice): Differs[] => {
    const was = before.get(key(choice))
    // Of a mend that is left out, nothing else is decided.
    if (was?.took === choice.took || (!was && choice.about !== 'mend')) return []
    const mend = choice.of === undefined ? undefined : job.mends.find(({ id }) => id === choice.of)
    return [
      {
        id: key(choice),
        about: ABOUT_CHOICE[choice.about],
        mend: choice.of === undefined ? null : named(job, choice.of),
        isNamed: !!mend?.name,
        now: capital(was ? choiceWords(job, was) : mend ? kindOf(mend.kind).name : ''),
        then: capital(choiceWords(job, choice)),
      },
    ]
  })
}

/** Which of several ways is the best in what a customer may prefer. */
function bestOf(ways: readonly Way[]): Map<Way, Prefers[]> {
  const best = new Map<Way, Prefers[]>()
  const first = (of: (way: Way) => number, prefers: Prefers) => {
    const [way] = ways.toSorted((a, b) => of(a) - of(b))
    if (way) best.set(way, [...(best.get(way) ?? []), prefers])
  }
  first(way => way.price, 'cheap')
  first(way => way.elapsedMin, 'soon')
  first(way => -way.chancePct, 'sure')
  return best
}

/**
 * The ways of a stored job as *Call* shows them, the plan's own among them even where another is better in everything;
 * null where there is none. Told after each plan how far it is.
 */
export function* shownWays(job: Job, kit: Kit): Generator<Looking, ShownWays | null> {
  const found = givenOfJob(job, kit, planKnow(job).data)
  if (!found.hasMends) return null
  const { ways, own, now, looked, all } = yield* waysOf(found.given, LOOKED_AT)
  const list = shownOf(apart(own, ways), MOST, own).toSorted((a, b) => a.price - b.price)
  const best = bestOf(list)
  const isBeaten = own !== null && now === null && list.some(way => way !== own && isNoBetter(own, way))
  const shown = (way: Way): ShownWay => ({
    id: way === own ? 'own' : JSON.stringify(way.choices),
    price: way.price,
    elapsedMin: way.elapsedMin,
    handMin: way.handMin,
    chancePct: way.chancePct,
    isOwn: way === own,
    isBeaten: way === own && isBeaten,
    differs: own && way !== own ? differsOf(job, own, way) : [],
    patches: way === own ? [] : wayPatches(job, way),
    best: best.get(way) ?? [],
  })
  return { ways: list.map(shown), looked, all }
}
