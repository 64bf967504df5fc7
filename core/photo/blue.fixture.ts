/** A made blued face: a plate with holes on a plain ground, spots of blue on it, the share being known. */
import { seeded } from '../metal/identify/measure'
import type { Scene } from './camera.fixture'
import { grain } from './lines.fixture'

export const FACE_MM = { wide: 100, high: 60 }

export interface BluedFace {
  seed: number
  spots: number
  /** Part of the face the spots keep to, from the left, 0 to 1. */
  reach: number
  /** Strength of the blue over the metal, 0 to 1. */
  strength: number
}

/** What lies at a point: 0 bare face, 1 blue, 2 ground. */
export function bluedAt({ seed, spots, reach }: BluedFace): (x: number, y: number) => 0 | 1 | 2 {
  const random = seeded(seed)
  const list = Array.from({ length: spots }, () => ({
    x: random() * FACE_MM.wide * reach,
    y: random() * FACE_MM.high,
    r: 1 + 4 * random(),
    long: 0.6 + random(),
  }))
  return (x, y) => {
    if (x < 0 || y < 0 || x > FACE_MM.wide || y > FACE_MM.high) return 2
    return list.some(spot => ((x - spot.x) / spot.long) ** 2 + (y - spot.y) ** 2 < spot.r ** 2) ? 1 : 0
  }
}

/** Share of the face that is blue, by counting a fine grid of it, percent. */
export function trueShare(face: BluedFace): number {
  const at = bluedAt(face)
  let [blue, all] = [0, 0]
  for (let y = 0.05; y < FACE_MM.high; y += 0.1)
    for (let x = 0.05; x < FACE_MM.wide; x += 0.1) {
      blue += at(x, y) === 1 ? 1 : 0
      all++
    }
  return (100 * blue) / all
}

export function bluedScene(face: BluedFace): Scene {
  const at = bluedAt(face)
  const noise = grain(face.seed)
  return (x, y) => {
    const kind = at(x, y)
    if (kind === 2) return [0.9, 0.88, 0.84]
    const metal = 0.5 + 0.16 * noise(x * 0.3, y * 5)
    if (kind === 0) return [metal, metal * 1.01, metal * 1.02]
    const s = face.strength
    return [metal * (1 - s) + 0.05 * s, metal * (1 - s) + 0.14 * s, metal * (1 - s) + 0.5 * s]
  }
}
