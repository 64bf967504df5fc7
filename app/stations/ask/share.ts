/** What stands in a question's form: text as typed, choices, flags. */
export type Form = Record<string, string | number | boolean | null>

/** A link longer than this is cut off by somebody on its way. */
const LONGEST_LINK = 8000
const LONGEST_VALUE = 4000

/**
 * A link that carries a question and all that stands in its form, after the `#`, which no server is sent. Empty where
 * it would be too long, as with a picture.
 */
export function linkTo(origin: string, question: string, form: Form): string {
  const filled = Object.fromEntries(Object.entries(form).filter(([, value]) => value !== null && value !== ''))
  const put = Object.keys(filled).length ? `#${encodeURIComponent(JSON.stringify(filled))}` : ''
  const link = `${origin}/ask?q=${encodeURIComponent(question)}${put}`
  return link.length > LONGEST_LINK ? '' : link
}

/** What a link's `#` carries; null where it is nothing of the kind. */
export function shared(hash: string): Form | null {
  if (hash.length < 2) return null
  try {
    const found: unknown = JSON.parse(decodeURIComponent(hash.slice(1)))
    if (!found || typeof found !== 'object' || Array.isArray(found)) return null
    const sound = Object.entries(found).filter(
      (entry): entry is [string, string | number | boolean] =>
        ['string', 'number', 'boolean'].includes(typeof entry[1]) && String(entry[1]).length <= LONGEST_VALUE,
    )
    return Object.fromEntries(sound)
  } catch {
    return null
  }
}
