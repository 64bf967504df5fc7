import type { ProcessId } from '../process/registry'
import type { Trade } from '../mend/kind'

/** Whose minutes a step's are: the hand's, an arc's, a flame's, a machine tool's, nobody's, or another shop's. */
export type StepKind = 'hand' | 'arc' | 'flame' | 'machine' | 'wait' | 'elsewhere'

/** What is set for an arc. */
export interface ArcSet {
  a: number
  gasLMin: number
  postflowS: number
  /** How fast the part is turned under it, where it is turned. */
  rpm?: number
}
export interface RodsUsed {
  filler: string
  diameterMm: number
  /** Rods, not rounded: whole ones are counted for the job. */
  count: number
}
/** What a step uses up. */
export interface Uses {
  rods: RodsUsed[]
  wireM: number
  gasL: number
  fuelL: number
  kWh: number
}
export const NOTHING_USED: Uses = { rods: [], wireM: 0, gasL: 0, fuelL: 0, kWh: 0 }

/** One thing that is done, in its place in the order; nothing else has minutes, money or a caution. */
export interface PlanStep {
  id: string
  code: string
  mend?: string
  /** Of a step that lays metal: which of the mend's lays, and which of its passes, from 1. */
  lay?: number
  pass?: number
  side?: 1 | 2
  kind: StepKind
  minutes: number
  /** The machine or torch it is done with. */
  by?: string
  after: string[]
  foundC?: number
  limitC?: number
  because?: string
  set?: ArcSet
  uses?: Uses
  cautions: string[]
  price: number
}

/** Phases that a shop notes its time by, and learns from; a mend's are learnt under its kind. */
export type Phase = 'open' | 'set-up' | 'warm' | 'mend' | 'prove' | 'extra'

/** A step with what only the inside of a plan asks of it. */
export interface Made extends PlanStep {
  phase: Phase
  trade?: Trade
  /** Minutes before what the shop has learnt of its phase moves them. */
  usualMin: number
  process?: ProcessId
  filler?: string
  /** Money for what is bought in and built in. */
  bought?: number
  /** Grams laid. */
  massG?: number
  /** What an arc's current is eased to by the end of the pass, A. */
  easedA?: number
  /** Whether it stands before the metal is laid, or after it. */
  stage?: 'opening' | 'laying' | 'rebuild' | 'check'
}
