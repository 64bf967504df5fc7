import { describe, expect, it } from 'vitest'
import { cut } from '../../solid/mask'
import { gridOf, type Grid } from './grid'
import type { Place } from './setup'
import { seenByFlame, seenFrom, spread } from './spot'

/** A plate that stands 120 mm behind another, both seen from the left. */
const two = (apartMm: number) =>
  gridOf(
    cut(
      {
        kind: 'union',
        parts: [
          { shape: { kind: 'box', xMm: 4, yMm: 80, zMm: 80 }, atMm: [0, 0, 0], lies: 'up', cut: false },
          { shape: { kind: 'box', xMm: apartMm, yMm: 80, zMm: 4 }, atMm: [0, 0, 0], lies: 'up', cut: false },
          { shape: { kind: 'box', xMm: 4, yMm: 80, zMm: 80 }, atMm: [apartMm, 0, 0], lies: 'up', cut: false },
        ],
      },
      2,
    ),
  )
/** Share of a spot that lands beyond half the way, and in all. */
function landed(grid: Grid, at: Place, seen: ReturnType<typeof seenFrom>) {
  const far = new Set<number>()
  for (let s = 0; s < grid.segments.length; s += 5) {
    const [slot, length, i] = grid.segments.subarray(s, s + 5) as unknown as [number, number, number]
    for (let n = 0; n < length; n++) if (grid.originMm[0] + (i + n) * grid.stepMm[0] > at[0] / 2) far.add(slot + n)
  }
  let beyond = 0
  const all = spread(seen, at, 15, (slot, share) => {
    if (far.has(slot)) beyond += share
  })
  return { beyond, all }
}

describe('a flame', () => {
  it('held behind a wall does not heat it, and falls on what it is pointed at', () => {
    const grid = two(120)
    const at: Place = [120, 40, 40]
    expect(landed(grid, at, seenFrom(grid, 'left')).beyond).toBeLessThan(0.01)
    const { beyond, all } = landed(grid, at, seenByFlame(grid, 'left', [at], 15))
    expect(beyond).toBeGreaterThan(0.95)
    expect(all).toBeCloseTo(beyond, 6)
  })
  it('is stopped by a wall nearer than a torch is held', () => {
    const grid = two(40)
    const at: Place = [40, 40, 40]
    expect(landed(grid, at, seenByFlame(grid, 'left', [at], 15)).beyond).toBeLessThan(0.01)
  })
  it('heats no metal from within: a place said deep inside is its outside', () => {
    const block = gridOf(cut({ kind: 'box', xMm: 200, yMm: 40, zMm: 40 }, 4))
    const seen = seenByFlame(block, 'left', [[150, 20, 20]], 10)
    expect([...seen.slot]).toEqual([...seenFrom(block, 'left').slot])
  })
})
