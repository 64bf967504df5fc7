import { dutyAt } from '../../arc/duty'

/** A machine's duty is of ten minutes. Source: IEC 60974-1. */
const WINDOW_MIN = 10

/** A machine's heat along the steps: what an arc puts in, what every pause takes out. */
export interface Duty {
  /** Minutes it must rest before so much arc at a current. */
  restMin(a: number, arcMin: number): number
  arc(a: number, arcMin: number): void
  pause(minutes: number): void
}

/**
 * How much arc a machine still bears, by equal heating: current² × minutes, as many as its duty allows at once, filled
 * again in a pause as fast as the same duty asks. At one current it is the duty of IEC 60974-1.
 */
export function dutyAlong({ ratedA, ratedPct }: { ratedA: number; ratedPct: number }): Duty {
  const fullA2Min = ratedA ** 2 * (ratedPct / 100) * WINDOW_MIN
  let left = fullA2Min
  let pauseMin = 0
  const fillA2 = (a: number): number => {
    const { weldMin, restMin } = dutyAt(ratedA, ratedPct, Math.max(1, a), WINDOW_MIN)
    return restMin > 0 ? (a ** 2 * weldMin) / restMin : Infinity
  }
  const filled = (a: number, wanted: number) =>
    pauseMin > 0 ? Math.min(Math.max(fullA2Min, wanted), left + fillA2(a) * pauseMin) : left
  return {
    restMin(a, arcMin) {
      const wanted = a ** 2 * arcMin
      const short = wanted - filled(a, wanted)
      return short > 0 && Number.isFinite(fillA2(a)) ? short / fillA2(a) : 0
    },
    arc(a, arcMin) {
      const wanted = a ** 2 * arcMin
      left = Number.isFinite(fillA2(a)) ? filled(a, wanted) - wanted : fullA2Min
      pauseMin = 0
    },
    pause(minutes) {
      pauseMin += minutes
    },
  }
}
