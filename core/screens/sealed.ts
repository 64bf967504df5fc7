import { inflateSync, deflateSync } from 'fflate'
import { tooMuchJson } from '../ask/depth'
import { messageSchema, type Message } from './message.schema'
import type { Meeting } from './secret'

const IV_BYTES = 12
/** A message is never longer unpacked than this. */
const MOST_BYTES = 32 * 1024 * 1024
const MOST_VALUES = 2e6

/** Before the words: how long they are packed, and unpacked. */
const HEAD_BYTES = 8

/** A message and the bytes that go with it, as one piece: two lengths, the words packed, the bytes. */
function packed(message: Message, tail: Uint8Array): Uint8Array<ArrayBuffer> {
  const plain = new TextEncoder().encode(JSON.stringify(message))
  const words = deflateSync(plain, { level: 1 })
  const all = new Uint8Array(HEAD_BYTES + words.length + tail.length)
  const head = new DataView(all.buffer)
  head.setUint32(0, words.length)
  head.setUint32(4, plain.length)
  all.set(words, HEAD_BYTES)
  all.set(tail, HEAD_BYTES + words.length)
  return all
}

export interface Opened {
  readonly message: Message
  readonly tail: Uint8Array
}

function unpacked(all: Uint8Array): Opened | null {
  const head = new DataView(all.buffer, all.byteOffset, all.byteLength)
  const [long, plain] = [head.getUint32(0), head.getUint32(4)]
  if (long > all.length - HEAD_BYTES || plain > MOST_BYTES) return null
  // What unpacks to more than it says is cut off there, and is no message.
  const out = new Uint8Array(plain)
  const words = new TextDecoder().decode(inflateSync(all.subarray(HEAD_BYTES, HEAD_BYTES + long), { out }))
  if (tooMuchJson(words, MOST_VALUES)) return null
  const read = messageSchema.safeParse(JSON.parse(words))
  return read.success ? { message: read.data, tail: all.subarray(HEAD_BYTES + long) } : null
}

/** Seals a message for those who hold the meeting's key: AES-GCM, 256 bits, a random start, bound to the room. */
export async function sealed(
  { room, key }: Meeting,
  message: Message,
  tail: Uint8Array = new Uint8Array(),
): Promise<Uint8Array> {
  const iv = crypto.getRandomValues(new Uint8Array(IV_BYTES))
  const additionalData = new TextEncoder().encode(room)
  const closed = await crypto.subtle.encrypt({ name: 'AES-GCM', iv, additionalData }, key, packed(message, tail))
  const all = new Uint8Array(IV_BYTES + closed.byteLength)
  all.set(iv)
  all.set(new Uint8Array(closed), IV_BYTES)
  return all
}

/** Opens what came; null where it was not sealed with this key for this room, or says nothing that is understood. */
export async function opened({ room, key }: Meeting, came: Uint8Array): Promise<Opened | null> {
  try {
    const [iv, closed] = [came.slice(0, IV_BYTES), came.slice(IV_BYTES)]
    const additionalData = new TextEncoder().encode(room)
    return unpacked(new Uint8Array(await crypto.subtle.decrypt({ name: 'AES-GCM', iv, additionalData }, key, closed)))
  } catch {
    return null
  }
}
