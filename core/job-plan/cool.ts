import { COOL_MIN, COOL_MIN_PER_KG, COOL_MOST_MIN } from '../mend/minutes.table'

/** Minutes that a welded part cools by itself, twice as long by the kg after a flame that warmed all of it. */
export const coolMinOf = (massG: number, flame: boolean): number =>
  Math.min(COOL_MOST_MIN, COOL_MIN + ((COOL_MIN_PER_KG * massG) / 1000) * (flame ? 2 : 1))
