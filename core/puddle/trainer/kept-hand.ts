import { deflateSync, inflateSync } from 'fflate'
import { FRAME_S, type HandFrame } from './session'

/** A hand is told to these steps, as fine as a screen shows it; what is kept is then what was run, to the last bit. */
const PER_MM = 20
const PER_A = 2
/** No run goes on longer than this, s. */
const LONGEST_S = 600
const MOST_FRAMES = LONGEST_S / FRAME_S
const BYTES_EACH = 9

/** A frame of the hand on the steps it is kept in: 0.05 mm, half an ampere. */
export const onSteps = ({ xMm, yMm, arcMm, a, dip }: HandFrame): HandFrame => ({
  xMm: Math.round(xMm * PER_MM) / PER_MM,
  yMm: Math.round(yMm * PER_MM) / PER_MM,
  arcMm: Math.round(arcMm * PER_MM) / PER_MM,
  a: Math.round(a * PER_A) / PER_A,
  dip,
})

/**
 * A hand as text: what changes from frame to frame, column by column, deflated, in base64. Half a minute takes some
 * kilobytes.
 * @param hand frames on the steps of `onSteps`
 */
export function packHand(hand: readonly HandFrame[]): string {
  const count = hand.length
  const bytes = new Uint8Array(count * BYTES_EACH)
  const columns = new Int16Array(bytes.buffer, 0, 4 * count)
  let before = [0, 0, 0, 0]
  hand.forEach(({ xMm, yMm, arcMm, a, dip }, n) => {
    const now = [xMm * PER_MM, yMm * PER_MM, arcMm * PER_MM, a * PER_A].map(Math.round)
    now.forEach((value, column) => {
      columns[column * count + n] = value - before[column]!
    })
    before = now
    bytes[8 * count + n] = dip ? 1 : 0
  })
  return btoa(Array.from(deflateSync(bytes), byte => String.fromCharCode(byte)).join(''))
}

/** The hand that a text holds; null where it holds none, or one longer than any run. */
export function unpackHand(text: string): HandFrame[] | null {
  let bytes: Uint8Array
  try {
    const deflated = Uint8Array.from(atob(text), letter => letter.charCodeAt(0))
    // One byte more than the longest takes: what fills it is too long, however small it came packed.
    bytes = inflateSync(deflated, { out: new Uint8Array(MOST_FRAMES * BYTES_EACH + 1) })
  } catch {
    return null
  }
  const count = bytes.length / BYTES_EACH
  if (!count || !Number.isInteger(count) || count > MOST_FRAMES) return null
  const columns = new Int16Array(bytes.slice(0, 8 * count).buffer)
  const now = [0, 0, 0, 0]
  return Array.from({ length: count }, (_, n) => {
    for (let column = 0; column < 4; column++) now[column]! += columns[column * count + n]!
    const [x, y, arc, a] = now as [number, number, number, number]
    return { xMm: x / PER_MM, yMm: y / PER_MM, arcMm: arc / PER_MM, a: a / PER_A, dip: bytes[8 * count + n] === 1 }
  })
}
