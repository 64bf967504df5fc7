/** Seconds as a clock face, 01:37:50; time run over shows with a minus. */
export function clockFace(seconds: number): string {
  const whole = Math.abs(Math.trunc(seconds))
  const two = (value: number) => String(value).padStart(2, '0')
  return `${seconds <= -1 ? '−' : ''}${two(Math.floor(whole / 3600))}:${two(Math.floor(whole / 60) % 60)}:${two(whole % 60)}`
}

/**
 * A clock as typed, `1:30`, as its larger part in sixties and its smaller: 90 seconds, or minutes; null where it is
 * none.
 */
export function readClock(text: string): number | null {
  const clock = /^(\d{1,3}):(\d{2})$/.exec(text.trim())
  return clock && Number(clock[2]) < 60 ? Number(clock[1]) * 60 + Number(clock[2]) : null
}
