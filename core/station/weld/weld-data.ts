import { layWords } from '../../lay/laid-with'
import type { UnitKey } from '../../quantity/units.table'
import type { MendRow } from '../mends/mend-row'
import type { MendSetUp } from '../mends/mend-set-up'
import type { MendFlame } from './flame-of-mend'

export interface WeldData {
  /** What is set on the machine for the first mend that an arc lays; null where none does. */
  setUp: MendSetUp | null
}

/**
 * What one mend is laid with and what stands on the machine or at the torch, in a line: for the log, the bench and the
 * record. `text` writes a value in the reader's units.
 */
export function settingsLine(
  { planned, flame, setUps }: Pick<MendRow, 'planned' | 'flame' | 'setUps'>,
  text: (value: number, unit: UnitKey) => string,
): string {
  if (!planned?.process) return ''
  return [layWords(planned.process, planned.filler), flame ? atTorch(flame, text) : onMachine(setUps[0], text)]
    .filter(Boolean)
    .join(', ')
}

function atTorch({ flame, braze }: MendFlame, text: (value: number, unit: UnitKey) => string): string {
  if (flame) return `${flame.torch.name}, part from ${text(Math.ceil(flame.plan.fromC), 'c')}`
  return braze ? `${braze.torch.name}, worked at ${text(braze.plan.workingC, 'c')}` : ''
}

function onMachine(setUp: MendSetUp | undefined, text: (value: number, unit: UnitKey) => string): string {
  if (!setUp) return ''
  const { mig, machine, setA, enPct, frequencyHz } = setUp.set
  if (mig) return `${text(Math.round(mig.a), 'a')}, wire ${text(mig.wireMMin, 'mMin')}, ${text(mig.v, 'v')}`
  return machine ? `${text(Math.round(setA), 'a')}, EN ${Math.round(enPct)} %, ${Math.round(frequencyHz)} Hz` : ''
}
