import type { MendKind } from '../../mend/kind'

export interface OrderGiven {
  readonly id: string
  readonly kind: Pick<MendKind, 'turn' | 'coverable'>
  readonly bodies: readonly string[]
  readonly arcMin: number
  readonly laid: boolean
  /** Where it lies, and how far it reaches from there, mm; null where nobody told. */
  readonly place: { readonly atMm: readonly number[]; readonly reachMm: number } | null
  /** Mends that it waits for by the user's word. */
  readonly after: readonly string[]
}
export interface Ordered {
  readonly id: string
  readonly why: string
  /** Mends that are finished before it is begun. */
  readonly waitsFor: readonly string[]
}

const CLASSES: readonly { readonly why: string; readonly holds: (mend: OrderGiven) => boolean }[] = [
  { why: 'straight-first', holds: ({ kind }) => kind.turn === 'first' },
  { why: 'most-heat-first', holds: ({ laid, kind }) => laid && !kind.turn },
  { why: 'covers-after', holds: ({ laid, kind }) => laid && kind.turn === 'covers' },
  { why: 'true-places-after', holds: ({ laid }) => laid },
  { why: 'cold-last', holds: () => true },
]

/** Whether one lies over another: on one body, and near enough; where nobody told a place, it may. */
function covers(over: OrderGiven, under: OrderGiven): boolean {
  if (over.kind.turn !== 'covers' || !under.kind.coverable) return false
  if (!over.bodies.some(body => under.bodies.includes(body))) return false
  if (!over.place || !under.place) return true
  const apartMm = Math.hypot(...over.place.atMm.map((mm, n) => mm - (under.place?.atMm[n] ?? mm)))
  return apartMm <= over.place.reachMm + under.place.reachMm
}

/** A ring among mends that wait for one another by the user's word; null where there is none. */
export function ringOf(mends: readonly { id: string; after: readonly string[] }[]): string[] | null {
  const after = new Map(mends.map(mend => [mend.id, mend.after]))
  const done = new Set<string>()
  const walk = (id: string, path: readonly string[]): string[] | null => {
    if (path.includes(id)) return [...path.slice(path.indexOf(id)), id]
    if (done.has(id)) return null
    for (const next of after.get(id) ?? []) {
      const found = walk(next, [...path, id])
      if (found) return found
    }
    done.add(id)
    return null
  }
  for (const { id } of mends) {
    const found = walk(id, [])
    if (found) return found
  }
  return null
}

/**
 * The order in which mends are taken on, with the reason for each: what is bent is straightened first, then what takes
 * most heat, so that the rest is laid on a warm part; what is covered is done before what covers it; bores, faces and
 * turned places after, since the pull of the others moves them; cold work last; the user's word before all of it.
 * The same whatever order they were put in. Common practice, no source.
 */
export function orderOf(mends: readonly OrderGiven[]): Ordered[] {
  const byId = new Map(mends.map(mend => [mend.id, mend]))
  const waitsFor = (mend: OrderGiven): string[] => [
    ...new Set([
      ...mend.after.filter(id => byId.has(id)),
      ...mends.filter(other => other !== mend && covers(mend, other) && !waitsByWord(other, mend)).map(({ id }) => id),
    ]),
  ]
  /** Whether one waits for another by the user's word, through others too. */
  const waitsByWord = (mend: OrderGiven, other: OrderGiven): boolean =>
    mend.after.some(id => id === other.id || (byId.has(id) && waitsByWord(byId.get(id)!, other)))
  const left = mends
    .map(mend => ({ mend, place: CLASSES.findIndex(each => each.holds(mend)), waits: waitsFor(mend) }))
    .toSorted((a, b) => a.place - b.place || b.mend.arcMin - a.mend.arcMin || (a.mend.id < b.mend.id ? -1 : 1))
  const ordered: Ordered[] = []
  const done = new Set<string>()
  while (left.length) {
    const at = Math.max(
      0,
      left.findIndex(({ waits }) => waits.every(id => done.has(id))),
    )
    const [{ mend, place, waits }] = left.splice(at, 1) as [(typeof left)[number]]
    done.add(mend.id)
    ordered.push({ id: mend.id, why: mend.after.length ? 'as-wanted' : CLASSES[place]!.why, waitsFor: waits })
  }
  return ordered
}
