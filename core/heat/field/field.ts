import { STEFAN_BOLTZMANN_WM2K4, ZERO_C_IN_K } from '../../quantity/constants'
import { chebyshevStages, stagesFor } from './chebyshev'
import { forEachCell, MARGIN, RUN, SEGMENT, type Grid } from './grid'
import { startKernel, type KernelExports } from './kernel'
import type { Material } from './setup'

/** Below anything a part can be, so that the margin is never the hottest. */
const NOWHERE_K = -1000

/** Bytes of the kernel's own data, before the arrays. */
const RESERVED = 1024

/** How sources change over a step, K/s, by slot: evenly from its beginning to its end. */
export interface Drift {
  slots: Int32Array
  perS: Float32Array
}

/** A step tried, not yet taken. */
export interface Trial {
  dt: number
  worstK: number
  stages: number
}

/**
 * The field in the kernel's memory: the rise above the air by slot, its rate, its losses and its sources, and one step
 * of it.
 */
export class Field {
  readonly bytes: number
  /** Heat capacity of the whole part, J/K. */
  readonly capacityJK: number
  /** Greatest eigenvalue of conduction alone, 1/s (Gershgorin). */
  readonly conductionPerS: number
  /** How fast heat spreads in it, mm²/s. */
  readonly spreadMm2S: number
  private readonly kernel: KernelExports
  private readonly cellJK: number
  private readonly runs: number
  private readonly segments: number
  private readonly skin: number
  private readonly g: number
  private readonly q: number
  private u: number
  private f: number
  private one: number
  private two: number

  constructor(
    private readonly grid: Grid,
    material: Material,
  ) {
    const words = Math.ceil(grid.slots / 4) * 4 + MARGIN
    this.bytes = RESERVED + 4 * (words * (grid.shares ? 11 : 7) + grid.segments.length + grid.runs.length + 16)
    this.kernel = startKernel(this.bytes)
    let free = RESERVED
    const place = (count: number) => {
      const at = free
      free += Math.ceil(count / 4) * 16
      return at
    }
    ;[this.u, this.f, this.one, this.two, this.g, this.q, this.skin] = Array.from({ length: 7 }, () =>
      place(words),
    ) as [number, number, number, number, number, number, number]
    this.segments = place(grid.segments.length)
    this.runs = place(grid.runs.length)
    new Int32Array(this.kernel.memory.buffer, this.segments, grid.segments.length).set(grid.segments)
    new Int32Array(this.kernel.memory.buffer, this.runs, grid.runs.length).set(grid.runs)

    const heatJm3K = material.densityKgm3 * material.specificHeatJkgK
    this.cellJK = heatJm3K * grid.stepMm[0] * grid.stepMm[1] * grid.stepMm[2] * 1e-9
    this.spreadMm2S = (1e6 * material.conductivityWmK) / heatJm3K
    const [cx, cy, cz] = grid.stepMm.map(step => material.conductivityWmK / heatJm3K / (step * 1e-3) ** 2) as [
      number,
      number,
      number,
    ]
    this.conductionPerS = 4 * (cx + cy + cz)
    const pointers = grid.shares
      ? [grid.shares.volume.map(share => (share > 0 ? 1 / share : 0)), grid.shares.x, grid.shares.y, grid.shares.z].map(
          values => {
            const at = place(words)
            this.at(at).set(values)
            return at
          },
        )
      : [0, 0, 0, 0]
    this.kernel.conduct(cx, cy, cz, ...(pointers as [number, number, number, number]))
    const skin = this.at(this.skin)
    let capacity = 0
    forEachCell(grid, slot => {
      capacity += this.capacityOf(slot)
      skin[slot] = (grid.areaMm2[slot]! * 1e-6) / this.capacityOf(slot)
    })
    this.capacityJK = capacity
  }

  private at(pointer: number): Float32Array {
    return new Float32Array(this.kernel.memory.buffer, pointer, this.grid.slots)
  }

  /** Rise above the air, K, by slot. */
  get rise(): Float32Array {
    return this.at(this.u)
  }
  /** Rate at the beginning of the step, K/s; after a trial, `riseAfter` and `rateAfter` are those at its end. */
  get rate(): Float32Array {
    return this.at(this.f)
  }
  get riseAfter(): Float32Array {
    return this.at(this.two)
  }
  get rateAfter(): Float32Array {
    return this.at(this.one)
  }
  /** Losses per unit of rise, 1/s, and sources, K/s. */
  get drains(): Float32Array {
    return this.at(this.g)
  }
  get gains(): Float32Array {
    return this.at(this.q)
  }

