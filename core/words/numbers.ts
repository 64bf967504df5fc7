/** Wrought and cast alloys are named with a point that is no decimal: 356.0, A356.0, 6063.1. */
const NUMBER = /(?<![\p{L}\d.,/-])(\d+)\.(\d+)(?![\d.]*\.\d|\p{L}|-\p{L}|\/\d)/gu
const ALLOY = /^[1-9]\d{2}\.[0-2]$/

/**
 * Figures as they are written where decimals have a comma: `1.5 mm` becomes `1,5 mm`. What only looks like a decimal
 * stays: the alloy `356.0`, an address, a version.
 */
export function withCommas(text: string): string {
  return text.replace(NUMBER, (all, whole: string, part: string) => (ALLOY.test(all) ? all : `${whole},${part}`))
}

/** The same for what a person typed, where a comma before three figures would be taken for thousands. */
export const typedWithComma = (text: string): string => (/\d\.\d{3}(?!\d)/.test(text) ? text : withCommas(text))
