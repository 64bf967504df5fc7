/** A made screw seen from the side, its pitch known: the true silhouette of a helical groove. */
import type { Scene } from './camera.fixture'

export interface Screw {
  pitchMm: number
  majorMm: number
  flankDeg: number
  /** Depth of the groove over the pitch, and the flats at crest and root. */
  depthShare: number
  crestShare: number
  turns: number
  /** How far the axis leans towards the camera. */
  leanDeg: number
}

/** ISO 68-1: 60°, groove 0.6134 P deep, crest flat P/8. */
export const ISO: Omit<Screw, 'pitchMm' | 'majorMm' | 'turns' | 'leanDeg'> = {
  flankDeg: 60,
  depthShare: 0.6134,
  crestShare: 0.125,
}

const radius = ({ pitchMm, majorMm, flankDeg, depthShare, crestShare }: Screw, s: number) => {
  const turn = s / pitchMm - Math.round(s / pitchMm)
  const off = Math.max(0, Math.abs(turn) * pitchMm - (crestShare * pitchMm) / 2)
  return majorMm / 2 - Math.min(depthShare * pitchMm, off / Math.tan((flankDeg * Math.PI) / 360))
}

/** Half heights of the silhouette along the axis, both sides: the greatest height of any point of the surface there. */
function silhouette(screw: Screw, stepMm: number): { up: Float64Array; down: Float64Array } {
  const long = screw.turns * screw.pitchMm
  const lean = (screw.leanDeg * Math.PI) / 180
  const columns = Math.ceil(long / stepMm)
  const [up, down] = [new Float64Array(columns), new Float64Array(columns)]
  const ANGLES = 360
  const fine = stepMm / 2
  for (let n = 0; n <= (long + 4 * screw.pitchMm) / fine; n++) {
    const s = n * fine - 2 * screw.pitchMm
    for (let k = 0; k < ANGLES; k++) {
      const angle = (2 * Math.PI * k) / ANGLES
      const r = radius(screw, s - (screw.pitchMm * angle) / (2 * Math.PI))
      const at = Math.floor((s * Math.cos(lean) + r * Math.sin(angle) * Math.sin(lean)) / stepMm)
      if (at < 0 || at >= columns) continue
      const height = r * Math.cos(angle)
      if (height > up[at]!) up[at] = height
      if (-height > down[at]!) down[at] = -height
    }
  }
  return { up, down }
}

/** The screw lying along X from zero, its axis at Y = 0, dark on a light ground or light on a dark one. */
export function screwScene(screw: Screw, dark = true): Scene {
  const stepMm = screw.pitchMm / 80
  const { up, down } = silhouette(screw, stepMm)
  const long = up.length * stepMm
  const [body, ground] = dark ? [0.14, 0.82] : [0.7, 0.12]
  return (x, y) => {
    const at = Math.floor(x / stepMm)
    const inside = x >= 0 && x < long && (y < 0 ? -y <= up[at]! : y <= down[at]!)
    const tone = inside ? body + (0.1 * Math.abs(y)) / screw.majorMm : ground
    return [tone, tone, tone]
  }
}
