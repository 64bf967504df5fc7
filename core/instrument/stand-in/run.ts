import { z } from 'zod'
import { FASTEST_PER_S, INSTRUMENTS, INSTRUMENT_IDS, type InstrumentId } from '../kinds.table'
import type { ReadingLine } from '../reading.schema'
import { arc } from './arc'
import { caliper } from './caliper'
import { gauge } from './gauge'
import { infrared } from './infrared'
import { scale } from './scale'
import type { StandIn } from './stand-in'
import { thermocouple } from './thermocouple'

const STAND_INS: Readonly<Record<InstrumentId, StandIn<z.ZodType>>> = {
  thermocouple,
  infrared,
  caliper,
  scale,
  gauge,
  arc,
}

/** A day at the fastest: nothing is taken up again later than that. */
const MOST_BEHIND = 86_400 * FASTEST_PER_S

/** What a stream is asked for: which instrument, how it is set, how fast, since when, and from which reading on. */
export const streamRequestSchema = z.object({
  instrument: z.enum(INSTRUMENT_IDS, { error: `one of ${INSTRUMENT_IDS.join(', ')}` }),
  setup: z.unknown(),
  perSecond: z.number().min(0.1).max(FASTEST_PER_S).default(4),
  seed: z
    .number()
    .int()
    .min(0)
    .max(2 ** 31)
    .default(1),
  startedAt: z.iso.datetime(),
  from: z.number().int().min(0).max(MOST_BEHIND).default(0),
  /** A loose plug: the line goes dead each time after so many seconds, and can be taken up again. */
  dropsAfterS: z.number().min(0.2).max(86_400).optional(),
})
export type StreamRequest = z.output<typeof streamRequestSchema>

/** @returns what is wrong with how a stand-in is set, or null */
export function setupTrouble({
  instrument,
  setup,
}: Pick<StreamRequest, 'instrument' | 'setup'>): { path: string; message: string } | null {
  const parsed = STAND_INS[instrument].setup.safeParse(setup)
  return parsed.success
    ? null
    : { path: `setup.${parsed.error.issues[0]!.path.join('.')}`, message: parsed.error.issues[0]!.message }
}

/**
 * The readings of a stand-in as a run: `next()` gives the lines of the next reading, one a channel, from `from` on.
 * What lies before is worked through unsaid, so that a stream that was cut goes on as if it had not been.
 */
export function standInRun({ instrument, setup, perSecond, seed, startedAt, from }: StreamRequest): {
  n: () => number
  next: () => ReadingLine[]
} {
  const entry = STAND_INS[instrument]
  const values = entry.start(entry.setup.parse(setup), seed, perSecond)
  const startMs = Date.parse(startedAt)
  let n = 0
  for (; n < from; n++) values(n)
  return {
    n: () => n,
    next() {
      const now = values(n)
      const at = new Date(startMs + (n / perSecond) * 1000).toISOString()
      const lines = INSTRUMENTS[instrument].channels.map(({ name, unit }, index): ReadingLine => ({
        at,
        n,
        instrument,
        channel: name,
        value: Number(now[index]!.toFixed(4)),
        unit,
      }))
      n += 1
      return lines
    },
  }
}
