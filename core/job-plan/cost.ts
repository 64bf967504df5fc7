import { arcOf, type ArcProcess } from '../process/registry'
import { MACHINE_EFFICIENCY } from '../arc/mains'
import { fuelOf } from '../flame/fuels.table'
import type { Kit } from '../job/job.schema'
import { WIRE_MM } from '../lay/process.table'
import { findAlloy } from '../metal/find-alloy'
import { heldRod, heldRods, isSameFiller, rodLongMm } from './rods'
import type { PlanStep, StepKind, Uses } from './step'

/** A rod of a filler that the kit does not hold, and a gram of wire: common practice, no source. */
const USUAL_ROD = { price: 1, diameterMm: 2.4, lengthMm: 914 }
const USUAL_WIRE_PRICE_PER_KG = 30
/** Of a wire that no table knows. */
const USUAL_WIRE_GCM3 = 2.7
/** Discs, brushes, wipes and paper for each minute of hand work: common practice, no source. */
const ABRASIVES_PER_HAND_MIN = 0.03
/** A litre of a fuel gas that the kit has no price of, in the shop's money: common practice, no source. */
const USUAL_FUEL_PRICE_PER_L = 0.01

/** What metres of the usual wire of a filler weigh, g: its section by its density. */
export const wireG = (metres: number, filler: string | null): number =>
  metres * (Math.PI / 4) * WIRE_MM ** 2 * (findAlloy(filler ?? '')?.densityGcm3 ?? USUAL_WIRE_GCM3)

/** So much wire, in money, at what the kit's spool of it cost. */
const wirePrice = (kit: Kit, filler: string, massG: number): number =>
  (massG / 1000) * (kit.spools.find(held => isSameFiller(held.filler, filler))?.pricePerKg ?? USUAL_WIRE_PRICE_PER_KG)

const volumeOf = ({ diameterMm, lengthMm }: { diameterMm: number; lengthMm: number }) =>
  (Math.PI / 4) * diameterMm ** 2 * lengthMm

/** Rods in money: by what they weigh, at what the kit's own rod of that filler cost. */
export function rodsPrice(kit: Kit, { filler, diameterMm, count }: Uses['rods'][number]): number {
  const own = heldRod(kit, filler, diameterMm) ?? heldRods(kit, filler)[0] ?? USUAL_ROD
  return (count * volumeOf({ diameterMm, lengthMm: rodLongMm(kit, filler, diameterMm) }) * own.price) / volumeOf(own)
}

/** A flame's own gas where the kit has a cylinder of that name; an arc is shielded by the first. */
export const gasOf = (kit: Kit, burns: string | null): Kit['gases'][number] | undefined =>
  burns === null
    ? kit.gases[0]
    : kit.gases.find(({ name }) => name.trim() && burns.toLowerCase().includes(name.toLowerCase()))

/** What a flame burns in so many minutes, L of gas; nothing where its gas names no fuel. */
export function fuelL({ gas, powerW }: { gas: string; powerW: number }, minutes: number): number {
  const { mjM3 } = fuelOf(gas)
  return mjM3 === null ? 0 : (powerW * 60 * minutes) / ((mjM3 * 1e6) / 1000)
}

/** What an arc draws from the mains, kWh. */
export const arcKWh = (process: ArcProcess, a: number, minutes: number): number =>
  (a * arcOf(process).volts * minutes) / 60 / 1000 / MACHINE_EFFICIENCY

const WORKED: ReadonlySet<StepKind> = new Set(['hand', 'arc', 'flame', 'machine'])
type Priced = Pick<PlanStep, 'kind' | 'minutes' | 'uses' | 'by'> & { filler?: string }

/** What a step costs, line by line: its minutes at the shop's rate, what it uses up, abrasives for the hand. */
export interface Spent {
  labour: number
  abrasives: number
  rods: number
  wire: number
  /** Shielding gas, and what a flame burns. */
  gas: number
  power: number
}
export function spentOn(kit: Kit, { kind, minutes, uses, by, filler }: Priced): Spent {
  const [shield, torch] = [gasOf(kit, null), kit.torches.find(each => each.id === by)]
  const fuel = torch && gasOf(kit, torch.gas)
  return {
    labour: WORKED.has(kind) ? (minutes / 60) * kit.ratePerHour : 0,
    abrasives: kind === 'hand' ? minutes * ABRASIVES_PER_HAND_MIN : 0,
    rods: uses?.rods.reduce((total, rods) => total + rodsPrice(kit, rods), 0) ?? 0,
    wire: uses && uses.wireM > 0 ? wirePrice(kit, filler ?? '', wireG(uses.wireM, filler ?? null)) : 0,
    gas: uses
      ? uses.gasL * (shield ? shield.price / shield.cylinderL : 0) +
        uses.fuelL * (fuel ? fuel.price / fuel.cylinderL : USUAL_FUEL_PRICE_PER_L)
      : 0,
    power: (uses?.kWh ?? 0) * kit.pricePerKWh,
  }
}
export const priceOf = (kit: Kit, step: Priced): number =>
  Object.values(spentOn(kit, step)).reduce((total, price) => total + price, 0)
