/** Kinds of pictures and shapes that travel with a job. */
export const FILE_TYPES = ['image/jpeg', 'image/png', 'image/webp', 'image/gif', 'image/avif', 'model/stl'] as const
export type FileType = (typeof FILE_TYPES)[number]

const has = (bytes: Uint8Array, at: number, text: string) =>
  bytes.length >= at + text.length && [...text].every((letter, n) => bytes[at + n] === letter.charCodeAt(0))

/**
 * What pictures begin with. Source: each format's own standard (ISO 10918-1, PNG, GIF89a, WebP container, ISO
 * 23008-12), from memory.
 */
const BEGINS: Readonly<Record<Exclude<FileType, 'model/stl'>, (bytes: Uint8Array) => boolean>> = {
  'image/jpeg': bytes => bytes[0] === 0xff && bytes[1] === 0xd8 && bytes[2] === 0xff,
  'image/png': bytes => bytes[0] === 0x89 && has(bytes, 1, 'PNG\r\n'),
  'image/gif': bytes => has(bytes, 0, 'GIF8'),
  'image/webp': bytes => has(bytes, 0, 'RIFF') && has(bytes, 8, 'WEBP'),
  'image/avif': bytes =>
    has(bytes, 4, 'ftyp') && (has(bytes, 8, 'avif') || has(bytes, 8, 'avis') || has(bytes, 8, 'mif1')),
}

/** A triangle is nine 32-bit figures. */
const TRIANGLE_BYTES = 36
const FURTHEST_MM = 1e5

function soundMesh(bytes: Uint8Array): boolean {
  if (bytes.length === 0 || bytes.length % TRIANGLE_BYTES !== 0) return false
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength)
  for (let at = 0; at < bytes.length; at += 4) if (!(Math.abs(view.getFloat32(at, true)) <= FURTHEST_MM)) return false
  return true
}

/**
 * Why bytes are not of the kind they are said to be, in words; null where they begin as that kind does, and a shape's
 * figures are figures.
 */
export function wrongKind(bytes: Uint8Array, type: FileType): string | null {
  if (bytes.length === 0) return 'is empty'
  if (type === 'model/stl') return soundMesh(bytes) ? null : 'is no list of triangles'
  return BEGINS[type](bytes) ? null : `is not the ${type.slice(6).toUpperCase()} picture that it is said to be`
}
