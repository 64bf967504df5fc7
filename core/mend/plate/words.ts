/** What this mend says, by code. */
export const words = {
  'cut-plate': 'Cut the plate with its ends tapered, so that the stress does not stop at a square end.',
  'tack-plate': 'Clamp it down hard against the arm and tack it at both ends.',
} as const
