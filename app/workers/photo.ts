import { NoAnswer } from '#core/ask/question'
import { aimed, type Aim } from '#core/photo/aim'
import { readBlue, type Blued } from '#core/photo/blue'
import { branchesOf, type Branch } from '#core/photo/branches'
import { findCard, type CardLook } from '#core/photo/card/find'
import { greyOf } from '#core/photo/grey'
import type { FittedLens } from '#core/photo/lens/fit'
import { learnLens } from '#core/photo/lens/learn'
import type { Lens, Size } from '#core/photo/lens/model'
import { straightenPicture } from '#core/photo/lens/straighten'
import { outlineOf, type Outlined } from '#core/photo/outline'
import type { Picture } from '#core/photo/picture'
import type { Point } from '#core/photo/point'
import type { Line } from '#core/photo/ridge'
import { measureThread, type ThreadSeen } from '#core/photo/thread/measure'
import { traceLine, type Traced } from '#core/photo/trace'

export type Read<Value> = { ok: true; value: Value } | { ok: false; reason: string }

/** A picture laid out in its points; null where this browser cannot read it. */
async function laidOut(file: Blob): Promise<Picture | null> {
  try {
    return pointsOf(await createImageBitmap(file))
  } catch {
    return null
  }
}
function pointsOf(bitmap: ImageBitmap): Picture {
  const context = new OffscreenCanvas(bitmap.width, bitmap.height).getContext('2d', { willReadFrequently: true })!
  context.drawImage(bitmap, 0, 0)
  const { width, height, data } = context.getImageData(0, 0, bitmap.width, bitmap.height)
  bitmap.close()
  return { wide: width, high: height, rgba: data }
}

/** The picture read last, laid out in its points. */
let held: { id: string; picture: Picture } | null = null

async function pictureOf(id: string, file: Blob): Promise<Picture> {
  if (held?.id === id) return held.picture
  held = { id, picture: pointsOf(await createImageBitmap(file)) }
  return held.picture
}

async function told<Value>(id: string, file: Blob, read: (picture: Picture) => Value): Promise<Read<Value>> {
  let picture: Picture
  try {
    picture = await pictureOf(id, file)
  } catch {
    return { ok: false, reason: 'this browser can’t read the picture' }
  }
  try {
    return { ok: true, value: read(picture) }
  } catch (error) {
    if (error instanceof NoAnswer) return { ok: false, reason: error.message }
    throw error
  }
}

/** What is read off a picture, away from the screen; nothing leaves the device. */
export const bench = {
  card: (id: string, file: Blob): Promise<Read<CardLook>> => told(id, file, picture => findCard(greyOf(picture))),
  trace: (id: string, file: Blob, points: Point[], line: Line): Promise<Read<Traced>> =>
    told(id, file, picture => traceLine(picture, points, line)),
  branches: (id: string, file: Blob, path: Point[], line: Line): Promise<Read<Branch[]>> =>
    told(id, file, picture => branchesOf(picture, path, line)),
  outline: (id: string, file: Blob): Promise<Read<Omit<Outlined, 'mask'>>> =>
    told(id, file, picture => {
      const found = outlineOf(picture)
      if (!found) throw new NoAnswer('nothing stands off a plain ground here: lay it on a sheet of one colour')
      const { outer, holes, share } = found
      return { outer, holes, share }
    }),
  blue: (id: string, file: Blob, outline: Point[] | undefined): Promise<Read<Omit<Blued, 'bears'>>> =>
    told(id, file, picture => {
      const { bears: _, ...seen } = readBlue(picture, outline)
      return seen
    }),
  thread: (id: string, file: Blob, axis: [Point, Point], mmPerPx: number): Promise<Read<ThreadSeen>> =>
    told(id, file, picture => measureThread(greyOf(picture), axis, mmPerPx)),
  /** Whether a frame of the camera is worth taking; the frame is used up. */
  aim: (frame: ImageBitmap): Aim => aimed(greyOf(pointsOf(frame))),
  /** A camera's lens from pictures of the card. */
  lens: async (files: Blob[]): Promise<Read<FittedLens & Size>> => {
    const pictures = await Promise.all(files.map(laidOut))
    if (pictures.some(picture => picture === null)) return { ok: false, reason: 'one of them is not a picture' }
    try {
      const { wide, high } = pictures[0] ?? { wide: 0, high: 0 }
      return { ok: true, value: { ...learnLens(pictures as Picture[]), wide, high } }
    } catch (error) {
      if (error instanceof NoAnswer) return { ok: false, reason: error.message }
      throw error
    }
  },
  /** A picture with a lens's bend taken out, as JPEG. */
  straighten: async (frame: ImageBitmap, lens: Lens): Promise<Blob> => {
    const { wide, high, rgba } = straightenPicture(pointsOf(frame), lens)
    const canvas = new OffscreenCanvas(wide, high)
    canvas.getContext('2d')!.putImageData(new ImageData(rgba as Uint8ClampedArray<ArrayBuffer>, wide, high), 0, 0)
    return canvas.convertToBlob({ type: 'image/jpeg', quality: 0.94 })
  },
  forget: (): void => {
    held = null
  },
}
