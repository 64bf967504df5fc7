import type { QuickRun } from '../heat/bench/quick'
import { forEachCell } from '../heat/field/grid'
import type { Flat, Triple } from '../solid/forms'
import { onSheet, VIEWS, type ViewId } from '../solid/views'

/** A part's cells at some moments while a flame is on it and after. */
export interface HeatMap {
  originMm: Triple
  stepMm: Triple
  /** i, j and k of each cell, one cell after another. */
  cells: Uint16Array
  moments: HeatMoment[]
}
export interface HeatMoment {
  s: number
  flame: 'on' | 'off'
  /** Tenths of a degree of each cell. */
  tenths: Int16Array
}

/**
 * How a place stands at a reading when the flame was taken off at another: what it would have come to, less what the
 * same flame does from then on. Exact where losses are in proportion to the temperature.
 */
export const after = (valueAt: (reading: number) => number, offAt: number, at: number, start: number): number =>
  at <= offAt ? valueAt(at) : start + valueAt(at) - valueAt(at - offAt)

/** Shares of the time under the flame, and readings after it, that are kept. */
const WHILE_ON = [0.25, 0.5, 0.75, 1] as const
const THEN_S = [60, 240] as const

/**
 * The field of a run at some moments: as the flame goes on, as it is taken off, and while the part soaks.
 * @param run with its whole field kept, at even readings, the flame on all the time
 * @param offAt the reading at which the flame is taken off
 */
export function heatMap({ grid, frames }: QuickRun, offAt: number, startC: number, everyS: number): HeatMap {
  const slots: number[] = []
  const cells: number[] = []
  forEachCell(grid, (slot, i, j, k) => {
    slots.push(slot)
    cells.push(i, j, k)
  })
  const last = frames.length - 1
  const readings = [
    ...WHILE_ON.map(share => Math.round(share * offAt)),
    ...THEN_S.map(s => offAt + Math.round(s / everyS)),
  ].filter(at => at <= last)
  return {
    originMm: [...grid.originMm],
    stepMm: [...grid.stepMm],
    cells: Uint16Array.from(cells),
    moments: [...new Set(readings)].map(at => ({
      s: at * everyS,
      flame: at <= offAt ? 'on' : 'off',
      tenths: Int16Array.from(slots, slot => after(reading => frames[reading]![slot]!, offAt, at, 10 * startC)),
    })),
  }
}

/** One cell as it is seen in a view, mm on its sheet. */
export interface WarmSquare {
  low: Flat
  high: Flat
  c: number
}

/**
 * A map's cells as a view shows them: of those behind one another the nearest, or the nearest behind a cut.
 * @param cutMm where the part is cut through along the view's axis; null, it is seen whole
 */
export function seenWarm(map: HeatMap, { tenths }: HeatMoment, view: ViewId, cutMm: number | null): WarmSquare[] {
  const { axis } = VIEWS[view]
  // From above the near side is the high one; from the front and the left, the low one.
  const nearer = view === 'plan' ? 1 : -1
  const nearest = new Map<string, number>()
  const cell = (n: number): Triple => [map.cells[3 * n]!, map.cells[3 * n + 1]!, map.cells[3 * n + 2]!]
  const corner = (at: Triple, more: number): Triple =>
    at.map((index, a) => map.originMm[a]! + (index + more) * map.stepMm[a]!) as Triple
  for (let n = 0; n < tenths.length; n++) {
    const at = cell(n)
    if (cutMm !== null && nearer * (corner(at, 0.5)[axis] - cutMm) > 0) continue
    const column = onSheet(view, at).join()
    const before = nearest.get(column)
    if (before === undefined || nearer * (at[axis] - cell(before)[axis]) > 0) nearest.set(column, n)
  }
  return [...nearest.values()].map(n => ({
    low: onSheet(view, corner(cell(n), 0)),
    high: onSheet(view, corner(cell(n), 1)),
    c: tenths[n]! / 10,
  }))
}
