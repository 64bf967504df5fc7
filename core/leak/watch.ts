import { leakDecay, STANDARD_KPA, type Decay } from './decay'

/** The gauge at a moment, and a contact thermometer where one was on the part. */
export interface Watched {
  atMs: number
  kPa: number
  c: number | null
}

/** Air in the shop where no thermometer says otherwise. */
const USUAL_C = 20
/** Less than this says nothing yet, s. */
const LEAST_S = 5

/**
 * The leak while it is watched, from the beginning to now: `leak.decay` at the usual barometer. Put right for
 * temperature only where the thermometer was on at both ends; a typed temperature against a measured one would make a
 * leak of their difference.
 * @returns null before there is anything to say
 */
export function watchedLeak(
  volumeL: number,
  from: Watched,
  to: Watched,
): (Decay & { seconds: number; corrected: boolean }) | null {
  const seconds = (to.atMs - from.atMs) / 1000
  if (seconds < LEAST_S || volumeL <= 0) return null
  const corrected = from.c !== null && to.c !== null
  const [startC, endC] = corrected ? [from.c!, to.c!] : [USUAL_C, USUAL_C]
  return {
    seconds,
    corrected,
    ...leakDecay({ volumeL, startKPa: from.kPa, endKPa: to.kPa, seconds, startC, endC, baroKPa: STANDARD_KPA }),
  }
}
