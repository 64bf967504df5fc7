import type { Picture } from './picture'
import type { Point } from './point'

/** One number for each point of a picture, row by row; brightness from 0 to 255 where nothing else is said. */
export interface Grey {
  readonly wide: number
  readonly high: number
  readonly data: Float32Array
}

/** Brightness as the eye weighs it (Rec. ITU-R BT.601). */
export function greyOf({ wide, high, rgba }: Picture): Grey {
  const data = new Float32Array(wide * high)
  for (let i = 0; i < data.length; i++)
    data[i] = 0.299 * rgba[4 * i]! + 0.587 * rgba[4 * i + 1]! + 0.114 * rgba[4 * i + 2]!
  return { wide, high, data }
}

/** Value at a point between pixels, bilinear; the edge goes on outside. Pixel (0, 0) has its middle at 0.5, 0.5. */
export function sample({ wide, high, data }: Grey, x: number, y: number): number {
  const u = Math.min(wide - 1, Math.max(0, x - 0.5))
  const v = Math.min(high - 1, Math.max(0, y - 0.5))
  const i = Math.min(wide - 2, Math.floor(u))
  const j = Math.min(high - 2, Math.floor(v))
  if (i < 0 || j < 0) return data[Math.max(0, j) * wide + Math.max(0, i)]!
  const a = u - i
  const b = v - j
  const at = j * wide + i
  return (
    (data[at]! * (1 - a) + data[at + 1]! * a) * (1 - b) + (data[at + wide]! * (1 - a) + data[at + wide + 1]! * a) * b
  )
}

export const inside = ({ wide, high }: Pick<Grey, 'wide' | 'high'>, [x, y]: Point, margin = 0): boolean =>
  x >= margin && y >= margin && x <= wide - margin && y <= high - margin

/** Scaled by a factor: each new pixel is the mean of what it covers when made smaller, bilinear when made larger. */
export function scaledBy(from: Grey, factor: number): Grey {
  const [wide, high] = [Math.max(1, Math.round(from.wide * factor)), Math.max(1, Math.round(from.high * factor))]
  const data = new Float32Array(wide * high)
  if (factor >= 1) {
    for (let y = 0; y < high; y++)
      for (let x = 0; x < wide; x++)
        data[y * wide + x] = sample(from, ((x + 0.5) * from.wide) / wide, ((y + 0.5) * from.high) / high)
    return { wide, high, data }
  }
  const count = new Float32Array(wide * high)
  for (let y = 0; y < from.high; y++) {
    const row = Math.min(high - 1, Math.floor((y * high) / from.high)) * wide
    for (let x = 0; x < from.wide; x++) {
      const at = row + Math.min(wide - 1, Math.floor((x * wide) / from.wide))
      data[at]! += from.data[y * from.wide + x]!
      count[at]! += 1
    }
  }
  for (let i = 0; i < data.length; i++) data[i]! /= count[i] || 1
  return { wide, high, data }
}

/** A window of a picture, cut at its edges, and where its corner lies. */
export function windowOf(from: Grey, x0: number, y0: number, x1: number, y1: number): { grey: Grey; corner: Point } {
  const [left, top] = [Math.max(0, Math.floor(x0)), Math.max(0, Math.floor(y0))]
  const [wide, high] = [
    Math.max(1, Math.min(from.wide, Math.ceil(x1)) - left),
    Math.max(1, Math.min(from.high, Math.ceil(y1)) - top),
  ]
  const data = new Float32Array(wide * high)
  for (let y = 0; y < high; y++)
    data.set(from.data.subarray((top + y) * from.wide + left, (top + y) * from.wide + left + wide), y * wide)
  return { grey: { wide, high, data }, corner: [left, top] }
}

/** The value under which a share of the values lies, 0 to 1. */
export function quantile(values: ArrayLike<number>, share: number): number {
  const sorted = Float64Array.from(values).sort()
  return sorted[Math.min(sorted.length - 1, Math.max(0, Math.round(share * (sorted.length - 1))))] ?? 0
}
