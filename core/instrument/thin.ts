import type { ReadingLine } from './reading.schema'

/**
 * Readings thinned to about so many, each channel of each instrument by itself and evenly, its first and last among
 * them: thinning them all together would drop a whole channel where two take turns. In the order they came.
 */
export function thinned<Line extends Pick<ReadingLine, 'instrument' | 'channel'>>(
  readings: readonly Line[],
  most: number,
): Line[] {
  if (readings.length <= most) return [...readings]
  const channels = new Map<string, number[]>()
  readings.forEach(({ instrument, channel }, n) => {
    const key = JSON.stringify([instrument, channel])
    const places = channels.get(key)
    if (places) places.push(n)
    else channels.set(key, [n])
  })
  const each = Math.max(2, Math.floor(most / channels.size))
  const kept = new Set<number>()
  for (const places of channels.values()) {
    const count = Math.min(each, places.length)
    for (let n = 0; n < count; n++)
      kept.add(places[count === 1 ? 0 : Math.round((n * (places.length - 1)) / (count - 1))]!)
  }
  return readings.filter((_, n) => kept.has(n))
}
