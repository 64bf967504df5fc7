/** Bored out to bright metal all round before it is filled, and left proud, mm. Common practice, no source. */
export const BRIGHT_MM = 1
export const PROUD_MM = 1.5
/**
 * A slug over the thread's major, the leg of the weld round a new boss, and how deep and wide a thread is cast round a
 * screw. Common practice, no source.
 */
export const SLUG_OVER_THREAD = 1.7
export const BOSS_LEG_MM = 5
export const CAST_DEPTH = 0.6
export const CAST_WIDE_MM = 3
