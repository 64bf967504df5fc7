/**
 * A language's words, keyed by the English ones: a text as the program says it, with `{0}`, `{1}` … where figures and
 * further words stand, and the same in that language. Every place of the key stands in its translation once.
 */
export type Catalogue = Readonly<Record<string, string>>

const PLACE = /(?:\{\d+\})+/g

/** A key cut at its places; places that follow one another without words between are one. */
export interface Template {
  readonly key: string
  /** The words before, between and after the places: one more than there are places. */
  readonly words: readonly string[]
  /** The longest of the words: what a text must hold to be looked at. */
  readonly longest: string
  /** How many letters and stops it fixes. */
  readonly weight: number
  /** What is said: words and the numbers of places, in the language's own order. */
  readonly said: readonly (string | number)[]
}

/** What is said for a key, cut at its places. */
export function cut(said: string): (string | number)[] {
  return said
    .split(/(\{\d+\})/)
    .filter(Boolean)
    .map(piece => (/^\{\d+\}$/.test(piece) ? Number(piece.slice(1, -1)) : piece))
}

/** The templates of a catalogue, the ones that fix most letters first. */
export function templatesOf(catalogue: Catalogue): Template[] {
  return Object.entries(catalogue)
    .filter(([key]) => /\{\d+\}/.test(key))
    .map(([key, translation]) => {
      const runs = key.match(PLACE)!
      const words = key.split(PLACE)
      const said = cut(
        runs
          .reduce((text, run, n) => text.replace(run, `\u0000${n}\u0000`), translation)
          .replace(/\u0000(\d+)\u0000/g, '{$1}'),
      )
      const longest = words.reduce((most, word) => (word.length > most.length ? word : most), '')
      return { key, words, longest, weight: words.join('').replace(/[^\p{L}\p{N}.;:·(]/gu, '').length, said }
    })
    .filter(({ words }) => /\p{L}/u.test(words.join('')))
    .sort((a, b) => b.weight - a.weight)
}

/** What stands at the places of a template in a text, from the left or from the right; null where it does not fit. */
export function placesIn(text: string, words: readonly string[], from: 'left' | 'right'): string[] | null {
  const [head, tail] = [words[0]!, words.at(-1)!]
  if (text.length < head.length + tail.length || !text.startsWith(head) || !text.endsWith(tail)) return null
  const inner = words.slice(1, -1)
  const places: string[] = []
  if (from === 'left') {
    let at = head.length
    for (const word of inner) {
      const next = text.indexOf(word, at)
      if (next < 0 || next + word.length > text.length - tail.length) return null
      places.push(text.slice(at, next))
      at = next + word.length
    }
    places.push(text.slice(at, text.length - tail.length))
    return places
  }
  let end = text.length - tail.length
  for (const word of [...inner].reverse()) {
    const next = text.lastIndexOf(word, end - word.length)
    if (next < head.length) return null
    places.unshift(text.slice(next + word.length, end))
    end = next
  }
  places.unshift(text.slice(head.length, end))
  return places
}
