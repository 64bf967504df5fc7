import type { LanguageId } from './languages.table'
import { ENGLISH, sayer, type Sayer } from './say'

const loaded = new Map<LanguageId, Promise<Sayer>>()
const CATALOGUES = {
  de: () => import('./de/catalogue').then(({ GERMAN }) => sayer('de', GERMAN)),
} as const satisfies Record<Exclude<LanguageId, 'en'>, () => Promise<Sayer>>

/** The sayer of a language; its words are fetched when it is first asked for, and kept. */
export function sayerOf(id: LanguageId): Promise<Sayer> {
  if (id === 'en') return Promise.resolve(ENGLISH)
  const known = loaded.get(id)
  if (known) return known
  const fetched = CATALOGUES[id]()
  loaded.set(id, fetched)
  // One that did not arrive is asked for again the next time.
  fetched.catch(() => loaded.delete(id))
  return fetched
}
