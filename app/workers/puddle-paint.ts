import { meltedShare } from '#core/puddle/pool/melt'
import type { Pool } from '#core/puddle/pool/pool'

export interface Painted {
  wide: number
  high: number
  rgba: Uint8ClampedArray<ArrayBuffer>
}
interface Torch {
  xMm: number
  yMm: number
  arcMm: number
  a: number
}

/** Points to a cell, each way. */
const FINE = 4
/** Colours of what a welder sees through the glass: no glow, only dull, frosted, bright. */
const DULL = [74, 77, 80] as const
const FROSTED = [128, 133, 138] as const
const BRIGHT = [214, 224, 233] as const
const DIRTY = [38, 31, 24] as const
const GONE = [9, 9, 11] as const
const BACKED = [64, 38, 22] as const
/** How much slopes catch the light and at most, and how far out from the arc the melt mirrors it, mm. */
const SLOPE = 0.55
const MOST_SLOPE = 0.55
const MIRROR_MM = 5

/** Noise that stays with its place, 0 to 1: grain of the metal, specks in the melt. */
function grain(x: number, y: number): number {
  let n = Math.imul(x, 374761393) + Math.imul(y, 668265263)
  n = Math.imul(n ^ (n >>> 13), 1274126177)
  return ((n ^ (n >>> 16)) >>> 0) / 4294967296
}

/** A field of the columns, each the mean of its neighbours under 1 2 1, so that no edge of a cell shows. */
function soft(field: Float32Array, nx: number, ny: number): Float32Array {
  const pass = (from: Float32Array, step: number, at: (n: number) => number, most: number) => {
    const out = new Float32Array(from.length)
    for (let n = 0; n < from.length; n++) {
      const here = at(n)
      out[n] = (from[here > 0 ? n - step : n]! + 2 * from[n]! + from[here < most - 1 ? n + step : n]!) / 4
    }
    return out
  }
  return pass(
    pass(field, 1, n => n % nx, nx),
    nx,
    n => Math.floor(n / nx),
    ny,
  )
}

/** How the light falls on the slopes of what was built up, −1 to 1, for each column. */
function slopesOf(height: Float32Array, { nx, ny, dx, dy }: Pool): Float32Array {
  const smooth = soft(soft(height, nx, ny), nx, ny)
  return smooth.map((_, n) => {
    const [i, j] = [n % nx, Math.floor(n / nx)]
    const across = smooth[i + 1 < nx ? n + 1 : n]! - smooth[i > 0 ? n - 1 : n]!
    const down = smooth[j + 1 < ny ? n + nx : n]! - smooth[j > 0 ? n - nx : n]!
    return Math.max(-MOST_SLOPE, Math.min(MOST_SLOPE, SLOPE * (across / (2 * dx) + down / (2 * dy))))
  })
}

