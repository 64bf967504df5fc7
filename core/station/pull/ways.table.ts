import type { WarpInput } from '../../warp/schema'

/** What a way of laying changes of the weld as planned. */
export interface Way {
  id:
    | 'planned'
    | 'one-side'
    | 'turn-about'
    | 'held'
    | 'strongback'
    | 'warm'
    | 'narrow'
    | 'middle-out'
    | 'quarters'
    | 'peened'
    | 'slow'
    | 'roots-first'
    | 'back-step'
    | 'cold'
  name: string
}
export const WAYS: Record<Way['id'], string> = {
  planned: 'as planned, free',
  'one-side': 'one side finished first',
  'turn-about': 'sides in turn',
  'roots-first': 'roots of both sides first, then the fills from each side in turn',
  held: 'clamped flat until it is cold',
  strongback: 'stiff bars clamped across it until it is cold',
  warm: 'warmed 80 K more',
  narrow: 'a narrower groove: three quarters of the metal',
  'middle-out': 'from the middle out, in halves',
  'back-step': 'back-stepped: each step laid towards the one before',
  cold: 'laid cold',
  quarters: 'round in quarters, each after the one opposite',
  peened: 'each bead peened hot but the root and the last',
  slow: 'kept at 200 °C after the last bead and cooled slowly',
}

/** What the pull bench is asked of one weld. */
export interface PullBench {
  /** What is watched, in the words of the marks. */
  watched: { name: string; limitMm: number | null }[]
  /** Marks of what may not move that say too little to be watched, and what they want. */
  unwatched: { mark: string; name: string; wants: string }[]
  /** What each way of laying asks of the core, the planned one first. */
  ways: { id: Way['id']; asked: WarpInput }[]
}
