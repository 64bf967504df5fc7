import { buf as crc32 } from 'crc-32'

const END_MARK = 0x06054b50
const ENTRY_MARK = 0x02014b50
const END_BYTES = 22
const ENTRY_BYTES = 46
/** A comment behind the end record is no longer. */
const LONGEST_COMMENT = 0xffff

/**
 * Names and checksums in a zip's own list of what it holds. Source: the zip file format, central directory (APPNOTE
 * 6.3, 4.3.12 and 4.3.16), from memory; held against zips made by a library in the tests. @returns null where there is
 * no such list
 */
export function zipSums(bytes: Uint8Array): Map<string, number> | null {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength)
  let end = bytes.length - END_BYTES
  while (end >= 0 && end >= bytes.length - END_BYTES - LONGEST_COMMENT && view.getUint32(end, true) !== END_MARK)
    end -= 1
  if (end < 0 || view.getUint32(end, true) !== END_MARK) return null
  const sums = new Map<string, number>()
  let at = view.getUint32(end + 16, true)
  for (let left = view.getUint16(end + 10, true); left > 0; left--) {
    if (at + ENTRY_BYTES > bytes.length || view.getUint32(at, true) !== ENTRY_MARK) return null
    const [nameLong, extraLong, commentLong] = [
      view.getUint16(at + 28, true),
      view.getUint16(at + 30, true),
      view.getUint16(at + 32, true),
    ]
    const name = new TextDecoder().decode(bytes.subarray(at + ENTRY_BYTES, at + ENTRY_BYTES + nameLong))
    if (sums.has(name)) return null
    sums.set(name, view.getUint32(at + 16, true))
    at += ENTRY_BYTES + nameLong + extraLong + commentLong
  }
  return sums
}

/** The first entry whose bytes do not give the checksum that the zip says; undefined where all do. */
export const brokenEntry = (
  entries: Readonly<Record<string, Uint8Array>>,
  sums: ReadonlyMap<string, number>,
): string | undefined => Object.keys(entries).find(name => crc32(entries[name]!) >>> 0 !== sums.get(name))
