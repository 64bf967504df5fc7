import '../quantity/zod-config'
import { z } from 'zod'
import { text, visible } from './text'

/** What a picture is for. */
export const PICTURE_STAGES = { before: 'before', after: 'after', twin: 'the sound twin', other: 'other' } as const
/** What a trace follows. A crack and an axis are open, the others close on themselves. */
export const TRACE_KINDS = {
  crack: 'crack',
  hole: 'hole',
  edge: 'lost edge',
  outline: 'outline',
  thread: 'thread axis',
} as const

const keys = <T extends object>(table: T) => Object.keys(table) as [keyof T & string, ...(keyof T & string)[]]
const pixel = z.tuple([z.number().min(-1e5).max(1e5), z.number().min(-1e5).max(1e5)])
export type Pixel = z.output<typeof pixel>
const stored = z.strictObject({
  typed: z.string().overwrite(visible).max(60),
  value: z.number().min(-1e12).max(1e12).nullable(),
})

/**
 * A picture of the part: its bytes lie beside the job under its id, this is what was marked on it, in pixels of the
 * picture.
 */
export const MOST_TRACES = 40

export const pictureSchema = z.strictObject({
  id: z
    .string()
    .min(1)
    .max(64)
    .regex(/^[\w-]+$/),
  name: text(120),
  stage: z.enum(keys(PICTURE_STAGES)).default('before'),
  /** The picture this one is the before or after of. */
  pair: z.string().max(64).nullable().default(null),
  /** The lens whose bend was taken out of it as it came in; empty, it is as it was taken. */
  lens: z.string().max(60).default(''),
  widthPx: z.number().int().min(1).max(40_000),
  heightPx: z.number().int().min(1).max(40_000),
  scale: z
    .strictObject({
      /** Two points a known way apart, or the four corners, in turn, of something flat of known width and height. */
      kind: z.enum(['two', 'four']).default('two'),
      px: z.array(pixel).max(4).default([]),
      apartMm: stored.default({ typed: '', value: null }),
      wideMm: stored.default({ typed: '', value: null }),
      highMm: stored.default({ typed: '', value: null }),
      /** Where the four corners are those of a scale card: which, and how well it was seen. */
      card: z
        .strictObject({
          name: z.string().max(4),
          tiltDeg: z.number().min(0).max(90),
          lengthPct: z.number().min(0).max(100),
        })
        .nullable()
        .default(null),
    })
    .prefault({}),
  traces: z
    .array(
      z.strictObject({
        id: z.string().min(1).max(64),
        kind: z.enum(keys(TRACE_KINDS)),
        name: text(80),
        /** The crack that this one branches off. */
        of: z.string().min(1).max(64).nullable().default(null),
        px: z.array(pixel).max(2000).default([]),
      }),
    )
    .max(MOST_TRACES)
    .default([]),
  /** How much of a blued face bears, as read off this picture. */
  blue: z
    .strictObject({
      sharePct: z.number().min(0).max(100),
      uncertaintyPct: z.number().min(0).max(100),
      even: z.number().min(0).max(1),
      patches: z
        .array(
          z.strictObject({
            sharePct: z.number().min(0).max(100),
            atPx: pixel,
            /** Round it; none in pictures read before edges were kept. */
            edgePx: z.array(pixel).max(60).default([]),
          }),
        )
        .max(60),
      /** How the picture lies on the face's map, in quarter turns past the way it lies best. */
      turned: z.number().int().min(0).max(3).default(0),
    })
    .nullable()
    .default(null),
  pins: z
    .array(z.strictObject({ id: z.string().min(1).max(64), px: pixel, words: text(200) }))
    .max(40)
    .default([]),
})
export type Picture = z.output<typeof pictureSchema>
export type Trace = Picture['traces'][number]
export type TraceKind = keyof typeof TRACE_KINDS
/** A trace with nothing put down yet. */
export const emptyTrace = (id: string, kind: TraceKind): Trace => ({ id, kind, name: '', of: null, px: [] })
/** Whether a trace has two ends; the others close on themselves. */
export const isOpenTrace = (kind: TraceKind) => kind === 'crack' || kind === 'thread'
