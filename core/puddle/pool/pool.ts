import type { ArcNow } from './arc'
import type { Cells, Fields } from './conduct'
import { kernelFields } from './kernel'
import { levelOut } from './level-out'
import { enthalpyAt, meltedShare, meltOf, temperatureOf, ZERO_C, type Melt } from './melt'
import { plainFields } from './plain'
import { fallsWideMm, sagMm } from './sag'
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

/** What makes a plate more than a plate. */
export interface Form {
  /** How high the metal stands at a place, mm, at most the plate's thickness; 0, there is none. */
  heightMm?: (xMm: number, yMm: number) => number
  /** Room above the plate that rod can fill, mm. */
  headroomMm?: number
  /** In plain JavaScript, two or three times as slow: the reference of the vectors. */
  isPlain?: boolean
  /** Heat that goes into what lies behind it for each kelvin, W/(m²·K): copper, well pressed on, some 2000. */
  backWm2K?: number
}

/** What became of a dip of rod. */
export type Dipped = 'wetted' | 'no-puddle' | 'skin' | 'dirty'

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
 * method, explicit. The metal stands in columns of cells, of any height at first; rod makes the topmost cell of a
 * column heavier until there is a cell more, so that energy closes. What is molten right through and wide falls out.
 *
 * Sources: Voller and Cross 1981 for the enthalpy method; Gaussian flux after Pavelic. Left out: flow of the melt (its
 * conductivity is the solid's), surface tension, evaporation.
 */
export class Pool implements Cells {
  readonly melt: Melt
  readonly nx: number
  readonly ny: number
  readonly nz: number
  readonly dx: number
  readonly dy: number
  readonly dz: number
  readonly stepS: number
  /** Layers of the plate itself; those above are room for rod. */
  readonly layers: number
  /** Enthalpy of every cell, J/mm³; layers from the base up. */
  readonly enthalpy: Float64Array
  readonly temperature: Float64Array
  /** How many times a cell's own metal the topmost ones hold. */
  readonly load: Float64Array
  /** The topmost cell of each column; −1, there is no metal. */
  readonly top: Int32Array
  /** How high each column stood at first, mm. */
  readonly firstMm: Float32Array
  /** How far what was molten right through hangs, and froze so, mm. */
  readonly sag: Float32Array
  /** 1 where a cell holds metal. */
  readonly present: Uint8Array
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
  fallenG = 0
  /** Whether anything was ever molten. */
  began = false
  /** Whether the air takes heat; not, in a check of conduction alone. */
  cools = true
  private readonly fields: Fields
  private readonly gained: Float64Array
  private readonly cellMm3: number
  private readonly startJ: number
  private readonly backWmm2K: number

  constructor(
    alloy: Alloy,
    plate: Plate,
    cellMm: number,
    startC: number,
    dirt: Dirt,
    private readonly enPct: number,
    { heightMm, headroomMm = 0, isPlain = false, backWm2K = FILM_WMM2K * 1e6 }: Form = {},
  ) {
    this.melt = meltOf(alloy)
    ;[this.nx, this.ny, this.layers] = [plate.xMm, plate.yMm, plate.zMm].map(size =>
      Math.max(1, Math.round(size / cellMm)),
    ) as [number, number, number]
    ;[this.dx, this.dy, this.dz] = [plate.xMm / this.nx, plate.yMm / this.ny, plate.zMm / this.layers]
    this.nz = this.layers + Math.ceil(headroomMm / this.dz)
    const { nx, ny, nz, melt } = this
    const layer = nx * ny
    const count = layer * nz
    this.cellMm3 = this.dx * this.dy * this.dz
    this.backWmm2K = backWm2K / 1e6
    this.fields = isPlain ? plainFields(this) : kernelFields(this)
    this.enthalpy = this.fields.enthalpy
    this.temperature = this.fields.temperature.fill(AIR_C)
    this.present = this.fields.present
    this.gained = this.fields.gained
    this.load = new Float64Array(layer).fill(1)
    this.top = new Int32Array(layer)
    this.firstMm = new Float32Array(layer)
    this.sag = new Float32Array(layer)
    for (let column = 0; column < layer; column++) {
      const [x, y] = [((column % nx) + 0.5) * this.dx, (Math.floor(column / nx) + 0.5) * this.dy]
      const cells = heightMm ? Math.min(this.layers, Math.round(heightMm(x, y) / this.dz)) : this.layers
      this.top[column] = cells > 0 ? column + (cells - 1) * layer : -1
      this.firstMm[column] = Math.max(0, cells) * this.dz
      for (let k = 0; k < cells; k++) {
        this.fields.setMetal(column + k * layer, true)
        this.enthalpy[column + k * layer] = enthalpyAt(melt, startC)
        this.temperature[column + k * layer] = startC
      }
    }
    this.oxide = new Float32Array(layer).fill(1)
    this.dirt = new Float32Array(layer).fill(DIRT[dirt].onSkin)
    this.inside = new Float32Array(layer).fill(DIRT[dirt].inside)
    this.everSkin = new Uint8Array(layer)
    this.ever = new Uint8Array(count)
    const sum = 1 / this.dx ** 2 + 1 / this.dy ** 2 + 1 / this.dz ** 2
    this.stepS = (STEP_SHARE * melt.solidJ) / (2 * melt.conducts * sum)
    this.startJ = this.storedJ()
  }

  /** Whether something lies behind it that takes more heat than air does. */
  get backed(): boolean {
    return this.backWmm2K > FILM_WMM2K
  }
  get volumeMm3(): number {
    return this.cellMm3
  }
  private storedJ(): number {
    let sum = 0
    for (let n = 0; n < this.enthalpy.length; n++) sum += this.enthalpy[n]! * this.cellMm3
    this.top.forEach((cell, column) => {
      if (cell >= 0) sum += this.enthalpy[cell]! * (this.load[column]! - 1) * this.cellMm3
    })
    return sum
  }
  /** What came in less what went out and what stayed, of what came in, %; in millionths, for less is of the sums. */
  get imbalancePct(): number {
    if (this.enteredJ <= 0) return 0
    const missed = (100 * (this.enteredJ - this.lostJ - (this.storedJ() - this.startJ))) / this.enteredJ
    return Math.round(missed * 1e6) / 1e6 + 0
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
    const carries = this.melt.conducts * seconds
    this.fields.conduct([carries / this.dx ** 2, carries / this.dy ** 2, carries / this.dz ** 2])
  }

  private lose(seconds: number) {
    const { nx, ny, nz, top, present, temperature, gained, cellMm3, backWmm2K } = this
    const layer = nx * ny
    const [flat, along, across] = [
      this.dx * this.dy * seconds,
      this.dx * this.dz * seconds,
      this.dy * this.dz * seconds,
    ]
    let lostJ = this.lostJ
    const cool = (cell: number, areaSeconds: number, film: number) => {
      const C = temperature[cell]!
      const kelvin = C + KELVIN
      const square = kelvin * kelvin
      const lost = (film * (C - AIR_C) + EMISSIVITY * SIGMA * (square * square - AIR_K4)) * areaSeconds
      gained[cell] = gained[cell]! - lost / cellMm3
      lostJ += lost
    }
    for (let n = 0; n < layer; n++) {
      if (present[n]) cool(n, flat, backWmm2K)
      if (top[n]! >= 0) cool(top[n]!, flat, FILM_WMM2K)
    }
    for (let k = 0; k < nz; k++) {
      for (let j = 0; j < ny; j++) {
        const cell = k * layer + j * nx
        if (present[cell]) cool(cell, across, FILM_WMM2K)
        if (present[cell + nx - 1]) cool(cell + nx - 1, across, FILM_WMM2K)
      }
      for (let i = 0; i < nx; i++) {
        const cell = k * layer + i
        if (present[cell]) cool(cell, along, FILM_WMM2K)
        if (present[cell + layer - nx]) cool(cell + layer - nx, along, FILM_WMM2K)
      }
    }
    this.lostJ = lostJ
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
        const cell = this.top[i + this.nx * j]!
        if (cell < 0) continue
        this.gained[cell]! += share / this.dz
        this.enteredJ += share * this.dx * this.dy
      }
  }

  private settle(seconds: number) {
    const { enthalpy: h, gained, temperature: T, load, ever, top } = this
    const { beginsJ, endsJ, solidusC, liquidusC, solidJ, liquidJ } = this.melt
    const span = endsJ - beginsJ
    const half = beginsJ + MELT * span
    const layer = this.nx * this.ny
    const skin = this.dx * this.dy * SPECKS_PER_MM2
    const up = (COMES_UP_PER_S * seconds) / this.layers
    // What rod has made heavier warms by as much less.
    for (let column = 0; column < layer; column++) {
      const cell = top[column]!
      if (cell >= 0 && load[column] !== 1) gained[cell]! /= load[column]!
    }
    for (const n of this.fields.warm({ beginsJ, halfJ: half, zeroC: ZERO_C, perSolidJ: 1 / solidJ })) {
      const before = h[n]!
      const after = before + gained[n]!
      h[n] = after
      T[n] =
        after <= beginsJ
          ? ZERO_C + after / solidJ
          : after >= endsJ
            ? liquidusC + (after - endsJ) / liquidJ
            : solidusC + ((after - beginsJ) / span) * (liquidusC - solidusC)
      const column = n % layer
      const isTop = top[column] === n
      if (after > half) {
        ever[n] = 1
        if (isTop) this.everSkin[column] = 1
        // What oil there is inside comes up out of the melt.
        const rises = up * this.inside[column]!
        this.inside[column]! -= rises
        this.dirt[column] = Math.min(1, this.dirt[column]! + rises)
        this.began = true
      } else if (before > half && isTop) this.specks += this.dirt[column]! * skin
    }
  }

  private clean(seconds: number, arc: ArcNow | null, at: Spot) {
    const { nx, ny, temperature: T, dirt, top } = this
    for (let n = 0; n < nx * ny; n++) {
      if (dirt[n]! < 1e-6 || top[n]! < 0) continue
      const C = T[top[n]!]!
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
    const cell = this.top[column]!
    const h = cell < 0 ? 0 : this.enthalpy[cell]!
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

  /** One dip of rod into the puddle at a place; tells whether it wetted and ran in, or why not. */
  dip(at: Spot, rodMm: number, fillerDensityGmm3: number, reachMm: number): Dipped {
    const puddle = this.puddleUnder(at, reachMm)
    const mean = (field: Float32Array) => puddle.reduce((sum, n) => sum + field[n]!, 0) / puddle.length
    if (puddle.length * this.dx * this.dy < rodMm * rodMm) return 'no-puddle'
    if (mean(this.dirt) > WETS_DIRT) return 'dirty'
    if (mean(this.oxide) > WETS_OXIDE) return 'skin'
    const volume = (Math.PI / 4) * rodMm ** 2 * DIP_MM
    for (const { column, more } of this.levelled(puddle, volume / this.volumeMm3)) this.lay(column, more)
    this.addedG += volume * fillerDensityGmm3
    return 'wetted'
  }

  /** Where so many cells of liquid run on a puddle: into its lowest columns first, and into a gap beside it. */
  private levelled(puddle: readonly number[], cells: number): { column: number; more: number }[] {
    const wet = new Set(puddle)
    for (const column of puddle)
      for (const next of this.beside(column)) if (this.top[next]! < 0 && this.gapHeld(next)) wet.add(next)
    return levelOut(
      [...wet].map(column => ({ column, level: this.level(column) })),
      cells,
    )
  }
  /** How many cells of metal a column holds. */
  private level(column: number): number {
    const cell = this.top[column]!
    return cell < 0 ? 0 : (cell - column) / (this.nx * this.ny) + this.load[column]!
  }
  /** A gap is bridged by the melt only from metal on two sides of it at least. */
  private gapHeld(column: number): boolean {
    return this.beside(column).filter(next => this.top[next]! >= 0).length >= 2
  }
  private beside(column: number): number[] {
    const [i, j] = [column % this.nx, Math.floor(column / this.nx)]
    return [
      ...(i > 0 ? [column - 1] : []),
      ...(i + 1 < this.nx ? [column + 1] : []),
      ...(j > 0 ? [column - this.nx] : []),
      ...(j + 1 < this.ny ? [column + this.nx] : []),
    ]
  }

  /** So much more cold metal on a column, in cells; what stands a whole cell over becomes one. */
  private lay(column: number, more: number) {
    const layer = this.nx * this.ny
    const begin = (cell: number) => {
      this.fields.setMetal(cell, true)
      this.enthalpy[cell] = 0
      this.temperature[cell] = ZERO_C
      this.top[column] = cell
    }
    if (this.top[column]! < 0) {
      begin(column)
      this.load[column] = 0
    }
    const cell = this.top[column]!
    // The cold rod takes its heat out of the puddle: the sum of both stays.
    const load = this.load[column]! + more
    this.enthalpy[cell] = (this.enthalpy[cell]! * this.load[column]!) / load
    this.temperature[cell] = temperatureOf(this.melt, this.enthalpy[cell]!)
    this.load[column] = load
    let now = cell
    while (this.load[column]! >= 2 && now + layer < this.enthalpy.length) {
      const over: number = this.load[column]! - 1
      this.load[column] = 1
      begin(now + layer)
      this.enthalpy[now + layer] = this.enthalpy[now]!
      this.temperature[now + layer] = this.temperature[now]!
      this.load[column] = over
      now += layer
    }
    this.oxide[column] = Math.min(this.oxide[column]!, WETS_OXIDE / 2)
  }

  /**
   * What is molten right through hangs under its weight and the arc; much wider than it is thick it falls out and
   * leaves a hole.
   * @returns how many columns fell
   */
  hang(currentA: number): number {
    const layer = this.nx * this.ny
    const molten: number[] = []
    for (let column = 0; column < layer; column++) {
      if (!this.moltenSkin(column)) continue
      let through = true
      for (let cell = column; cell <= this.top[column]! && through; cell += layer)
        through = meltedShare(this.melt, this.enthalpy[cell]!) > MELT
      if (through) molten.push(column)
    }
    if (!molten.length) return 0
    const wide = Math.sqrt((4 * molten.length * this.dx * this.dy) / Math.PI)
    const thick = (molten.reduce((sum, column) => sum + this.level(column), 0) / molten.length) * this.dz
    if (wide <= fallsWideMm(thick, this.backed)) {
      if (!this.backed) this.bulge(molten, sagMm(wide / 2, thick, currentA))
      return 0
    }
    for (const column of molten) {
      this.sag[column] = 0
      this.fallenG += this.level(column) * this.cellMm3 * this.melt.densityGmm3
      for (let cell = column; cell <= this.top[column]!; cell += layer) {
        this.lostJ += this.enthalpy[cell]! * this.cellMm3 * (cell === this.top[column] ? this.load[column]! : 1)
        this.enthalpy[cell] = 0
        this.temperature[cell] = AIR_C
        this.fields.setMetal(cell, false)
      }
      this.top[column] = -1
      this.load[column] = 1
    }
    return molten.length
  }

  /** What hangs through is lowest in its middle; what it once came down by it does not come up again. */
  private bulge(molten: readonly number[], middleMm: number) {
    const at = (column: number): [number, number] => [
      (column % this.nx) * this.dx,
      Math.floor(column / this.nx) * this.dy,
    ]
    const middle = [0, 1].map(axis => molten.reduce((sum, column) => sum + at(column)[axis]!, 0) / molten.length)
    const squareMm2 = Math.max(this.dx * this.dy, (molten.length * this.dx * this.dy) / Math.PI)
    for (const column of molten) {
      const [x, y] = at(column)
      const off = ((x - middle[0]!) ** 2 + (y - middle[1]!) ** 2) / squareMm2
      this.sag[column] = Math.max(this.sag[column]!, middleMm * Math.max(0, 1 - off))
    }
  }

  /** How high rod stands on a column, mm over where it stood at first. */
  heightMm(column: number): number {
    return this.surfaceMm(column) - this.firstMm[column]!
  }
  /** How high a column stands, mm over the base; less where it hangs. */
  surfaceMm(column: number): number {
    return this.level(column) * this.dz - this.sag[column]!
  }

  seen(): Seen {
    const { nx, ny, nz, enthalpy: h, temperature: T, melt } = this
    let [i0, i1, j0, j1, deepest] = [nx, -1, ny, -1, nz]
    let [hottest, melted] = [-Infinity, -Infinity]
    let n = 0
    for (let k = 0; k < nz; k++)
      for (let j = 0; j < ny; j++)
        for (let i = 0; i < nx; i++, n++) {
          if (!this.present[n]) continue
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
      depthMm: any ? Math.max(0, this.layers - deepest) * this.dz : 0,
      peakC: any ? melted : hottest,
      through: any && deepest === 0,
    }
  }
}
