import { NoAnswer, type Step } from '../ask/question'
import type { Alloy } from '../metal/alloys.table'
import { conductivityWmK } from '../metal/conductivity'
import { coarsen, gridOf, type Grid } from './field/grid'
import type { March, Setup } from './field/march'
import { probeAt } from './field/probe'
import type { Losses, Material, Source } from './field/setup'
import type { Simulate } from './simulate.schema'
import { cut, type Mask } from '../solid/mask'

/** Specific heat of copper, J/(kg·K): CRC Handbook, from memory. */
const COPPER_JKGK = 385

export function materialOf(alloy: Alloy): Material {
  return {
    densityKgm3: alloy.densityGcm3 * 1000,
    specificHeatJkgK: alloy.specificHeatJkgK,
    conductivityWmK: conductivityWmK(alloy),
  }
}

function sourceOf(source: Simulate['sources'][number], durationS: number): Source {
  const window = { startS: source.startS, endS: Math.min(source.endS ?? durationS, durationS) }
  if (source.kind === 'oven') return { ...window, kind: 'oven', airC: source.airC }
  if (source.kind === 'hot-air') return { ...source, ...window }
  const absorbedW = (source.powerW * source.efficiencyPct) / 100
  if (source.kind === 'volume') return { ...window, kind: 'volume', absorbedW }
  if (source.kind === 'face') return { ...window, kind: 'face', absorbedW, face: source.face }
  const { kind, face, radiusMm, pathMm, speedMmS } = source
  return { ...window, kind, absorbedW, face, radiusMm, atMm: source.atMm ?? pathMm![0]!, pathMm, speedMmS }
}

export function lossesOf({ benchWm2K, backingKg, ...losses }: Simulate['losses']): Losses {
  return { ...losses, contactWm2K: benchWm2K, backingJK: backingKg === undefined ? undefined : backingKg * COPPER_JKGK }
}

/** A part cut into cells, ready for any set-up on it. */
export interface CutPart {
  mask: Mask
  grid: Grid
}
export function cutPart({ shape, cellMm }: Pick<Simulate, 'shape' | 'cellMm'>): CutPart {
  const mask = cut(shape, cellMm)
  return { mask, grid: gridOf(mask) }
}

/** @throws NoAnswer where nothing would change the temperature */
function mustHeat({ sources, losses, startC }: Simulate): void {
  const heats = sources.some(source =>
    'airC' in source ? source.airC !== startC : source.powerW * source.efficiencyPct > 0,
  )
  const cools = startC !== losses.ambientC && losses.filmWm2K + losses.emissivity + losses.benchWm2K > 0
  if (!heats && !cools)
    throw new NoAnswer(
      'nothing heats the part: there is no source with any power, and it starts at the temperature of the air',
    )
}

/**
 * What `march` needs, of a part cut already; on cells `factor` times as large for a preview. @throws NoAnswer on a
 * set-up that cannot be
 */
export function setUp(
  input: Simulate,
  { mask, grid: fine }: CutPart,
  options: { factor?: number; framesS?: readonly number[] } = {},
): Setup {
  mustHeat(input)
  const { durationS, readings, startC, probes } = input
  const factor = options.factor ?? 1
  const grid = factor > 1 ? coarsen(mask, fine, factor) : fine
  // On the fine grid first: a coarse one reaches past the metal.
  for (const [n, probe] of probes.entries())
    probeAt(fine, [probe.xMm, probe.yMm, probe.zMm], probe.name ?? `Probe ${n + 1}`)
  return {
    grid,
    finer: factor > 1 ? { grid: fine, factor } : undefined,
    material: materialOf(input.alloy),
    startC,
    losses: lossesOf(input.losses),
    durationS,
    sources: input.sources.filter(source => source.startS < durationS).map(source => sourceOf(source, durationS)),
    probes: probes.map((probe, n) => probeAt(grid, [probe.xMm, probe.yMm, probe.zMm], probe.name ?? `Probe ${n + 1}`)),
    timesS: Array.from({ length: readings }, (_, n) => (durationS * n) / (readings - 1)),
    framesS: options.framesS,
  }
}

export interface Simulated {
  times: number[]
  /** By probe, at each time, °C. */
  probes: number[][]
  /** Hottest anywhere, °C. */
  peak: number
  cells: number
  absorbedJ: number
  lostJ: number
  storedJ: number
  /** What came in less what went out and what stayed, as a share of what came in or went out. */
  imbalancePct: number
  /** Least share of a spot that fell on the part. */
  onPartPct: number
}

export function simulated(input: Simulate, setup: Setup, march: March): Simulated {
  const turnover = Math.max(march.absorbedJ, Math.abs(march.lostJ), Math.abs(march.storedJ), 1e-9)
  return {
    times: [...setup.timesS],
    probes: march.probesC,
    peak: march.probesC.flat().reduce((most, value) => Math.max(most, value), march.peakC),
    cells: setup.grid.count,
    absorbedJ: march.absorbedJ,
    lostJ: march.lostJ,
    storedJ: march.storedJ,
    imbalancePct: (100 * (march.absorbedJ - march.lostJ - march.storedJ)) / turnover,
    onPartPct: 100 * march.onPart,
  }
}

/** How a run came about, step by step. */
export function simulationWorking(input: Simulate, setup: Setup, march: March): Step[] {
  const { densityKgm3, specificHeatJkgK, conductivityWmK: k } = setup.material
  const massKg = setup.grid.count * setup.grid.stepMm.reduce((product, step) => product * step, 1) * 1e-9 * densityKgm3
  const table = 'ASM Handbook vol. 2, recalled from memory'
  return [
    {
      label: 'Cells',
      formula: `solid cells of ${setup.grid.stepMm.map(step => step.toFixed(2)).join(' × ')} mm`,
      value: setup.grid.count,
      unit: '',
      source: 'a cell is solid where its middle lies in the metal',
    },
    { label: 'Mass', formula: 'cells × volume × density', value: massKg, unit: 'kg', source: table },
    {
      label: 'Conductivity',
      formula: 'from the electrical one',
      value: k,
      unit: 'W/(m·K)',
      source: 'Wiedemann–Franz with a lattice part (Smith and Palmer 1935), from memory',
    },
    {
      label: 'Diffusivity',
      formula: 'k ÷ (ρ c)',
      value: (k / densityKgm3 / specificHeatJkgK) * 1e6,
      unit: 'mm²/s',
      source: table,
    },
    {
      label: 'Steps and stages',
      formula: 'Runge–Kutta–Chebyshev, steps from the error, stages from stability',
      value: `${march.steps} steps, ${march.stages} stages`,
      unit: '',
      source: 'Sommeijer, Shampine and Verwer 1998',
    },
    {
      label: 'Into the metal',
      formula: 'sources × share absorbed × share that falls on the part',
      value: march.absorbedJ,
      unit: 'J',
      source: 'share absorbed: judgement, or fitted',
    },
    {
      label: 'Taken by air and bench',
      formula: 'Σ [h (T − Tₐ) + εσ (T⁴ − Tₐ⁴)] A dt',
      value: march.lostJ,
      unit: 'J',
      source: 'Newton; Stefan–Boltzmann',
    },
    {
      label: 'Left in the part',
      formula: 'Σ ρ c V (T − T₀)',
      value: march.storedJ,
      unit: 'J',
      source: 'energy balance',
    },
  ]
}
