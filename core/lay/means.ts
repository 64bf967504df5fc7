import { BEAD_TO_ROD_AREA, DEPOSIT_G_MIN_PER_MM2 } from '../groove/plan'
import { migSetup, type MigMode } from '../arc/mig'
import { NoAnswer } from '../ask/question'
import { BRAZE_RODS } from '../braze/rods.table'
import type { Alloy } from '../metal/alloys.table'
import type { Lay } from './lays'
import { FLAME_CM3_MIN, GUN_TRAVEL_MM_MIN, LANDS_SHARE, LAYS_BY, ROD_FOR_WALL, WIRE_MM } from './process.table'

export interface Means {
  passes: number
  massG: number
  /** Rods before rounding up, and metres of wire. */
  rods: number
  wireM: number
  arcMin: number
  /** Minutes at the flame that are the hand's. */
  flameMin: number
}

export const rodForWall = (wallMm: number): number => ROD_FOR_WALL.find(([toMm]) => wallMm <= toMm)![1]
/** A gun on a thin wall is run cold in stitches, else pulsed or sprayed. */
export const migModeFor = (process: string, wallMm: number): MigMode =>
  process === 'mig-pulse' ? 'pulse' : wallMm <= 4 ? 'cold' : 'spray'

const ROD_LONG_MM = 914
/** Arc until there is a puddle that takes rod, and back off at the end, for each pass. Common practice, no source. */
const PUDDLE_MIN = 0.15
const NONE: Means = { passes: 0, massG: 0, rods: 0, wireM: 0, arcMin: 0, flameMin: 0 }

/** Section of the bead that a gun lays at its usual travel, mm². */
export const gunBeadMm2 = (depositGMin: number, densityGcm3: number): number =>
  ((depositGMin / densityGcm3) * 1000) / GUN_TRAVEL_MM_MIN

/** Passes of beads of one section over a volume: at least one. */
const passesFor = (lay: Lay, beadMm2: number) =>
  Math.max(1, Math.ceil(lay.volumeMm3 / (beadMm2 * Math.max(1, lay.runMm)) - 1e-9))

/**
 * What a lay takes, by what lays it: rods in beads of the rod's own section, wire in beads of the gun's own laying, a
 * flame's rod by the volume it fills. Deposits: common practice, no source, to about a third. @throws NoAnswer where
 * the wire does not bear the current
 */
export function meansOf(lay: Lay, filler: Alloy, wallMm: number, startC: number, rodMm = rodForWall(wallMm)): Means {
  if (lay.boilOut) return { ...NONE, passes: 1 }
  const by = LAYS_BY[lay.process]
  if (by === 'wire') {
    const { depositGMin } = wireSetup(filler, wallMm, lay.process, startC)
    const massG = (lay.volumeMm3 * filler.densityGcm3) / 1000
    return {
      ...NONE,
      massG,
      wireM: massG / LANDS_SHARE.wire / filler.densityGcm3 / ((Math.PI / 4) * WIRE_MM ** 2),
      arcMin: massG / depositGMin,
      passes: passesFor(lay, gunBeadMm2(depositGMin, filler.densityGcm3)),
    }
  }
  const rodMm2 = (Math.PI / 4) * rodMm ** 2
  const density = lay.process === 'zinc-rod-braze' ? BRAZE_RODS['zinc-al'].densityGcm3 : filler.densityGcm3
  const massG = (lay.volumeMm3 * density) / 1000
  const common = {
    ...NONE,
    massG,
    rods: lay.volumeMm3 / LANDS_SHARE.rod / (rodMm2 * ROD_LONG_MM),
    passes: passesFor(lay, BEAD_TO_ROD_AREA * rodMm2),
  }
  if (by === 'flame')
    return { ...common, flameMin: lay.volumeMm3 / 1000 / FLAME_CM3_MIN[lay.process as keyof typeof FLAME_CM3_MIN] }
  return { ...common, arcMin: massG / (DEPOSIT_G_MIN_PER_MM2 * rodMm ** 2) + common.passes * PUDDLE_MIN }
}

/** A gun's settings with the thinnest wire that bears the current. @throws NoAnswer where none does */
export function wireSetup(filler: Alloy, wallMm: number, process: string, startC: number) {
  const mode = migModeFor(process, wallMm)
  for (const wireMm of [WIRE_MM, 1.2, 1.6]) {
    try {
      return { ...migSetup({ wireMm, filler, wallMm, mode, startC: Math.min(startC, 450) }), wireMm }
    } catch (error) {
      if (!(error instanceof NoAnswer)) throw error
    }
  }
  throw new NoAnswer(`no wire here bears the current that ${Number(wallMm.toPrecision(3))} mm wants`)
}
