/** Nothing that this program reads is nested deeper. */
export const DEEPEST = 64
const [QUOTE, BACKSLASH] = [34, 92]

/**
 * Whether JSON text nests deeper than allowed, or holds more values than allowed; looked at letter by letter, so that
 * nothing is built of it.
 * Text inside quotes does not count. @returns what is too much, in words, or null
 */
export function tooMuchJson(text: string, mostValues: number, deepest = DEEPEST): string | null {
  let [depth, values] = [0, 1]
  const long = text.length
  for (let i = 0; i < long; i++) {
    const letter = text.charCodeAt(i)
    if (letter === QUOTE) {
      // Most of a file lies between quotes: to the end of them at once.
      for (i++; i < long; i++) {
        const within = text.charCodeAt(i)
        if (within === QUOTE) break
        if (within === BACKSLASH) i++
      }
    } else if (letter === 44) {
      if (++values > mostValues) return `it holds more than ${mostValues} values`
    } else if (letter === 91 || letter === 123) {
      if (++depth > deepest) return `it is nested more than ${deepest} deep`
      values += 1
    } else if (letter === 93 || letter === 125) depth -= 1
  }
  return null
}
