/** A small generator of the same numbers every time, 0 to 1: the core has no randomness of its own. */
export function seeded(seed: number): () => number {
  let state = seed >>> 0
  return () => {
    state = (Math.imul(state ^ (state >>> 15), 2246822519) + 2654435769) >>> 0
    return ((state ^ (state >>> 13)) >>> 0) / 4294967296
  }
}
