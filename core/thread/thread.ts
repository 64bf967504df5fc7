import { MM_PER_INCH } from '../quantity/constants'

/** A thread of a standard, by its basic sizes, mm. */
export interface Thread {
  designation: string
  system: System
  majorMm: number
  pitchMm: number
  pitchDiameterMm: number
  minorInternalMm: number
  minorExternalMm: number
  /** Included angle of the flanks. */
  flankDeg: 60 | 55 | 47.5
  /** Included angle of the taper; 0 for a parallel thread. */
  taperDeg: number
  /** Coarse series and the usual pipe threads come before fine and special ones. */
  usual: number
}
export type System =
  | 'metric'
  | 'metric-fine'
  | 'UNC'
  | 'UNF'
  | 'UNEF'
  | 'UN'
  | 'BSW'
  | 'BSF'
  | 'BA'
  | 'G'
  | 'R'
  | 'Rp'
  | 'NPT'
  | 'NPTF'

/** Taper of 1 in 16 on the diameter, as an included angle. */
export const PIPE_TAPER_DEG = (2 * Math.atan(1 / 32) * 180) / Math.PI

type Form = Pick<Thread, 'pitchDiameterMm' | 'minorInternalMm' | 'minorExternalMm' | 'flankDeg'>

/**
 * ISO 68-1 and ASME B1.1, both from H = (√3/2) P: pitch diameter d − ¾H, minor of the nut d − 5/4 H, root of the bolt d
 * − 17/12 H.
 */
export function form60(majorMm: number, pitchMm: number): Form {
  const h = (Math.sqrt(3) / 2) * pitchMm
  return {
    pitchDiameterMm: majorMm - 0.75 * h,
    minorInternalMm: majorMm - 1.25 * h,
    minorExternalMm: majorMm - (17 / 12) * h,
    flankDeg: 60,
  }
}

/** BS 84 (and ISO 228-1, ISO 7-1): thread height 0.640327 P; pitch diameter one height under the major, minor two. */
export function form55(majorMm: number, pitchMm: number): Form {
  const high = 0.640327 * pitchMm
  return {
    pitchDiameterMm: majorMm - high,
    minorInternalMm: majorMm - 2 * high,
    minorExternalMm: majorMm - 2 * high,
    flankDeg: 55,
  }
}

/** BS 93: thread height 0.6 P. */
export function form47(majorMm: number, pitchMm: number): Form {
  return {
    pitchDiameterMm: majorMm - 0.6 * pitchMm,
    minorInternalMm: majorMm - 1.2 * pitchMm,
    minorExternalMm: majorMm - 1.2 * pitchMm,
    flankDeg: 47.5,
  }
}

/**
 * ASME B1.20.1: E0 = D − (0.05 D + 1.1) p at the pipe's end, E1 = E0 + L1/16 at the hand-tight plane, thread height 0.8
 * p.
 * The pitch diameter given is E1; the major is the pipe's outside.
 */
export function formPipe60(outsideMm: number, pitchMm: number, l1Mm: number): Form {
  const e0 = outsideMm - ((0.05 * outsideMm) / MM_PER_INCH + 1.1) * pitchMm
  const e1 = e0 + l1Mm / 16
  return { pitchDiameterMm: e1, minorInternalMm: e1 - 0.8 * pitchMm, minorExternalMm: e1 - 0.8 * pitchMm, flankDeg: 60 }
}
