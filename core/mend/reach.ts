import { choice } from '../field/field'

/** Whether both sides of it can be got to. */
export const REACH = { both: 'both sides', one: 'one side only' } as const
export const reach = () => choice('Can be reached', REACH, 'both')
