import { z } from 'zod'
import { FACES, type Face } from '../../solid/stored/faces.table'
import { idText } from '../text'

const coordinate = z.number().min(-5000).max(5000)
const place = {
  id: idText,
  face: z.enum(Object.keys(FACES) as [Face, ...Face[]]),
  at: z.tuple([coordinate, coordinate, coordinate]),
}

/** What pulls on a part, in words that a bench knows, and how: straight down, into the skin, out of it. Judgement. */
export const PULLS = {
  stands: { name: 'a person stands on it', usual: 1500, way: 'down' },
  hung: { name: 'hung from here', usual: 200, way: 'down' },
  pressed: { name: 'pressed in here', usual: 500, way: 'in' },
  pulled: { name: 'pulled out here', usual: 500, way: 'out' },
} as const
export type Pull = keyof typeof PULLS

/** A place on the part that is bolted or clamped down, and one that is pulled on, N. */
export const heldSchema = z.strictObject(place)
export const pullSchema = z.strictObject({
  ...place,
  what: z.enum(Object.keys(PULLS) as [Pull, ...Pull[]]),
  n: z.number().min(0).max(1e6),
})
export type HeldPlace = z.output<typeof heldSchema>
export type PulledPlace = z.output<typeof pullSchema>
