import { MACHINE_EFFICIENCY } from '../arc/mains'
import type { Kit } from '../job/job.schema'
import { WIRE_MM } from '../lay/process.table'
import { findAlloy } from '../metal/find-alloy'
import { VOLTS } from '../warm/current'

/** A rod of a filler that the kit does not hold, and a gram of wire: common practice, no source. */
const USUAL_ROD_PRICE = 1
const USUAL_WIRE_PRICE_PER_KG = 30
/** Of a wire that no table knows. */
const USUAL_WIRE_GCM3 = 2.7
/** Discs, brushes, wipes and paper for each minute of hand work: common practice, no source. */
const ABRASIVES_PER_HAND_MIN = 0.03

const isOf = (filler: string) => (held: { filler: string }) => held.filler.replace(/^ER/i, '') === filler

/** What metres of the usual wire of a filler weigh, g: its section by its density. */
export const wireG = (metres: number, filler: string | null): number =>
  metres * (Math.PI / 4) * WIRE_MM ** 2 * (findAlloy(filler ?? '')?.densityGcm3 ?? USUAL_WIRE_GCM3)

/** So much wire, in money, at what the kit's spool of it cost. */
export const wirePrice = (kit: Kit, filler: string | null, massG: number): number =>
  (massG / 1000) * (kit.spools.find(isOf(filler ?? ''))?.pricePerKg ?? USUAL_WIRE_PRICE_PER_KG)

export const rodPrice = (kit: Kit, filler: string): number => kit.rods.find(isOf(filler))?.price ?? USUAL_ROD_PRICE

/** What a mend uses up and takes, in money: its own time, rods, wire, gas, power and abrasives. */
export function priceOf(
  kit: Kit,
  used: {
    handMin: number
    arcMin: number
    machineMin: number
    rods: readonly { filler: string; rods: number }[]
    wire: { filler: string | null; wireM: number } | null
    gasL: number
    a: number
  },
): number {
  const gas = kit.gases[0]
  return (
    ((used.handMin + used.arcMin + used.machineMin) / 60) * kit.ratePerHour +
    used.rods.reduce((sum, { filler, rods }) => sum + rods * rodPrice(kit, filler), 0) +
    (used.wire ? wirePrice(kit, used.wire.filler, wireG(used.wire.wireM, used.wire.filler)) : 0) +
    used.gasL * (gas ? gas.price / gas.cylinderL : 0) +
    ((used.a * VOLTS['ac-tig'] * used.arcMin) / 60 / 1000 / MACHINE_EFFICIENCY) * kit.pricePerKWh +
    used.handMin * ABRASIVES_PER_HAND_MIN
  )
}
