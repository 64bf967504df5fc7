/** Made pictures with known truth, and how far what is read off them lies from it: for the tests and the table. */
import { bluedScene, FACE_MM, trueShare } from './blue.fixture'
import { readBlue } from './blue'
import { branchesOf } from './branches'
import { stopwatch } from '../ask/stopwatch'
import { seeded } from '../metal/identify/measure'
import { lens, SHOT, take } from './camera.fixture'
import { cardScene } from './card/card.fixture'
import { findCard } from './card/find'
import { greyOf } from './grey'
import { crackBetween, crackScene, GROUNDS, lengthOf, toLine, type Ground } from './lines.fixture'
import { inverse, mapped } from './plane'
import type { Point } from './point'
import { ISO, screwScene } from './thread.fixture'
import { measureThread, type ThreadSeen } from './thread/measure'
import { traceLine } from './trace'

export interface Trial {
  /** Share by which it is off, percent; null where it was refused. */
  offPct: number | null
  why?: string
  ms: number
}

const timed = <Out>(ask: () => Out): { out: Out; ms: number } => {
  const ms = stopwatch()
  return { out: ask(), ms: ms() }
}

/** The worst of four lengths on and beside the card, slant to 50°, up to half of it covered in every fourth. */
export function cardTrial(n: number): Trial & { tiltOffDeg: number } {
  const random = seeded(1000 + n)
  const shot = {
    ...SHOT,
    wide: 1000,
    high: 750,
    pxPerMm: 4 + 3.3 * random(),
    tiltDeg: 50 * random(),
    towardDeg: 360 * random(),
    rollDeg: 360 * random(),
    blurPx: 0.5 + random(),
    shade: 0.7 * random(),
    noise: 0.03 * random(),
    seed: n,
  }
  const covered = n % 4 === 3 ? 0.5 * random() : 0
  const picture = take(cardScene({ card: 'M', covered, seed: n }), shot)
  const { out, ms } = timed(() => findCard(greyOf(picture)))
  if ('why' in out) return { offPct: null, why: out.why, ms, tiltOffDeg: 0 }
  const [{ toPx }, back] = [lens(shot), inverse(out.found[0]!.toPx)]
  const LINES: [Point, Point][] = [
    [
      [0, 0],
      [90, 60],
    ],
    [
      [0, 60],
      [90, 0],
    ],
    [
      [-20, 30],
      [110, 30],
    ],
    [
      [45, -20],
      [45, 80],
    ],
  ]
  const offs = LINES.map(([a, b]) => {
    const [p, q] = [mapped(back, toPx(a))!, mapped(back, toPx(b))!]
    return Math.abs(Math.hypot(p[0] - q[0], p[1] - q[1]) / Math.hypot(a[0] - b[0], a[1] - b[1]) - 1)
  })
  return { offPct: 100 * Math.max(...offs), ms, tiltOffDeg: Math.abs(out.found[0]!.tiltDeg - shot.tiltDeg) }
}

/** A made crack on one of the grounds as a camera sees it, with branches where told. */
function crackShot(n: number, branched: (crack: Point[], random: () => number) => Point[][]) {
  const random = seeded(2000 + n)
  const ground = GROUNDS[n % GROUNDS.length]!
  const [from, to]: [Point, Point] = [
    [8 + 8 * random(), 8 + 30 * random()],
    [50 + 12 * random(), 8 + 30 * random()],
  ]
  const crack = crackBetween(from, to, 0.12 + 0.3 * random(), n + 1)
  const shot = {
    ...SHOT,
    wide: 640,
    high: 440,
    middleMm: [35, 23] as Point,
    pxPerMm: 7.5 + 1.5 * random(),
    blurPx: 0.5 + random(),
    noise: 0.03 * random(),
    shade: 0.4 * random(),
    seed: n,
  }
  const [wideMm, depth] = [0.3 + 0.5 * random(), 0.35 + 0.3 * random()]
  const clicks = [from, to].map((at): Point => {
    const [x, y] = lens(shot).toPx(at)
    return [x + 4 * (random() - 0.5), y + 4 * (random() - 0.5)]
  })
  const branches = branched(crack, random)
  const picture = take(crackScene(crack, wideMm, ground, n, depth, branches), shot)
  return { picture, clicks, crack, branches, ground, pxPerMm: shot.pxPerMm }
}

/** A crack's length from two clicks, each up to 2 px off its end, on ground metal, castings and dye. */
export function traceTrial(n: number): Trial & { ground: Ground } {
  const { picture, clicks, crack, pxPerMm, ground } = crackShot(n, () => [])
  const { out, ms } = timed(() => traceLine(picture, clicks))
  return { offPct: 100 * (out.lengthPx / (lengthOf(crack) * pxPerMm) - 1), ms, ground }
}

