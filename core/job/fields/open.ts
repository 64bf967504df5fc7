import { done } from './declared'

/** Opening up, for the whole part: what is done once. The mends have the rest. */
export const open = { done: done('Done of the opening') }
