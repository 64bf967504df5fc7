/**
 * Fuel gases of torches.
 * Columns: words in the name of a gas, heat of burning, MJ/m³ (gross, 15 °C).
 * Source: AWS Welding Handbook vol. 2, oxyfuel gas welding, fuel gas characteristics, from memory.
 */
export const FUELS = [
  { words: ['acetylene'], mjM3: 55 },
  { words: ['propylene'], mjM3: 88 },
  { words: ['propane', 'lpg'], mjM3: 93 },
  { words: ['methane', 'natural'], mjM3: 37 },
  { words: ['hydrogen'], mjM3: 12 },
] as const

/**
 * Deviation of the spot a torch heats, mm: a cone fed with oxygen, and a flame or hot air that draws its own air.
 * Judgement: the middle of a gas-welding cone then puts 3 to 5 MW/m² into the metal.
 */
export const SPOT_MM = { oxygen: 10, air: 20 } as const

/**
 * Whether a torch's gas says that it is fed with oxygen, and what its fuel holds; `mjM3` is null where it names no
 * fuel.
 */
export function fuelOf(gas: string): { oxygen: boolean; mjM3: number | null } {
  const name = gas.toLowerCase()
  return {
    oxygen: /\box[yi]/.test(name),
    mjM3: FUELS.find(fuel => fuel.words.some(word => name.includes(word)))?.mjM3 ?? null,
  }
}
