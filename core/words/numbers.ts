/** Wrought and cast alloys are named with a point that is no decimal: 356.0, A356.0, 6063.1. */
const NUMBER = /(?<![\p{L}\d.,/-])(\d+)\.(\d+)(?![\d.]*\.\d|\p{L}|-\p{L}|\/\d)/gu
const ALLOY = /^[1-9]\d{2}\.[0-2]$/

/** What stands between quotation marks is quoted as it was written. A mark behind a figure means inches. */
const QUOTED = /((?<![\d\p{L}])"[^"]*"|„[^“]*“)/u

/** Changes a text but for what it quotes. */
export const outsideQuotes = (
  text: string,
  change: (part: string) => string,
  quoted = (part: string) => part,
): string =>
  text
    .split(QUOTED)
    .map((part, n) => (n % 2 ? quoted(part) : change(part)))
    .join('')

/** Whether a language writes its decimals with a comma. */
export const hasComma = (language: string): boolean =>
  new Intl.NumberFormat(language).formatToParts(1.5).some(({ type, value }) => type === 'decimal' && value === ',')

/**
 * Figures as they are written where decimals have a comma: `1.5 mm` becomes `1,5 mm`. What only looks like a decimal
 * stays: the alloy `356.0`, an address, a version.
 */
export const withCommas = (text: string): string =>
  outsideQuotes(text, part =>
    part.replace(NUMBER, (all, whole: string, decimals: string) => (ALLOY.test(all) ? all : `${whole},${decimals}`)),
  )
