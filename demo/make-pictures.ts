import { mkdirSync, writeFileSync } from 'node:fs'
import jpeg from 'jpeg-js'

/**
 * Made-up pictures of a flange and of two lugs, seen by a made-up camera, with lengths that are known exactly: a test
 * traces them and compares. Writes demo/pictures/*.jpg (npm run demo:make); a test holds the two to each other.
 */
export type Mm = readonly [x: number, y: number]
interface View {
  widthPx: number
  heightPx: number
  toPx(at: Mm): [number, number]
  toMm(px: readonly [number, number]): Mm
}

/** A camera over the plane: scale, turn and two slants of the horizon, as a homography and its inverse. */
function view(
  widthPx: number,
  heightPx: number,
  pxPerMm: number,
  turnDeg: number,
  slantX: number,
  slantY: number,
  middle: Mm,
): View {
  const [c, s] = [Math.cos((turnDeg * Math.PI) / 180) * pxPerMm, Math.sin((turnDeg * Math.PI) / 180) * pxPerMm]
  return {
    widthPx,
    heightPx,
    toPx: ([x, y]) => {
      const [dx, dy] = [x - middle[0], y - middle[1]]
      const w = 1 + slantX * dx + slantY * dy
      return [widthPx / 2 + (c * dx - s * dy) / w, heightPx / 2 + (s * dx + c * dy) / w]
    },
    toMm: ([px, py]) => {
      const [u, v] = [px - widthPx / 2, py - heightPx / 2]
      // u(1 + a·dx + b·dy) = c·dx − s·dy, and v likewise: two linear equations in dx and dy.
      const [a11, a12, a21, a22] = [c - u * slantX, -s - u * slantY, s - v * slantX, c - v * slantY]
      const det = a11 * a22 - a12 * a21
      return [middle[0] + (u * a22 - v * a12) / det, middle[1] + (v * a11 - u * a21) / det]
    },
  }
}

const inside = (ring: readonly Mm[], [x, y]: Mm) => {
  let odd = false
  for (let n = 0, m = ring.length - 1; n < ring.length; m = n++) {
    const [[ax, ay], [bx, by]] = [ring[n]!, ring[m]!]
    if (ay > y !== by > y && x < ((bx - ax) * (y - ay)) / (by - ay) + ax) odd = !odd
  }
  return odd
}
const toLine = (line: readonly Mm[], [x, y]: Mm) =>
  Math.min(
    ...line.slice(1).map(([bx, by], n) => {
      const [ax, ay] = line[n]!
      const t = Math.max(
        0,
        Math.min(1, ((x - ax) * (bx - ax) + (y - ay) * (by - ay)) / ((bx - ax) ** 2 + (by - ay) ** 2)),
      )
      return Math.hypot(x - ax - t * (bx - ax), y - ay - t * (by - ay))
    }),
  )
/** Grain that is the same every time. */
const grain = (x: number, y: number) => {
  const n = Math.sin(x * 12.9898 + y * 78.233) * 43758.5453
  return n - Math.floor(n)
}

/** The flange: a card of known size lies on it, and a crack of known length runs between two bolt holes. */
export const FLANGE = {
  id: 'demo-flange',
  view: view(900, 600, 4.9, -7, 0.0009, 0.0019, [78, 50]),
  card: [
    [12, 12],
    [97.6, 12],
    [97.6, 66],
    [12, 66],
  ] as readonly Mm[],
  cardMm: [85.6, 54] as const,
  crack: [
    [106, 30],
    [112, 38],
    [115, 47],
    [123, 55],
    [126, 66],
    [134, 78],
  ] as readonly Mm[],
  holes: [
    [106, 24],
    [136, 85],
  ] as readonly Mm[],
}
/** A lug, whole and (turned over) broken: its outline, two bolt holes that both have, and what broke off. */
const LUG: readonly Mm[] = [
  [0, 0],
  [46, 0],
  [58, 8],
  [62, 22],
  [54, 34],
  [40, 38],
  [0, 38],
]
const HOLES: readonly Mm[] = [
  [10, 10],
  [10, 28],
]
const mirrored = (points: readonly Mm[]): Mm[] => points.map(([x, y]) => [62 - x, y])
export const SOUND = {
  id: 'demo-sound-lug',
  view: view(800, 560, 9, 4, 0, 0, [31, 19]),
  outline: LUG,
  holes: HOLES,
  apartMm: 18,
}
export const BROKEN = {
  id: 'demo-broken-lug',
  view: view(800, 560, 8.4, -11, 0, 0, [31, 19]),
  outline: [
    [62, 0],
    [22, 0],
    [27, 12],
    [21, 24],
    [24, 38],
    [62, 38],
  ] as readonly Mm[],
  holes: mirrored(HOLES),
  apartMm: 18,
}
/** What the lug lost, mm²: the part of the mirrored outline left of the break. */
export const LOST_MM2 = (() => {
  const lost: Mm[] = [
    [22, 0],
    [16, 0],
    [4, 8],
    [0, 22],
    [8, 34],
    [22, 38],
    [24, 38],
    [21, 24],
    [27, 12],
  ]
  return (
    Math.abs(
      lost.reduce((sum, [x, y], n) => {
        const [nx, ny] = lost[(n + 1) % lost.length]!
        return sum + x * ny - nx * y
      }, 0),
    ) / 2
  )
})()

/** Length of a line, mm: what a measurement of the picture is compared with. */
export const lengthMm = (line: readonly Mm[]) =>
  line.slice(1).reduce((sum, [x, y], n) => sum + Math.hypot(x - line[n]![0], y - line[n]![1]), 0)

function picture({ widthPx, heightPx, toMm }: View, light: (at: Mm) => number): Uint8Array {
  const data = new Uint8Array(widthPx * heightPx * 4)
  for (let py = 0; py < heightPx; py++) {
    for (let px = 0; px < widthPx; px++) {
      const at = toMm([px + 0.5, py + 0.5])
      const value = Math.max(0, Math.min(255, light(at) + 8 * (grain(Math.floor(px / 2), Math.floor(py / 2)) - 0.5)))
      data.set([value, value * 0.985, value * 0.96, 255], 4 * (px + widthPx * py))
    }
  }
  return jpeg.encode({ data, width: widthPx, height: heightPx }, 78).data
}

export function makePictures(): Record<string, Uint8Array> {
  const flange = picture(FLANGE.view, at => {
    if (inside(FLANGE.card, at)) return 236
    if (toLine(FLANGE.crack, at) < 0.35) return 30
    if (FLANGE.holes.some(([x, y]) => Math.hypot(x - at[0], y - at[1]) < 4.5)) return 22
    if (at[0] < 2 || at[0] > 160 || at[1] < 4 || at[1] > 100) return 92
    return 168 + 10 * Math.sin(at[0] / 9) * Math.cos(at[1] / 13)
  })
  const lug = ({ outline, holes, view: seen }: typeof SOUND) =>
    picture(seen, at =>
      holes.some(([x, y]) => Math.hypot(x - at[0], y - at[1]) < 3)
        ? 24
        : inside(outline, at)
          ? 182 + 8 * Math.sin(at[0] / 7)
          : 74,
    )
  return { [FLANGE.id]: flange, [SOUND.id]: lug(SOUND), [BROKEN.id]: lug(BROKEN) }
}

if (process.argv[1]?.endsWith('make-pictures.ts')) {
  const folder = new URL('./pictures/', import.meta.url)
  mkdirSync(folder, { recursive: true })
  for (const [id, bytes] of Object.entries(makePictures())) writeFileSync(new URL(`${id}.jpg`, folder), bytes)
}
