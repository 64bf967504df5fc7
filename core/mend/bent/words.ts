/** What this mend says, by code. */
export const words = {
  'press-back': 'Warm it, press it back in steps past true by its spring, and measure after each.',
  'measure-bend': 'Cold, measure what is left of the bend.',
  pressed: 'metal that was bent and pressed back',
  'bent-too-far': 'Bent that far it is drawn and cracked inside: cut it off and make it new.',
} as const
