/** A machine's current ranges as they are written on it: `5-60, 40-200`. */
export interface Range {
  lowA: number
  highA: number
}

/** The ranges written, lowest first; null where a piece of it is not understood or ends before it begins. */
export function readRanges(written: string): Range[] | null {
  const pieces = written
    .split(/[,;]/)
    .map(piece => piece.trim())
    .filter(Boolean)
  const ranges = pieces.map(piece => {
    const found = /^(\d+(?:\.\d+)?)\s*(?:a\s*)?(?:-|–|to)\s*(\d+(?:\.\d+)?)\s*a?$/i.exec(piece)
    return found ? { lowA: Number(found[1]), highA: Number(found[2]) } : null
  })
  if (ranges.some(range => !range || range.highA <= range.lowA)) return null
  return (ranges as Range[]).toSorted((a, b) => a.highA - b.highA)
}

/**
 * The lowest range that holds a current, and where its dial stands in percent (linear, as most are: common practice, no
 * source); the highest where none holds it.
 */
export function dialFor(ranges: readonly Range[], a: number): (Range & { dialPct: number }) | null {
  const range = ranges.find(({ lowA, highA }) => a >= lowA - 1e-9 && a <= highA + 1e-9) ?? ranges.at(-1)
  if (!range) return null
  const share = (a - range.lowA) / (range.highA - range.lowA)
  return { ...range, dialPct: 100 * Math.min(1, Math.max(0, share)) }
}
