import type { Picture } from '../picture'
import { bent, type Lens } from './model'

/** A picture with the lens's bend taken out: each point is fetched from where the lens put it, bilinear. Same size. */
export function straightenPicture({ wide, high, rgba }: Picture, lens: Lens): Picture {
  const out = new Uint8ClampedArray(rgba.length)
  for (let y = 0; y < high; y++)
    for (let x = 0; x < wide; x++) {
      const [u, v] = bent([x + 0.5, y + 0.5], lens, { wide, high })
      const [p, q] = [Math.min(wide - 1, Math.max(0, u - 0.5)), Math.min(high - 1, Math.max(0, v - 0.5))]
      const [i, j] = [Math.min(wide - 2, Math.floor(p)), Math.min(high - 2, Math.floor(q))]
      const [a, b] = [p - i, q - j]
      const from = 4 * (j * wide + i)
      for (let k = 0; k < 4; k++)
        out[4 * (y * wide + x) + k] =
          (rgba[from + k]! * (1 - a) + rgba[from + 4 + k]! * a) * (1 - b) +
          (rgba[from + 4 * wide + k]! * (1 - a) + rgba[from + 4 * wide + 4 + k]! * a) * b
    }
  return { wide, high, rgba: out }
}
