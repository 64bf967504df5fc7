/**
 * Tungsten on AC, by diameter: least and most current, A, about balanced to 70 % negative. AWS A5.12, table of current
 * ranges, from memory; the upper ends eased to the trade's own (2.4 mm is the all-round size to about 200 A; 1.6 mm
 * overheats towards it).
 */
export const TUNGSTENS = [
  { mm: 1, lowA: 10, highA: 60, cup: 4 },
  { mm: 1.6, lowA: 30, highA: 110, cup: 5 },
  { mm: 2.4, lowA: 70, highA: 200, cup: 6 },
  { mm: 3.2, lowA: 150, highA: 260, cup: 7 },
  { mm: 4, lowA: 220, highA: 340, cup: 8 },
  { mm: 4.8, lowA: 300, highA: 450, cup: 10 },
] as const

/** AC frequency by school, Hz, and what each buys. Common practice, no source. */
export const FREQUENCY_SCHOOLS = {
  low: { lowHz: 50, highHz: 80, buys: 'soaks in, flows and floats dirt' },
  middle: { lowHz: 100, highHz: 120, buys: 'between the two' },
  high: { lowHz: 130, highHz: 150, buys: 'a tight arc into a root or narrow bore' },
} as const
export type FrequencySchool = keyof typeof FREQUENCY_SCHOOLS

/** Electrode-negative share by how clean the metal is, %. Common practice, no source. */
export const BALANCE_SCHOOLS = {
  dirty: { lowPct: 60, highPct: 70, buys: 'more cleaning, a wider etched border, a hotter tungsten' },
  clean: { lowPct: 70, highPct: 73, buys: 'deeper and narrower, a cooler tungsten' },
} as const
export type BalanceSchool = keyof typeof BALANCE_SCHOOLS

/** Current for a position over that laid flat. Common practice, no source. */
export const POSITION_SHARE = { flat: 1, horizontal: 0.95, vertical: 0.9, overhead: 0.85 } as const
export type Position = keyof typeof POSITION_SHARE

/**
 * Argon through a cup, L/min, by its number (sixteenths of an inch); 7 L/min through No. 5–6. Common practice, no
 * source.
 */
export const GAS_L_MIN: Readonly<Record<number, number>> = { 4: 6, 5: 7, 6: 7, 7: 8.5, 8: 10, 10: 13 }

/** Rod by current: up to this many A, this diameter. Common practice, no source. */
export const ROD_BY_CURRENT = [
  { toA: 90, mm: 1.6 },
  { toA: 190, mm: 2.4 },
  { toA: 280, mm: 3.2 },
  { toA: Infinity, mm: 4 },
] as const
