/** What uses what, by name. */
export type Graph = ReadonlyMap<string, ReadonlySet<string>>

/** Everything that can be reached from here. */
function reached(graph: Graph, from: string): Set<string> {
  const seen = new Set<string>()
  const open = [...(graph.get(from) ?? [])]
  for (let next = open.pop(); next !== undefined; next = open.pop())
    if (!seen.has(next)) {
      seen.add(next)
      open.push(...(graph.get(next) ?? []))
    }
  return seen
}

/** Groups of which each reaches itself through the others, by name. */
export function ringsOf(graph: Graph): string[][] {
  const far = new Map([...graph.keys()].map(name => [name, reached(graph, name)]))
  const taken = new Set<string>()
  return [...graph.keys()].toSorted().flatMap(name => {
    if (taken.has(name) || !far.get(name)!.has(name)) return []
    const ring = [...far.get(name)!].filter(other => far.get(other)?.has(name)).toSorted()
    for (const other of ring) taken.add(other)
    return [ring]
  })
}
