import { USUAL_ARC } from '../process/registry'
import { NoAnswer, type Step } from '../ask/question'
import type { Bead } from './beads'
import { ampsNeed } from '../arc/amps'
import { beadMm2 as beadOn, rodDepositGMin } from '../arc/bead'
import type { GroovePlan } from './plan'

export interface BuildUpInput {
  /** Of the lost edge or corner: along it, across it, and how much of it is gone. */
  longMm: number
  wideMm: number
  highMm: number
  /** Left standing proud on every face, to be dressed or machined off. */
  proudMm: number
  fillerMm: number
  rodMm: number
  efficiencyPct: number
  fillerDensityGcm3: number
}

/** A bead laid on its own is this many times wider than high: common practice, no source. */
const BEAD_ASPECT = 2.5
/** Beads overlap by this share of their width, so that the valleys close: common practice, no source. */
const OVERLAP = 0.3

/**
 * A lost edge or corner built up in layers of overlapping beads, proud all round.
 *
 * Beads of section s, a hand's usual on so thick an edge, and of width w = √(aspect × s × 3/2), a parabola's, lie at
 * pitch w (1 − overlap); a layer rises by s ÷ pitch, which conserves metal. Layers run alternately one way and the
 * other. Metal: exact; passes: common practice, to a third.
 * @throws NoAnswer past 500 beads
 */
export function planBuildUp(
  input: BuildUpInput,
): GroovePlan & { working: Step[]; layers: number; beadsPerLayer: number } {
  const { longMm, fillerMm, rodMm, efficiencyPct, proudMm } = input
  const [wide, high, long] = [input.wideMm + 2 * proudMm, input.highMm + proudMm, longMm + 2 * proudMm]
  const rodMm2 = (Math.PI / 4) * fillerMm ** 2
  const beadMm2 = beadOn(input.wideMm, fillerMm)
  const beadWideMm = Math.sqrt(BEAD_ASPECT * beadMm2 * 1.5)
  const beadsPerLayer = Math.max(1, Math.round(wide / (beadWideMm * (1 - OVERLAP))))
  const risePerLayerMm = beadMm2 / (wide / beadsPerLayer)
  const layers = Math.max(1, Math.ceil(high / risePerLayerMm - 1e-9))
  const passes = layers * beadsPerLayer
  if (passes > 500)
    throw new NoAnswer(
      `building this up with a ${input.fillerMm} mm rod would take ${passes} beads; fit a piece and weld it round instead`,
    )
  const areaMm2 = wide * high
  const volumeMm3 = areaMm2 * long
  const massG = (volumeMm3 * input.fillerDensityGcm3) / 1000
  const rodsNeeded = volumeMm3 / (efficiencyPct / 100) / (rodMm2 * rodMm)
  const beads: Bead[] = Array.from({ length: passes }, (_, n) => {
    const layer = Math.floor(n / beadsPerLayer)
    const across = layer % 2 ? beadsPerLayer - 1 - (n % beadsPerLayer) : n % beadsPerLayer
    return {
      pass: n + 1,
      layer,
      xMm: -wide / 2 + (wide / beadsPerLayer) * (across + 0.5),
      heightMm: (high / layers) * (layer + 0.5),
      halfWidthMm: (wide / beadsPerLayer / 2 / (1 - OVERLAP)) * 0.86,
      halfHeightMm: (high / layers / 2) * 1.1,
    }
  })
  const depositGMin = rodDepositGMin(ampsNeed(input.wideMm, 20, USUAL_ARC, 'flat').a, fillerMm)
  const arcMin = massG / depositGMin
  const step = (label: string, formula: string, value: number, unit: string, source = 'plane geometry'): Step => ({
    label,
    formula,
    value,
    unit,
    source,
  })
  return {
    depthMm: high,
    topWidthMm: wide,
    areaMm2,
    removedAreaMm2: 0,
    runMm: long,
    volumeMm3,
    removedG: 0,
    massG,
    rods: Math.max(1, Math.ceil(rodsNeeded - 1e-9)),
    passes,
    passesPerSide: passes,
    stopHoles: [],
    arcMin,
    beads,
    layers,
    beadsPerLayer,
    working: [
      step(
        'Section to build',
        `(${input.wideMm} + 2 × ${proudMm} proud) × (${input.highMm} + ${proudMm})`,
        areaMm2,
        'mm²',
      ),
      step('Metal to put in', `× (${longMm} + 2 × ${proudMm})`, volumeMm3, 'mm³'),
      step('Its mass', `× ${input.fillerDensityGcm3} g/cm³`, massG, 'g', 'ASM Handbook vol. 2, recalled from memory'),
      step(
        'Width of one bead',
        `√(${BEAD_ASPECT} × 3/2 × ${beadMm2.toFixed(1)} mm² a bead)`,
        beadWideMm,
        'mm',
        'common practice, no source',
      ),
      step('Beads a layer', `width ÷ (bead × ${1 - OVERLAP})`, beadsPerLayer, 'beads', 'common practice, no source'),
      step('Layers', 'height ÷ rise of one layer', layers, 'layers'),
      step(
        'Arc time',
        `mass ÷ ${depositGMin.toFixed(1)} g/min at the current that so thick an edge wants`,
        arcMin,
        'min',
        'common practice, no source',
      ),
    ],
  }
}
