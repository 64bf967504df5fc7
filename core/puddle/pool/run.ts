import { NoAnswer } from '../../ask/question'
import type { Alloy } from '../../metal/alloys.table'
import { handAt, type HandEntry } from './hand'
import { Pool, type Plate } from './pool'
import { fallsWideMm } from './sag'
import type { Dirt } from './surface.table'

/** What lies under the torch. */
export interface PuddleBench {
  plate: Plate
  alloy: Alloy
  filler: Alloy
  rodMm: number
  startC: number
  dirt: Dirt
  enPct: number
  cellMm: number
}
export interface PuddleGiven extends PuddleBench {
  hand: readonly HandEntry[]
  durationS: number
}
export type MarkCode = 'puddle' | 'not-wetted' | 'through' | 'burn-through' | 'overheated' | 'crater' | 'specks'
export interface Mark {
  code: MarkCode
  s: number
  text: string
}
export interface PuddleRun {
  firstPuddleS: number | null
  times: number[]
  widthMm: number[]
  lengthMm: number[]
  depthMm: number[]
  peakC: number[]
  powerW: number[]
  radiusMm: number[]
  throughS: number | null
  bead: { xMm: number; widthMm: number; heightMm: number; depthMm: number }[]
  addedG: number
  meltedG: number
  wettedPct: number
  specks: number
  imbalancePct: number
  marks: Mark[]
}

/** Cells times steps that are worked out at once; past this it takes minutes. */
const MOST_WORK = 3e9
const MOST_CELLS = 3e6
const TOO_MUCH = 'that many cells over that time take minutes here: take larger cells, a smaller plate or less time'
const SAMPLES = 160
/** Melt hotter than this boils off its magnesium and zinc and spits. Common practice, no source. */
export const OVERHEATED_C = 1100
/** An arc that goes out from over this current on a puddle deeper than that leaves a crater. Common practice. */
const CRATER_A = 40
const CRATER_DEEP_MM = 1
/** Current that was there this long before is what it was stopped from, s: a taper takes longer. */
const TAPER_S = 0.4

const WORDS: Record<MarkCode, string> = {
  puddle: 'the first puddle',
  'not-wetted': 'the rod did not wet: no puddle yet, or skin and dirt on it',
  through: 'the melt reaches the far side',
  'burn-through': 'it falls through',
  overheated: 'overheated: it spits and loses its magnesium',
  crater: 'stopped short: the crater shrinks open',
  specks: 'dirt frozen in',
}

/**
 * A hand's whole run on a plate: puddle over time, the bead it leaves, what wetted, and the moments that matter. The
 * same hand always gives the same run.
 * @throws NoAnswer where the cells are too many for the time asked
 */
export function runPuddle(given: PuddleGiven): PuddleRun {
  const { hand, durationS, enPct, rodMm } = given
  const { xMm, yMm, zMm } = given.plate
  if ((xMm * yMm * zMm) / given.cellMm ** 3 > MOST_CELLS) throw new NoAnswer(TOO_MUCH)
  const pool = new Pool(given.alloy, given.plate, given.cellMm, given.startC, given.dirt, enPct)
  const steps = Math.max(1, Math.ceil(durationS / pool.stepS))
  if (steps * pool.enthalpy.length > MOST_WORK) throw new NoAnswer(TOO_MUCH)
  const seconds = durationS / steps
  const dips = hand.filter(entry => entry.dip).map(entry => entry.s)
  const fillerDensity = given.filler.densityGcm3 / 1000
  const run: PuddleRun = {
    firstPuddleS: null,
    times: [],
    widthMm: [],
    lengthMm: [],
    depthMm: [],
    peakC: [],
    powerW: [],
    radiusMm: [],
    throughS: null,
    bead: [],
    addedG: 0,
    meltedG: 0,
    wettedPct: 100,
    specks: 0,
    imbalancePct: 0,
    marks: [],
  }
  const mark = (code: MarkCode, s: number) => run.marks.push({ code, s, text: WORDS[code] })
  const once = (code: MarkCode, s: number) => {
    if (!run.marks.some(each => each.code === code)) mark(code, s)
  }
  const deepest = new Float32Array(pool.nx)
  let [dipped, wetted, sampled] = [0, 0, -1]
  let burning = false
  for (let n = 0; n < steps; n++) {
    const s = n * seconds
    const now = handAt(hand, s, enPct)
    pool.step(seconds, now.arc, now)
    while (dipped < dips.length && dips[dipped]! <= s + seconds) {
      if (pool.dip(now, rodMm, fillerDensity, 2 * (now.arc?.radiusMm ?? 4)) === 'wetted') wetted += 1
      else mark('not-wetted', dips[dipped]!)
      dipped += 1
    }
    const at = s + seconds
    const sample = Math.floor((at / durationS) * SAMPLES)
    const wanted = sample !== sampled || n === steps - 1 || (now.arc === null && burning)
    if (run.firstPuddleS === null && pool.began) {
      run.firstPuddleS = at
      mark('puddle', at)
    }
    if (wanted) {
      const seen = pool.seen()
      sampled = sample
      run.times.push(at)
      run.widthMm.push(seen.widthMm)
      run.lengthMm.push(seen.lengthMm)
      run.depthMm.push(seen.depthMm)
      run.peakC.push(seen.peakC)
      run.powerW.push(now.arc?.powerW ?? 0)
      run.radiusMm.push(now.arc?.radiusMm ?? 0)
      if (seen.through) {
        run.throughS ??= at
        once('through', run.throughS)
        if (seen.widthMm > fallsWideMm(given.plate.zMm, pool.backed) && seen.depthMm >= given.plate.zMm - 1e-9)
          once('burn-through', at)
      }
      if (seen.peakC > OVERHEATED_C) once('overheated', at)
      if (now.arc === null && burning && handAt(hand, s - TAPER_S, enPct).a > CRATER_A && seen.depthMm > CRATER_DEEP_MM)
        once('crater', at)
    }
    burning = now.arc !== null
  }
  const layer = pool.nx * pool.ny
  for (let n = 0; n < pool.ever.length; n++)
    if (pool.ever[n]) {
      const [i, k] = [n % pool.nx, Math.floor(n / layer)]
      deepest[i] = Math.max(deepest[i]!, (pool.nz - k) * pool.dz)
      run.meltedG += pool.volumeMm3 * pool.melt.densityGmm3
    }
  for (let i = 0; i < pool.nx; i++) {
    let [wide, high] = [0, 0]
    for (let j = 0; j < pool.ny; j++) {
      wide += pool.everSkin[i + pool.nx * j]! * pool.dy
      high = Math.max(high, pool.heightMm(i + pool.nx * j))
    }
    if (wide > 0) run.bead.push({ xMm: (i + 0.5) * pool.dx, widthMm: wide, heightMm: high, depthMm: deepest[i]! })
  }
  run.addedG = pool.addedG
  run.wettedPct = dips.length ? (100 * wetted) / dips.length : 100
  run.specks = Math.round(pool.specks)
  if (run.specks > 0) once('specks', durationS)
  run.imbalancePct = pool.imbalancePct
  run.marks.sort((a, b) => a.s - b.s)
  return run
}
