import { decode as decodePng } from 'fast-png'
import { decode as decodeJpeg } from 'jpeg-js'
import { NoAnswer } from '../ask/question'
import type { Picture } from './picture'
import { soundPng } from './png-sound'

/** Pictures past this are refused before their pixels are laid out: four bytes each. */
const MOST_PIXELS = 60e6
const JPEG_MEMORY_MB = 1024

/** The bytes of base64 text, with or without the start of a data address; null where it is none. */
export function bytesOf(text: string): Uint8Array | null {
  const plain = text.replace(/^data:[^,]{0,100},/, '').replace(/\s/g, '')
  if (!plain || !/^[A-Za-z0-9+/_-]+={0,2}$/.test(plain)) return null
  try {
    const raw = atob(plain.replace(/-/g, '+').replace(/_/g, '/'))
    return Uint8Array.from(raw, letter => letter.charCodeAt(0))
  } catch {
    return null
  }
}

/** Points that a byte of a file can stand for at most: deflate packs 1032 to one, a JPEG's block of 64 in an eighth. */
const POINTS_A_BYTE = { png: 8 * 1032, jpg: 64 * 8 }

function guardSize([wide, high]: readonly [number, number], bytes: number, kind: keyof typeof POINTS_A_BYTE): void {
  if (!(wide > 0 && high > 0)) throw new NoAnswer('the picture has no size')
  if (wide * high > MOST_PIXELS)
    throw new NoAnswer(
      `the picture has ${Math.round((wide * high) / 1e6)} million points; ${MOST_PIXELS / 1e6} at most`,
    )
  if (wide * high > POINTS_A_BYTE[kind] * bytes)
    throw new NoAnswer('the picture is broken: its file is too short for the size that it says')
}

/** Width and height in the header of a PNG (ISO/IEC 15948, 11.2.2). */
function pngSize(bytes: Uint8Array): [number, number] {
  const view = new DataView(bytes.buffer, bytes.byteOffset)
  return bytes.length < 24 ? [0, 0] : [view.getUint32(16), view.getUint32(20)]
}

/** Width and height in the frame header of a JPEG (ITU-T T.81, B.2.2). */
function jpegSize(bytes: Uint8Array): [number, number] {
  for (let at = 2; at + 9 < bytes.length;) {
    if (bytes[at] !== 0xff) return [0, 0]
    const marker = bytes[at + 1]!
    const isFrame = marker >= 0xc0 && marker <= 0xcf && marker !== 0xc4 && marker !== 0xc8 && marker !== 0xcc
    if (isFrame) return [(bytes[at + 7]! << 8) | bytes[at + 8]!, (bytes[at + 5]! << 8) | bytes[at + 6]!]
    at += 2 + ((bytes[at + 2]! << 8) | bytes[at + 3]!)
  }
  return [0, 0]
}

function readPng(bytes: Uint8Array): Picture {
  guardSize(pngSize(bytes), bytes.length, 'png')
  const { width, height, data, channels, depth, palette } = decodePng(soundPng(bytes))
  if (depth < 8) throw new NoAnswer('a picture of fewer than 8 bits a colour is not read: save it as an ordinary PNG')
  const rgba = new Uint8ClampedArray(width * height * 4)
  const down = depth === 16 ? 257 : 1
  for (let i = 0; i < width * height; i++) {
    const at = i * channels
    const pick: readonly number[] = palette
      ? palette[data[at]!]!
      : channels < 3
        ? [data[at]! / down, data[at]! / down, data[at]! / down]
        : [data[at]! / down, data[at + 1]! / down, data[at + 2]! / down]
    rgba.set(pick.slice(0, 3), 4 * i)
    rgba[4 * i + 3] = 255
  }
  return { wide: width, high: height, rgba }
}

function readJpeg(bytes: Uint8Array): Picture {
  guardSize(jpegSize(bytes), bytes.length, 'jpg')
  const { width, height, data } = decodeJpeg(bytes, {
    useTArray: true,
    formatAsRGBA: true,
    maxResolutionInMP: MOST_PIXELS / 1e6,
    maxMemoryUsageInMB: JPEG_MEMORY_MB,
  })
  return { wide: width, high: height, rgba: new Uint8ClampedArray(data.buffer, data.byteOffset, data.length) }
}

/**
 * A PNG or JPEG file as its pixels. How a camera was held (EXIF) is not looked at.
 * @throws NoAnswer where the bytes are neither, are broken, or hold more than 60 million points
 */
export function readPicture(bytes: Uint8Array): Picture {
  const isPng = bytes[0] === 0x89 && bytes[1] === 0x50
  const isJpeg = bytes[0] === 0xff && bytes[1] === 0xd8
  if (!isPng && !isJpeg) throw new NoAnswer('this is neither a PNG nor a JPEG picture')
  try {
    return isPng ? readPng(bytes) : readJpeg(bytes)
  } catch (error) {
    if (error instanceof NoAnswer) throw error
    throw new NoAnswer('the picture is broken: its file ends early or does not add up')
  }
}
