import type { ArcNow } from './arc'
import { enthalpyAt, meltedShare, meltOf, temperatureOf, ZERO_C, type Melt } from './melt'
import type { Alloy } from '../../metal/alloys.table'
import {
  BURNS_FROM_C,
  BURNS_PER_S,
  CLEANS_PER_S,
  CLEANS_WIDE,
  COMES_UP_PER_S,
  DIP_MM,
  DIRT,
  FLOATS_PER_S,
  SPECKS_PER_MM2,
  WETS_DIRT,
  WETS_OXIDE,
  type Dirt,
} from './surface.table'

/** Of the greatest step that explicit conduction bears. */
const STEP_SHARE = 0.9
/** A cell counts as melt over this share. */
export const MELT = 0.5
/** Stefan–Boltzmann, W/(mm²·K⁴), and 0 °C in kelvin. */
const SIGMA = 5.670374e-14
const KELVIN = 273.15
const FILM_WMM2K = 10e-6
const EMISSIVITY = 0.2
const AIR_C = 20
const AIR_K4 = (AIR_C + KELVIN) ** 4
/** Gaussian reaches no further than this many of its radii. */
const REACH = 2.2

export interface Plate {
  xMm: number
  yMm: number
  zMm: number
}
export interface Spot {
  xMm: number
  yMm: number
}

/** What of the puddle is to be seen at one moment. */
export interface Seen {
  widthMm: number
  lengthMm: number
  depthMm: number
  /** Hottest of the melt; of the metal where nothing is molten. */
  peakC: number
  through: boolean
}

/**
 * A plate under an arc: heat with melting in three ways, oxide and dirt on its skin, and what rod puts on it. Enthalpy
 * method, explicit; the added rod makes the topmost cells heavier, so that energy closes.
 *
 * Sources: Voller and Cross 1981 for the enthalpy method; Gaussian flux after Pavelic. Left out: flow of the melt (its
 * conductivity is the solid's), surface tension, evaporation.
 */
export class Pool {
  readonly melt: Melt
  readonly nx: number
  readonly ny: number
  readonly nz: number
  readonly dx: number
  readonly dy: number
  readonly dz: number
  readonly stepS: number
  /** Enthalpy of every cell, J/mm³; the top layer is last. */
  readonly enthalpy: Float64Array
  readonly temperature: Float64Array
  /** How many times a cell's own metal the topmost ones hold. */
  readonly load: Float64Array
  readonly oxide: Float32Array
  readonly dirt: Float32Array
  readonly inside: Float32Array
  /** Whether a cell of the skin, and any cell, was ever molten. */
  readonly everSkin: Uint8Array
  readonly ever: Uint8Array
  enteredJ = 0
  lostJ = 0
  specks = 0
  addedG = 0
  /** Whether anything was ever molten. */
  began = false
  /** Whether the air takes heat; not, in a check of conduction alone. */
  cools = true
  private readonly gained: Float64Array
  private readonly cellMm3: number
  private readonly topFirst: number
  private readonly startJ: number

  constructor(
    alloy: Alloy,
    plate: Plate,
    cellMm: number,
    startC: number,
    dirt: Dirt,
    private readonly enPct: number,
  ) {
    this.melt = meltOf(alloy)
    ;[this.nx, this.ny, this.nz] = [plate.xMm, plate.yMm, plate.zMm].map(size =>
      Math.max(1, Math.round(size / cellMm)),
    ) as [number, number, number]
    ;[this.dx, this.dy, this.dz] = [plate.xMm / this.nx, plate.yMm / this.ny, plate.zMm / this.nz]
    const { nx, ny, nz, melt } = this
    const count = nx * ny * nz
    this.cellMm3 = this.dx * this.dy * this.dz
    this.topFirst = nx * ny * (nz - 1)
    this.enthalpy = new Float64Array(count).fill(enthalpyAt(melt, startC))
    this.temperature = new Float64Array(count).fill(startC)
    this.gained = new Float64Array(count)
    this.load = new Float64Array(nx * ny).fill(1)
    this.oxide = new Float32Array(nx * ny).fill(1)
    this.dirt = new Float32Array(nx * ny).fill(DIRT[dirt].onSkin)
    this.inside = new Float32Array(nx * ny).fill(DIRT[dirt].inside)
    this.everSkin = new Uint8Array(nx * ny)
    this.ever = new Uint8Array(count)
    const sum = 1 / this.dx ** 2 + 1 / this.dy ** 2 + 1 / this.dz ** 2
    this.stepS = (STEP_SHARE * melt.solidJ) / (2 * melt.conducts * sum)
    this.startJ = this.storedJ()
  }

  get volumeMm3(): number {
    return this.cellMm3
  }
  private storedJ(): number {
    const [first, volume] = [this.topFirst, this.volumeMm3]
    let sum = 0
    for (let n = 0; n < this.enthalpy.length; n++)
      sum += this.enthalpy[n]! * (n >= first ? this.load[n - first]! : 1) * volume
    return sum
  }
  /** What came in less what went out and what stayed, of what came in, %. */
  get imbalancePct(): number {
    return this.enteredJ > 0 ? (100 * (this.enteredJ - this.lostJ - (this.storedJ() - this.startJ))) / this.enteredJ : 0
  }

