import decodeQR, { type FinderPoints } from 'qr/decode.js'
import { remembered } from '../../ask/remembered'
import { sample, scaledBy, windowOf, type Grey } from '../grey'
import type { Point } from '../point'
import { readCodeText, type CardId } from './layout'
import { LEAST_CONTRAST } from './mark'

export interface SeenCode {
  card: CardId
  leaf: string
  corner: number
  /** Clockwise from the code's own top left. */
  cornersPx: Point[]
}

/** Longest side of the picture that codes are looked for in, and the finer one tried after it. */
const SIDES_PX = [1400, 2600]
/** Windows as shares of the longer side: a reader takes the corner marks of two codes for those of one. */
const WINDOWS = [1, 0.34, 0.2, 0.12]
/** Of each size, this many are tried, those with most edges in them first. */
const MOST_WINDOWS = 24
/** Ways to lean tried where nothing is read, in windows of these shares and so many of each. */
const LEANS = 8
const LEAN_DEG = 45
const LEANED_WINDOWS = [1, 0.34]
const MOST_LEANED = 8
/** Focal length taken for that, over the longer side: a usual phone's. */
const FOCAL = 0.9
/** Small windows are read larger: a module of the code wants a few points. */
const LEAST_WINDOW_PX = 400
/** How hard the reader tries; the time for it is set so that it never decides. */
const EFFORT = 2
const LOOK_MS = 10_000

function lookIn(grey: Grey): SeenCode | null {
  const rgb = new Uint8Array(grey.wide * grey.high * 3)
  for (let i = 0, at = 0; i < grey.data.length; i++) {
    const value = Math.round(grey.data[i]!)
    rgb[at++] = value
    rgb[at++] = value
    rgb[at++] = value
  }
  let points: FinderPoints | null = null
  try {
    const text = decodeQR(
      { width: grey.wide, height: grey.high, data: rgb },
      {
        format: 'RGB',
        effort: EFFORT,
        timeLimit: LOOK_MS,
        pointsOnDetect: (found, result) => {
          if (typeof result === 'string') points = found
        },
      },
    )
    const read = readCodeText(text)
    const seen = points as FinderPoints | null
    return read && seen ? { ...read, cornersPx: seen.bounds.map(({ x, y }): Point => [x, y]) } : null
  } catch {
    // The reader throws where it finds none.
    return null
  }
}

/** Whether light and dark differ as much in a picture as the marks of a card must, without which none is found. */
function hasContrast({ data }: Grey): boolean {
  let [least, most] = [Infinity, -Infinity]
  for (const value of data) {
    if (value < least) least = value
    if (value > most) most = value
  }
  return most - least >= LEAST_CONTRAST
}

/** Edges in each square block of a picture: the sum of the steps between neighbours. */
function edgesIn({ wide, high, data }: Grey, block: number): { across: number; down: number; sums: Float64Array } {
  const [across, down] = [Math.ceil(wide / block), Math.ceil(high / block)]
  const sums = new Float64Array(across * down)
  for (let y = 0; y + 1 < high; y++)
    for (let x = 0; x + 1 < wide; x++) {
      const at = y * wide + x
      sums[Math.floor(y / block) * across + Math.floor(x / block)]! +=
        Math.abs(data[at + 1]! - data[at]!) + Math.abs(data[at + wide]! - data[at]!)
    }
  return { across, down, sums }
}

/** Corners of overlapping windows, those with most edges first. */
function busiest(grey: Grey, side: number): Point[] {
  const block = Math.max(4, Math.round(side / 4))
  const { across, down, sums } = edgesIn(grey, block)
  const corners: { at: Point; edges: number }[] = []
  for (let j = 0; j < Math.max(1, down - 3); j++)
    for (let i = 0; i < Math.max(1, across - 3); i++) {
      let edges = 0
      for (let b = j; b < Math.min(down, j + 4); b++)
        for (let a = i; a < Math.min(across, i + 4); a++) edges += sums[b * across + a]!
      corners.push({ at: [i * block, j * block], edges })
    }
  corners.sort((one, other) => other.edges - one.edges)
  const taken: Point[] = []
  for (const { at } of corners) {
    if (taken.length >= MOST_WINDOWS) break
    if (taken.every(other => Math.max(Math.abs(at[0] - other[0]), Math.abs(at[1] - other[1])) > block)) taken.push(at)
  }
  return taken
}

