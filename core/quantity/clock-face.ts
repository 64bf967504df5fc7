/** Seconds as a clock face, 01:37:50; time run over shows with a minus. */
export function clockFace(seconds: number): string {
  const whole = Math.abs(Math.trunc(seconds))
  const two = (value: number) => String(value).padStart(2, '0')
  return `${seconds <= -1 ? '−' : ''}${two(Math.floor(whole / 3600))}:${two(Math.floor(whole / 60) % 60)}:${two(whole % 60)}`
}
