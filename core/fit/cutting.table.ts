/**
 * Surface speeds for aluminium with high-speed steel, m/min, by tool: wrought or low-silicon, castings to about 12 %
 * silicon, and hypereutectic. Machinery's Handbook, speeds for aluminium alloys, lower half of the ranges, from memory;
 * taps slower, common practice.
 */
export const SURFACE_M_MIN = {
  drill: { wrought: 60, cast: 45, hyper: 15 },
  endmill: { wrought: 90, cast: 70, hyper: 25 },
  bore: { wrought: 90, cast: 70, hyper: 25 },
  tap: { wrought: 12, cast: 10, hyper: 5 },
} as const
export type CuttingTool = keyof typeof SURFACE_M_MIN

/** Feed a turn (drill, bore) or a tooth (end mill) over the diameter; Machinery's Handbook, from memory. */
export const FEED_PER_DIAMETER = { drill: 0.02, endmill: 0.008, bore: 0.004 } as const
/** A small machine's spindle ends here. */
export const FASTEST_RPM = 6000
export const HYPEREUTECTIC_SI_PCT = 13
