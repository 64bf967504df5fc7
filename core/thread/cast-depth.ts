/** A thread cast round a screw is good for so many diameters of depth. Common practice, no source. */
const CAST_DEPTH = 0.6

/** How deep a thread is cast round a screw, mm: at its mouth only, however deep the hole is. */
export const castDeepMm = (majorMm: number, depthMm: number): number => Math.min(depthMm, CAST_DEPTH * majorMm)
