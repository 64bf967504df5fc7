import UFuzzy from '@leeoniya/ufuzzy'
import type { Job } from './job.schema'
import { STATION_IDS, type StationId } from './stations.table'

/**
 * What the shelf shows of a job; kept apart from it, so that ten thousand can be looked through without opening one.
 */
export interface Card {
  id: string
  title: string
  customer: string
  takenInAt: string
  updatedAt: string
  handedAt: string | null
  dueAt: string | null
  /** The job it was mended in first, where it came back. */
  comebackOf: string | null
  /** The stations settled, in their order. */
  settled: StationId[]
  /** Where work goes on; null where everything is settled. */
  next: StationId | null
  /** All words that it is found by, in small letters without accents. */
  words: string
}

/** Letters as they are compared: small, without accents. */
export const foldWords = (text: string) => text.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase()

export function cardOf(job: Job): Card {
  const settled = STATION_IDS.filter(id => job.settled[id])
  return {
    id: job.id,
    title: job.title,
    customer: job.customer,
    takenInAt: job.takenInAt,
    updatedAt: job.updatedAt,
    handedAt: job.handOver.handedAt,
    dueAt: job.takeIn.dueAt,
    comebackOf: job.takeIn.comebackOf,
    settled,
    next: STATION_IDS.find(id => !job.settled[id]) ?? null,
    words: foldWords(
      [job.title, job.customer, job.takeIn.damage, job.know.alloy, job.know.markText, job.handOver.limits].join(' '),
    ),
  }
}

/** Cards that hold every word looked for, in the order they came; each word may be the beginning or middle of one. */
export function findCards(cards: readonly Card[], text: string): Card[] {
  const wanted = foldWords(text).split(/\s+/).filter(Boolean)
  return wanted.length ? cards.filter(card => wanted.every(word => card.words.includes(word))) : [...cards]
}

/** One slip in a word: a letter more, less, changed, or two that have changed places. */
const SLIP = new UFuzzy({ intraMode: 1, intraIns: 1, intraSub: 1, intraTrn: 1, intraDel: 1 })

/**
 * Cards with a word like each word looked for, one slip in each allowed; for what no card holds as written. The best
 * first.
 */
export function likeCards(cards: readonly Card[], text: string): Card[] {
  const wanted = foldWords(text).trim()
  if (wanted.length < 3) return []
  const [places, , order] = SLIP.search(
    cards.map(card => card.words),
    wanted,
    1,
    200,
  )
  return (order && places ? order.map(at => places[at]!) : (places ?? [])).map(at => cards[at]!)
}
