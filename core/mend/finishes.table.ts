/** How a mend is left, words beside it. */
export const FINISHES = {
  proud: 'left proud',
  rough: 'high spots knocked off',
  blend: 'blended in',
  seat: 'a seat, dressed to size',
  machined: 'machined',
} as const
export type Finish = keyof typeof FINISHES