/** A picture as a camera would see it that does not lean; and the way from its points back to the picture's. */
interface Upright {
  grey: Grey
  back: (point: Point) => Point
}

/**
 * A window straightened as if the camera had leaned by `LEAN_DEG` over it in one of eight ways: the reader takes a code
 * for a parallelogram, and at a steep slant from near it is not.
 */
function upright(from: Grey, towardDeg: number, longPx: number, larger: number): Upright {
  const [tilt, toward] = [(LEAN_DEG * Math.PI) / 180, (towardDeg * Math.PI) / 180]
  const [c, s, sinTilt] = [Math.cos(toward), Math.sin(toward), Math.sin(tilt)]
  const stretched = 1 / Math.cos(tilt)
  const [wide, high] = [
    Math.ceil(larger * from.wide * (1 + (stretched - 1) * Math.abs(c))),
    Math.ceil(larger * from.high * (1 + (stretched - 1) * Math.abs(s))),
  ]
  const cosTilt = Math.cos(tilt)
  const far = FOCAL * longPx
  const [midU, midV] = [wide / 2, high / 2]
  const [midX, midY] = [from.wide / 2, from.high / 2]
  const back = ([u, v]: Point): Point => {
    const [x, y] = [(u - midU) / larger, (v - midV) / larger]
    const [along, across] = [x * c + y * s, -x * s + y * c]
    const depth = 1 + (sinTilt * along) / far
    const [a, b] = [(along * cosTilt) / depth, across / depth]
    return [midX + a * c - b * s, midY + a * s + b * c]
  }
  // The same for every point of the picture, without a pair made for each.
  const data = new Float32Array(wide * high)
  for (let v = 0, at = 0; v < high; v++) {
    const y = (v + 0.5 - midV) / larger
    for (let u = 0; u < wide; u++) {
      const x = (u + 0.5 - midU) / larger
      const along = x * c + y * s
      const depth = 1 + (sinTilt * along) / far
      const a = (along * cosTilt) / depth
      const b = (-x * s + y * c) / depth
      data[at++] = sample(from, midX + a * c - b * s, midY + a * s + b * c)
    }
  }
  return { grey: { wide, high, data }, back }
}

function asItIs(from: Grey, larger: number): Upright {
  return { grey: larger === 1 ? from : scaledBy(from, larger), back: ([u, v]) => [u / larger, v / larger] }
}

/** One code of a scale card in a picture: looked for in all of it, in windows, then as leaned over; null for none. */
export function findCode(picture: Grey): SeenCode | null {
  const long = Math.max(picture.wide, picture.high)
  for (const [n, most] of SIDES_PX.entries()) {
    if (n > 0 && long <= SIDES_PX[n - 1]!) break
    const factor = Math.min(1, most / long)
    const grey = factor === 1 ? picture : scaledBy(picture, factor)
    const longPx = long * factor
    const windowsOf = remembered(WINDOWS.length, (share: number) => {
      const side = share * longPx
      return (share === 1 ? [[0, 0] as const] : busiest(grey, side))
        .map(([x, y]) => windowOf(grey, x, y, x + side, y + side))
        .filter(window => hasContrast(window.grey))
    })
    const look = (share: number, windows: number, towardDeg: number | null): SeenCode | null => {
      const larger = Math.max(1, LEAST_WINDOW_PX / (share * longPx))
      for (const { grey: part, corner } of windowsOf(share).slice(0, windows)) {
        const seenAs = towardDeg === null ? asItIs(part, larger) : upright(part, towardDeg, longPx, larger)
        const seen = lookIn(seenAs.grey)
        if (seen)
          return {
            ...seen,
            cornersPx: seen.cornersPx.map((point): Point => {
              const [u, v] = seenAs.back(point)
              return [(u + corner[0]) / factor, (v + corner[1]) / factor]
            }),
          }
      }
      return null
    }
    for (const share of WINDOWS) {
      const seen = look(share, MOST_WINDOWS, null)
      if (seen) return seen
    }
    for (const share of LEANED_WINDOWS)
      for (let way = 0; way < LEANS; way++) {
        const seen = look(share, MOST_LEANED, (360 * way) / LEANS)
        if (seen) return seen
      }
  }
  return null
}
