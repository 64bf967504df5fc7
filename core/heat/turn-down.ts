import { NoAnswer } from '../ask/question'
import { lossW, type LumpedBody } from './lumped'

export interface TurnDownPoint {
  s: number
  partC: number
  share: number
}

/** Steps a second of the march; the part's own time constant is minutes. */
const STEPS_PER_S = 4
const MOST_S = 7200

/**
 * How far to turn the output down as a part soaks up the arc's heat, so that the puddle stays the same: the power that
 * keeps one puddle goes with (melting − part), Rosenthal (1946), and what is turned down no longer warms the part, so
 * the two are marched together (classical Runge–Kutta). `body.absorbedW` is what the arc puts in at the start.
 *
 * The part away from the gun is one lump (Biot number under 0.1). @returns points each `everyS`, the share of the first
 * output at each
 * @throws NoAnswer where the part is at its melting heat already
 */
export function turnDown(
  body: LumpedBody,
  startC: number,
  meltingC: number,
  durationS: number,
  everyS: number,
): TurnDownPoint[] {
  const room = meltingC - startC
  if (room <= 0) throw new NoAnswer('the part is at its melting heat already')
  const share = (c: number) => Math.max(0, (meltingC - c) / room)
  const rate = (c: number) => (body.absorbedW * share(c) - lossW(body, c)) / (body.massKg * body.specificHeatJkgK)
  const points: TurnDownPoint[] = [{ s: 0, partC: startC, share: 1 }]
  const dt = 1 / STEPS_PER_S
  let c = startC
  const end = Math.min(MOST_S, durationS)
  for (let step = 1; step * dt <= end + 1e-9; step++) {
    const k1 = rate(c)
    const k2 = rate(c + (dt / 2) * k1)
    const k3 = rate(c + (dt / 2) * k2)
    const k4 = rate(c + dt * k3)
    c += (dt / 6) * (k1 + 2 * k2 + 2 * k3 + k4)
    const s = step * dt
    if (Math.abs(s / everyS - Math.round(s / everyS)) < 1e-9 || s + dt > end + 1e-9)
      points.push({ s, partC: c, share: share(c) })
  }
  return points
}
