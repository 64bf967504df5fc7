import type { Step } from '../ask/question'
import { MM_PER_INCH } from '../quantity/constants'
import { normalShare } from '../quantity/erf'
import { read } from '../quantity/read'
import type { ReadingSystem } from '../quantity/show'
import { THREADS } from './list'
import type { System, Thread } from './thread'

export type Region = 'any' | 'metric' | 'inch' | 'hydraulic'

/** How much likelier a system is where a thing comes from: judgement. */
const REGION: Readonly<Record<Region, Partial<Record<System, number>>>> = {
  any: {},
  metric: {
    metric: 4,
    'metric-fine': 4,
    UNC: 0.15,
    UNF: 0.15,
    UNEF: 0.1,
    UN: 0.1,
    G: 1.2,
    R: 1.2,
    NPT: 0.2,
    NPTF: 0.2,
  },
  inch: {
    UNC: 4,
    UNF: 4,
    UNEF: 2,
    UN: 2,
    NPT: 3,
    NPTF: 2,
    BSW: 1,
    BSF: 1,
    metric: 0.15,
    'metric-fine': 0.15,
    G: 0.4,
    R: 0.4,
  },
  hydraulic: {
    G: 8,
    R: 5,
    Rp: 4,
    NPT: 8,
    NPTF: 5,
    UNF: 1.5,
    'metric-fine': 1.5,
    metric: 0.15,
    UNC: 0.1,
    BSW: 0.1,
    BSF: 0.1,
    BA: 0.05,
    UNEF: 0.3,
    UN: 1,
  },
}
/** Standard deviation of a measured pitch (gauge, or turns over a length), as a share of it. */
const PITCH_SHARE = 0.012
const FLANK_SD_DEG = 2
const TAPER_SD_DEG = 0.7
/** No pitch in millimetres is coarser; a bare number over it counts threads. */
const COARSEST_MM = 8
/**
 * Worn and made to tolerance, a bolt is smaller and a nut's bore larger than basic by up to this share of the pitch:
 * ISO 965-1, middle grades, from memory, and wear.
 */
const ALLOWANCE_SHARE = 0.18
/** On a taper the diameter depends on where it is taken: this many pitches to either side of the hand-tight plane. */
const TAPER_PITCHES = 5

export interface Measured {
  side: 'male' | 'female'
  diameterMm: number
  pitchMm?: number | undefined
  flankDeg?: number | undefined
  taperDeg?: number | undefined
  uncertaintyMm: number
  region: Region
}
export interface Candidate {
  designation: string
  system: System
  probability: number
  majorMm: number
  pitchMm: number
  diameterErrorMm: number
  note: string
}
export interface Identified {
  ranked: Candidate[]
  confusable: string[]
  next: string
  working: Step[]
}

/** What a caliper finds on a sound thread of this kind, mm: its greatest and least. */
function expected(thread: Thread, side: 'male' | 'female'): [number, number] {
  const basic = side === 'male' ? thread.majorMm : thread.minorInternalMm
  const spread = thread.taperDeg > 0 ? (TAPER_PITCHES * thread.pitchMm) / 16 : 0
  const allowance = ALLOWANCE_SHARE * thread.pitchMm
  return side === 'male'
    ? [basic - allowance - spread, basic + (thread.taperDeg > 0 ? spread : 0)]
    : [basic - spread, basic + allowance + spread]
}

/** Likelihood of a diameter: even between greatest and least, with the caliper's own normal error. */
function diameterLikelihood([low, high]: readonly [number, number], measuredMm: number, sdMm: number): number {
  return (normalShare((measuredMm - low) / sdMm) - normalShare((measuredMm - high) / sdMm)) / Math.max(high - low, 1e-6)
}
const bell = (difference: number, sd: number) => Math.exp(-(difference ** 2) / 2 / sd ** 2)

function noteOn(thread: Thread): string {
  if (thread.system === 'G')
    return 'parallel pipe thread: seals on a washer, not on the thread; its number is not its diameter'
  if (thread.system === 'R' || thread.system === 'Rp')
    return thread.system === 'R' ? 'taper pipe thread, 1 in 16, 55°' : 'parallel pipe bore for a taper male, 55°'
  if (thread.system === 'NPT' || thread.system === 'NPTF')
    return `taper pipe thread, 1 in 16, 60°${thread.system === 'NPTF' ? ', seals dry' : ''}`
  if (thread.flankDeg === 55) return 'Whitworth form, 55°'
  if (thread.flankDeg === 47.5) return 'British Association, 47.5°'
  return thread.system === 'metric' ? 'coarse' : thread.system === 'metric-fine' ? 'fine' : 'unified, 60°'
}

/** Close enough in diameter and pitch that one is screwed into the other by mistake. */
const CLOSE_MM = 0.35
const CLOSE_PITCH_SHARE = 0.06
const lookAlike = (a: Thread, b: Thread) =>
  a !== b && Math.abs(a.majorMm - b.majorMm) < CLOSE_MM && Math.abs(a.pitchMm / b.pitchMm - 1) < CLOSE_PITCH_SHARE

