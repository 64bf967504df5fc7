import type { Trade } from '../../mend/kind'
import type { StepKind } from '../step'

/** What can hurt in each trade of the hand, and at each kind of step. */
export const TRADE_CAUTIONS: Readonly<Record<Trade, readonly string[]>> = {
  clean: ['solvent-fire', 'chlorinated-solvent'],
  cut: ['aluminium-dust', 'rotating-tools'],
  fit: [],
  dress: ['aluminium-dust', 'rotating-tools'],
  check: [],
}
export const KIND_CAUTIONS: Readonly<Record<StepKind, readonly string[]>> = {
  hand: [],
  arc: ['earth-before-arc', 'ozone-uv', 'chlorinated-solvent', 'hot-no-glow'],
  flame: ['torch-fire', 'hot-no-glow'],
  machine: ['rotating-tools'],
  wait: [],
  elsewhere: [],
}
/** Trades and kinds of step at which what the metal itself can do is said too. */
export const METAL_CAUTIONS: ReadonlySet<Trade | StepKind> = new Set(['cut', 'dress', 'arc', 'flame', 'machine'])
