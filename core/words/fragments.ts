import { placesIn, type Catalogue, type Template } from './catalogue'

/** An entry that is put before or behind others: `Warm it to `, `, and the zone at {0}`. */
export interface Fragment {
  readonly key: string
  readonly words: readonly string[]
  /** Null where it holds no places. */
  readonly template: Template | null
}

/** A fragment where it stands in a text: what is before it, at its places, and behind it. */
export interface Found {
  readonly fragment: Fragment
  readonly before: string
  readonly places: readonly string[]
  readonly after: string
}

const TAIL = /^[ .,;:(]/
const HEAD = /[ (]$/

function fragmentsOf(catalogue: Catalogue, templates: readonly Template[], like: (key: string) => boolean): Fragment[] {
  const byKey = new Map(templates.map(template => [template.key, template]))
  return Object.keys(catalogue)
    .filter(key => key.length > 3 && like(key))
    .sort((a, b) => b.length - a.length)
    .map(key => {
      const template = byKey.get(key) ?? null
      return { key, template, words: template?.words ?? [key] }
    })
}

/** Entries that go on from what stands before them; each begins with words. */
export const tailsOf = (catalogue: Catalogue, templates: readonly Template[]) =>
  fragmentsOf(catalogue, templates, key => TAIL.test(key)).filter(({ words }) => words[0]!.length > 1)

/** Entries that something follows; each ends with words. */
export const headsOf = (catalogue: Catalogue, templates: readonly Template[]) =>
  fragmentsOf(catalogue, templates, key => HEAD.test(key) && !TAIL.test(key)).filter(
    ({ words }) => words.at(-1)!.length > 1,
  )

/** The tail in a text that has something before it; null where it is not there. */
export function tailIn(text: string, fragment: Fragment): Found | null {
  const { words, template, key } = fragment
  const at = text.indexOf(words[0]!, 1)
  if (at < 0) return null
  const before = text.slice(0, at)
  if (template === null) return { fragment, before, places: [], after: text.slice(at + key.length) }
  const places = placesIn(text.slice(at), words, 'left')
  return places && { fragment, before, places, after: '' }
}

/** The head that a text begins with and that something follows; null where it is not there. */
export function headIn(text: string, fragment: Fragment): Found | null {
  const { words, template, key } = fragment
  if (template === null)
    return text.startsWith(key) && text.length > key.length
      ? { fragment, before: '', places: [], after: text.slice(key.length) }
      : null
  const last = words.at(-1)!
  const at = text.indexOf(last, words[0]!.length)
  if (at < 0 || at + last.length === text.length) return null
  const places = placesIn(text.slice(0, at + last.length), words, 'left')
  return places && { fragment, before: '', places, after: text.slice(at + last.length) }
}
