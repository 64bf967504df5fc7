import { STEFAN_BOLTZMANN_WM2K4, ZERO_C_IN_K } from '../../quantity/constants'
import type { Mask } from '../../solid/mask'
import { exposedFaces } from './exposed'
import { placeAlong } from './path'
import type { Losses, Material, Place } from './setup'

export interface ReferenceSetup {
  mask: Mask
  material: Material
  losses: Losses
  startC: number
  absorbedW: number
  radiusMm: number
  /** Where a Gaussian spot stands on the top at a time. */
  spotAt: (s: number) => Place
  durationS: number
  /** Cells whose temperature is kept, as (i, j, k). */
  probes: readonly (readonly [number, number, number])[]
  timesS: readonly number[]
}

/** A walked or held spot as a function of time. */
export const walked = (path: readonly Place[], speedMmS: number) => (s: number) => placeAlong(path, s * speedMmS, true)

/**
 * The plain explicit method (forward in time, centred in space) on the list of solid cells in double precision, at the
 * longest stable step: the slow reference for tests and the bench. It shares with the fast solver the cutting into
 * cells and the skin, and nothing of the arithmetic: radiation is exact at every step and the spot is sampled at the
 * middle of each cell and made whole.
 */
/** The field at the end is in the order of the mask's solid cells. */
export function explicitReference(setup: ReferenceSetup): { probesC: number[][]; endC: Float64Array; steps: number } {
  const {
    mask: { nx, ny, nz, solid, stepMm, originMm },
    material,
    losses,
    startC,
    durationS,
  } = setup
  const heat = material.densityKgm3 * material.specificHeatJkgK
  const diffusivity = material.conductivityWmK / heat
  const [cx, cy, cz] = stepMm.map(step => diffusivity / (step * 1e-3) ** 2) as [number, number, number]
  const cellJK = heat * stepMm[0] * stepMm[1] * stepMm[2] * 1e-9
  const air4 = (losses.ambientC + ZERO_C_IN_K) ** 4
  const faces = exposedFaces(setup.mask)
  // The solid cells in a list, each with its neighbours' places in the list; an absent one is the cell itself, across
  // which nothing flows.
  const order = new Int32Array(nx * ny * nz).fill(-1)
  let total = 0
  for (let at = 0; at < order.length; at++) if (solid[at]) order[at] = total++
  const beside = Array.from({ length: 6 }, () => new Int32Array(total))
  const skin = new Float64Array(total)
  const contact = new Float64Array(total)
  const top = new Int32Array(nx * ny).fill(-1)
  const find = (i: number, j: number, k: number) =>
    i < 0 || j < 0 || k < 0 || i >= nx || j >= ny || k >= nz ? -1 : order[i + nx * (j + ny * k)]!
  for (let k = 0; k < nz; k++) {
    for (let j = 0; j < ny; j++) {
      for (let i = 0; i < nx; i++) {
        const cell = find(i, j, k)
        if (cell < 0) continue
        const neighbours = [
          find(i - 1, j, k),
          find(i + 1, j, k),
          find(i, j - 1, k),
          find(i, j + 1, k),
          find(i, j, k - 1),
          find(i, j, k + 1),
        ]
        neighbours.forEach((neighbour, d) => {
          beside[d]![cell] = neighbour < 0 ? cell : neighbour
        })
        skin[cell] = (faces(i, j, k) * 1e-6) / cellJK
        if (k === 0 && losses.contactWm2K > 0) {
          contact[cell] = (losses.contactWm2K * stepMm[0] * stepMm[1] * 1e-6) / cellJK
          // What rests loses heat through the contact only.
          skin[cell] = Math.max(0, skin[cell]! - (stepMm[0] * stepMm[1] * 1e-6) / cellJK)
        }
        top[i + nx * j] = cell
      }
    }
  }
  const [left, right, front, back, below, above] = beside as [
    Int32Array,
    Int32Array,
    Int32Array,
    Int32Array,
    Int32Array,
    Int32Array,
  ]
  let now = new Float64Array(total).fill(startC)
  let next = new Float64Array(total).fill(startC)
  const greatestLoss =
    Math.max(
      ...[losses.filmWm2K + 30 * losses.emissivity, losses.contactWm2K].map(
        film => film / (heat * Math.min(...stepMm) * 1e-3),
      ),
    ) * 3
  const steps = Math.ceil((durationS * (4 * (cx + cy + cz) + greatestLoss)) / 2)
  const dt = durationS / steps
  const gain = new Float64Array(total)
  const spot = (place: Place) => {
    gain.fill(0)
    let sum = 0
    for (let v = 0; v < ny; v++) {
      for (let u = 0; u < nx; u++) {
        const at = top[u + nx * v]!
        if (at < 0) continue
        const r2 =
          (originMm[0] + (u + 0.5) * stepMm[0] - place[0]) ** 2 + (originMm[1] + (v + 0.5) * stepMm[1] - place[1]) ** 2
        if (r2 < (3 * setup.radiusMm) ** 2) sum += gain[at] = Math.exp((-2 * r2) / setup.radiusMm ** 2)
      }
    }
    for (const at of top) if (at >= 0) gain[at]! *= setup.absorbedW / sum / cellJK
  }
  const probesC = setup.probes.map((): number[] => [])
  const slots = setup.probes.map(place => find(place[0], place[1], place[2]))
  let nextTime = 0
  let lastPlace: Place | null = null
  for (let step = 0; step <= steps; step++) {
    const t = step * dt
    for (; nextTime < setup.timesS.length && setup.timesS[nextTime]! <= t + dt / 2; nextTime++)
      slots.forEach((slot, n) => probesC[n]!.push(now[slot]!))
    if (step === steps) break
    const place = setup.spotAt(t + dt / 2)
    // A walked spot is moved every fiftieth of a radius, which no probe can tell from every step.
    if (!lastPlace || Math.hypot(place[0] - lastPlace[0], place[1] - lastPlace[1]) > setup.radiusMm / 50) {
      spot(place)
      lastPlace = place
    }
    for (let cell = 0; cell < total; cell++) {
      const here = now[cell]!
      let rate =
        gain[cell]! -
        contact[cell]! * (here - losses.ambientC) +
        cx * (now[left[cell]!]! + now[right[cell]!]! - 2 * here) +
        cy * (now[front[cell]!]! + now[back[cell]!]! - 2 * here) +
        cz * (now[below[cell]!]! + now[above[cell]!]! - 2 * here)
      if (skin[cell]! > 0) {
        const kelvin2 = (here + ZERO_C_IN_K) * (here + ZERO_C_IN_K)
        rate -=
          skin[cell]! *
          (losses.filmWm2K * (here - losses.ambientC) +
            losses.emissivity * STEFAN_BOLTZMANN_WM2K4 * (kelvin2 * kelvin2 - air4))
      }
      next[cell] = here + dt * rate
    }
    ;[now, next] = [next, now]
  }
  return { probesC, endC: now, steps }
}
