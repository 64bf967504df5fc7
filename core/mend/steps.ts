import { facingCutCount } from '../face/facing-cuts'
import type { Finish } from './finishes.table'
import type { Laid, Work } from './kind'
import {
  BLEND,
  CUT_MIN_PER_CM3,
  CUT_START_MIN,
  FACE_CUT_MIN,
  FACE_CUT_MIN_PER_CM2,
  FLAT_SEAT,
  MILL_FIND_MIN,
  ROUGH,
  ROUGH_FILLET,
  SEAT,
  WIPE_MIN,
} from './minutes.table'

/** Cutting so much metal away; none where nothing is cut. */
export const cutting = (code: string, removedMm3: number): Work[] =>
  removedMm3 > 0 ? [{ code, trade: 'cut', handMin: CUT_START_MIN + (removedMm3 / 1000) * CUT_MIN_PER_CM3 }] : []

export const wipe: Work = { code: 'wipe', trade: 'clean', handMin: WIPE_MIN }

const DRESS = { rough: ROUGH, blend: BLEND, seat: SEAT } as const

const faceCm2 = (laid: readonly Laid[]) => laid.reduce((sum, { runMm, wideMm }) => sum + runMm * wideMm, 0) / 100

/** Facing cuts on the mill over an area, until so much that stands proud is gone. */
export const facing = (areaMm2: number, proudMm: number): Work => ({
  code: 'face-cuts',
  trade: 'dress',
  handMin: MILL_FIND_MIN,
  machineMin: facingCutCount(proudMm) * (FACE_CUT_MIN + (FACE_CUT_MIN_PER_CM2 * areaMm2) / 100),
  mill: true,
})

/** Machined where nothing is said of how: what stands this proud over the laid face, mm. Common practice, no source. */
const USUAL_PROUD_MM = 1.5

/** How what was laid is finished; `machined` is the kind's own work at the machine, facing where it has none. */
export function finishing(finish: Finish, laid: readonly Laid[], machined?: readonly Work[]): readonly Work[] {
  if (finish === 'proud' || !laid.length) return []
  if (finish === 'machined') return machined ?? [facing(100 * faceCm2(laid), USUAL_PROUD_MM)]
  const fillet = finish === 'rough' && laid.every(one => one.fillet)
  return [{ code: `dress-${finish}`, trade: 'dress', handMin: dressMin(fillet ? ROUGH_FILLET : DRESS[finish], laid) }]
}

const dressMin = ({ startMin, perCm2 }: { startMin: number; perCm2: number }, laid: readonly Laid[]) =>
  startMin + perCm2 * faceCm2(laid)

/** A seat that is a flat face is dressed to a straightedge, which is sooner done than one turned or bored. */
export const flatSeat = (rebuild: readonly Work[], laid: readonly Laid[]): Work[] =>
  rebuild.map(step => (step.code === 'dress-seat' ? { ...step, handMin: dressMin(FLAT_SEAT, laid) } : step))
