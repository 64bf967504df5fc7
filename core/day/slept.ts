/** A time in which nothing ran: the machine slept. Milliseconds by the bench's clock. */
export interface Slept {
  readonly fromMs: number
  readonly toMs: number
}

/** A page that is out of sight may be woken no oftener than once a minute; what is longer is sleep. */
const LEAST_SLEEP_MS = 75_000
/** A clock that ran out longer ago than this (the bench was shut) does not ring when it is opened again. */
const STALE_MS = 600_000

/** Whether the machine slept between two looks at the clock that come far oftener while it is awake; else null. */
export const sleptBetween = (beforeMs: number, nowMs: number): Slept | null =>
  nowMs - beforeMs >= LEAST_SLEEP_MS ? { fromMs: beforeMs, toMs: nowMs } : null

/**
 * Whether a clock is to be heard: it ran out not long ago, or while the machine slept that woke not long ago.
 * @param endsAtMs when it runs out
 */
export function rings(endsAtMs: number, nowMs: number, slept: Slept | null): boolean {
  if (endsAtMs > nowMs) return false
  const ranOutAsleep = slept !== null && endsAtMs > slept.fromMs && endsAtMs <= slept.toMs
  return nowMs - (ranOutAsleep ? slept.toMs : endsAtMs) < STALE_MS
}
