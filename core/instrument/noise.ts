/** A bit-mixing hash of two integers to 32 bits (the finaliser of MurmurHash3, Appleby). */
function mixed(a: number, b: number): number {
  let h = Math.imul(a ^ 0x9e3779b9, 0x85ebca6b) ^ Math.imul(b + 0x7f4a7c15, 0xc2b2ae35)
  h = Math.imul(h ^ (h >>> 16), 0x85ebca6b)
  h = Math.imul(h ^ (h >>> 13), 0xc2b2ae35)
  return (h ^ (h >>> 16)) >>> 0
}

/**
 * A number spread evenly over (0, 1) that belongs to a seed and a place: the same for the same two, so that a stream
 * can be taken up again anywhere.
 */
export const evenAt = (seed: number, place: number) => (mixed(seed | 0, place | 0) + 0.5) / 4294967296

/** A normally spread number of mean 0 and deviation 1 for a seed and a place: Box and Muller (1958). */
export const normalAt = (seed: number, place: number) =>
  Math.sqrt(-2 * Math.log(evenAt(seed, 2 * place))) * Math.cos(2 * Math.PI * evenAt(seed, 2 * place + 1))
