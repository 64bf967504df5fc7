/** What a test leaves open of what is open now, %: each bit that it is worth halves it. */
export const leftOpenPct = (bits: number): number => Math.round(100 * 2 ** -bits)
