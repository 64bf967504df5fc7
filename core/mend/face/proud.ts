/** Built up over what is missing, so that every cut is in full metal, mm: common practice, no source. */
export const PROUD_MM = 1.5
