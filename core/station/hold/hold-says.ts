import type { Held, ZoneLife } from '../../hold/run'
import { capital, figure, type Sentence } from '../parts'
import { BREAKS_BELOW, CARE_BELOW, CASES, ZONES, type HeldCase } from './cases.table'

/** What is asked beside the plan, to see whether it is stronger. */
const STRONGER: ReadonlySet<HeldCase> = new Set(['filler', 'aged', 'plated'])
/** A factor that differs by less is the same at a bench. Judgement. */
const ALIKE = 0.05

/** One state of a part under its load. */
export interface HeldState extends Pick<Held, 'by' | 'weakest' | 'cells' | 'imbalancePct'> {
  id: HeldCase
  /** The farthest that any corner moves, mm. */
  givesMm: number
  /** Of the zone that lasts least; null where nobody said how often. */
  life: ZoneLife | null
}

/** What a zone is, in words. */
export const zoneWords = (zone: string): string =>
  ZONES[zone.startsWith('weld-') ? 'weld' : zone.startsWith('soft-') ? 'soft' : 'base']
export const factorOf = ({ by, weakest }: HeldState): number => by.find(({ zone }) => zone === weakest)?.factor ?? 0

const times = (state: HeldState) => figure(Number(factorOf(state).toPrecision(2)), 'number')

/** What the mended part bears, as the bench's call. */
export function holdSentence(state: HeldState): Sentence {
  return [
    `${capital(CASES[state.id])} it bears `,
    times(state),
    ` times that load before it gives, first at ${zoneWords(state.weakest)}.`,
  ]
}

/** What that means beside the part as it was, and how sure it is. */
export function holdWhy(states: readonly HeldState[]): Sentence[] {
  const of = (id: HeldCase) => states.find(state => state.id === id)
  const [before, mended] = [of('new'), of('mended')]
  const said: Sentence[] = []
  if (before && factorOf(before) < CARE_BELOW)
    said.push([
      factorOf(before) < BREAKS_BELOW
        ? 'It did not bear that load when it was new either: mended as new it breaks again. Put the cause right, or make it stronger.'
        : 'It was near its limit when it was new: mended as new it may break again. Put the cause right, or make it stronger.',
    ])
  if (mended && factorOf(mended) < BREAKS_BELOW)
    said.push(['Mended, it gives under that load: plate it, relieve it, or say no.'])
  else if (mended && factorOf(mended) < CARE_BELOW)
    said.push(['Mended, it has little in hand: write the load down as its limit.'])
  const half = of('half')
  if (half && mended && factorOf(half) < factorOf(mended) * (1 - ALIKE))
    said.push([
      'Half through the wall it would bear ',
      times(half),
      ' times: what is left open under the weld is where it would go on.',
    ])
  const best = states.filter(({ id }) => STRONGER.has(id)).toSorted((a, b) => factorOf(b) - factorOf(a))[0]
  if (best && mended)
    said.push(
      factorOf(best) > factorOf(mended) * (1 + ALIKE)
        ? [`Stronger: ${CASES[best.id]}, `, times(best), ' times.']
        : ['Nothing tried beside it makes it stronger: what gives first lies elsewhere.'],
    )
  if (best?.id === 'plated')
    said.push(['A plate is reckoned as joined all over its face: welded round its edge it does less.'])
  said.push(['An estimate, not a proof: a third either way on every factor, a factor of ten on every life.'])
  return said
}
