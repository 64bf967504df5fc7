import { encode } from 'fast-png'
import { cardLeaf } from './card/layout'

type Colour = readonly [r: number, g: number, b: number]
type Drawn = (x: number, y: number) => Colour

const PAPER: Colour = [225, 222, 215]
const DARK: Colour = [40, 40, 42]
const METAL: Colour = [140, 142, 145]
const BLUE: Colour = [45, 60, 150]

/** Points taken within each pixel, each way, so that edges are as soft as a camera's. */
const SUB = 3

/** Small pictures drawn by sum, for the examples of the questions that want one. */
const DRAWN: Record<string, { wide: number; high: number; at: () => Drawn }> = {
  card: {
    wide: 420,
    high: 300,
    at: () => {
      const leaf = cardLeaf('M', 'A')
      const [pxPerMm, left, top] = [4, 30, 30]
      const rows = new Map<number, typeof leaf.dark>()
      const inRow = (my: number) => {
        const known = rows.get(my) ?? leaf.dark.filter(({ yMm, highMm }) => my >= yMm && my < yMm + highMm)
        rows.set(my, known)
        return known
      }
      return (x, y) => {
        const [mx, my] = [(x - left) / pxPerMm, (y - top) / pxPerMm]
        if (mx < 0 || my < 0 || mx > leaf.wideMm || my > leaf.highMm) return METAL
        const isDark = inRow(my).some(({ xMm, wideMm }) => mx >= xMm && mx < xMm + wideMm)
        return isDark ? DARK : PAPER
      }
    },
  },
  line: {
    wide: 240,
    high: 150,
    at: () => (x, y) => (Math.abs(y - 60 - (32 * (x - 24)) / 192 - 9 * Math.sin(x / 15)) < 1.6 ? DARK : METAL),
  },
  thread: {
    wide: 250,
    high: 160,
    at: () => {
      const [pitchPx, radiusPx, depthPx] = [15.625, 50, 9.58]
      const edge = (x: number) => {
        const turn = x / pitchPx - Math.round(x / pitchPx)
        const off = Math.max(0, Math.abs(turn) * pitchPx - pitchPx / 16)
        return radiusPx - Math.min(depthPx, off * Math.sqrt(3))
      }
      return (x, y) => (Math.abs(y - 80) < edge(y < 80 ? x : x + pitchPx / 2) ? DARK : PAPER)
    },
  },
  blue: {
    wide: 240,
    high: 160,
    at: () => (x, y) => {
      if (x < 20 || y < 20 || x > 220 || y > 140) return PAPER
      return Math.hypot((x % 50) - 25, (y % 40) - 20) < 8 ? BLUE : METAL
    },
  },
  outline: {
    wide: 240,
    high: 160,
    at: () => (x, y) => (Math.hypot(x - 120, y - 80) < 60 && Math.hypot(x - 120, y - 80) > 20 ? METAL : PAPER),
  },
}

const made = new Map<string, string>()

/** An example picture as base64 of a PNG; drawn once, when first asked for. */
export function exampleOf(name: keyof typeof DRAWN): string {
  const held = made.get(name)
  if (held) return held
  const { wide, high, at } = DRAWN[name]!
  const colour = at()
  const data = new Uint8Array(wide * high * 3)
  for (let y = 0; y < high; y++)
    for (let x = 0; x < wide; x++) {
      const sum = [0, 0, 0]
      for (let n = 0; n < SUB * SUB; n++)
        colour(x + ((n % SUB) + 0.5) / SUB, y + (Math.floor(n / SUB) + 0.5) / SUB).forEach((value, k) => {
          sum[k]! += value
        })
      sum.forEach((value, k) => {
        data[3 * (y * wide + x) + k] = Math.round(value / (SUB * SUB))
      })
    }
  const bytes = encode({ width: wide, height: high, data, channels: 3, depth: 8 })
  let text = ''
  for (const byte of bytes) text += String.fromCharCode(byte)
  made.set(name, btoa(text))
  return made.get(name)!
}
