/** Built up inside the finished bore, so that it is bored in full metal, mm: common practice, no source. */
export const PROUD_MM = 1.5