  /** One step of at most `stepS` with the arc at a place; null, it is out. */
  step(seconds: number, arc: ArcNow | null, at: Spot): void {
    this.conduct(seconds)
    if (this.cools) this.lose(seconds)
    if (arc) this.heat(seconds, arc, at)
    this.settle(seconds)
    this.clean(seconds, arc, at)
  }

  private conduct(seconds: number) {
    const { nx, ny, nz, temperature: T, gained } = this
    const carries = this.melt.conducts * seconds
    const gx = carries / this.dx ** 2
    const gy = carries / this.dy ** 2
    const gz = carries / this.dz ** 2
    const layer = nx * ny
    gained.fill(0)
    let n = 0
    for (let k = 0; k < nz; k++) {
      const up = k + 1 < nz
      for (let j = 0; j < ny; j++) {
        const back = j + 1 < ny
        for (let i = 0; i < nx; i++, n++) {
          const here = T[n]!
          let sum = gained[n]!
          if (i + 1 < nx) {
            const flow = gx * (T[n + 1]! - here)
            sum += flow
            gained[n + 1] = gained[n + 1]! - flow
          }
          if (back) {
            const flow = gy * (T[n + nx]! - here)
            sum += flow
            gained[n + nx] = gained[n + nx]! - flow
          }
          if (up) {
            const flow = gz * (T[n + layer]! - here)
            sum += flow
            gained[n + layer] = gained[n + layer]! - flow
          }
          gained[n] = sum
        }
      }
    }
  }

  private lose(seconds: number) {
    const { nx, ny, nz } = this
    const layer = nx * ny
    const [flat, along, across] = [this.dx * this.dy, this.dx * this.dz, this.dy * this.dz]
    for (let n = 0; n < layer; n++) {
      this.coolCell(n, flat * seconds)
      this.coolCell(n + layer * (nz - 1), flat * seconds)
    }
    for (let k = 0; k < nz; k++) {
      for (let j = 0; j < ny; j++) {
        this.coolCell(k * layer + j * nx, across * seconds)
        this.coolCell(k * layer + j * nx + nx - 1, across * seconds)
      }
      for (let i = 0; i < nx; i++) {
        this.coolCell(k * layer + i, along * seconds)
        this.coolCell(k * layer + (ny - 1) * nx + i, along * seconds)
      }
    }
  }
  private coolCell(cell: number, areaSeconds: number) {
    const C = this.temperature[cell]!
    const kelvin = C + KELVIN
    const square = kelvin * kelvin
    const lost = (FILM_WMM2K * (C - AIR_C) + EMISSIVITY * SIGMA * (square * square - AIR_K4)) * areaSeconds
    this.gained[cell] = this.gained[cell]! - lost / this.cellMm3
    this.lostJ += lost
  }

  /** Cells of the skin within reach of a place, as i, j from and to. */
  private near({ xMm, yMm }: Spot, reachMm: number): [number, number, number, number] {
    const low = (mm: number, step: number) => Math.max(0, Math.floor((mm - reachMm) / step))
    return [
      low(xMm, this.dx),
      Math.min(this.nx - 1, Math.floor((xMm + reachMm) / this.dx)),
      low(yMm, this.dy),
      Math.min(this.ny - 1, Math.floor((yMm + reachMm) / this.dy)),
    ]
  }

  private heat(seconds: number, { powerW, radiusMm }: ArcNow, at: Spot) {
    const [i0, i1, j0, j1] = this.near(at, REACH * radiusMm)
    const peak = ((2 * powerW) / (Math.PI * radiusMm ** 2)) * seconds
    for (let j = j0; j <= j1; j++)
      for (let i = i0; i <= i1; i++) {
        const [x, y] = [(i + 0.5) * this.dx - at.xMm, (j + 0.5) * this.dy - at.yMm]
        const share = peak * Math.exp((-2 * (x * x + y * y)) / radiusMm ** 2)
        this.gained[this.topFirst + i + this.nx * j]! += share / this.dz
        this.enteredJ += share * this.dx * this.dy
      }
  }

