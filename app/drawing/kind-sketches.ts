import type { KindId } from '#core/mend/registry'

/** A few strokes that tell a kind of mend from the others: metal, what is broken or gone, and new metal. */
export interface KindSketch {
  metal: string
  gone?: string
  fresh?: string
}
const plate = 'M4 8h40v16H4z'
/** In a box of 48 by 32. */
export const KIND_SKETCHES: Readonly<Record<KindId, KindSketch>> = {
  crack: { metal: plate, gone: 'M10 24l6-5-3-3 8-2-2-4 6-2' },
  break: { metal: 'M4 8h22l-3 5 4 4-3 7H4z', gone: 'M31 8h13v16H29l3-7-4-4z' },
  hole: { metal: plate, gone: 'M29 16a5 5 0 1 1-10 0a5 5 0 1 1 10 0z' },
  edge: { metal: 'M4 8h40v8l-9 2-6 6H4z', gone: 'M44 16v8H29' },
  window: { metal: plate, fresh: 'M17 12h14v8H17z' },
  overlay: { metal: 'M4 16h40v8H4z', fresh: 'M14 11h20v5H14z' },
  plate: { metal: 'M4 15h40v9H4z', fresh: 'M10 9h28v6H10z' },
  joint: { metal: 'M4 20h40v6H4zM21 4h6v16h-6z', fresh: 'M21 20l-5 0 5-5zM27 20l5 0-5-5z' },
  thread: {
    metal: 'M4 6h14v20H4zM30 6h14v20H30z',
    gone: 'M18 8l3 2-3 2 3 2-3 2 3 2-3 2M30 8l-3 2 3 2-3 2 3 2-3 2 3 2',
  },
  boss: { metal: 'M4 20h40v6H4zM14 8h6v12h-6zM28 8h6v12h-6z', gone: 'M28 8l4 5-3 3 3 4' },
  bore: {
    metal: 'M6 16a18 11 0 1 0 36 0a18 11 0 1 0-36 0zM16 16a8 6 0 1 0 16 0a8 6 0 1 0-16 0z',
    fresh: 'M16 16a8 6 0 0 1 16 0h-3a5 4 0 0 0-10 0z',
  },
  face: { metal: 'M4 12q10 5 20 1t20 3v10H4z', gone: 'M4 10h40' },
  bent: { metal: 'M4 20h24l12-9 3 4-14 11H4z', gone: 'M28 20h16v6H28' },
  turned: { metal: 'M8 6h10v6h12V6h10v20H30v-6H18v6H8z', gone: 'M18 12h12M18 20h12' },
}
