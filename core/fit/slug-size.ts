/**
 * A slug across over its thread's major diameter: leaves a wall of metal round the thread. Common practice, no source.
 */
export const SLUG_OVER_THREAD = 1.7

/** What a slug measures across, mm: as asked for, else by its thread, to the half millimetre above. */
export const slugAcrossMm = (threadMajorMm: number, askedMm?: number): number =>
  askedMm ?? Math.ceil(threadMajorMm * SLUG_OVER_THREAD * 2) / 2
