/** Finishing cuts on a rebuilt face: 25 thou each, the last 10 thou. Common practice, no source. */
const ROUGH_CUT_MM = 0.6
const LAST_CUT_MM = 0.25

/**
 * Cuts that take a built-up face down to size, in order: equal cuts of at most 0.6 mm, then a last one of 0.25 mm (less
 * if the whole stock is less).
 * @param stockMm metal standing above the finished face, 0 or more
 */
export function facingCutsMm(stockMm: number): number[] {
  if (stockMm <= 0) return []
  if (stockMm <= LAST_CUT_MM) return [stockMm]
  const rough = stockMm - LAST_CUT_MM
  const count = Math.ceil(rough / ROUGH_CUT_MM - 1e-9)
  return [...new Array<number>(count).fill(rough / count), LAST_CUT_MM]
}

/** As many cuts, by how much they take: not rounded, for minutes that go evenly with the stock. */
export const facingCutCount = (stockMm: number): number =>
  stockMm <= 0 ? 0 : 1 + Math.max(0, stockMm - LAST_CUT_MM) / ROUGH_CUT_MM
