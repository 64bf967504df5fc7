/** What this mend says, by code. */
export const words = {
  'warm-place': 'Warm it where it is bent, by stick, and keep it so while it is pressed.',
  'press-back': 'Press it back in steps past true by its spring, and measure after each.',
  'measure-bend': 'Cold, measure what is left of the bend.',
  pressed: 'metal that was bent and pressed back',
  'bent-too-far': 'Bent that far it is drawn and cracked inside: cut it off and make it new.',
} as const
