import { isPlain } from './entry-key'
import { toFive } from './to-five'
import { toFour } from './to-four'
import { toSeven } from './to-seven'
import { toSix } from './to-six'

type Plain = Record<string, unknown>

/** Lists whose entries had no id before they were merged entry by entry, and the letter that such ids begin with. */
const UNNAMED = [
  { section: 'handOver', list: 'other', letter: 'x' },
  { section: 'rebuild', list: 'holes', letter: 'h' },
] as const

const withIds = (list: readonly unknown[], letter: string) =>
  list.map((entry, n) => (isPlain(entry) && !('id' in entry) ? { id: `${letter}${n + 1}`, ...entry } : entry))

/**
 * Version 2 names the entries of every list, and knows more places being mended than the opening, which stays as it
 * was.
 */
function toTwo(job: Plain): Plain {
  const named = UNNAMED.reduce<Plain>((found, { section, list, letter }) => {
    const part = found[section]
    return isPlain(part) && Array.isArray(part[list])
      ? { ...found, [section]: { ...part, [list]: withIds(part[list], letter) } }
      : found
  }, job)
  return { ...named, version: 2 }
}

/** Ids for the pieces of a shape, which had none. */
const namedPieces = (parts: unknown) =>
  Array.isArray(parts) ? parts.map((piece, n) => (isPlain(piece) ? { id: `p${n + 1}`, ...piece } : piece)) : []
const sameShape = (a: Plain, b: Plain) => JSON.stringify([a.parts, a.mesh]) === JSON.stringify([b.parts, b.mesh])

/**
 * Version 3 has one shape of the part for the whole job: the first set-up's on the heat bench. A second set-up keeps
 * its own where it was another.
 */
function toThree(job: Plain): Plain {
  const warm = isPlain(job.warm) ? job.warm : {}
  const setups = Array.isArray(warm.setups) ? warm.setups : []
  const [first] = setups
  if (!isPlain(first)) return { ...job, version: 3 }
  const shared = { ...first, parts: [], mesh: null }
  const others = setups
    .slice(1)
    .map(setup =>
      isPlain(setup)
        ? sameShape(setup, first)
          ? { ...setup, parts: [], mesh: null }
          : { ...setup, parts: namedPieces(setup.parts) }
        : setup,
    )
  return {
    ...job,
    shape: { pieces: namedPieces(first.parts), mesh: typeof first.mesh === 'string' ? { file: first.mesh } : null },
    warm: { ...warm, setups: [shared, ...others] },
    version: 3,
  }
}

/** Every step from an earlier version to the next, in order. */
const MIGRATIONS: readonly { readonly from: number; readonly bring: (job: Plain) => Plain }[] = [
  { from: 1, bring: toTwo },
  { from: 2, bring: toThree },
  { from: 3, bring: toFour },
  { from: 4, bring: toFive },
  { from: 5, bring: toSix },
  { from: 6, bring: toSeven },
]

/**
 * A job of an earlier version as this one reads it; what is not a job is left as it is. The same job always comes to
 * the same, on whichever bench.
 */
export function upToDate(job: unknown): unknown {
  if (!isPlain(job)) return job
  const { version } = job
  return MIGRATIONS.filter(({ from }) => typeof version === 'number' && version <= from).reduce(
    (found, { bring }) => bring(found),
    job,
  )
}
