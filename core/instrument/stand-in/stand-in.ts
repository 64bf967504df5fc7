import type { z } from 'zod'

/** A simulated instrument: what it is set to, and its readings. */
export interface StandIn<Setup extends z.ZodType> {
  readonly setup: Setup
  /**
   * @returns the values of each channel for reading n; to be called for n = 0, 1, 2 … in turn. The same seed gives the
   * same readings.
   */
  start(setup: z.output<Setup>, seed: number, perSecond: number): (n: number) => number[]
}