  /** Heat capacity of one cell, J/K. */
  capacityOf(slot: number): number {
    return this.cellJK * (this.grid.shares ? this.grid.shares.volume[slot]! : 1)
  }

  /** Takes skin away that the air does not reach, since it rests on something. */
  cover(slot: number, areaMm2: number): void {
    const skin = this.at(this.skin)
    skin[slot] = Math.max(0, skin[slot]! - (areaMm2 * 1e-6) / this.capacityOf(slot))
  }

  fill(riseK: number): void {
    const u = this.rise.fill(riseK)
    u.fill(NOWHERE_K, 0, MARGIN)
    u.fill(NOWHERE_K, this.grid.slots - MARGIN)
  }

  /** Counts the rise from another temperature of the air. */
  shift(byK: number): void {
    const u = this.rise
    for (let slot = MARGIN; slot < u.length - MARGIN; slot++) u[slot]! += byK
  }

  /** Film and grey radiation, linearised about the field as it is. @returns the greatest, 1/s */
  lose(filmWm2K: number, emissivity: number, airC: number): number {
    const [r, airK] = [emissivity * STEFAN_BOLTZMANN_WM2K4, airC + ZERO_C_IN_K]
    this.kernel.losses(
      this.grid.slots,
      this.u,
      this.skin,
      filmWm2K + 4 * r * airK ** 3,
      6 * r * airK ** 2,
      4 * r * airK,
      r,
      this.g,
    )
    return this.kernel.greatest(this.grid.slots, this.g)
  }

  /** What the losses of the step's beginning take from the field after it (or at it), W. */
  lostW(after: boolean): number {
    return this.cellJK * this.kernel.sumOfProducts(this.grid.slots, this.g, after ? this.two : this.u)
  }

  /** The rate at the beginning of a step; to be called when losses and sources are in place. */
  begin(): void {
    this.kernel.ghosts(this.segments, this.grid.segments.length / SEGMENT, this.u)
    this.kernel.rate(this.runs, this.grid.runs.length / RUN, this.u, this.g, this.q, this.f)
  }

  /**
   * Tries a step of `dt` with as many stages as make it stable. The rise over the step is carried rather than the
   * field: it is small, so single precision holds it well. Error: Sommeijer, Shampine and Verwer's estimate, 0.8(uₙ −
   * uₙ₊₁) + 0.4 dt (Fₙ + Fₙ₊₁).
   * Afterwards the gains are those of the step's end.
   */
  try(dt: number, eigenPerS: number, drift: Drift): Trial {
    const { kernel, grid, runs, segments, g } = this
    const [runCount, segmentCount] = [grid.runs.length / RUN, grid.segments.length / SEGMENT]
    const { first, rest } = chebyshevStages(stagesFor(dt * eigenPerS))
    this.at(this.two).fill(0)
    kernel.combine(grid.slots, this.two, this.f, first * dt, this.one)
    kernel.ghosts(segments, segmentCount, this.one)
    const drifted = (field: Float32Array, share: number) => {
      for (let n = 0; n < drift.slots.length; n++) field[drift.slots[n]!]! += share * drift.perS[n]!
    }
    for (const { mu, nu, mu1, gamma1, from } of rest) {
      kernel.stage(runs, runCount, this.one, this.two, this.f, g, mu, nu, mu1 * dt, (mu1 + gamma1) * dt)
      drifted(this.at(this.two), mu1 * dt * from)
      kernel.ghosts(segments, segmentCount, this.two)
      ;[this.one, this.two] = [this.two, this.one]
    }
    drifted(this.gains, 1)
    kernel.combine(grid.slots, this.u, this.one, 1, this.two)
    kernel.ghosts(segments, segmentCount, this.two)
    return {
      dt,
      worstK: kernel.judge(runs, runCount, this.two, g, this.q, this.f, this.one, dt),
      stages: rest.length + 3,
    }
  }

  /** Takes the step tried. @returns the greatest rise, K */
  take(): number {
    ;[this.u, this.two] = [this.two, this.u]
    return this.kernel.greatest(this.grid.slots, this.u)
  }
}
