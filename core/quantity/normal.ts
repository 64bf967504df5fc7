// eslint-disable-next-line @typescript-eslint/triple-slash-reference -- the library ships no types of its own
/// <reference path="./jstat.d.ts" />
import jstat from 'jstat'

/** How many standard deviations above the mean a share of a normal distribution lies below, 0 to 1, both left out. */
export const deviationsBelow = (share: number): number => jstat.normal.inv(share, 0, 1)
