import { layWords } from '../../lay/laid-with'
import type { UnitKey } from '../../quantity/units.table'
import type { MendRow } from '../mends/mend-row'
import type { MendSetUp } from '../mends/mend-set-up'
import type { MendFlame } from './flame-of-mend'
import type { WeldPass } from './weld-pass'

export interface WeldData {
  /** What is set on the machine for the first mend that an arc lays; null where none does. */
  setUp: MendSetUp | null
}

/**
 * What one mend is laid with and what stands on the machine or at the torch, in a line: for the log, the bench and the
 * record. `text` writes a value in the reader's units.
 * @param pass the one that is laid; left out, all of them
 */
export function settingsLine(
  { planned, flame, setUps, log }: Pick<MendRow, 'planned' | 'flame' | 'setUps' | 'log'>,
  text: (value: number, unit: UnitKey) => string,
  pass?: WeldPass,
): string {
  const { process, filler } = pass ?? planned ?? {}
  if (!process) return ''
  const setUp = setUps.find(each => each.process === process && each.filler === filler) ?? setUps[0]
  const [first, last] = pass ? [pass, pass] : [log.passes[0], log.passes.at(-1)]
  const ease = first?.ease && last?.ease ? { fromA: first.ease.fromA, toA: last.ease.toA } : null
  return [layWords(process, filler ?? null), flame ? atTorch(flame, text) : onMachine(setUp, ease, text)]
    .filter(Boolean)
    .join(', ')
}

function atTorch({ flame, braze }: MendFlame, text: (value: number, unit: UnitKey) => string): string {
  if (flame) return `${flame.torch.name}, part from ${text(Math.ceil(flame.plan.fromC), 'c')}`
  return braze ? `${braze.torch.name}, worked at ${text(braze.plan.workingC, 'c')}` : ''
}

function onMachine(
  setUp: MendSetUp | undefined,
  ease: WeldPass['ease'],
  text: (value: number, unit: UnitKey) => string,
): string {
  if (!setUp) return ''
  const { mig, machine, setA, byHand, enPct, frequencyHz, dial, range } = setUp.set
  if (mig) return `${text(Math.round(mig.a), 'a')}, wire ${text(mig.wireMMin, 'mMin')}, ${text(mig.v, 'v')}`
  if (!machine) return ''
  // What a hand has set stands.
  const eased = byHand ? null : ease
  const [fromA, toA] = [Math.round(eased?.fromA ?? setA), Math.round(eased?.toA ?? setA)]
  return [
    toA < fromA ? `${text(fromA, 'a')} eased to ${text(toA, 'a')}` : text(fromA, 'a'),
    ...(range ? [`range ${range.lowA} to ${range.highA} A, dial at ${Math.round(range.dialPct)} %`] : []),
    dial === null ? `EN ${Math.round(enPct)} %` : `balance dial at ${Math.round(dial)}`,
    text(frequencyHz, 'hz'),
  ].join(', ')
}
