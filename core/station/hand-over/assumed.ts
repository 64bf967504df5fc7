import { SOAK_WORDS } from '../../call/process.table'
import { said } from '../../job/fields/said'
import { DOES } from '../../part/words.table'
import { ASSUMED_WALL_MM } from '../../job/fields/take-in'
import type { Job, Kit } from '../../job/job.schema'
import type { StationId } from '../../job/stations.table'
import { gasOf } from '../../job-plan/cost'
import { heldRod, heldRods, isSameFiller } from '../../job-plan/rods'
import type { Made } from '../../job-plan/step'
import type { KnowData } from '../know/know'
import { figure, type Sentence } from '../parts'

/** Something that a price goes by and nobody has said: in words, and the field that puts it right. */
export interface Assumed {
  readonly id: 'metal' | 'wall' | 'oil' | 'load' | 'mass' | 'rate' | 'prices'
  readonly words: Sentence
  /** The station whose field it is; the kit's where it is none. */
  readonly at: StationId | 'kit'
  readonly path: string
}

/** Whether a plan's rods, wire or gas are priced by what is usual, and not by what this shop paid. */
function pricedAsUsual(kit: Kit, steps: readonly Made[]): boolean {
  return steps.some(({ uses, filler, by, bought }) => {
    if (bought) return true
    if (!uses) return false
    const rods = uses.rods.some(({ filler: laid, diameterMm, count }) => {
      const held = heldRod(kit, laid, diameterMm) ?? heldRods(kit, laid)[0]
      return count > 0 && (!held || held.usualPrice)
    })
    const spool = kit.spools.find(held => isSameFiller(held.filler, filler ?? ''))
    const gas = gasOf(kit, null)
    const torch = kit.torches.find(each => each.id === by)
    const fuel = torch && gasOf(kit, torch.gas)
    return (
      rods ||
      (uses.wireM > 0 && (!spool || spool.usualPrice)) ||
      (uses.gasL > 0 && (!gas || gas.usualPrice)) ||
      (uses.fuelL > 0 && (!fuel || fuel.usualPrice))
    )
  })
}

/** All that a job's price goes by and nobody has said yet, what moves it most first. */
export function assumedIn(
  job: Job,
  kit: Kit,
  know: KnowData,
  assumedG: number | null,
  steps: readonly Made[],
): Assumed[] {
  const { takeIn } = job
  const taken = said(job, 'takeIn')
  const list: (Assumed | false)[] = [
    !know.known && {
      id: 'metal',
      words: [`the metal, taken for ${know.alloy.name}`],
      at: 'take-in',
      path: 'know.form',
    },
    !takeIn.wallMm.value && {
      id: 'wall',
      words: ['a wall of ', figure(ASSUMED_WALL_MM, 'mm')],
      at: 'take-in',
      path: 'takeIn.wallMm',
    },
    !takeIn.soak && {
      id: 'oil',
      words: [`oil in the metal: ${SOAK_WORDS[taken.soak]}`],
      at: 'take-in',
      path: 'takeIn.soak',
    },
    !takeIn.does && { id: 'load', words: [`what it does: ${DOES[taken.does]}`], at: 'take-in', path: 'takeIn.does' },
    assumedG !== null && {
      id: 'mass',
      words: ['a part of ', figure(assumedG, 'g')],
      at: 'take-in',
      path: 'takeIn.lengthMm',
    },
    kit.rateAssumed && {
      id: 'rate',
      words: [`an hour at ${kit.currency}${kit.ratePerHour.toFixed(2)}`],
      at: 'kit',
      path: 'ratePerHour',
    },
    pricedAsUsual(kit, steps) && {
      id: 'prices',
      words: ['usual prices of rods, wire, gas or inserts'],
      at: 'kit',
      path: 'prices',
    },
  ]
  return list.filter(entry => entry !== false)
}
