import { DIAL_READINGS, dialForBalance, readBalance, type DialReads } from './balance'

/**
 * Shares of electrode negative that anyone would weld aluminium with, %: the schools' ranges and a little. Common
 * practice, no source.
 */
const LIKELY_PCT = [55, 85] as const

export interface CopiedReading {
  reads: DialReads
  enPct: number
  likely: boolean
}
export interface Copied {
  /** What the number means under each convention it can be a number of. */
  readings: CopiedReading[]
  /** What it was most likely meant to say, where only one convention is likely; else null. */
  meant: CopiedReading | null
  /** What to set on this dial for that. */
  dial: number | null
  /** Turned in as it stands, this dial would give so much electrode negative. */
  asItStandsPct: number | null
  verdict: 'same' | 'trap' | 'either' | 'unlikely'
}

/**
 * A balance number copied from another machine, against this machine's dial: the three conventions make one number mean
 * different things. `same`: it means here what it was meant to say; `trap`: set as it stands it would give something
 * else; `either`: more than one convention is likely, ask which; `unlikely`: no convention makes it a setting for
 * aluminium.
 */
export function copiedBalance(value: number, mine: DialReads): Copied {
  const can = (reads: DialReads) => value <= 100 && value >= (reads === 'ep-minus-en' ? -100 : 0)
  const readings = DIAL_READINGS.filter(can).map((reads): CopiedReading => {
    const { enPct } = readBalance(value, reads)
    return { reads, enPct, likely: enPct >= LIKELY_PCT[0] && enPct <= LIKELY_PCT[1] }
  })
  const likely = readings.filter(entry => entry.likely)
  const meant = likely.length === 1 ? likely[0]! : null
  const here = readings.find(entry => entry.reads === mine) ?? null
  const verdict =
    likely.length === 0 ? 'unlikely' : likely.length > 1 ? 'either' : meant!.reads === mine ? 'same' : 'trap'
  return {
    readings,
    meant,
    dial: meant ? dialForBalance(meant.enPct, mine) : null,
    asItStandsPct: here?.enPct ?? null,
    verdict,
  }
}
