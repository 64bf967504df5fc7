import type { Grid } from '../field/grid'
import { march } from '../field/march'
import { pathLengthMm, placeAlong } from '../field/path'
import { cutPart, setUp, type CutPart } from '../simulate'
import type { Simulate } from '../simulate.schema'

/** Cells at which a run takes some hundredths of a second: coarse enough to try many set-ups. */
const QUICK_CELLS = 4000
const COARSEST = 4

export interface QuickRun {
  times: readonly number[]
  probes: readonly (readonly number[])[]
  peakC: number
  /** Its cells; and the whole field at each reading, tenths of a degree by slot, where that was asked for. */
  grid: Grid
  frames: readonly Int16Array[]
}

/** How many cells are put together to one, along each side, for a quick look at a part. */
export const quickFactor = ({ grid }: CutPart): number =>
  Math.max(1, Math.min(COARSEST, Math.ceil(Math.cbrt(grid.count / QUICK_CELLS))))

/** Turns after which a torch walked round is as good as its whole ring at once. */
const MANY_TURNS = 3
const SPOTS_OF_A_RING = 12

/** A torch walked round and round, as a ring of small ones held: what the part sees on average over a turn. */
function evened(source: Simulate['sources'][number], durationS: number): Simulate['sources'] {
  if (source.kind !== 'torch' || !source.pathMm || source.speedMmS === 0) return [source]
  const turnS = pathLengthMm(source.pathMm) / source.speedMmS
  if (Math.min(source.endS ?? durationS, durationS) - source.startS < MANY_TURNS * turnS) return [source]
  return Array.from({ length: SPOTS_OF_A_RING }, (_, n) => ({
    ...source,
    powerW: source.powerW / SPOTS_OF_A_RING,
    pathMm: undefined,
    speedMmS: 0,
    atMm: [...placeAlong(source.pathMm!, (n * turnS * source.speedMmS) / SPOTS_OF_A_RING, true)] as [
      number,
      number,
      number,
    ],
  }))
}

/**
 * A run on coarse cells, a walked torch taken as its ring; good for comparing set-ups with one another (docs/method.md
 * says how good).
 * @param until ends the run early when it says so of the probes' readings so far
 * @param keepField whether the whole field is kept at each reading
 */
export function quickRun(
  input: Simulate,
  part: CutPart,
  until?: (probes: readonly (readonly number[])[]) => boolean,
  keepField = false,
): QuickRun {
  const set = setUp({ ...input, sources: input.sources.flatMap(source => evened(source, input.durationS)) }, part, {
    factor: quickFactor(part),
  })
  const setup = keepField ? { ...set, framesS: set.timesS } : set
  const { grid } = setup
  const running = march(setup)
  for (;;) {
    const next = running.next()
    if (next.done)
      return {
        times: setup.timesS,
        probes: next.value.probesC,
        peakC: next.value.peakC,
        grid,
        frames: next.value.frames,
      }
    if (until?.(next.value.probesC))
      return {
        times: setup.timesS.slice(0, next.value.probesC[0]!.length),
        probes: next.value.probesC,
        peakC: Number.NaN,
        grid,
        frames: next.value.frames,
      }
  }
}

/** Cuts only where the shape or the cells differ from the part cut last. */
export function partKeeper(): (input: Pick<Simulate, 'shape' | 'cellMm'>) => CutPart {
  let kept: { key: string; part: CutPart } | undefined
  return input => {
    const key = JSON.stringify([input.shape, input.cellMm])
    if (kept?.key !== key) kept = { key, part: cutPart(input) }
    return kept.part
  }
}
