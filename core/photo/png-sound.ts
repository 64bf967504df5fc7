import { Unzlib } from 'fflate'
import { NoAnswer } from '../ask/question'

/** Bits of a point by colour type: its channels (ISO/IEC 15948, 11.2.2). */
const CHANNELS: Readonly<Record<number, number>> = { 0: 1, 2: 3, 3: 1, 4: 2, 6: 4 }
/** What a picture is drawn from; the rest of a file (profiles, texts, frames of a moving one) is not unpacked. */
const WANTED = new Set(['IHDR', 'PLTE', 'tRNS', 'IDAT', 'IEND'])
const [SIGNATURE_BYTES, AROUND_BYTES] = [8, 12]
/** Packed bytes that are unpacked at once: deflate gives no more than 1032 for one. */
const AT_ONCE = 16_384

const BROKEN = 'the picture is broken: its file ends early or does not add up'

interface Chunk {
  readonly type: string
  readonly from: number
  readonly to: number
}

/** The chunks of a PNG file, to its end. @throws NoAnswer where one runs past the end */
function* chunksOf(bytes: Uint8Array): Generator<Chunk> {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength)
  for (let at = SIGNATURE_BYTES; at < bytes.length;) {
    if (at + AROUND_BYTES > bytes.length) throw new NoAnswer(BROKEN)
    const to = at + AROUND_BYTES + view.getUint32(at)
    if (to > bytes.length) throw new NoAnswer(BROKEN)
    const type = String.fromCharCode(...bytes.subarray(at + 4, at + 8))
    yield { type, from: at, to }
    if (type === 'IEND') return
    at = to
  }
}

/** Bytes that a picture's rows come to, each with its filter's; a little more where it is laced in seven passes. */
function rowsBytes(bytes: Uint8Array): number {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength)
  const [wide, high] = [view.getUint32(16), view.getUint32(20)]
  const bits = (CHANNELS[bytes[25]!] ?? 0) * bytes[24]!
  const laced = bytes[28] === 1
  return high * (1 + Math.ceil((wide * bits) / 8)) + (laced ? 7 * 2 * (high + 8) : 0)
}

/**
 * A PNG file without what no picture needs, once it has been seen that its rows unpack to what its own header says and
 * no further: a file of a megabyte could otherwise take thousands.
 * @throws NoAnswer where they don't, or a chunk runs past the end
 */
export function soundPng(bytes: Uint8Array): Uint8Array {
  const chunks = [...chunksOf(bytes)].filter(({ type }) => WANTED.has(type))
  if (chunks[0]?.type !== 'IHDR' || chunks.filter(({ type }) => type === 'IHDR').length > 1) throw new NoAnswer(BROKEN)
  const most = rowsBytes(bytes)
  let unpacked = 0
  const inflate = new Unzlib(piece => {
    unpacked += piece.length
    if (unpacked > most) throw new NoAnswer('the picture unpacks to more than its header says: not read')
  })
  for (const { type, from, to } of chunks)
    if (type === 'IDAT')
      for (let at = from + 8; at < to - 4; at += AT_ONCE)
        inflate.push(bytes.subarray(at, Math.min(at + AT_ONCE, to - 4)))
  const kept = chunks.reduce((sum, { from, to }) => sum + to - from, SIGNATURE_BYTES)
  const sound = new Uint8Array(kept)
  sound.set(bytes.subarray(0, SIGNATURE_BYTES))
  let at = SIGNATURE_BYTES
  for (const { from, to } of chunks) {
    sound.set(bytes.subarray(from, to), at)
    at += to - from
  }
  return sound
}
