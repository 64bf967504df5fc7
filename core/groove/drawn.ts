import { layBeads, type Bead } from './beads'
import { runOfCut, shapeOfCut, type GrooveCut } from './cut'
import { capAreaMm2, halfWidthMm, type GrooveShape } from './section'
import { sequenceOf, type Sequence } from './sequence'

/** A bead where it lies, numbered through both sides in the order they are laid. */
export interface NumberedBead extends Bead {
  readonly side: 1 | 2
  readonly number: number
}

/** A groove as its drawings show it: across, bead by bead, and along, with its stop-holes, tacks and runs. */
export interface DrawnGroove extends Pick<GrooveCut, 'wallMm' | 'sides' | 'capMm' | 'alongMm'> {
  readonly shape: GrooveShape
  readonly topWidthMm: number
  readonly runMm: number
  /** Where the run begins, counted from the beginning of the damage: before it, at a tip. */
  readonly fromMm: number
  readonly closed: boolean
  readonly stopHoles: readonly { readonly alongMm: number; readonly diameterMm: number }[]
  readonly beads: readonly NumberedBead[]
  readonly sequence: Sequence
}

/** More beads on a side than this are not drawn: nobody could tell them apart. */
const MOST_BEADS = 500

/**
 * A groove with its passes laid into it, each an equal share of its side; null where the root face leaves no groove.
 * `passes` are the sides they go on, in the order they are laid.
 */
export function drawnGroove(
  cut: GrooveCut,
  passes: readonly { readonly side: 1 | 2 }[],
  { keepBreak, turnAbout = true }: { keepBreak: boolean; turnAbout?: boolean },
): DrawnGroove | null {
  const shape = shapeOfCut(cut)
  if (shape.depthMm <= 0) return null
  const { wallMm, sides, capMm, alongMm, ends, pastTipMm } = cut
  const topWidthMm = 2 * halfWidthMm(shape, shape.depthMm)
  const runMm = runOfCut(cut)
  const beads = ([1, 2] as const).slice(0, sides).flatMap((side): NumberedBead[] => {
    const mine = passes.flatMap((pass, n) => (pass.side === side ? [n + 1] : []))
    return mine.length && mine.length <= MOST_BEADS
      ? layBeads(shape, capAreaMm2(topWidthMm, capMm), capMm, mine.length).map(bead => ({
          ...bead,
          side,
          number: mine[bead.pass - 1]!,
        }))
      : []
  })
  const [startsIn, endsIn] = ends ?? (['edge', 'edge'] as const)
  const holes = [...(startsIn === 'tip' ? [-pastTipMm] : []), ...(endsIn === 'tip' ? [alongMm + pastTipMm] : [])]
  return {
    wallMm,
    sides,
    capMm,
    alongMm,
    shape,
    topWidthMm,
    runMm,
    fromMm: ends?.[0] === 'tip' ? -pastTipMm : 0,
    closed: ends === null,
    stopHoles: cut.stopHoleMm > 0 ? holes.map(at => ({ alongMm: at, diameterMm: cut.stopHoleMm })) : [],
    beads,
    sequence: sequenceOf({
      lengthMm: runMm,
      wallMm,
      sides,
      closed: ends === null,
      passesPerSide: Math.max(1, Math.ceil(passes.length / sides)),
      keepBreak,
      turnAbout,
      startsIn,
      endsIn,
    }),
  }
}
