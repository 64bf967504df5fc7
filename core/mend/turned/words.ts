/** What this mend says, by code. */
export const words = {
  scrub: 'Scrub it bright to its bottom corners; round them.',
  'turn-to-size': 'Turn it to size in light cuts.',
  'through-middle': 'Cut as deep as that, nothing of the part is left under it.',
} as const
