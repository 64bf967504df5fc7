/** Symbols of units, which are written alike in every language here. */
const UNIT_SYMBOLS = new Set(
  (
    'mm cm km um µm nm mg kg lb lbs oz lbf min ms kw hz khz kn nm mj kj pa hpa kpa mpa gpa bar mbar psi ksi ml cfh cfm ' +
    'ipm rpm tpi kwh wh mol mb gb kb px dpi db ft'
  ).split(' '),
)
const TOKEN = /[\p{L}\p{N}][\p{L}\p{N}.×°_-]*/gu
/** A designation: `6061-T6`, `M10x1.5`, `AlSi10Mg`, `ER4043`, `AC`, `STL`, `1/4-20`, a letter in a formula. */
const DESIGNATION =
  /\p{N}|^\p{Lu}{1,6}s?$|^\p{L}$|^(?:Al|Si|Mg|Cu|Zn|Fe|Mn|Ni|Ti|Cr|Li|Be|Sn|Pb|Bi|Zr|Sr|Ag|Na|Ca|Sb|Co|Cd|-)+$/u

/** Written like designations, and named otherwise elsewhere. */
const SAID = new Set(['TIG', 'HOT'])

/** How many letters of a text a reader of another language would still want said. */
export function lettersLeft(text: string): number {
  let left = 0
  for (const [token] of text.replace(/\bhttps?:\S+/g, '').matchAll(TOKEN)) {
    const bare = token.replace(/[.×°_-]+$/, '')
    if ((DESIGNATION.test(bare) && !SAID.has(bare)) || UNIT_SYMBOLS.has(bare.toLowerCase())) continue
    left += bare.length
  }
  // "0.004 in": the unit, where the word alone would be English.
  return /^[-+±]?[\d.,/⁄ ]+ in$/.test(text.trim()) ? 0 : left
}
