import '../../quantity/zod-config'
import { z } from 'zod'
import { INSTRUMENT_IDS } from '../kinds.table'
import { patternTrouble } from './pattern'

const words = (most: number) => z.string().trim().min(1).max(most)

/** One kind of line that a device sends: how it is written, and which channel and unit its figure has. */
const lineSchema = z.strictObject({
  /** As it is written, with `{value}` for the figure, `{unit}` for its unit, `{any}` for what is passed over. */
  pattern: words(120).superRefine((text, context) => {
    const trouble = patternTrouble(text)
    if (trouble) context.addIssue(trouble)
  }),
  channel: words(40),
  /** What the figure is in where the line does not say; it is kept as the unit of its kind. */
  unit: words(12),
})

/**
 * A device with a wire or a radio of its own, as a small file describes it: how it is reached, how its lines look.
 * Lines end with CR, LF or both; the figures are plain decimal ones, with a point or a comma.
 */
export const deviceSchema = z.strictObject({
  kind: z.literal('wild-sparrow/device'),
  version: z.literal(1),
  id: z
    .string()
    .min(1)
    .max(64)
    .regex(/^[\w-]+$/, { error: 'letters, figures, - and _ only' }),
  name: words(60),
  /** The kind of instrument it is, which says what its readings are for. */
  instrument: z.enum(INSTRUMENT_IDS),
  serial: z
    .strictObject({
      baudRate: z.number().int().min(300).max(921_600),
      dataBits: z.union([z.literal(7), z.literal(8)]).default(8),
      stopBits: z.union([z.literal(1), z.literal(2)]).default(1),
      parity: z.enum(['none', 'even', 'odd']).default('none'),
    })
    .nullable()
    .default(null),
  bluetooth: z
    .strictObject({
      service: z.union([z.uuid(), z.string().regex(/^0x[0-9a-fA-F]{4}$/)]),
      characteristic: z.union([z.uuid(), z.string().regex(/^0x[0-9a-fA-F]{4}$/)]),
    })
    .nullable()
    .default(null),
  /** Sent each so many ms by a device that answers only when asked; empty where it speaks by itself. */
  ask: z.string().max(40).default(''),
  askEveryMs: z.number().int().min(50).max(60_000).default(500),
  lines: z.array(lineSchema).min(1).max(8),
})
export type Device = z.output<typeof deviceSchema>
