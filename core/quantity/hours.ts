import { readClock } from './clock-face'
import { read } from './read'

export interface Hours {
  fromMin: number
  toMin: number
}
export type ReadHours = { ok: true; hours: Hours | null } | { ok: false; message: string }

/** Minutes of a day. */
export const DAY_MIN = 24 * 60
const minuteOf = (text: string): number | null => {
  const plain = read(text, 'number')
  return readClock(text) ?? (plain.ok ? plain.value * 60 : null)
}

/**
 * A day's hours as they are written, `8:00-17:00` or `8 to 17`; `off`, a dash or nothing is a day off (null), in
 * English or German. Minutes from midnight.
 */
export function readHours(text: string): ReadHours {
  const written = text.trim().toLowerCase()
  if (['', 'off', 'closed', 'frei', 'zu', '-', '–'].includes(written)) return { ok: true, hours: null }
  const [from, to, more] = written.split(/\s*(?:-|–|to|bis)\s*/)
  const [fromMin, toMin] = [from, to].map(each => (each ? minuteOf(each) : null))
  if (more !== undefined || fromMin == null || toMin == null)
    return { ok: false, message: 'hours such as 8:00-17:00, or off' }
  return fromMin >= 0 && toMin > fromMin && toMin <= DAY_MIN
    ? { ok: true, hours: { fromMin, toMin } }
    : { ok: false, message: 'the second after the first, within one day' }
}
