import type { KindSketch } from '../kind'

export const sketch: KindSketch = {
  metal: 'M4 6h14v20H4zM30 6h14v20H30z',
  gone: 'M18 8l3 2-3 2 3 2-3 2 3 2-3 2M30 8l-3 2 3 2-3 2 3 2-3 2 3 2',
}

export { bossed as section } from './across'