/** A branch of 7 to 14 mm that leads away from a crack at 35 to 75°: past its first 2 mm it keeps 1.5 mm off. */
function branchOff(crack: readonly Point[], at: Point, side: 1 | -1, random: () => number, seed: number): Point[] {
  const [a, b] = [crack[0]!, crack.at(-1)!]
  for (let tries = 0; ; tries++) {
    const way = Math.atan2(b[1] - a[1], b[0] - a[0]) + (side * (35 + 40 * random()) * Math.PI) / 180
    const long = 7 + 7 * random()
    const tip: Point = [at[0] + long * Math.cos(way), at[1] + long * Math.sin(way)]
    const branch = crackBetween(at, tip, 0.15, seed, 3)
    const leads = branch.every(
      point => Math.hypot(point[0] - at[0], point[1] - at[1]) < 2 || toLine(...point, crack) > 1.5,
    )
    if (leads || tries === 40) return branch
  }
}

/** A crack with none, one or two branches: how many were found, and how far off their length together is. */
export function branchTrial(n: number): Trial & { ground: Ground; had: number; found: number } {
  const { picture, clicks, branches, pxPerMm, ground } = crackShot(n, (crack, random) =>
    [0.3, 0.65]
      .slice(0, Math.floor(n / 3) % 3)
      .map((share, k) =>
        branchOff(crack, crack[Math.round(share * (crack.length - 1))]!, k === 0 ? 1 : -1, random, n + 50 + k),
      ),
  )
  const trunk = traceLine(picture, clicks)
  const { out, ms } = timed(() => branchesOf(picture, trunk.path).filter(({ from }) => from === 'side'))
  const [found, truth] = [out.map(({ lengthPx }) => lengthPx / pxPerMm), branches.map(lengthOf)].map(lengths =>
    lengths.reduce((sum, mm) => sum + mm, 0),
  )
  const same = out.length === branches.length && branches.length > 0
  return { offPct: same ? 100 * (found! / truth! - 1) : null, ms, ground, had: branches.length, found: out.length }
}

/** Diameters and pitches of ISO 261, coarse and fine, every pitch from 0.5 to 3 mm. */
const THREADS: [majorMm: number, pitchMm: number][] = [
  [3, 0.5],
  [3.5, 0.6],
  [4, 0.7],
  [4.5, 0.75],
  [5, 0.8],
  [6, 1],
  [8, 1.25],
  [10, 1.5],
  [12, 1.75],
  [16, 2],
  [20, 2.5],
  [24, 3],
  [8, 1],
  [10, 1.25],
  [16, 1.5],
]

/** A screw's pitch, its axis leaning up to 3° towards the camera and drawn a few degrees off. */
export function threadTrial(n: number): Trial & { seen: ThreadSeen | null; pitchMm: number; majorMm: number } {
  const random = seeded(3000 + n)
  const [majorMm, pitchMm] = THREADS[n % THREADS.length]!
  const turns = 6 + 6 * random()
  const pxPerMm = (7 + 15 * random()) / pitchMm
  const long = turns * pitchMm
  const shot = {
    ...SHOT,
    wide: Math.ceil(long * pxPerMm * 1.2) + 60,
    high: Math.ceil(majorMm * pxPerMm * 1.8) + 60,
    middleMm: [long / 2, 0] as Point,
    pxPerMm,
    rollDeg: 10 * (random() - 0.5),
    blurPx: 0.5 + 0.8 * random(),
    noise: 0.02 * random(),
    shade: 0.3 * random(),
    seed: n,
  }
  const screw = { ...ISO, pitchMm, majorMm, turns, leanDeg: 3 * random() }
  const picture = take(screwScene(screw, random() > 0.3), shot)
  const { toPx } = lens(shot)
  const axis: [Point, Point] = [
    toPx([0.3 * pitchMm, 0.1 * (random() - 0.5) * majorMm]),
    toPx([long - 0.3 * pitchMm, 0.1 * (random() - 0.5) * majorMm]),
  ]
  try {
    const { out, ms } = timed(() => measureThread(greyOf(picture), axis, 1 / pxPerMm))
    return { offPct: 100 * (out.pitchMm / pitchMm - 1), ms, seen: out, pitchMm, majorMm }
  } catch (error) {
    return { offPct: null, why: (error as Error).message, ms: 0, seen: null, pitchMm, majorMm }
  }
}

/** Points of a hundred by which a blued face's share is off: close up, outlined, or found on its ground. */
export function blueTrial(n: number): Trial & { outline: string } {
  const random = seeded(4000 + n)
  const face = {
    seed: n + 1,
    spots: Math.floor(3 + 90 * random()),
    reach: n % 4 === 3 ? 0.4 : 1,
    strength: 0.4 + 0.6 * random(),
  }
  const close = n % 3 === 0
  const shot = {
    ...SHOT,
    wide: close ? 500 : 700,
    high: close ? 300 : 480,
    middleMm: [FACE_MM.wide / 2, FACE_MM.high / 2] as Point,
    rollDeg: close ? 0 : 12 * (random() - 0.5),
    blurPx: 0.5 + random(),
    noise: 0.03 * random(),
    shade: 0.5 * random(),
    seed: n,
  }
  const { toPx } = lens(shot)
  const corners: Point[] = [
    [0, 0],
    [FACE_MM.wide, 0],
    [FACE_MM.wide, FACE_MM.high],
    [0, FACE_MM.high],
  ]
  const picture = take(bluedScene(face), shot)
  const { out, ms } = timed(() => readBlue(picture, n % 3 === 1 ? corners.map(toPx) : undefined))
  return { offPct: out.sharePct - trueShare(face), ms, outline: out.outline }
}
