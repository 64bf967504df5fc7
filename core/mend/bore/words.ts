/** What this mend says, by code. */
export const words = {
  'scrub-bore': 'Scrub the seat bright; take scores and fretting out.',
  'bore-to-size': 'Bore it to size off the true axis, in light cuts.',
  'bore-moves': 'a bore that the heat may pull',
  'no-area': 'It wants its bore and depth, or its area.',
} as const
