import { Matrix, SingularValueDecomposition } from 'ml-matrix'

type Triple = readonly [number, number, number]
export type FaceShape = 'flat' | 'crowned' | 'dished' | 'twisted' | 'bent'

/** A bow less than this share of the greater one counts as none: judgement. */
const BENT_SHARE = 0.25
/** Curved surface must explain this much of the unevenness to be called a shape at all: judgement. */
const EXPLAINS = 0.4
/** Flatter than this, mm, a bench calls flat: common practice, no source. */
const FLAT_MM = 0.005

export interface Bow {
  shape: FaceShape
  explainedPct: number
}

/**
 * The shape of a levelled face from the curved surface of second order nearest to it: both bows the same way is crowned
 * or dished, opposite ways twisted, one only bent. Bows are compared as what they rise over the face's own half
 * lengths.
 */
export function bowOf(points: readonly Triple[], zoneMm: number): Bow {
  const scale = [0, 1].map(axis => Math.max(...points.map(point => Math.abs(point[axis as 0 | 1])), 1e-9)) as [
    number,
    number,
  ]
  const rows = points.map(([x, y]) => {
    const [u, v] = [x / scale[0], y / scale[1]]
    return [1, u, v, u * u, u * v, v * v]
  })
  const z = points.map(point => point[2])
  const solve = (columns: readonly number[]) => {
    const matrix = new Matrix(rows.map(row => columns.map(column => row[column]!)))
    const fitted = new SingularValueDecomposition(matrix, { autoTranspose: true })
      .solve(Matrix.columnVector(z))
      .to1DArray()
    const left = rows.map((row, n) => z[n]! - columns.reduce((sum, column, i) => sum + fitted[i]! * row[column]!, 0))
    return { fitted, squares: left.reduce((sum, value) => sum + value * value, 0) }
  }
  const plain = solve([0, 1, 2])
  const curved = solve([0, 1, 2, 3, 4, 5])
  const explained = plain.squares > 0 ? 1 - curved.squares / plain.squares : 0
  if (zoneMm < FLAT_MM || explained < EXPLAINS) return { shape: 'flat', explainedPct: 100 * Math.max(0, explained) }
  const [, , , uu, uv, vv] = curved.fitted as [number, number, number, number, number, number]
  const middle = (uu + vv) / 2
  const apart = Math.hypot((uu - vv) / 2, uv / 2)
  const [first, second] =
    Math.abs(middle + apart) > Math.abs(middle - apart)
      ? [middle + apart, middle - apart]
      : [middle - apart, middle + apart]
  const shape =
    Math.abs(second) < BENT_SHARE * Math.abs(first)
      ? 'bent'
      : first * second < 0
        ? 'twisted'
        : first < 0
          ? 'crowned'
          : 'dished'
  return { shape, explainedPct: 100 * explained }
}
