/** States of a part that its load is tried on. */
export const CASES = {
  new: 'as it was new',
  cracked: 'cracked as it came',
  mended: 'mended as planned',
  half: 'mended half through the wall',
  filler: 'mended with the next filler in rank',
  aged: 'mended, its temper given back by heat',
  plated: 'mended, a plate as thick as the wall over it',
} as const
export type HeldCase = keyof typeof CASES

/** What a zone of the part is called. */
export const ZONES = { base: 'the plain metal', soft: 'the soft metal beside the weld', weld: 'the weld' } as const
/** A factor on yield below this breaks sooner or later; below the next it wants care. Judgement. */
export const [BREAKS_BELOW, CARE_BELOW] = [1, 2]
