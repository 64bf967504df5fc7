import type { Flat } from './forms'
import { onSheet, viewOf } from './views'
import type { Shape } from './shape.schema'

/** A view small enough for a list: outlines as SVG path data in a box of its own size. */
export interface SmallView {
  wide: number
  high: number
  layers: { d: string; edge: boolean }[]
  /** What is mended, as open or single-point lines on it. */
  marks: string[]
}

const round = (value: number) => Math.round(value * 10) / 10
const pathData = (points: readonly Flat[], closed: boolean) =>
  points.length ? `M${points.map(([x, y]) => `${round(x)} ${round(y)}`).join('L')}${closed ? 'Z' : ''}` : ''

/**
 * A part from above, fitted into a box; lines on the part are laid over it.
 * @param shape the part, mm
 * @param lines places along each mend, mm in the part
 * @param box width and height of the box, in the drawing's own units; the part is centred in it with a small margin
 */
export function smallView(
  shape: Exclude<Shape, { kind: 'voxels' }>,
  lines: readonly (readonly Readonly<[number, number, number]>[])[],
  box: Flat,
): SmallView {
  const { layers, low, high } = viewOf(shape, 'plan')
  const margin = 4
  const [partWide, partHigh] = [Math.max(1e-6, high[0] - low[0]), Math.max(1e-6, high[1] - low[1])]
  const scale = Math.min((box[0] - 2 * margin) / partWide, (box[1] - 2 * margin) / partHigh)
  const [left, top] = [(box[0] - partWide * scale) / 2, (box[1] - partHigh * scale) / 2]
  const at = ([x, y]: Readonly<Flat>): Flat => [left + (x - low[0]) * scale, top + (high[1] - y) * scale]
  return {
    wide: box[0],
    high: box[1],
    layers: layers.map(({ rings, edge }) => ({ d: rings.map(ring => pathData(ring.map(at), true)).join(''), edge })),
    marks: lines.map(line =>
      pathData(
        (line.length === 1 ? [line[0]!, line[0]!] : line).map(place => at(onSheet('plan', [...place]))),
        false,
      ),
    ),
  }
}
