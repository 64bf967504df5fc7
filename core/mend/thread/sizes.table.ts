/** Bored out to bright metal all round before it is filled, and left proud, mm. Common practice, no source. */
export const BRIGHT_MM = 1
export const PROUD_MM = 1.5
/** The leg of the weld round a new boss, and how wide a thread is cast round a screw. Common practice, no source. */
export const BOSS_LEG_MM = 5
export const CAST_WIDE_MM = 3
