/** What this mend says, by code. */
export const words = {
  'scrape-face': 'Scrape and burr the pits and burnt metal away to bright.',
  'no-area': 'It wants its area, or how wide and long it is.',
} as const
