/** What this mend says, by code. */
export const words = {
  'cut-window': 'Cut the bad piece out with rounded corners.',
  'cut-patch': 'Cut the patch of the same alloy and wall to a saw cut of gap.',
  'bevel-window': 'Bevel both all round.',
  'tack-patch': 'Tack it opposite and turn about; it must stand flush.',
  'no-groove': 'There is no wall to bevel.',
} as const
