/** What this mend says, by code. */
export const words = {
  'square-edge': 'Dress the broken edge back to sound bright metal and round what the arc would run off.',
} as const
