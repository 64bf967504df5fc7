/** Corner n of a cell lies at bit 0 along x, bit 1 along y, bit 2 along z; its displacement along c is entry 3n + c. */
export const CORNERS = 8
const DOF = 24
/** Three Gauss points along each way: exact for the products of the modes below. Source: Gauss–Legendre. */
const POINTS: readonly (readonly [at: number, weight: number])[] = [
  [-Math.sqrt(3 / 5), 5 / 9],
  [0, 8 / 9],
  [Math.sqrt(3 / 5), 5 / 9],
]
const sign = (corner: number, axis: number) => (corner & (1 << axis) ? 1 : -1)
const bits = (mode: number) => [mode & 1, (mode >> 1) & 1, (mode >> 2) & 1] as const

/** Stress from strain, xx yy zz xy yz zx with engineering shear: Hooke's law. Row by row, 6 × 6, MPa. */
export function hooke(youngMPa: number, poisson: number): Float64Array {
  const shear = youngMPa / (2 * (1 + poisson))
  const lame = (youngMPa * poisson) / ((1 + poisson) * (1 - 2 * poisson))
  const found = new Float64Array(36)
  for (let n = 0; n < 3; n++) {
    for (let m = 0; m < 3; m++) found[6 * n + m] = lame + (n === m ? 2 * shear : 0)
    found[6 * (n + 3) + n + 3] = shear
  }
  return found
}

/** Strain of a displacement gradient: which entries of the strain each component's three slopes go into. */
const STRAIN_OF = [
  [0, 3, 5],
  [3, 1, 4],
  [5, 4, 2],
] as const

/** Columns of strain, 6 each, for slopes of one function moved along each component. */
function strainColumns(slopes: readonly number[], into: Float64Array, column: number, width: number) {
  for (let c = 0; c < 3; c++) for (let d = 0; d < 3; d++) into[width * STRAIN_OF[c]![d]! + column + c] = slopes[d]!
}

/** A x = b by elimination with pivots, many right sides at once; for the nine inner modes of a cell. */
function solved(a: Float64Array, n: number, b: Float64Array, m: number): Float64Array {
  const [matrix, right] = [a.slice(), b.slice()]
  for (let col = 0; col < n; col++) {
    let pivot = col
    for (let row = col + 1; row < n; row++)
      if (Math.abs(matrix[row * n + col]!) > Math.abs(matrix[pivot * n + col]!)) pivot = row
    for (let k = 0; k < n; k++)
      [matrix[col * n + k], matrix[pivot * n + k]] = [matrix[pivot * n + k]!, matrix[col * n + k]!]
    for (let k = 0; k < m; k++)
      [right[col * m + k], right[pivot * m + k]] = [right[pivot * m + k]!, right[col * m + k]!]
    for (let row = 0; row < n; row++) {
      if (row === col) continue
      const factor = matrix[row * n + col]! / matrix[col * n + col]!
      if (!factor) continue
      for (let k = col; k < n; k++) matrix[row * n + k]! -= factor * matrix[col * n + k]!
      for (let k = 0; k < m; k++) right[row * m + k]! -= factor * right[col * m + k]!
    }
  }
  for (let row = 0; row < n; row++) for (let k = 0; k < m; k++) right[row * m + k]! /= matrix[row * n + row]!
  return right
}

/** Stiffness of a cell, and the same by its symmetries. */
export interface Element {
  stepMm: readonly [number, number, number]
  /** 24 × 24, N/mm. */
  full: Float64Array
  /**
   * Eight blocks of 3 × 3: in the cell's own ways of moving (products of x, y and z over the cell) a box falls apart
   * into classes by what mirroring does to them, each with one way for each component.
   */
  blocks: Float64Array
  /** Its own diagonal, the same for every corner, by component. */
  diagonal: readonly [number, number, number]
  hooke: Float64Array
  /** How far its nine inner modes go for each entry of its corners, 9 × 24: three rows a mode, one a component. */
  inner: Float64Array
}

