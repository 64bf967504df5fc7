/** Heating a body past this for a fit softens a heat-treated alloy, °C: common practice, no source. */
export const SOFTENS_C = 180

/**
 * What makes a slug cold or a body hot, and the temperature it gives, °C. Common practice; dry ice sublimes at −78.5 °C
 * (CRC Handbook, from memory).
 */
export const COLD = {
  bench: { name: 'as it lies', c: 20, wait: 'no wait' },
  'iced-water': { name: 'iced water', c: 0, wait: 'ten minutes' },
  freezer: { name: 'freezer', c: -18, wait: 'some hours' },
  'dry-ice': { name: 'dry ice in spirit', c: -75, wait: 'ten minutes, with gloves and air' },
} as const
export type Cold = keyof typeof COLD
