/** A reason as a code, with the figures it goes by. */
export interface Because {
  code: string
  figures?: Record<string, number>
}
export type About = 'mend' | 'process' | 'filler' | 'way' | 'warmth' | 'order' | 'finish' | 'passes' | 'checks'

/** A reading that turns a decision if it were a little other. */
export interface NearLine {
  /** Its path, as in a report of bad input. */
  reading: string
  now: number
  turnsAt: number
  tookThen: string
}
/** One question settled: what it took, what else was open at what cost, why, and the lines near it. */
export interface Decision {
  about: About
  /** The mend it is about; left out, the part. */
  of?: string
  took: string
  others: { took: string; minutes?: number; price?: number; chancePct?: number; because: string[] }[]
  because: Because[]
  near: NearLine[]
}
