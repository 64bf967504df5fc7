/** What this mend says, by code. */
export const words = {
  'find-ends': 'Find where the crack ends, on both sides; dye if in doubt.',
  'stop-holes':
    'Drill a stop-hole just past where it ends in sound metal, so that the crack shows entering it on one side and clean metal on the other.',
  groove: 'Groove it, round-bottomed, to sound metal.',
  'no-groove': 'The root face leaves nothing to groove in this wall.',
} as const
