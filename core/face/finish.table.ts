/**
 * Cures and baths that come after a repair: how hot, how long. Common practice, no source; the maker of the coating
 * comes first.
 */
export const CURES = {
  none: null,
  paint: { name: 'paint', c: 60, min: 30 },
  powder: { name: 'powder coat', c: 200, min: 20 },
  plated: { name: 'plating', c: 60, min: 60 },
  anodised: { name: 'anodising', c: 95, min: 30 },
} as const

/** Tools in their order, by how the place must end. Common practice, no source. */
export const DRESSING = {
  flush: [
    'flap disc, 60 grit, almost down',
    'file or 80 grit on a block until it touches',
    '120, then 180 on the block, across the last scratches',
    'straightedge and blue',
  ],
  proud: [
    'flap disc over the crown only, to a smooth hump',
    'toes left as they are: a toe ground thin is where it starts again',
  ],
  cast: [
    'flap disc almost down',
    '80 grit until it just touches',
    'knotted wire wheel pressed hard, from several ways, until the skin looks cast',
    'blast with the grit of the rest of the part',
  ],
  bright: ['flap disc, 80 grit', '120, 180, 240, each across the last', '400 wet', 'mop and compound'],
} as const

/** How a place must end, as it is said at the bench. */
export const DRESSING_WORDS: Readonly<Record<keyof typeof DRESSING, string>> = {
  flush: 'flush',
  proud: 'proud',
  cast: 'looking cast',
  bright: 'bright',
}
