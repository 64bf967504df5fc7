/** A pattern as pieces in turn: plain text, or a place for something. */
export type Piece = { text: string } | { place: 'value' | 'unit' | 'any' }

const PLACES = ['value', 'unit', 'any'] as const

/** A pattern's pieces; spaces of any length count as one. */
export const piecesOf = (pattern: string): Piece[] =>
  pattern
    .split(/(\{(?:value|unit|any)\})/)
    .filter(Boolean)
    .map(part => {
      const place = PLACES.find(each => part === `{${each}}`)
      return place ? { place } : { text: part.replace(/\s+/g, ' ') }
    })

/** What is wrong with a pattern, or null. */
export function patternTrouble(pattern: string): string | null {
  const pieces = piecesOf(pattern)
  const count = (place: string) => pieces.filter(piece => 'place' in piece && piece.place === place).length
  if (count('value') !== 1) return 'holds {value} once'
  if (count('unit') > 1) return 'holds {unit} at most once'
  if (/\{[^}]*\}/.test(pattern.replace(/\{(?:value|unit|any)\}/g, ''))) return 'knows {value}, {unit} and {any} only'
  for (let n = 1; n < pieces.length; n++)
    if ('place' in pieces[n]! && 'place' in pieces[n - 1]!) {
      const [a, b] = [pieces[n - 1] as { place: string }, pieces[n] as { place: string }]
      if (a.place === 'any' || b.place === 'any') return 'wants something between {any} and what is beside it'
    }
  return null
}

const VALUE = /^[+-]?\s*(?:\d{1,9}(?:[.,]\d{0,9})?|[.,]\d{1,9})/
const UNIT = /^[A-Za-z°µ%]{1,6}/

/**
 * What a line holds by a pattern. Walks the line once, piece by piece, so that no line takes long.
 * @returns the figure and the unit as they are written, or null where the line is not of this kind
 */
export function matched(pieces: readonly Piece[], line: string): { value: number; unit: string | null } | null {
  let rest = line.replace(/\s+/g, ' ').trim()
  let [value, unit]: [number | null, string | null] = [null, null]
  for (let n = 0; n < pieces.length; n++) {
    const piece = pieces[n]!
    if ('text' in piece) {
      // Spaces at the ends of a piece of text may be there or not: devices pad as they like.
      const text = piece.text.trim()
      rest = rest.trimStart()
      if (!rest.startsWith(text)) return null
      rest = rest.slice(text.length)
      if (/\s$/.test(piece.text)) rest = rest.trimStart()
    } else if (piece.place === 'any') {
      const next = pieces[n + 1]
      if (!next) break
      const text = (next as { text: string }).text.trim()
      const at = text ? rest.indexOf(text) : rest.indexOf(' ')
      if (at < 0) return null
      rest = rest.slice(at)
    } else {
      rest = rest.trimStart()
      const found = (piece.place === 'value' ? VALUE : UNIT).exec(rest)
      if (!found) return null
      if (piece.place === 'value') value = Number(found[0].replace(/\s/g, '').replace(',', '.'))
      else unit = found[0]
      rest = rest.slice(found[0].length)
    }
  }
  const last = pieces.at(-1)
  const open = last && 'place' in last && last.place === 'any'
  return value !== null && Number.isFinite(value) && (open || rest.trim() === '') ? { value, unit } : null
}
