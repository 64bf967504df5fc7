import type { Point } from './point'

/** Points of the picture whose middles lie inside an odd number of the rings. */
export function fillMask(wide: number, high: number, rings: readonly (readonly Point[])[]): Uint8Array {
  const mask = new Uint8Array(wide * high)
  for (let y = 0; y < high; y++) {
    const at = y + 0.5
    const crossings: number[] = []
    for (const ring of rings)
      for (let n = 0; n < ring.length; n++) {
        const [a, b] = [ring[n]!, ring[(n + 1) % ring.length]!]
        if (a[1] > at !== b[1] > at) crossings.push(a[0] + ((at - a[1]) / (b[1] - a[1])) * (b[0] - a[0]))
      }
    crossings.sort((one, other) => one - other)
    for (let k = 0; k + 1 < crossings.length; k += 2) {
      const from = Math.max(0, Math.ceil(crossings[k]! - 0.5))
      const to = Math.min(wide - 1, Math.floor(crossings[k + 1]! - 0.5))
      if (to >= from) mask.fill(1, y * wide + from, y * wide + to + 1)
    }
  }
  return mask
}
