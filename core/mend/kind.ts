import type { Joint } from '../arc/amps'
import type { Fields, ValuesOf } from '../field/field'
import type { Alloy } from '../metal/alloys.table'
import type { Does, Moves } from '../part/words.table'
import type { Soak } from '../call/process.table'
import type { GrooveCut } from '../groove/cut'
import { common, type Common } from './common'
import type { Finish } from './finishes.table'
import type { Section } from './section/shapes'
import type { WaysCompared } from './thread/ways'

/** What one piece of the part is: the casting, the bracket of plate welded to it. */
export interface PartBody {
  readonly id: string
  readonly alloy: Alloy
  readonly wallMm: number
}

/** What a mend knows of the part it is on. */
export interface PartFacts {
  readonly does: Does
  readonly moves: Moves
  readonly soak: Soak
  /** How hot it runs. */
  readonly hotC: number
  readonly mustNotMove: readonly string[]
}

export interface KindInput<F extends Fields> {
  readonly values: ValuesOf<F>
  /** One body, or the two that a mend joins. */
  readonly bodies: readonly [PartBody, PartBody?]
  readonly part: PartFacts
  readonly filler: Alloy
  /** Cut open already, or laid over as it is. */
  readonly opened: boolean
  /** How it is left: as it was said, else by the place it lies on, else as its kind usually is. */
  readonly finish: Finish
}

/** Metal laid on one side in one place: a section along a run. */
export interface Laid {
  readonly side: 1 | 2
  readonly volumeMm3: number
  /** Length of one pass, on average. */ readonly runMm: number
  /** Width of the face left by it, for dressing. */ readonly wideMm: number
  /** How the run goes about the mend's place: round it, about a rectangle; straight through where nothing is said. */
  readonly goes?: Goes
  /** Laid into a corner, and left as it is but for high spots. */ readonly fillet?: true
}
export type Goes = 'round' | { readonly longMm: number; readonly wideMm: number }

/** Trades of the hand; no step mixes two. */
export type Trade = 'clean' | 'cut' | 'fit' | 'dress' | 'check'

/** A step of the hand or of the machine, known by its code; the words stand in `words.ts`. */
export interface Work {
  readonly code: string
  readonly trade: Trade
  readonly handMin: number
  readonly machineMin?: number
  /** Needs the mill or lathe set up. */ readonly mill?: boolean
  /** Makes a piece that could be bought. */ readonly makes?: boolean
  /** Money for what is bought, in the shop's own. */ readonly costs?: number
  /** Done after the first side is laid and before the second. */ readonly betweenSides?: boolean
  /** Goes by itself, and how long, min. */ readonly aloneMin?: number
  /** The heat that the place is brought to for it, °C, and what for; left out, as it comes. */
  readonly at?: { readonly c: number; readonly why: 'fit-heat' | 'press-heat' }
  /** Begun before anything else of the mend, since it waits. */ readonly ahead?: boolean
  /** Wants the part at room heat: it is measured, bored or pressed. */ readonly cold?: boolean
}

/** What one mend asks for, whatever process lays it. */
export interface MendWork {
  /** The wall that the current goes by: the thinner, or of two joined the mean of what the arc sees. */
  readonly wallMm: number
  readonly joint: Joint
  /** Across the rod, where one was said; else by the wall. */
  readonly rodMm?: number
  /** The wall that the rod suits, where that is not the one that the current goes by. */
  readonly rodWallMm?: number
  readonly laid: readonly Laid[]
  readonly removedMm3: number
  readonly opening: readonly Work[]
  readonly rebuild: readonly Work[]
  readonly checks: readonly string[]
  readonly cautions: readonly string[]
  /** The way chosen, where there are several. */
  readonly way: string | null
  /** Ways that its state rules out, each with the code of its reason. */
  readonly ruledOut?: readonly { way: string; why: string }[]
  /** Ways of giving a thread back, compared; nothing where the kind gives none back. */
  readonly ways?: WaysCompared | null
  /** What it takes off the chance that it lasts, points, each with the code of its reason. */
  readonly risks: readonly { code: string; points: number }[]
  /** Why it can't be mended at all, as a code; null where it can. */
  readonly refused: string | null
}

/** A few strokes in a box of 48 by 32 that tell a kind of mend from the others. */
export interface KindSketch {
  readonly metal: string
  readonly gone?: string
  readonly fresh?: string
}

/** What a mend is drawn by: its readings, the wall it is in, that of the other piece, and the way it is mended. */
export interface Drawn<F extends Fields> {
  readonly values: ValuesOf<F>
  readonly wallMm: number
  readonly otherMm: number
  readonly way: string | null
}

/** What a mend is drawn by, of what it is planned by. */
export const drawn = <V>(values: V, [{ wallMm }, other]: readonly [PartBody, PartBody?]) => ({
  values,
  wallMm,
  otherMm: other?.wallMm ?? wallMm,
  way: null,
})

/** What dragging a groove's lip and its root comes to, in a kind's own readings. */
export interface GrooveHandles<F extends Fields> {
  readonly angle: (includedDeg: number) => Partial<ValuesOf<F>>
  readonly land?: (landMm: number) => Partial<ValuesOf<F>>
}

/** What a kind is, where something is shown or told of such kinds alone. */
export type Trait =
  | 'broken-line'
  | 'threaded'
  | 'built-up'
  | 'facing'
  | 'let-in'
  | 'pressed'
  | 'laid-over'
  | 'two-bodies'

export interface MendKind<Id extends string = string, F extends Fields = Fields> {
  readonly id: Id
  readonly name: string
  readonly fields: F
  readonly is?: readonly Trait[]
  /** How it is left where nobody says. */
  readonly finish: Finish
  /** Its place in the order of the mends; left out, by the heat it takes. */
  readonly turn?: 'first' | 'moved-by-others' | 'covers'
  /** Another mend may lie over it, which must then wait until it is finished. */
  readonly coverable?: boolean
  /** Copper can be held behind it where it is thin. */
  readonly backed?: boolean
  /** The part is turned under the arc, once round a pass. */
  readonly turned?: boolean
  /** Heat gets away from it one way only. */
  readonly atEdge?: boolean
  /** What its readings must be together, said at the reading; nothing where they are. */
  readonly check?: (values: ValuesOf<F>) => { reading: string; message: string } | null
  readonly sketch: KindSketch
  /** The groove it is opened to; null where these readings want none. Left out where the kind is never grooved. */
  readonly cut?: (given: Drawn<F>) => GrooveCut | null
  /** What dragging the groove's lip and its root sets; left out where nothing of it can be set. */
  readonly handles?: GrooveHandles<F>
  /** It in section, to scale. */
  readonly section: (given: Drawn<F>) => Section
  readonly plan: (input: KindInput<F>) => MendWork
  /** Whole sentences by code: opening and rebuilding steps, risks, refusals. */
  readonly words: Readonly<Record<string, string>>
}

type Declared<Id extends string, F extends Fields> = Omit<MendKind<Id, F>, 'fields'> & { readonly fields: F }

/** A kind of mend as it is declared in its folder, with what may be said of any. */
export const mendKind = <Id extends string, F extends Fields>(kind: Declared<Id, F>): MendKind<Id, F & Common> =>
  ({ ...kind, fields: { ...kind.fields, ...common } }) as unknown as MendKind<Id, F & Common>

/** What most mends have nothing of. */
export const PLAIN = {
  removedMm3: 0,
  opening: [],
  rebuild: [],
  checks: [],
  cautions: [],
  way: null,
  risks: [],
  refused: null,
} as const satisfies Partial<MendWork>
