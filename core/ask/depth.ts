/** Nothing that this program reads is nested deeper. */
export const DEEPEST = 64

/**
 * Whether JSON text nests deeper than allowed, or holds more values than allowed; looked at letter by letter, so that
 * nothing is built of it.
 * Text inside quotes does not count. @returns what is too much, in words, or null
 */
export function tooMuchJson(text: string, mostValues: number, deepest = DEEPEST): string | null {
  let [depth, values] = [0, 1]
  let quoted = false
  for (let i = 0; i < text.length; i++) {
    const letter = text.charCodeAt(i)
    if (quoted) {
      if (letter === 92) i++
      else if (letter === 34) quoted = false
    } else if (letter === 34) quoted = true
    else if (letter === 44) {
      if (++values > mostValues) return `it holds more than ${mostValues} values`
    } else if (letter === 91 || letter === 123) {
      if (++depth > deepest) return `it is nested more than ${deepest} deep`
      values += 1
    } else if (letter === 93 || letter === 125) depth -= 1
  }
  return null
}
