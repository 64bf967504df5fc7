import { NoAnswer } from '../../ask/question'
import { slotAt, type Grid } from './grid'
import type { Probe } from './march'
import type { Place } from './setup'

/**
 * A probe this share of a cell outside the metal still counts as on its skin: stepped cells stand in and out by half of
 * one.
 */
const SKIN_SHARE = 0.9

const AXES = [0, 1, 2] as const

/** The solid cell nearest to a place, and none where that is further than the skin is rough. */
function nearestCell(grid: Grid, at: Place): [number, number, number] | null {
  const inCells = AXES.map(axis => (at[axis] - grid.originMm[axis]) / grid.stepMm[axis] - 0.5)
  const base = inCells.map(Math.round) as [number, number, number]
  let best: [number, number, number] | null = null
  let least = Infinity
  for (let k = base[2] - 1; k <= base[2] + 1; k++) {
    for (let j = base[1] - 1; j <= base[1] + 1; j++) {
      for (let i = base[0] - 1; i <= base[0] + 1; i++) {
        if (slotAt(grid, i, j, k) < 0) continue
        const away = Math.max(Math.abs(i - inCells[0]!), Math.abs(j - inCells[1]!), Math.abs(k - inCells[2]!))
        if (away < least) [best, least] = [[i, j, k], away]
      }
    }
  }
  return least <= 0.5 + SKIN_SHARE ? best : null
}

/**
 * Reads a place as a weighted sum of cells: the nearest cell, and along each axis the slope to its neighbour on that
 * side, or, at the skin, the slope from the other side carried on. Exact for fields that are linear.
 * @throws NoAnswer where the place lies outside the metal
 */
export function probeAt(grid: Grid, at: Place, name: string): Probe {
  const cell = nearestCell(grid, at)
  if (!cell)
    throw new NoAnswer(`${name} at ${at.map(mm => Math.round(mm * 10) / 10).join(', ')} mm lies outside the metal`)
  const weights = new Map<number, number>()
  const add = (slot: number, weight: number) => weights.set(slot, (weights.get(slot) ?? 0) + weight)
  const own = slotAt(grid, ...cell)
  add(own, 1)
  for (const axis of AXES) {
    const off = (at[axis] - grid.originMm[axis]) / grid.stepMm[axis] - 0.5 - cell[axis]
    const towards = Math.sign(off) || 1
    for (const side of [towards, -towards]) {
      const beside = slotAt(
        grid,
        ...(cell.map((index, a) => (a === axis ? index + side : index)) as [number, number, number]),
      )
      if (beside < 0) continue
      add(beside, off * side)
      add(own, -off * side)
      break
    }
  }
  return [...weights].map(([slot, weight]) => ({ slot, weight })).filter(({ weight }) => weight !== 0)
}
