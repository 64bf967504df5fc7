import type { Kit } from '../../job/job.schema'
import { NOTIONAL, type KindId } from '../../mend/registry'
import { priceOf } from '../cost'
import type { Trade } from '../../mend/kind'
import type { Made, Phase } from '../step'
import type { Heat } from '../timeline/heat'
import { KIND_CAUTIONS, METAL_CAUTIONS, TRADE_CAUTIONS } from './cautions.table'

/** What a step is made of; the rest follows from where it stands. */
export interface Draft extends Partial<
  Omit<Made, 'id' | 'foundC' | 'price' | 'cautions' | 'minutes' | 'usualMin' | 'after' | 'code' | 'kind'>
> {
  code: string
  kind: Made['kind']
  minutes: number
  after?: readonly (string | undefined)[]
  cautions?: readonly string[]
  /** Whether it is told what the place stands at as it begins. */
  hot?: boolean
  /** Money beside its minutes and what it uses. */
  extra?: number
}

/** What the shop's own jobs have taught of a phase's minutes, and of rods and gas. */
export interface Ratios {
  of(phase: Phase, kind: KindId | null): number
  rods: number
  gas: number
}
/** What minutes of a mend of this kind are learnt under. */
export const kindPhase = (kind: KindId) => `mend-of-${kind}`

/** What a shop has learnt of a phase; of cracks, until they teach it anew, what version 4 learnt of welding. */
export const ratioOf = (learnt: Kit['learnt'], learntAs: string) =>
  learnt?.ratios[learntAs] ?? (learntAs === kindPhase(NOTIONAL.kind) ? learnt?.ratios.weld : undefined)

export function ratiosOf({ learnt }: Kit): Ratios {
  const ratio = (id: string) => ratioOf(learnt, id)?.ratio ?? 1
  return {
    of: (phase, kind) => ratio(phase === 'mend' && kind ? kindPhase(kind) : phase),
    rods: ratio('rods'),
    gas: ratio('gas'),
  }
}

export interface Maker {
  readonly steps: Made[]
  add(draft: Draft): string
}

/** Each once, in the order they come: these lists are too short for a set to pay. */
function eachOnce(list: readonly (string | undefined)[]): string[] {
  const once: string[] = []
  for (const one of list) if (one !== undefined && !once.includes(one)) once.push(one)
  return once
}

/** Makes steps one after another: its id, its price, what can hurt, what the place stands at as it begins. */
export function maker(kit: Kit, heat: Heat, hazards: readonly string[], kinds: ReadonlyMap<string, KindId>): Maker {
  const ratios = ratiosOf(kit)
  const steps: Made[] = []
  const taken = new Map<string, number>()
  const idOf = (draft: Draft): string => {
    const stem = [draft.mend, draft.code, draft.pass].filter(part => part !== undefined).join('.')
    const times = (taken.get(stem) ?? 0) + 1
    taken.set(stem, times)
    return times > 1 ? `${stem}~${times}` : stem
  }
  /** What can hurt by the kind of a step and its trade alone: the same for most of them. */
  const usual = new Map<string, readonly string[]>()
  const cautionsOf = (kind: Made['kind'], trade: Trade | undefined, own: readonly string[]): string[] => {
    const key = `${kind} ${trade}`
    let found = usual.get(key)
    if (!found) {
      found = eachOnce([
        ...((trade && METAL_CAUTIONS.has(trade)) || METAL_CAUTIONS.has(kind) ? hazards : []),
        ...KIND_CAUTIONS[kind],
        ...(trade && kind === 'hand' ? TRADE_CAUTIONS[trade] : []),
      ])
      usual.set(key, found)
    }
    return own.length ? eachOnce([...found, ...own]) : [...found]
  }
  return {
    steps,
    add({ after = [], cautions = [], hot = false, extra = 0, uses, ...draft }) {
      const phase = draft.phase ?? 'mend'
      const kind = draft.mend === undefined ? null : (kinds.get(draft.mend) ?? null)
      const minutes = draft.kind === 'wait' ? draft.minutes : draft.minutes * ratios.of(phase, kind)
      const used = uses && {
        ...uses,
        rods: uses.rods.map(rods => ({ ...rods, count: rods.count * ratios.rods })),
        gasL: uses.gasL * ratios.gas,
      }
      const id = idOf(draft)
      const { trade } = draft
      const step: Made = {
        ...draft,
        id,
        phase,
        minutes,
        usualMin: draft.minutes,
        after: eachOnce(after),
        ...(used ? { uses: used } : {}),
        ...(hot ? { foundC: heat.c } : {}),
        cautions: cautionsOf(draft.kind, trade, cautions),
        price: 0,
      }
      step.price = priceOf(kit, step) + extra
      if (extra && phase !== 'extra') step.bought = extra
      steps.push(step)
      heat.pass(minutes)
      return id
    },
  }
}