/**
 * Which standard thread it is: Bayes over every thread known, with wear and tolerance, the caliper's error, and pitch,
 * flank and taper where they were measured.
 *
 * P(thread | readings) ∝ how usual it is × P(diameter) × P(pitch) × P(flank) × P(taper). Priors are judgement.
 * Accuracy: docs/method.md has the share found right and the confusion list.
 */
export function identifyThread(measured: Measured): Identified {
  const { side, diameterMm, pitchMm, flankDeg, taperDeg, uncertaintyMm, region } = measured
  const scored = THREADS.map(thread => {
    let weight = thread.usual * (REGION[region][thread.system] ?? 1)
    // A taper bore is a Rp or an NPT; a bolt is never Rp.
    if (thread.system === 'Rp' && side === 'male') weight = 0
    const range = expected(thread, side)
    weight *= diameterLikelihood(range, diameterMm, Math.max(uncertaintyMm, 0.01))
    if (pitchMm !== undefined) weight *= bell(pitchMm - thread.pitchMm, PITCH_SHARE * thread.pitchMm) / thread.pitchMm
    if (flankDeg !== undefined) weight *= bell(flankDeg - thread.flankDeg, FLANK_SD_DEG)
    if (taperDeg !== undefined) weight *= bell(taperDeg - thread.taperDeg, TAPER_SD_DEG)
    return { thread, weight }
  })
  const total = scored.reduce((sum, { weight }) => sum + weight, 0)
  const basic = (thread: Thread) => (side === 'male' ? thread.majorMm : thread.minorInternalMm)
  const ranked = scored
    .map(({ thread, weight }) => ({ thread, probability: total > 0 ? weight / total : 0 }))
    .filter(({ probability }) => probability > 1e-4)
    .toSorted((a, b) => b.probability - a.probability)
    .slice(0, 12)
  const best = ranked[0]?.thread
  const confusable = best
    ? THREADS.filter(thread => lookAlike(best, thread) && !(thread.system === 'Rp' && side === 'male')).map(
        thread => thread.designation,
      )
    : []
  const rivals = ranked.filter(({ probability }) => probability > 0.05).map(({ thread }) => thread)
  const differ = <T>(of: (thread: Thread) => T) => new Set(rivals.map(of)).size > 1
  const next =
    rivals.length < 2
      ? 'Nothing more: try the real mating part.'
      : pitchMm === undefined && differ(thread => thread.pitchMm.toFixed(2))
        ? 'Measure the pitch: a comb, or ten turns over a rule.'
        : taperDeg === undefined && differ(thread => thread.taperDeg > 0)
          ? 'See whether it tapers: the outside at both ends of the thread.'
          : flankDeg === undefined && differ(thread => thread.flankDeg)
            ? 'Hold a 60° and a 55° comb in the flanks against the light.'
            : 'Only the real mating part tells these apart.'
  return {
    ranked: ranked.map(({ thread, probability }) => ({
      designation: thread.designation,
      system: thread.system,
      probability,
      majorMm: thread.majorMm,
      pitchMm: thread.pitchMm,
      diameterErrorMm: diameterMm - basic(thread),
      note: noteOn(thread),
    })),
    confusable,
    next,
    working: [
      {
        label: 'Threads weighed',
        formula: 'every standard thread known',
        value: THREADS.length,
        unit: '',
        source: 'ISO 261, 228-1, 7-1; ASME B1.1, B1.20.1; BS 84, 93, from memory',
      },
      {
        label: 'Diameter',
        formula: `even from basic ${side === 'male' ? 'down' : 'up'} by ${ALLOWANCE_SHARE} P, caliper ± ${uncertaintyMm} mm`,
        value: diameterMm,
        unit: 'mm',
        source: 'ISO 965-1 tolerances, from memory; wear: judgement',
      },
      ...(pitchMm === undefined
        ? []
        : [
            {
              label: 'Pitch',
              formula: `normal, ± ${100 * PITCH_SHARE} %`,
              value: pitchMm,
              unit: 'mm',
              source: 'judgement',
            },
          ]),
      {
        label: 'Best',
        formula: 'Bayes: how usual × each likelihood, made to sum to one',
        value: ranked[0] ? `${ranked[0].thread.designation}, ${(100 * ranked[0].probability).toFixed(0)} %` : 'none',
        unit: '',
        source: 'priors: judgement',
      },
    ],
  }
}

/**
 * A pitch as a comb gives it: `1.25 mm`, `19 tpi`, or a bare number, which over 8 counts threads an inch; mm, or null
 * where it is not understood.
 */
export function readPitchMm(text: string, system: ReadingSystem): number | null {
  const bare = /^(\d+(?:\.\d+)?)\s*(tpi)?$/i.exec(text.trim())
  if (bare && Number(bare[1]) > 0 && (bare[2] || Number(bare[1]) > COARSEST_MM)) return pitchOfTpi(Number(bare[1]))
  const mm = text.trim() ? read(text, 'mm', system) : null
  return mm?.ok ? mm.value : null
}

/** Pitch of a thread counted in threads an inch. */
export const pitchOfTpi = (tpi: number) => MM_PER_INCH / tpi
