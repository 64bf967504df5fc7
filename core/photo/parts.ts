/** Connected parts of a mask, by the four sides; each with its size and middle, px. */
export interface MaskPart {
  label: number
  count: number
  atPx: [number, number]
  touchesEdge: boolean
}

/** Labels every set point of a mask with its part, from 1; largest parts need no order here. */
export function partsOf(mask: Uint8Array, wide: number, high: number): { labels: Int32Array; parts: MaskPart[] } {
  const labels = new Int32Array(mask.length)
  const parts: MaskPart[] = []
  const stack: number[] = []
  for (let start = 0; start < mask.length; start++) {
    if (!mask[start] || labels[start]) continue
    const label = parts.length + 1
    let [count, sx, sy, touchesEdge] = [0, 0, 0, false]
    labels[start] = label
    stack.push(start)
    while (stack.length > 0) {
      const at = stack.pop()!
      const [x, y] = [at % wide, Math.floor(at / wide)]
      count++
      sx += x
      sy += y
      if (x === 0 || y === 0 || x === wide - 1 || y === high - 1) touchesEdge = true
      for (const next of [
        x > 0 ? at - 1 : -1,
        x < wide - 1 ? at + 1 : -1,
        y > 0 ? at - wide : -1,
        y < high - 1 ? at + wide : -1,
      ])
        if (next >= 0 && mask[next] && !labels[next]) {
          labels[next] = label
          stack.push(next)
        }
    }
    parts.push({ label, count, atPx: [sx / count + 0.5, sy / count + 0.5], touchesEdge })
  }
  return { labels, parts }
}

/**
 * The level between two crowds of values, by the greatest spread between their means (Otsu 1979), and how much of the
 * whole spread it explains, 0 to 1.
 */
export function otsu(values: ArrayLike<number>, low: number, high: number): { level: number; explained: number } {
  const BINS = 256
  const counts = new Float64Array(BINS)
  const step = (high - low) / BINS || 1
  for (let i = 0; i < values.length; i++)
    counts[Math.min(BINS - 1, Math.max(0, Math.floor((values[i]! - low) / step)))]! += 1
  const total = values.length
  const sum = counts.reduce((all, count, n) => all + count * n, 0)
  const squares = counts.reduce((all, count, n) => all + count * n * n, 0)
  const spread = squares / total - (sum / total) ** 2
  let [below, sumBelow, best, from, to] = [0, 0, -1, 0, 0]
  for (let n = 0; n < BINS - 1; n++) {
    below += counts[n]!
    sumBelow += n * counts[n]!
    if (below === 0 || below === total) continue
    const apart = (sumBelow / below - (sum - sumBelow) / (total - below)) ** 2
    const between = (below / total) * (1 - below / total) * apart
    if (between > best * (1 + 1e-9)) [best, from, to] = [between, n, n]
    else if (Math.abs(between - best) <= best * 1e-9) to = n
  }
  // The middle of the empty stretch between the crowds, where there is one.
  return { level: low + ((from + to) / 2 + 1) * step, explained: spread > 0 ? best / spread : 0 }
}
