export type Pct = Readonly<Record<string, number>>

/** Two compositions mixed, `share` of the first; elements missing from one count as nothing there. */
export function mix(first: Pct, second: Pct, share: number): Record<string, number> {
  const elements = new Set([...Object.keys(first), ...Object.keys(second)])
  return Object.fromEntries(
    [...elements].map(element => [element, share * (first[element] ?? 0) + (1 - share) * (second[element] ?? 0)]),
  )
}

/**
 * Composition of each pass: the first melts base, each later one melts the pass before it in the base's place.
 * Pass n = D · pass (n − 1) + (1 − D) · filler, D the share of the bead that is melted base. Mass balance; exact.
 */
export function passChemistry(base: Pct, filler: Pct, dilutionPct: number, passes: number): Record<string, number>[] {
  const list: Record<string, number>[] = []
  let below: Pct = base
  for (let pass = 0; pass < passes; pass++) {
    const bead = mix(below, filler, dilutionPct / 100)
    list.push(bead)
    below = bead
  }
  return list
}