  private settle(seconds: number) {
    const { enthalpy: h, gained, temperature: T, load, ever } = this
    const { beginsJ, endsJ, solidusC, liquidusC, solidJ, liquidJ } = this.melt
    const span = endsJ - beginsJ
    const half = beginsJ + MELT * span
    const layer = this.nx * this.ny
    const first = this.topFirst
    const skin = this.dx * this.dy * SPECKS_PER_MM2
    const up = (COMES_UP_PER_S * seconds) / this.nz
    const count = h.length
    for (let n = 0; n < count; n++) {
      const top = n >= first
      const before = h[n]!
      const after = before + (top ? gained[n]! / load[n - first]! : gained[n]!)
      h[n] = after
      if (after <= beginsJ) {
        T[n] = ZERO_C + after / solidJ
        if (before > half && top) this.specks += this.dirt[n - first]! * skin
        continue
      }
      T[n] =
        after >= endsJ
          ? liquidusC + (after - endsJ) / liquidJ
          : solidusC + ((after - beginsJ) / span) * (liquidusC - solidusC)
      if (after > half) {
        ever[n] = 1
        const column = n % layer
        if (top) this.everSkin[column] = 1
        // What oil there is inside comes up out of the melt.
        const rises = up * this.inside[column]!
        this.inside[column]! -= rises
        this.dirt[column] = Math.min(1, this.dirt[column]! + rises)
        this.began = true
      } else if (before > half && top) this.specks += this.dirt[n - first]! * skin
    }
  }

  private clean(seconds: number, arc: ArcNow | null, at: Spot) {
    const { nx, ny, temperature: T, dirt } = this
    const first = this.topFirst
    for (let n = 0; n < nx * ny; n++) {
      if (dirt[n]! < 1e-6) continue
      const C = T[first + n]!
      if (C <= BURNS_FROM_C) continue
      const rate = (this.moltenSkin(n) ? FLOATS_PER_S : 0) + (BURNS_PER_S * (C - BURNS_FROM_C)) / 100
      dirt[n] = dirt[n]! * Math.max(0, 1 - rate * seconds)
    }
    if (!arc) return
    const wide = CLEANS_WIDE * arc.radiusMm
    const [i0, i1, j0, j1] = this.near(at, wide)
    const left = Math.exp(-CLEANS_PER_S * ((100 - this.enPct) / 100) * (arc.powerW / 1000) * seconds)
    for (let j = j0; j <= j1; j++)
      for (let i = i0; i <= i1; i++)
        if (Math.hypot((i + 0.5) * this.dx - at.xMm, (j + 0.5) * this.dy - at.yMm) <= wide)
          this.oxide[i + nx * j] = this.oxide[i + nx * j]! * left
  }

  moltenSkin(column: number): boolean {
    const h = this.enthalpy[this.topFirst + column]!
    return h > this.melt.beginsJ && meltedShare(this.melt, h) > MELT
  }

  /** Molten skin within reach of the place under the torch. */
  private puddleUnder(at: Spot, reachMm: number): number[] {
    const [i0, i1, j0, j1] = this.near(at, reachMm)
    const found: number[] = []
    for (let j = j0; j <= j1; j++)
      for (let i = i0; i <= i1; i++) if (this.moltenSkin(i + this.nx * j)) found.push(i + this.nx * j)
    return found
  }

  /** One dip of rod into the puddle at a place; tells whether it wetted and ran in. */
  dip(at: Spot, rodMm: number, fillerDensityGmm3: number, reachMm: number): boolean {
    const puddle = this.puddleUnder(at, reachMm)
    const mean = (field: Float32Array) => puddle.reduce((sum, n) => sum + field[n]!, 0) / puddle.length
    if (puddle.length * this.dx * this.dy < rodMm * rodMm) return false
    if (mean(this.oxide) > WETS_OXIDE || mean(this.dirt) > WETS_DIRT) return false
    const volume = (Math.PI / 4) * rodMm ** 2 * DIP_MM
    const more = volume / puddle.length / this.volumeMm3
    for (const column of puddle) {
      const cell = this.topFirst + column
      // The cold rod takes its heat out of the puddle: the sum of both stays.
      this.enthalpy[cell]! *= this.load[column]! / (this.load[column]! + more)
      this.load[column]! += more
      this.temperature[cell] = temperatureOf(this.melt, this.enthalpy[cell]!)
    }
    this.addedG += volume * fillerDensityGmm3
    return true
  }

  /** How high rod stands on a column, mm. */
  heightMm(column: number): number {
    return (this.load[column]! - 1) * this.dz
  }

  seen(): Seen {
    const { nx, ny, nz, enthalpy: h, temperature: T, melt } = this
    let [i0, i1, j0, j1, deepest] = [nx, -1, ny, -1, nz]
    let [hottest, melted] = [-Infinity, -Infinity]
    let n = 0
    for (let k = 0; k < nz; k++)
      for (let j = 0; j < ny; j++)
        for (let i = 0; i < nx; i++, n++) {
          if (T[n]! > hottest) hottest = T[n]!
          if (h[n]! <= melt.beginsJ || meltedShare(melt, h[n]!) <= MELT) continue
          if (T[n]! > melted) melted = T[n]!
          if (i < i0) i0 = i
          if (i > i1) i1 = i
          if (j < j0) j0 = j
          if (j > j1) j1 = j
          if (k < deepest) deepest = k
        }
    const any = i1 >= 0
    return {
      widthMm: any ? (j1 - j0 + 1) * this.dy : 0,
      lengthMm: any ? (i1 - i0 + 1) * this.dx : 0,
      depthMm: any ? (nz - deepest) * this.dz : 0,
      peakC: any ? melted : hottest,
      through: any && deepest === 0,
    }
  }
}
