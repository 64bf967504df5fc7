import type { ReadingUnit } from '#core/instrument/kinds.table'
import type { ReadingRing } from '#core/instrument/ring'

export type StreamState = 'connecting' | 'live' | 'lost' | 'refused' | 'ended'
export interface ChannelNow {
  name: string
  unit: ReadingUnit
  ring: ReadingRing
}

/** Ten minutes at twenty a second: older readings make room. */
export const KEPT_READINGS = 12_000
export const TRY_AGAIN_MS = [500, 1000, 2000, 4000] as const

/** An instrument's readings as they come, from wherever: a stand-in, a wire, a radio. */
export interface InstrumentStream {
  readonly state: StreamState
  readonly reason: string | null
  /** Lines that were no reading. */
  readonly strange: number
  readonly lostTimes: number
  readonly channels: readonly ChannelNow[]
  /** Readings that never came, over all channels. */
  readonly missing: number
  end(): void
}
