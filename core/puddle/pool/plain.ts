import type { Cells, Fields, Goes, Solid } from './conduct'

/** The fields of a plate in plain JavaScript: the reference of the vectors, and what runs where there are none. */
export function plainFields({ nx, ny, nz }: Cells): Fields {
  const count = nx * ny * nz
  const layer = nx * ny
  const enthalpy = new Float64Array(count)
  const T = new Float64Array(count)
  const gained = new Float64Array(count)
  const present = new Uint8Array(count)
  const listed = new Int32Array(count)
  return {
    enthalpy,
    temperature: T,
    gained,
    present,
    setMetal: (cell, isThere) => {
      present[cell] = isThere ? 1 : 0
    },
    conduct: ([gx, gy, gz]: Goes) => {
      const out = 2 * (gx + gy + gz)
      for (let k = 0, n = 0; k < nz; k++) {
        const below = k > 0 ? -layer : 0
        const above = k + 1 < nz ? layer : 0
        for (let j = 0; j < ny; j++) {
          const front = j > 0 ? -nx : 0
          const back = j + 1 < ny ? nx : 0
          for (let i = 0; i < nx; i++, n++) {
            if (!present[n]) {
              gained[n] = 0
              continue
            }
            const own = T[n]!
            const left = i > 0 && present[n - 1] ? T[n - 1]! : own
            const right = i + 1 < nx && present[n + 1] ? T[n + 1]! : own
            gained[n] =
              gx * (left + right) +
              gy * ((present[n + front] ? T[n + front]! : own) + (present[n + back] ? T[n + back]! : own)) +
              gz * ((present[n + below] ? T[n + below]! : own) + (present[n + above] ? T[n + above]! : own)) -
              out * own
          }
        }
      }
    },
    warm: ({ beginsJ, halfJ, zeroC, perSolidJ }: Solid) => {
      let found = 0
      for (let n = 0; n < count; n++) {
        if (!present[n]) continue
        const before = enthalpy[n]!
        const after = before + gained[n]!
        if (after <= beginsJ && before <= halfJ) {
          enthalpy[n] = after
          T[n] = zeroC + after * perSolidJ
        } else listed[found++] = n
      }
      return listed.subarray(0, found)
    },
  }
}
