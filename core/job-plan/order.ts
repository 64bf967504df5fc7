import type { KindId } from '../mend/registry'

export interface OrderGiven {
  readonly id: string
  readonly kind: KindId
  readonly arcMin: number
  readonly machined: boolean
  readonly laid: boolean
}
export interface Ordered {
  readonly id: string
  readonly why: string
}

/** Kinds that set where the rest must come to, before any metal is laid. Common practice, no source. */
const STRAIGHTENS: ReadonlySet<KindId> = new Set(['bent'])
/** Kinds whose place the pull of the others moves, so that they are laid after them. */
const MOVED_BY_OTHERS: ReadonlySet<KindId> = new Set(['bore', 'face', 'turned'])

const CLASSES: readonly { readonly why: string; readonly holds: (mend: OrderGiven) => boolean }[] = [
  { why: 'straight-first', holds: mend => STRAIGHTENS.has(mend.kind) },
  { why: 'most-heat-first', holds: mend => mend.laid && !MOVED_BY_OTHERS.has(mend.kind) },
  { why: 'true-places-after', holds: mend => mend.laid },
  { why: 'cold-last', holds: () => true },
]

/**
 * The order in which mends are taken on, with the reason for each: what is bent is straightened first, then what takes
 * most heat, so that the rest is laid on a warm part; bores, faces and turned places after, since the pull of the
 * others moves them; cold work last.
 * The same whatever order they were put in. Common practice, no source.
 */
export function orderOf(mends: readonly OrderGiven[]): Ordered[] {
  const placed = mends.map(mend => ({ mend, place: CLASSES.findIndex(each => each.holds(mend)) }))
  return placed
    .toSorted((a, b) => a.place - b.place || b.mend.arcMin - a.mend.arcMin || (a.mend.id < b.mend.id ? -1 : 1))
    .map(({ mend, place }) => ({ id: mend.id, why: CLASSES[place]!.why }))
}
