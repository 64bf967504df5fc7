import { ENDS, type End } from './run'
import type { GrooveShape } from './section'

/** A groove as it is cut along what is broken: planned, drawn and laid by the same figures. */
export interface GrooveCut {
  readonly wallMm: number
  readonly sides: 1 | 2
  readonly includedDeg: number
  readonly rootRadiusMm: number
  readonly landMm: number
  readonly capMm: number
  /** Along the damage itself. */ readonly alongMm: number
  /** What it begins and ends in; null where it closes on itself. */ readonly ends: readonly [End, End] | null
  readonly pastTipMm: number
  readonly stopHoleMm: number
}

/** A groove all round something: no ends, nothing past them. */
export const ROUND = { ends: null, pastTipMm: 0, stopHoleMm: 0 } as const
/** A joint of two pieces runs from edge to edge. */
export const EDGE_TO_EDGE = { ends: [ENDS[2], ENDS[2]], pastTipMm: 0, stopHoleMm: 0 } as const

/** How many of its ends are tips in sound metal. */
export const tipsOf = ({ ends }: GrooveCut): number => ends?.filter(end => end === 'tip').length ?? 0

/** Its whole run: the damage and, at each tip, the length past it. */
export const runOfCut = (cut: GrooveCut): number => cut.alongMm + tipsOf(cut) * cut.pastTipMm

/** The shape of one side of it; no depth where the root face leaves none. */
export const shapeOfCut = ({ wallMm, landMm, sides, includedDeg, rootRadiusMm }: GrooveCut): GrooveShape => ({
  depthMm: Math.max(0, (wallMm - landMm) / sides),
  includedDeg,
  rootRadiusMm,
})
