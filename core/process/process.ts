import type { BrazeRod } from '../braze/rods.table'

/** What a part does, as a process bears it. */
type Load = 'seal' | 'static' | 'cyclic'

/** What an arc asks and gives, against AC TIG on the same wall. */
export interface Arc {
  /** Current that a wall wants, over that by AC TIG. Common practice, no source. */
  readonly needShare: number
  /** Share of its power that enters, and its volts. Common practice (ASM Handbook vol. 6, from memory). */
  readonly enters: number
  readonly volts: number
  /** Load volts, and more for each ampere: IEC 60974-1, 11.1, from memory. */
  readonly loadV: readonly [noLoadV: number, perA: number]
  /** Minutes of arc for the same metal, over those of AC TIG: common practice, no source (5–10 min against 60–90). */
  readonly minutesShare: number
  /** How a gun's wire goes over: pulsed, or cold in stitches on thin metal; null of a rod. */
  readonly gun: 'pulsed' | 'stitched' | null
}

/** What a flame lays, and what it wants of a kit. */
export interface Flame {
  /** Metal laid, cm³ a minute: the rod melts as fast as the part lets it. Judgement. */
  readonly cm3Min: number
  /** The rod that a braze lays, whatever filler is best for the metal; null where it melts the metal itself. */
  readonly rod: BrazeRod | null
  /** Any torch; one with its own rod in the kit; one that is fed with oxygen. */
  readonly wants: 'any' | 'its-rod' | 'oxygen'
}

/**
 * What lays metal, with all that is its own. Points off a whole of 1 are judgement, from common practice; dirt is in
 * the order dry, handled, oily, oil-soaked.
 */
export interface Process {
  readonly name: string
  readonly fusion: boolean
  /** Whether flux goes on before the heat, and must come off after it. */
  readonly flux: boolean
  /** What can hurt as it lays, beside what any arc or flame does. */
  readonly cautions: readonly string[]
  readonly dirt: readonly [number, number, number, number]
  readonly cyclic: number
  readonly staticLoad: number
  readonly watertight: number
  readonly tight: number
  /** Walls it suits, mm; outside them `wallOff` comes off. */
  readonly walls: readonly [number, number]
  readonly wallOff: number
  /** Minutes to prepare and set up, and a minute for each this many mm² of weld face. */
  readonly setUpMin: number
  readonly mm2PerMin: number
  readonly school: string
  /**
   * What it takes off the chance that a repair lasts, percentage points, for each load: a gun traps what an arc with a
   * rod boils out, and a zinc joint lets go under repeated load. Judgement, from common practice.
   */
  readonly points: Readonly<Record<Load, number>>
  /** By a rod in the hand, by a gun's wire, or by a rod and a flame. */
  readonly lays: 'rod' | 'wire' | 'flame'
  readonly arc: Arc | null
  readonly flame: Flame | null
}
export type ArcRow = Process & { readonly arc: Arc; readonly flame: null }
export type FlameRow = Process & { readonly arc: null; readonly flame: Flame }
