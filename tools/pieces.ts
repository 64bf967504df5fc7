import { fileURLToPath } from 'node:url'

interface Around {
  getModuleInfo: (id: string) => { importedIds: readonly string[] } | null
}
const at = (path: string) => fileURLToPath(new URL(`../${path}`, import.meta.url))

/** Libraries are cut by who shares them: what imports what says little where a library hands on all its parts. */
const own = (id: string) => !/node_modules\/(?!nuxt\/|\.cache)/.test(id)

/** What every page reads, and what the shelf reads after it. */
const ROUNDS = [
  { name: 'start', from: at('node_modules/nuxt/dist/app/entry.js') },
  { name: 'shelf', from: at('app/pages/index.vue') },
]

/** Which round each module is first read in, by what imports what. */
function readIn(around: Around): ReadonlyMap<string, string> {
  const found = new Map<string, string>()
  for (const { name, from } of ROUNDS) {
    const open = [from]
    for (let id = open.pop(); id !== undefined; id = open.pop()) {
      if (found.has(id)) continue
      found.set(id, name)
      open.push(...(around.getModuleInfo(id)?.importedIds ?? []).filter(own))
    }
  }
  return found
}

/**
 * How the application is cut: what every page reads, what the shelf reads after it, what four or more of the other
 * pages, stations and benches read; the rest by who shares it. Whatever one of these pieces imports is in itself, in an
 * earlier one or in a library's, so that none waits for a later.
 */
export function pagePieces() {
  let rounds: ReadonlyMap<string, string> | undefined
  const roundOf = (id: string, around: Around) => (rounds ??= readIn(around)).get(id) ?? null
  return {
    includeDependenciesRecursively: false,
    groups: [
      { name: roundOf, test: own, minShareCount: 2, priority: 2 },
      {
        name: (id: string, around: Around) => (roundOf(id, around) ? null : 'bench'),
        test: own,
        minShareCount: 4,
        priority: 1,
      },
    ],
  }
}
