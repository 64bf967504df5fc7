/**
 * Where practitioners differ on warming before an arc: each way, and what it buys and costs. Common practice, no
 * source.
 */
export const WARM_SCHOOLS = {
  decide: {
    name: 'by wall, metal and machine',
    buys: 'heat where it helps, and none where it only softens the metal and makes one wait',
  },
  never: {
    name: 'never',
    buys: 'nothing near it is cooked and the metal keeps its strength; the arc must bring all the heat, and a thick wall is slow to start',
  },
  chill: { name: 'take the chill off only', buys: 'dry metal and an even start, with seals and bushes still safe' },
  always: {
    name: 'always, about 110 °C',
    buys: 'less current, a quieter start and less shock; wrought metal softens a little more beside the weld',
  },
} as const
export type WarmSchool = keyof typeof WARM_SCHOOLS
