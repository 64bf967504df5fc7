import type { KindSketch } from '../kind'

export const sketch: KindSketch = { metal: 'M4 20h40v6H4zM14 8h6v12h-6zM28 8h6v12h-6z', gone: 'M28 8l4 5-3 3 3 4' }

export { bossed as section } from '../thread/across'
