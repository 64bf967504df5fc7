/** A plate's cells as conduction sees them: layers from the base up, each in rows along x. */
export interface Cells {
  readonly nx: number
  readonly ny: number
  readonly nz: number
  readonly dx: number
  readonly dy: number
  readonly dz: number
  /** °C of each. */
  readonly temperature: Float64Array
  /** 1 where a cell holds metal. */
  readonly present: Uint8Array
}

/**
 * Heat that every cell gains by conduction, J/mm³, where all hold metal; nothing flows out of the plate. Explicit, by
 * central differences: a cell at a side has itself for a neighbour there.
 * @param carries conductivity times the step, W·s/(mm·K)
 */
export function conductWhole({ nx, ny, nz, dx, dy, dz, temperature: T }: Cells, carries: number, gained: Float64Array) {
  const [gx, gy, gz] = [carries / dx ** 2, carries / dy ** 2, carries / dz ** 2]
  const layer = nx * ny
  const out = 2 * (gx + gy + gz)
  for (let k = 0; k < nz; k++) {
    const below = k > 0 ? -layer : 0
    const above = k + 1 < nz ? layer : 0
    for (let j = 0; j < ny; j++) {
      const front = j > 0 ? -nx : 0
      const back = j + 1 < ny ? nx : 0
      const first = k * layer + j * nx
      const last = first + nx - 1
      for (let n = first; n <= last; n++) {
        const left = n > first ? T[n - 1]! : T[n]!
        const right = n < last ? T[n + 1]! : T[n]!
        gained[n] =
          gx * (left + right) + gy * (T[n + front]! + T[n + back]!) + gz * (T[n + below]! + T[n + above]!) - out * T[n]!
      }
    }
  }
}

/** The same where some cells hold no metal: nothing flows into or out of those. */
export function conductBetween(
  { nx, ny, nz, dx, dy, dz, temperature: T, present }: Cells,
  carries: number,
  gained: Float64Array,
) {
  const [gx, gy, gz] = [carries / dx ** 2, carries / dy ** 2, carries / dz ** 2]
  const layer = nx * ny
  gained.fill(0)
  let n = 0
  for (let k = 0; k < nz; k++)
    for (let j = 0; j < ny; j++)
      for (let i = 0; i < nx; i++, n++) {
        if (!present[n]) continue
        const here = T[n]!
        let sum = gained[n]!
        if (i + 1 < nx && present[n + 1]) {
          const flow = gx * (T[n + 1]! - here)
          sum += flow
          gained[n + 1] = gained[n + 1]! - flow
        }
        if (j + 1 < ny && present[n + nx]) {
          const flow = gy * (T[n + nx]! - here)
          sum += flow
          gained[n + nx] = gained[n + nx]! - flow
        }
        if (k + 1 < nz && present[n + layer]) {
          const flow = gz * (T[n + layer]! - here)
          sum += flow
          gained[n + layer] = gained[n + layer]! - flow
        }
        gained[n] = sum
      }
}
