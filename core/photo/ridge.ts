import { gaussian, separable } from './gauss'
import type { Grey } from './grey'
import type { Picture } from './picture'
import type { Point } from './point'

/** What the line looks like beside its ground. */
export const LINES = ['dark', 'bright'] as const
export type Line = (typeof LINES)[number]

/** Widths looked for, as standard deviations, px: a line of width w answers most at w / √12 · √3, about half of it. */
const SIGMAS = [1, 1.7, 2.9]

/**
 * In a window of the picture, the darkest of red, green and blue at each point, so that dye of any colour is dark on a
 * light ground and a crack dark on any; or the brightest, for a line that glows. With the window's corner.
 */
export function lineGrey(
  picture: Picture,
  line: Line,
  [x0, y0, x1, y1]: readonly [number, number, number, number],
): { grey: Grey; corner: Point } {
  const [left, top] = [Math.max(0, Math.floor(x0)), Math.max(0, Math.floor(y0))]
  const wide = Math.max(1, Math.min(picture.wide, Math.ceil(x1)) - left)
  const high = Math.max(1, Math.min(picture.high, Math.ceil(y1)) - top)
  const data = new Float32Array(wide * high)
  const pick = line === 'dark' ? Math.min : Math.max
  const { rgba } = picture
  for (let y = 0; y < high; y++)
    for (let x = 0; x < wide; x++) {
      const at = 4 * ((top + y) * picture.wide + left + x)
      data[y * wide + x] = pick(rgba[at]!, rgba[at + 1]!, rgba[at + 2]!)
    }
  return { grey: { wide, high, data }, corner: [left, top] }
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
    const [g, g1, g2] = [gaussian(sigma, 0), gaussian(sigma, 1), gaussian(sigma, 2)]
    const [xx, yy, xy] = [separable(grey, g2, g), separable(grey, g, g2), separable(grey, g1, g1)]
    const weight = sigma ** 1.5
    for (let i = 0; i < out.length; i++) {
      const [a, b, c] = [sign * xx.data[i]!, sign * yy.data[i]!, xy.data[i]!]
      const half = Math.hypot((a - b) / 2, c)
      const [across, along] = [(a + b) / 2 + half, (a + b) / 2 - half]
      // A blob curves both ways; a line only across.
      const value = weight * (across - Math.max(0, along))
      if (across > 0 && value > out[i]!) out[i] = value
    }
  }
  return { wide: grey.wide, high: grey.high, data: out }
}
