import { curvature } from './gauss'
import type { Grey } from './grey'
import type { Picture } from './picture'
import type { Point } from './point'

/** What the line looks like beside its ground. */
export const LINES = ['dark', 'bright'] as const
export type Line = (typeof LINES)[number]

/** Widths looked for, as standard deviations, px: a line of width w answers most at w / √12 · √3, about half of it. */
const SIGMAS = [1, 1.7, 2.9]

/**
 * The tone a line is looked for in, at any point of the picture, bilinear: the darkest of red, green and blue, so that
 * dye of any colour is dark on a light ground; the brightest for a line that glows. The edge goes on outside.
 */
export function lineTone({ wide, high, rgba }: Picture, line: Line): (x: number, y: number) => number {
  const most = line === 'dark' ? Math.min : Math.max
  const at = (x: number, y: number) => {
    const from = 4 * (Math.min(high - 1, Math.max(0, y)) * wide + Math.min(wide - 1, Math.max(0, x)))
    return most(rgba[from]!, rgba[from + 1]!, rgba[from + 2]!)
  }
  return (x, y) => {
    const [i, j] = [Math.floor(x - 0.5), Math.floor(y - 0.5)]
    const [a, b] = [x - 0.5 - i, y - 0.5 - j]
    return (at(i, j) * (1 - a) + at(i + 1, j) * a) * (1 - b) + (at(i, j + 1) * (1 - a) + at(i + 1, j + 1) * a) * b
  }
}

/**
 * A window of the picture in that tone. One of more points than are wanted is made smaller as it is read, each new
 * point the mean of those it covers. With the window's corner and by how much it was made smaller.
 */
export function lineGrey(
  picture: Picture,
  line: Line,
  [x0, y0, x1, y1]: readonly [number, number, number, number],
  mostPoints: number,
): { grey: Grey; corner: Point; factor: number } {
  const [left, top] = [Math.max(0, Math.floor(x0)), Math.max(0, Math.floor(y0))]
  const [fullWide, fullHigh] = [
    Math.max(1, Math.min(picture.wide, Math.ceil(x1)) - left),
    Math.max(1, Math.min(picture.high, Math.ceil(y1)) - top),
  ]
  const factor = Math.min(1, Math.sqrt(mostPoints / (fullWide * fullHigh)))
  const wide = Math.max(1, Math.round(fullWide * factor))
  const high = Math.max(1, Math.round(fullHigh * factor))
  const data = new Float32Array(wide * high)
  const counts = new Float32Array(wide * high)
  const column = Int32Array.from({ length: fullWide }, (_, x) => Math.floor((x * wide) / fullWide))
  const dark = line === 'dark'
  // Two points each way to a cell are enough of what it covers.
  const stride = Math.max(1, Math.floor(0.5 / factor))
  const { rgba } = picture
  for (let y = 0; y < fullHigh; y += stride) {
    const row = Math.floor((y * high) / fullHigh) * wide
    let at = 4 * ((top + y) * picture.wide + left)
    for (let x = 0; x < fullWide; x += stride, at += 4 * stride) {
      const r = rgba[at]!
      const g = rgba[at + 1]!
      const b = rgba[at + 2]!
      const to = row + column[x]!
      data[to]! += dark ? (r < g ? (r < b ? r : b) : g < b ? g : b) : r > g ? (r > b ? r : b) : g > b ? g : b
      counts[to]! += 1
    }
  }
  for (let n = 0; n < data.length; n++) data[n]! /= counts[n] || 1
  return { grey: { wide, high, data }, corner: [left, top], factor }
}

/**
 * How much each point lies on a line: the greater curvature of the brightness across it, less what it curves along it,
 * over several widths, each weighed by its square (Lindeberg 1998). Zero off a line.
 * Time in proportion to the points; exact for none, a filter.
 */
export function ridge(grey: Grey, line: Line, sigmas: readonly number[] = SIGMAS): Grey {
  const out = new Float32Array(grey.data.length)
  const sign = line === 'dark' ? 1 : -1
  for (const sigma of sigmas) {
    const { xx, yy, xy } = curvature(grey, sigma)
    const weight = sigma ** 1.5
    for (let i = 0; i < out.length; i++) {
      const a = sign * xx[i]!
      const b = sign * yy[i]!
      const c = xy[i]!
      const half = Math.sqrt(((a - b) * (a - b)) / 4 + c * c)
      const across = (a + b) / 2 + half
      const along = (a + b) / 2 - half
      // A blob curves both ways; a line only across.
      const value = weight * (across - Math.max(0, along))
      if (across > 0 && value > out[i]!) out[i] = value
    }
  }
  return { wide: grey.wide, high: grey.high, data: out }
}
