import { NoAnswer, type Step } from '../ask/question'

export interface Hole {
  xMm: number
  yMm: number
}
export interface BoltCircle {
  centre: Hole
  diameterMm: number
  /** Angle of the first hole of the even pattern, degrees from +x, counter-clockwise. */
  startDeg: number
  holes: { xMm: number; yMm: number; radialMm: number; tangentMm: number; missMm: number }[]
  largestMissMm: number
  working: Step[]
}

/** Algebraic circle through points, least squares: Kåsa (1976). */
function kasa(holes: readonly Hole[]): { x: number; y: number; r: number } {
  const mx = holes.reduce((sum, hole) => sum + hole.xMm, 0) / holes.length
  const my = holes.reduce((sum, hole) => sum + hole.yMm, 0) / holes.length
  let [uu, uv, vv, uw, vw, ww] = [0, 0, 0, 0, 0, 0]
  for (const { xMm, yMm } of holes) {
    const [u, v] = [xMm - mx, yMm - my]
    const w = u * u + v * v
    uu += u * u
    uv += u * v
    vv += v * v
    uw += u * w
    vw += v * w
    ww += w
  }
  const det = uu * vv - uv * uv
  if (Math.abs(det) < 1e-9 * (uu + vv) ** 2) throw new NoAnswer('the holes lie in one line: they have no circle')
  const [a, b] = [(uw * vv - vw * uv) / det / 2, (vw * uu - uw * uv) / det / 2]
  return { x: mx + a, y: my + b, r: Math.sqrt(a * a + b * b + ww / holes.length) }
}

const ITERATIONS = 60

/**
 * The even bolt circle nearest to a set of measured holes, and how far each hole is off it, along the radius and round
 * it.
 *
 * Each hole belongs to the next free place round the circle; centre, size and turn are then least squares over all
 * holes together (the fit of a similarity, closed form), repeated until the places stand. Residuals are measured −
 * nominal.
 * @param places how many holes the whole circle has; more than are measured where some are lost
 * @throws NoAnswer for fewer than three holes, holes in a line, or two holes at one place
 */
export function boltCircle(holes: readonly Hole[], places: number): BoltCircle {
  if (holes.length < 3) throw new NoAnswer('three holes at least')
  if (places < holes.length) throw new NoAnswer(`${holes.length} holes do not go on a circle of ${places}`)
  let { x, y, r } = kasa(holes)
  const step = (2 * Math.PI) / places
  let turn = Math.atan2(holes[0]!.yMm - y, holes[0]!.xMm - x)
  let slots: number[] = []
  for (let n = 0; n < ITERATIONS; n++) {
    const next = holes.map(
      ({ xMm, yMm }) => ((Math.round((Math.atan2(yMm - y, xMm - x) - turn) / step) % places) + places) % places,
    )
    const same = next.every((slot, hole) => slot === slots[hole])
    slots = next
    if (new Set(slots).size < slots.length)
      throw new NoAnswer('two holes fall on one place: are there more holes round the circle than was said?')
    // Least-squares similarity from the unit pattern to the holes (Umeyama 1991, in the plane).
    const unit = slots.map(slot => [Math.cos(slot * step), Math.sin(slot * step)] as const)
    const mean = (of: readonly number[]) => of.reduce((sum, value) => sum + value, 0) / of.length
    const [ux, uy, hx, hy] = [
      mean(unit.map(at => at[0])),
      mean(unit.map(at => at[1])),
      mean(holes.map(at => at.xMm)),
      mean(holes.map(at => at.yMm)),
    ]
    let [dot, cross, spread] = [0, 0, 0]
    unit.forEach(([a, b], hole) => {
      const [p, q, s, t] = [a - ux, b - uy, holes[hole]!.xMm - hx, holes[hole]!.yMm - hy]
      dot += p * s + q * t
      cross += p * t - q * s
      spread += p * p + q * q
    })
    r = Math.hypot(dot, cross) / spread
    turn = Math.atan2(cross, dot)
    x = hx - r * (Math.cos(turn) * ux - Math.sin(turn) * uy)
    y = hy - r * (Math.sin(turn) * ux + Math.cos(turn) * uy)
    if (same) break
  }
  const found = holes.map(({ xMm, yMm }, hole) => {
    const angle = turn + slots[hole]! * step
    const [dx, dy] = [xMm - (x + r * Math.cos(angle)), yMm - (y + r * Math.sin(angle))]
    return {
      xMm,
      yMm,
      radialMm: dx * Math.cos(angle) + dy * Math.sin(angle),
      tangentMm: -dx * Math.sin(angle) + dy * Math.cos(angle),
      missMm: Math.hypot(dx, dy),
    }
  })
  const largestMissMm = Math.max(...found.map(hole => hole.missMm))
  return {
    centre: { xMm: x, yMm: y },
    diameterMm: 2 * r,
    startDeg: (turn * 180) / Math.PI,
    holes: found,
    largestMissMm,
    working: [
      {
        label: 'First circle',
        formula: 'algebraic least squares',
        value: '',
        unit: '',
        source: 'Kåsa, IEEE Trans. Instrum. Meas. 25 (1976) 8, from memory',
      },
      {
        label: 'Even pattern',
        formula: `${places} places, least-squares shift, turn and size`,
        value: 2 * r,
        unit: 'mm',
        source: 'Umeyama, IEEE PAMI 13 (1991) 376, in the plane, from memory',
      },
      { label: 'Largest miss', formula: '√(along² + round²)', value: largestMissMm, unit: 'mm', source: 'geometry' },
    ],
  }
}
