function editDistance(a: string, b: string): number {
  let previous = Array.from({ length: b.length + 1 }, (_, index) => index)
  for (let i = 1; i <= a.length; i++) {
    const current = [i]
    for (let j = 1; j <= b.length; j++) {
      current[j] = Math.min(previous[j]! + 1, current[j - 1]! + 1, previous[j - 1]! + (a[i - 1] === b[j - 1] ? 0 : 1))
    }
    previous = current
  }
  return previous[b.length]!
}

/** The names closest to what was written, by edit distance (Levenshtein 1966), best first. */
export function nearest(written: string, names: readonly string[], count = 3): string[] {
  return names
    .map(name => ({ name, distance: editDistance(written.toLowerCase(), name.toLowerCase()) }))
    .sort((a, b) => a.distance - b.distance || a.name.localeCompare(b.name))
    .slice(0, count)
    .map(entry => entry.name)
}
