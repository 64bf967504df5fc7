import type { Step } from '../ask/question'

/**
 * What the number on a balance dial means: share of time electrode negative, share cleaning (positive), or positive
 * less negative in points.
 */
export const DIAL_READINGS = ['en-share', 'cleaning-share', 'ep-minus-en'] as const
export type DialReads = (typeof DIAL_READINGS)[number]

export interface Balance {
  enPct: number
  epPct: number
  working: Step[]
}

/** Electrode-negative and -positive shares a dial's number stands for. Definitions; exact. */
export function readBalance(value: number, reads: DialReads): Balance {
  const enPct = reads === 'en-share' ? value : reads === 'cleaning-share' ? 100 - value : 50 - value / 2
  const formula =
    reads === 'en-share'
      ? `EN = ${value}`
      : reads === 'cleaning-share'
        ? `EN = 100 − ${value}`
        : `EN = 50 − (${value}) ÷ 2`
  return {
    enPct,
    epPct: 100 - enPct,
    working: [{ label: 'Electrode negative', formula, value: enPct, unit: '%', source: 'definition of the dial' }],
  }
}

/** The number to set on a dial of a given kind for an electrode-negative share: the other way round. */
export function dialForBalance(enPct: number, reads: DialReads): number {
  return reads === 'en-share' ? enPct : reads === 'cleaning-share' ? 100 - enPct : 100 - 2 * enPct
}
