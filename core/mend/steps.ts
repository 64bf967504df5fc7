import type { Laid, Work } from './kind'
import {
  BLEND,
  CUT_MIN_PER_CM3,
  CUT_START_MIN,
  FACE_CUT_MIN,
  FACE_CUT_MIN_PER_CM2,
  MILL_FIND_MIN,
  ROUGH,
  SEAT,
  WIPE_MIN,
} from './minutes.table'

/** Cutting so much metal away; none where nothing is cut. */
export const cutting = (code: string, removedMm3: number): Work[] =>
  removedMm3 > 0 ? [{ code, handMin: CUT_START_MIN + (removedMm3 / 1000) * CUT_MIN_PER_CM3 }] : []

export const wipe: Work = { code: 'wipe', handMin: WIPE_MIN }

export type Dressing = 'rough' | 'blend' | 'seat'
const DRESS = { rough: ROUGH, blend: BLEND, seat: SEAT } as const

const faceCm2 = (laid: readonly Laid[]) => laid.reduce((sum, { runMm, wideMm }) => sum + runMm * wideMm, 0) / 100

/** Dressing what was laid, by hand. */
export const dressing = (how: Dressing, laid: readonly Laid[]): Work => ({
  code: `dress-${how}`,
  handMin: DRESS[how].startMin + DRESS[how].perCm2 * faceCm2(laid),
})

/** Facing cuts on the mill over an area, so many of them. */
export const facing = (areaMm2: number, cuts: number): Work => ({
  code: 'face-cuts',
  handMin: MILL_FIND_MIN,
  machineMin: cuts * (FACE_CUT_MIN + (FACE_CUT_MIN_PER_CM2 * areaMm2) / 100),
  mill: true,
})