/** What is seen of the plate from above, drawn from its fields. */
export function paintPlate(pool: Pool, torch: Torch | null): Painted {
  const { nx, ny, top, enthalpy, melt, dx, dy } = pool
  const layer = nx * ny
  const share = new Float32Array(layer)
  const height = new Float32Array(layer)
  for (let column = 0; column < layer; column++) {
    const cell = top[column]!
    share[column] = cell < 0 ? 0 : meltedShare(melt, enthalpy[cell]!)
    height[column] = cell < 0 ? 0 : pool.surfaceMm(column)
  }
  const molten = soft(share, nx, ny)
  const slopes = slopesOf(height, pool)
  const [oxide, dirt] = [soft(pool.oxide, nx, ny), soft(pool.dirt, nx, ny)]
  const [wide, high] = [nx * FINE, ny * FINE]
  const rgba = new Uint8ClampedArray(wide * high * 4)
  const burns = torch !== null && torch.a > 0
  for (let py = 0; py < high; py++) {
    const fy = (py + 0.5) / FINE - 0.5
    const j = Math.min(ny - 2, Math.max(0, Math.floor(fy)))
    const v = Math.min(1, Math.max(0, fy - j))
    const yMm = ((py + 0.5) / FINE) * dy
    for (let px = 0; px < wide; px++) {
      const out = 4 * (py * wide + px)
      rgba[out + 3] = 255
      const fx = (px + 0.5) / FINE - 0.5
      const i = Math.min(nx - 2, Math.max(0, Math.floor(fx)))
      const u = Math.min(1, Math.max(0, fx - i))
      const a = i + nx * j
      const c = a + nx
      if (top[(u < 0.5 ? 0 : 1) + (v < 0.5 ? a : c)]! < 0) {
        const gone = pool.backed ? BACKED : GONE
        for (let k = 0; k < 3; k++) rgba[out + k] = gone[k]!
        continue
      }
      const [wa, wb, wc, wd] = [(1 - u) * (1 - v), u * (1 - v), (1 - u) * v, u * v]
      const at = (field: Float32Array) => field[a]! * wa + field[a + 1]! * wb + field[c]! * wc + field[c + 1]! * wd
      const melted = at(molten)
      const slope = at(slopes)
      const filth = at(dirt)
      const skin = at(oxide)
      const wet = Math.min(1, Math.max(0, (melted - 0.42) * 8))
      const rough = 1 - slope + (grain(px, py) - 0.5) * 0.12
      const xMm = ((px + 0.5) / FINE) * dx
      const glint = burns ? Math.exp(-(((xMm - torch.xMm) ** 2 + (yMm - torch.yMm) ** 2) / MIRROR_MM ** 2)) : 0.25
      const mirror = (0.62 + 0.38 * glint) * (1 - 0.5 * slope)
      // The rim is dark: the melt curves down to it and mirrors nothing.
      const rim = 1 - 0.7 * Math.max(0, 1 - Math.abs(melted - 0.5) * 3.2)
      const specks = wet > 0.5 ? (grain(px >> 1, (py >> 1) + 999) < filth * 0.45 ? 0.85 : 0) : filth * 0.75
      for (let k = 0; k < 3; k++) {
        const solid = (DULL[k]! * skin + FROSTED[k]! * (1 - skin)) * rough
        const seen = (solid * (1 - wet) + BRIGHT[k]! * mirror * wet) * rim
        rgba[out + k] = seen * (1 - specks) + DIRTY[k]! * specks
      }
    }
  }
  return { wide, high, rgba }
}

/** What hangs out under the plate is drawn to so far, mm. */
const HANGS_MM = 1.5
/** Cold to melting in the cut, and the melt. */
const COLD = [52, 58, 66] as const
const HOT = [176, 96, 62] as const

/** The cut through the plate under the torch, along the travel; the top of it up. */
export function paintCut(pool: Pool, torch: Torch | null): Painted {
  const { nx, ny, nz, present, enthalpy, temperature, melt } = pool
  const j = Math.min(ny - 1, Math.max(0, Math.floor((torch?.yMm ?? (ny * pool.dy) / 2) / pool.dy)))
  // Room under the plate for what hangs out of it.
  const below = pool.backed ? 0 : Math.ceil((HANGS_MM * FINE) / pool.dz)
  const [wide, high] = [nx * FINE, nz * FINE + below]
  const rgba = new Uint8ClampedArray(wide * high * 4)
  for (let py = 0; py < high; py++)
    for (let px = 0; px < wide; px++) {
      const i = Math.floor(px / FINE)
      const k = Math.floor(nz - (py + 0.5) / FINE + pool.sag[i + nx * j]! / pool.dz)
      const out = 4 * (py * wide + px)
      rgba[out + 3] = 255
      if (k < 0 || k >= nz) {
        for (let n = 0; n < 3; n++) rgba[out + n] = GONE[n]!
        continue
      }
      const cell = i + nx * (j + ny * k)
      const warm = Math.min(1, Math.max(0, (temperature[cell]! - 20) / (melt.solidusC - 20)))
      const isMelt = meltedShare(melt, enthalpy[cell]!) > 0.5
      for (let n = 0; n < 3; n++)
        rgba[out + n] = !present[cell]
          ? k === 0 && pool.backed
            ? BACKED[n]!
            : GONE[n]!
          : isMelt
            ? BRIGHT[n]!
            : COLD[n]! * (1 - warm) + HOT[n]! * warm
    }
  return { wide, high, rgba }
}