/**
 * Stiffness of an eight-node box with incompatible modes, which bends right with one cell through a wall.
 *
 * Source: Wilson, Taylor, Doherty and Ghaboussi 1973; on boxes it passes the patch test (Taylor, Beresford and Wilson
 * 1976). The split by mirror symmetry is exact (tested against the full matrix).
 */
export function elementOf(stepMm: readonly [number, number, number], youngMPa: number, poisson: number): Element {
  const law = hooke(youngMPa, poisson)
  const volume = stepMm[0] * stepMm[1] * stepMm[2]
  const width = DOF + 9
  const all = new Float64Array(width * width)
  for (const [x, wx] of POINTS)
    for (const [y, wy] of POINTS)
      for (const [z, wz] of POINTS) {
        const at = [x, y, z]
        const strain = new Float64Array(6 * width)
        for (let n = 0; n < CORNERS; n++) {
          const half = at.map((value, axis) => 1 + sign(n, axis) * value)
          const slopes = [0, 1, 2].map(axis => {
            const others = half.reduce((product, value, way) => (way === axis ? product : product * value), 1)
            return (sign(n, axis) * others) / 8 / (stepMm[axis]! / 2)
          })
          strainColumns(slopes, strain, 3 * n, width)
        }
        for (let mode = 0; mode < 3; mode++) {
          const slopes = [0, 0, 0]
          slopes[mode] = (-2 * at[mode]!) / (stepMm[mode]! / 2)
          strainColumns(slopes, strain, DOF + 3 * mode, width)
        }
        const weight = (wx * wy * wz * volume) / 8
        for (let a = 0; a < width; a++) {
          const stress = new Float64Array(6)
          for (let p = 0; p < 6; p++) for (let q = 0; q < 6; q++) stress[p]! += law[6 * p + q]! * strain[width * q + a]!
          for (let b = 0; b < width; b++)
            for (let p = 0; p < 6; p++) all[a * width + b]! += weight * stress[p]! * strain[width * p + b]!
        }
      }
  // The inner modes carry no load of their own, so they are worked out of the matrix beforehand.
  const inner = new Float64Array(81)
  const across = new Float64Array(9 * DOF)
  for (let n = 0; n < 9; n++) {
    for (let m = 0; m < 9; m++) inner[9 * n + m] = all[(DOF + n) * width + DOF + m]!
    for (let m = 0; m < DOF; m++) across[DOF * n + m] = all[(DOF + n) * width + m]!
  }
  const followed = solved(inner, 9, across, DOF)
  const full = new Float64Array(DOF * DOF)
  for (let a = 0; a < DOF; a++)
    for (let b = 0; b < DOF; b++) {
      let value = all[a * width + b]!
      for (let n = 0; n < 9; n++) value -= all[a * width + DOF + n]! * followed[DOF * n + b]!
      full[DOF * a + b] = value
    }
  return {
    stepMm,
    full,
    blocks: classBlocks(full),
    diagonal: [full[0]!, full[25]!, full[50]!],
    hooke: law,
    inner: followed.map(value => -value),
  }
}

/** The way of moving along c that belongs to a class. */
export const modeOf = (klass: number, c: number) => klass ^ (1 << c)

function classBlocks(full: Float64Array): Float64Array {
  const shape = (mode: number, corner: number) =>
    bits(mode).reduce((product: number, bit, axis) => (bit ? product * sign(corner, axis) : product), 1)
  const blocks = new Float64Array(72)
  for (let klass = 0; klass < 8; klass++)
    for (let c = 0; c < 3; c++)
      for (let d = 0; d < 3; d++) {
        let sum = 0
        for (let n = 0; n < CORNERS; n++)
          for (let m = 0; m < CORNERS; m++)
            sum += shape(modeOf(klass, c), n) * full[DOF * (3 * n + c) + 3 * m + d]! * shape(modeOf(klass, d), m)
        blocks[9 * klass + 3 * c + d] = sum / 64
      }
  return blocks
}
