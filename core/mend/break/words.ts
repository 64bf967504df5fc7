/** What this mend says, by code. */
export const words = {
  bevel: 'Bevel both sides of the break, leaving its middle where it locates the piece.',
  'no-groove': 'What is kept of the break leaves nothing to bevel in this wall.',
} as const
