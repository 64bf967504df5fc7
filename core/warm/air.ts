import { ROOM_C } from '../arc/least-preheat'

/** No shop's air is hotter: a part that starts above this is warm already, in air as usual. Judgement. */
const HOTTEST_AIR_C = 45

/** The air about a part that starts at a temperature: its own, unless it is warm already. */
export const airC = (startC: number): number => (startC > HOTTEST_AIR_C ? ROOM_C : startC)
