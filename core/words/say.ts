import { cut, placesIn, templatesOf, type Catalogue, type Template } from './catalogue'
import { datesIn } from './dates'
import { headIn, headsOf, tailIn, tailsOf } from './fragments'
import { outsideQuotes, withCommas } from './numbers'
import { lettersLeft } from './plain'

/** Says in one language what the program says in English. */
export interface Sayer {
  /** BCP 47 name of the language. */
  readonly language: string
  /** A text as the program gives it, or a key with what stands at its places. */
  (given: string, places?: readonly unknown[]): string
  /** What is not text comes back as it is; a number with the language's decimal sign. */
  <T>(given: T): T | string
  /** A sentence in parts, of which the texts are said and the rest keeps its place in the language's own order. */
  parts: <P>(sentence: readonly (P | string)[]) => (P | string)[]
  /** How many letters of a text would stay English. */
  left: (text: string) => number
}

interface Said {
  readonly text: string
  readonly left: number
}

/** Marks a part of a sentence that is no text, while the sentence is said. */
const PART = /([\uE000-\uE0FF])/
const FIRST_PART = 0xe000
/** A figure by itself: not in a designation, a fraction or a name. */
const FIGURE = /(?<![\p{L}\p{N}.,/_-])\d+(?:\.\d+)?(?![\p{L}\p{N}/_-]|[.,]\d)/gu
const FIRST_FIGURE = 0xe100
const MOST_FIGURES = 0x100
const MARKED = /[\ue100-\ue1ff]/g
/** Letters of a template that says too little by itself to be taken where something would stay English. */
const LIGHT = 3
const MOST_TOGETHER = 4
const MOSTLY_OWN = 0.85
const MOST_TRIED = 14
const LONGEST_TRIED = 900
const MOST_KEPT = 6000
const AND = /(\sand\s|\sor\s)/
const SPLITS = [
  /(?<=[.!?…]["”’)]?)(\s+)/,
  /(;\s+)/,
  /(:\s+)/,
  /(\s·\s)/,
  AND,
  /(,\s+)/,
  /(\s[()]|[()]\s?)/,
  /([\uE000-\uE0FF])/,
]
const JOINS: Readonly<Record<string, string>> = { ' and ': 'and', ' or ': 'or' }
const COUNTED =
  /^(no|one|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve|\d+|[\ue100-\ue1ff]) (\p{L}[\p{L} -]*)([.;:,]?)$/u
const NUMBER_WORDS = 'no one two three four five six seven eight nine ten eleven twelve'.split(' ')

/** Whether a place begins or ends inside a word; endings such as `ly` may follow one. */
const cutsWords = (places: readonly string[], words: readonly string[]) =>
  places.some(
    (place, n) =>
      (/\p{L}$/u.test(words[n]!) && /^\p{L}/u.test(place)) ||
      (/\p{L}$/u.test(place) && /^\p{L}/u.test(words[n + 1]!) && !/^(?:ly|s)\b/.test(words[n + 1]!)),
  )
/** A text that goes on from another is the program's own; nobody's words begin with a space. */
const isFragment = (text: string, { words }: Template) => text.startsWith(' ') && words[0]!.startsWith(' ')
const ARTICLE = /^(?:an?|the) (.+)$/i
const EDGES = /^(\s*)([\s\S]*?)([.:;,]?)(\s*)$/
const small = (text: string) => text.charAt(0).toLowerCase() + text.slice(1)
const large = (text: string) => text.charAt(0).toUpperCase() + text.slice(1)
const shown = (value: unknown) => (value === null || value === undefined ? '' : String(value))

/** English: what is given, with its places filled. */
export const ENGLISH: Sayer = Object.assign(
  (given: unknown, places?: readonly unknown[]) =>
    places ? String(given).replace(/\{(\d+)\}/g, (_all, n: string) => shown(places[Number(n)])) : given,
  { language: 'en', parts: <P>(sentence: readonly (P | string)[]) => [...sentence], left: () => 0 },
) as Sayer

/**
 * A sayer for a catalogue. A text is looked up whole; else the template is found that fits it and leaves least
 * English, what stands at its places being said in turn; else it is said piece by piece. What no entry covers stays as
 * it is: what a person wrote is never changed but where it happens to be a word of the program.
 *
 * Figures come out with the language's decimal sign.
 */
export function sayer(language: string, words: Catalogue): Sayer {
  // Without a prototype: somebody may call a part "constructor".
  const catalogue: Catalogue = Object.assign(Object.create(null), words)
  const templates = templatesOf(catalogue)
  const kept = new Map<string, Said>()
  const dates = datesIn(language)
  const heavy = templates.filter(({ weight }) => weight > LIGHT)
  const light = templates.filter(({ weight }) => weight <= LIGHT)
  const figured = heavy.filter(({ words }) => /\p{N}/u.test(words.join('')))
  const tails = tailsOf(catalogue, templates)
  const heads = headsOf(catalogue, templates)

  /** A whole entry, also with a large first letter, a full stop behind it, or white space about it. */
  function exact(text: string): string | undefined {
    if (catalogue[text] !== undefined) return catalogue[text]
    const [, before = '', core = '', stop = '', after = ''] = EDGES.exec(text)!
    for (const [key, end] of [
      [core + stop, ''],
      [core, stop],
    ] as const) {
      const found = catalogue[key] ?? catalogue[small(key)]
      if (found !== undefined) return before + (small(key) === key ? found : large(found)) + end + after
      // A heading taken into a sentence.
      if (catalogue[large(key)] !== undefined) return before + catalogue[large(key)] + end + after
    }
    return undefined
  }

  function counted(text: string): Said | null {
    const match = COUNTED.exec(text)
    if (!match) return null
    const noun = exact(match[2]!)
    if (noun === undefined) return null
    const n = NUMBER_WORDS.indexOf(match[1]!)
    return { text: `${n === 0 ? (catalogue.no ?? '0') : n > 0 ? n : match[1]} ${noun}${match[3]}`, left: 0 }
  }

  function templated(text: string, most: number, of = heavy): Said | null {
    let best: Said | null = null
    let tried = 0
    for (const template of of) {
      if (!text.includes(template.longest)) continue
      for (const from of ['left', 'right'] as const) {
        const places = placesIn(text, template.words, from)
        if (!places) break
        if (places.some(place => place.length >= text.length) || cutsWords(places, template.words)) break
        const said = places.map(place => resolve(place))
        const left = said.reduce((sum, place) => sum + place.left, 0)
        if (left < (best?.left ?? most) && (left === 0 || of === heavy || isFragment(text, template)))
          best = {
            text: template.said.map(piece => (typeof piece === 'string' ? piece : said[piece]!.text)).join(''),
            left,
          }
        if (left === 0) return best
        if (places.length === 1) break
        if (from === 'right') tried += 1
      }
      if (tried > MOST_TRIED) break
    }
    return best
  }

  /** Pieces that were put behind one another: `, and the zone at 90 °C` behind what stands before it. */
  function spliced(text: string, most: number): Said | null {
    let best: Said | null = null
    for (const [fragments, find] of [
      [heads, headIn],
      [tails, tailIn],
    ] as const)
      for (const fragment of fragments) {
        const found = find(text, fragment)
        if (!found || cutsWords(found.places, fragment.words)) continue
        const filled = found.places.map(place => resolve(place))
        const [before, after] = [resolve(found.before), resolve(found.after)]
        const left = before.left + after.left + filled.reduce((sum, place) => sum + place.left, 0)
        if (left < (best?.left ?? most) && (left === 0 || (fragment.template?.weight ?? fragment.key.length) > LIGHT)) {
          const said = fragment.template
            ? fragment.template.said.map(piece => (typeof piece === 'string' ? piece : filled[piece]!.text)).join('')
            : catalogue[fragment.key]!
          best = { text: before.text + said + after.text, left }
        }
        if (left === 0) return best
      }
    return best
  }

  /** Said between its commas, stops and such; pieces that belong to one template are taken together. */
  function piecewise(text: string, most: number): Said | null {
    let best: Said | null = null
    for (const split of SPLITS) {
      const pieces = text.split(split)
      if (pieces.length < 3) continue
      const said = grouped(pieces)
      const loose = split === AND && said.left > 0
      if (!loose && said.left < (best?.left ?? most)) best = said
      if (best?.left === 0) return best
    }
    return best
  }

  /** The cheapest way to take pieces together, each group said as one. Odd places hold what stood between them. */
  function grouped(pieces: readonly string[]): Said {
    const join = (piece: string) =>
      JOINS[piece] && catalogue[JOINS[piece]] !== undefined ? ` ${catalogue[JOINS[piece]]} ` : piece
    const ways: Said[] = [{ text: '', left: 0 }]
    for (let until = 0; until < pieces.length; until += 2) {
      let best: Said | null = null
      for (let from = until; from >= Math.max(0, until - 2 * MOST_TOGETHER); from -= 2) {
        const before = ways[from / 2]!
        const group = pieces.slice(from, until + 1).join('')
        const said = from === until ? resolve(group) : whole(group)
        const left = before.left + (said?.left ?? lettersLeft(group))
        if (said && (best === null || left < best.left))
          best = { text: before.text + (from > 0 ? join(pieces[from - 1]!) : '') + said.text, left }
      }
      ways.push(best!)
    }
    return ways.at(-1)!
  }

  function whole(text: string): Said | null {
    const found = exact(text)
    return found === undefined ? templated(text, lettersLeft(text)) : { text: found, left: 0 }
  }

  function resolve(text: string): Said {
    const known = kept.get(text)
    if (known) return known
    const left = lettersLeft(text)
    if (left === 0 && catalogue[text] === undefined) return { text: withCommas(text), left: 0 }
    const dated = dates(text)
    if (dated !== null) return { text: dated, left: 0 }
    const found = exact(text)
    if (found !== undefined) return { text: found, left: 0 }
    const number = counted(text) ?? counted(small(text))
    if (number) return number
    const digits = NUMBER_WORDS.indexOf(text.trim())
    if (digits > 0) return { text: text.replace(/\p{L}+/u, String(digits)), left: 0 }
    let best: Said = { text, left }
    const take = (said: Said | null) => {
      if (said && said.left < best.left) best = said
    }
    if (text.length <= LONGEST_TRIED) {
      take(templated(text, left))
      if (best.left > 0 && small(text) !== text) {
        const lower = templated(small(text), left)
        take(lower && { text: large(lower.text), left: lower.left })
      }
      const noun = best.left > 0 ? ARTICLE.exec(text) : null
      if (noun) {
        const bare = resolve(noun[1]!)
        // The language's own article would want the word's gender and case: it goes without.
        if (bare.left === 0) take({ text: /^\p{Lu}/u.test(text) ? large(bare.text) : bare.text, left: 0 })
      }
      if (best.left > 0) take(piecewise(text, best.left))
      if (best.left > 0 && /[^.][.:;,]$/.test(text)) {
        const bare = resolve(text.slice(0, -1))
        take({ text: bare.text + text.at(-1)!, left: bare.left })
      }
      if (best.left > 0) take(spliced(text, best.left))
      if (best.left > 0) take(templated(text, best.left, light))
    }
    if (kept.size > MOST_KEPT) kept.clear()
    kept.set(text, best)
    return best
  }

  /**
   * The same with every figure by itself replaced by a mark, so that a text whose figures change is looked for once.
   * An entry that holds figures of its own is found by the text as it is.
   */
  function resolveFigures(text: string): Said {
    if (catalogue[text] !== undefined) return { text: catalogue[text], left: 0 }
    const figures: string[] = []
    const shape = text.replace(FIGURE, figure =>
      figures.length < MOST_FIGURES ? String.fromCharCode(FIRST_FIGURE + figures.push(figure) - 1) : figure,
    )
    if (figures.length === 0) return resolve(text)
    const figureAt = (mark: string) => figures[mark.charCodeAt(0) - FIRST_FIGURE] ?? mark
    const own = templated(text, lettersLeft(text), figured)
    if (own?.left === 0) return own
    const found = resolve(shape)
    const said = found.left === 0 ? found : [found, resolve(text)].toSorted((a, b) => a.left - b.left)[0]!
    return {
      text: outsideQuotes(
        said.text,
        part => part.replace(MARKED, mark => withCommas(figureAt(mark))),
        part => part.replace(MARKED, figureAt),
      ),
      left: said.left,
    }
  }

  function say(given: string): string {
    // A figure is held to its unit by a space that does not break; it is matched as a plain one and put back.
    const held = [...given.matchAll(/\u00a0(\S+)/g)].map(match => match[1]!)
    const plain = given.replaceAll('\u00a0', ' ')
    const found = resolveFigures(plain)
    // What is mostly somebody's own words is left as it was written.
    const text = found.left > MOSTLY_OWN * lettersLeft(plain) ? given : found.text
    return held.reduce((said, unit) => said.replace(` ${unit}`, () => `\u00a0${unit}`), text)
  }
  const value = (given: unknown): unknown =>
    typeof given === 'string' ? say(given) : typeof given === 'number' ? withCommas(String(given)) : given

  return Object.assign(
    (given: unknown, places?: readonly unknown[]) => {
      if (!places) return value(given)
      const said = catalogue[given as string]
      const filled = cut(said ?? (given as string)).map(piece =>
        typeof piece === 'number' ? shown(value(places[piece])) : piece,
      )
      return said === undefined ? say(ENGLISH(given as string, places)) : filled.join('')
    },
    {
      language,
      parts<P>(sentence: readonly (P | string)[]): (P | string)[] {
        const rest: P[] = []
        const marked = sentence
          .map(part => (typeof part === 'string' ? part : String.fromCharCode(FIRST_PART + rest.push(part) - 1)))
          .join('')
        return say(marked)
          .split(PART)
          .filter(Boolean)
          .map(piece => (PART.test(piece) ? (rest[piece.charCodeAt(0) - FIRST_PART] ?? piece) : piece))
      },
      left: (text: string) => resolveFigures(text.replaceAll('\u00a0', ' ')).left,
    },
  ) as Sayer
}
