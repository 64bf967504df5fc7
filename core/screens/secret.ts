import { z } from 'zod'

/** Bytes of a secret, and of a room's name. */
const [SECRET_BYTES, ROOM_BYTES] = [32, 16]

const letters = (bytes: Uint8Array) =>
  btoa(String.fromCharCode(...bytes))
    .replaceAll('+', '-')
    .replaceAll('/', '_')
    .replaceAll('=', '')

const bytesOf = (text: string) =>
  Uint8Array.from(atob(text.replaceAll('-', '+').replaceAll('_', '/')), letter => letter.charCodeAt(0))

/** A secret as it stands in a link: 32 random bytes in 43 letters. */
export const secretSchema = z.string().regex(/^[\w-]{43}$/)

export const newSecret = (): string => letters(crypto.getRandomValues(new Uint8Array(SECRET_BYTES)))

/** What screens that hold a secret have in common: where they meet, and what they seal with. */
export interface Meeting {
  /** The room's name, 22 letters: all that the server is told. Nothing leads from it back to the secret. */
  readonly room: string
  readonly key: CryptoKey
}

/**
 * The meeting of a secret, by HKDF with SHA-256 (RFC 5869): the room's name and the key are drawn from it apart.
 * @throws Error where the page has no Web Crypto, as over plain http from another machine
 */
export async function meetingOf(secret: string): Promise<Meeting> {
  const { subtle } = crypto as { subtle?: SubtleCrypto }
  if (!subtle) throw new Error('sealed messages want https or this machine itself')
  const base = await subtle.importKey('raw', bytesOf(secret), 'HKDF', false, ['deriveBits', 'deriveKey'])
  const drawn = (info: string) => ({
    name: 'HKDF',
    hash: 'SHA-256',
    salt: new Uint8Array(),
    info: new TextEncoder().encode(`wild-sparrow ${info}`),
  })
  const room = new Uint8Array(await subtle.deriveBits(drawn('room'), base, ROOM_BYTES * 8))
  const key = await subtle.deriveKey(drawn('key'), base, { name: 'AES-GCM', length: 256 }, false, [
    'encrypt',
    'decrypt',
  ])
  return { room: letters(room), key }
}
