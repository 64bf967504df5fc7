import type { Grey } from './grey'

/** Reach of a kernel in standard deviations: past it less than a thousandth is left. */
const REACH = 3.3

/** A Gaussian, or its first or second derivative, sampled at whole pixels. */
export function gaussian(sigma: number, order: 0 | 1 | 2): Float32Array {
  const reach = Math.max(1, Math.ceil(REACH * sigma))
  const kernel = new Float32Array(2 * reach + 1)
  let whole = 0
  for (let n = -reach; n <= reach; n++) whole += Math.exp(-(n * n) / (2 * sigma * sigma))
  for (let n = -reach; n <= reach; n++) {
    const value = Math.exp(-(n * n) / (2 * sigma * sigma)) / whole
    kernel[n + reach] =
      order === 0
        ? value
        : order === 1
          ? (-n / sigma ** 2) * value
          : ((n * n) / sigma ** 4) * value - value / sigma ** 2
  }
  if (order === 2) {
    // What sampling leaves of an even field is taken off, so that an even field has no curvature.
    const left = kernel.reduce((sum, value) => sum + value, 0) / kernel.length
    for (let n = 0; n < kernel.length; n++) kernel[n]! -= left
  }
  return kernel
}

/** A picture filtered by one kernel along its rows and one down its columns; its edges are carried on outside. */
export function separable({ wide, high, data }: Grey, across: Float32Array, down: Float32Array): Grey {
  const middle = new Float32Array(wide * high)
  const out = new Float32Array(wide * high)
  const [rx, ry] = [(across.length - 1) / 2, (down.length - 1) / 2]
  const row = new Float32Array(wide + 2 * rx)
  for (let y = 0; y < high; y++) {
    for (let x = 0; x < row.length; x++) row[x] = data[y * wide + Math.min(wide - 1, Math.max(0, x - rx))]!
    for (let x = 0; x < wide; x++) {
      let sum = 0
      for (let k = 0; k < across.length; k++) sum += across[across.length - 1 - k]! * row[x + k]!
      middle[y * wide + x] = sum
    }
  }
  for (let y = 0; y < high; y++)
    for (let k = 0; k < down.length; k++) {
      const weight = down[down.length - 1 - k]!
      const from = Math.min(high - 1, Math.max(0, y - ry + k)) * wide
      const to = y * wide
      for (let x = 0; x < wide; x++) out[to + x]! += weight * middle[from + x]!
    }
  return { wide, high, data: out }
}

/** Second derivatives of a picture softened by a Gaussian: across its rows, down its columns, and of both. */
export interface Curvature {
  readonly xx: Float32Array
  readonly yy: Float32Array
  readonly xy: Float32Array
}

/**
 * The same as three `separable` calls, in one sweep along the rows and one down the columns: what lies as far to either
 * side of a point is added up once, since the kernels are even or odd.
 */
export function curvature({ wide, high, data }: Grey, sigma: number): Curvature {
  const [g, g1, g2] = [gaussian(sigma, 0), gaussian(sigma, 1), gaussian(sigma, 2)]
  const reach = (g.length - 1) / 2
  const along = [0, 1, 2].map(() => new Float32Array(wide * high)) as [Float32Array, Float32Array, Float32Array]
  const [soft, slope, bend] = along
  const row = new Float32Array(wide + 2 * reach)
  for (let y = 0; y < high; y++) {
    row.fill(data[y * wide]!, 0, reach)
    row.set(data.subarray(y * wide, (y + 1) * wide), reach)
    row.fill(data[(y + 1) * wide - 1]!, reach + wide)
    for (let x = 0; x < wide; x++) {
      const at = x + reach
      let a = g[reach]! * row[at]!
      let b = 0
      let c = g2[reach]! * row[at]!
      for (let k = 1; k <= reach; k++) {
        const before = row[at - k]!
        const after = row[at + k]!
        a += g[reach + k]! * (before + after)
        b += g1[reach + k]! * (before - after)
        c += g2[reach + k]! * (before + after)
      }
      soft[y * wide + x] = a
      slope[y * wide + x] = b
      bend[y * wide + x] = c
    }
  }
  const [xx, yy, xy] = [0, 1, 2].map(() => new Float32Array(wide * high)) as [Float32Array, Float32Array, Float32Array]
  for (let y = 0; y < high; y++) {
    const to = y * wide
    for (let x = to; x < to + wide; x++) {
      xx[x] = g[reach]! * bend[x]!
      yy[x] = g2[reach]! * soft[x]!
    }
    for (let k = 1; k <= reach; k++) {
      const [up, down] = [Math.max(0, y - k) * wide, Math.min(high - 1, y + k) * wide]
      const [a, b, c] = [g[reach + k]!, g1[reach + k]!, g2[reach + k]!]
      for (let x = 0; x < wide; x++) {
        xx[to + x]! += a * (bend[up + x]! + bend[down + x]!)
        xy[to + x]! += b * (slope[up + x]! - slope[down + x]!)
        yy[to + x]! += c * (soft[up + x]! + soft[down + x]!)
      }
    }
  }
  return { xx, yy, xy }
}

export const softened = (grey: Grey, sigma: number): Grey => separable(grey, gaussian(sigma, 0), gaussian(sigma, 0))
