/** What a thread insert costs, in pounds: so much, and so much for each mm across. Common practice, no source. */
const PRICES = { 'wire-insert': { each: 0.6, perMm: 0.08 }, 'solid-insert': { each: 2, perMm: 0.25 } } as const

/** A usual price of one thread insert of a thread so many mm across. */
export const insertPrice = (kind: keyof typeof PRICES, majorMm: number): number =>
  PRICES[kind].each + PRICES[kind].perMm * majorMm
