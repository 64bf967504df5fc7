/**
 * The same light work, done once for the same ask, the latest `most` of them: for what is asked of every mend of a job
 * at every key stroke, and is the same for all but the one that is typed in.
 * Pure work over plain data with finite figures only, and nobody may change what comes of it; what throws is asked
 * anew. What takes long is `keptBy`'s. `keyOf` tells one ask from another where that is shorter than all of it.
 */
export function remembered<Ask, Found>(
  most: number,
  work: (ask: Ask) => Found,
  keyOf: (ask: Ask) => string = ask => JSON.stringify(ask),
): (ask: Ask) => Found {
  const known = new Map<string, { found: Found }>()
  return ask => {
    const key = keyOf(ask)
    const before = known.get(key)
    const { found } = before ?? { found: work(ask) }
    known.delete(key)
    if (known.size >= most) known.delete(known.keys().next().value!)
    known.set(key, before ?? { found })
    return found
  }
}
