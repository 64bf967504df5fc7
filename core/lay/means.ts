import { PROCESSES, isPulsed, brazeRodOf } from '../process/registry'
import { rodPasses } from '../arc/bead'
import { ROOM_C } from '../arc/least-preheat'
import { migSetup, type MigMode } from '../arc/mig'
import { NoAnswer } from '../ask/question'
import { BRAZE_RODS } from '../braze/rods.table'
import type { Alloy } from '../metal/alloys.table'
import type { Lay } from './lays'
import { COLD_TO_SPRAY_MM, GUN_TRAVEL_MM_MIN, LANDS_SHARE, ROD_FOR_WALL, SOLD_RODS_MM, WIRE_MM } from './process.table'

export interface Means {
  passes: number
  /** Passes before they are rounded up. */
  beads: number
  massG: number
  /** Volume of rod fed, mm³, and metres of wire. */
  rodMm3: number
  wireM: number
  /** Minutes of arc at the current that the wall usually wants. */
  arcMin: number
  /** Minutes at the flame that are the hand's. */
  flameMin: number
}

/** The rod that suits a wall, mm across. */
export function rodForWall(wallMm: number): number {
  const [first, last] = [ROD_FOR_WALL[0], ROD_FOR_WALL.at(-1)]
  if (!first || !last) throw new Error('no rods for walls')
  if (wallMm <= first[0]) return first[1]
  const n = ROD_FOR_WALL.findIndex(([mm]) => wallMm <= mm)
  const [low, high] = [ROD_FOR_WALL[n - 1], ROD_FOR_WALL[n]]
  return low && high ? low[1] + ((high[1] - low[1]) * (wallMm - low[0])) / (high[0] - low[0]) : last[1]
}
/** The nearest to a thickness of those there are, mm; of those that are sold, where there are none. */
export const nearestRodMm = (wantedMm: number, held: readonly number[]): number =>
  (held.length ? held : SOLD_RODS_MM).reduce((best, mm) =>
    Math.abs(mm - wantedMm) < Math.abs(best - wantedMm) ? mm : best,
  )

/** A gun on a thin wall is run cold in stitches, else pulsed or sprayed. */
export const migModeFor = (process: string, wallMm: number): MigMode =>
  isPulsed(process) ? 'pulse' : wallMm <= COLD_TO_SPRAY_MM[0] ? 'cold' : 'spray'

const NONE: Means = { passes: 0, beads: 0, massG: 0, rodMm3: 0, wireM: 0, arcMin: 0, flameMin: 0 }

/** Section of the bead that a gun lays at its usual travel, mm². */
export const gunBeadMm2 = (depositGMin: number, densityGcm3: number): number =>
  ((depositGMin / densityGcm3) * 1000) / GUN_TRAVEL_MM_MIN

/** Passes of a gun's beads of one section over a volume: at least one. */
function gunPasses(lay: Lay, beadMm2: number): Pick<Means, 'passes' | 'beads'> {
  const beads = lay.volumeMm3 / (beadMm2 * Math.max(1, lay.runMm))
  return { beads, passes: Math.max(1, Math.ceil(beads - 1e-9)) }
}

/** What a gun lays a minute on a wall: cold, sprayed, or between the two as the wall grows. */
function gunDepositGMin(filler: Alloy, wallMm: number, process: string): number {
  const [coldMm, sprayMm] = COLD_TO_SPRAY_MM
  const sprayed = Math.min(1, Math.max(0, (wallMm - coldMm) / (sprayMm - coldMm)))
  const at = (thickMm: number) => wireSetup(filler, thickMm, process, ROOM_C).depositGMin
  return isPulsed(process) || sprayed === 0 || sprayed === 1
    ? at(wallMm)
    : (1 - sprayed) * at(coldMm) + sprayed * at(sprayMm)
}

/**
 * What a lay takes, by what lays it: rods in a hand's beads (`arc/bead.ts`), wire in beads of the gun's own laying, a
 * flame's rod by the volume it fills; a brazing rod runs in as one puddle. `heavyMm`: the wall that a gun is set for,
 * where that is not the one that the current goes by. Rates: common practice, no source, to about a third.
 * @throws NoAnswer where the wire does not bear the current
 */
export function meansOf(lay: Lay, filler: Alloy, wallMm: number, rodMm = rodForWall(wallMm), heavyMm = wallMm): Means {
  const by = PROCESSES[lay.process].lays
  if (by === 'wire') {
    const depositGMin = gunDepositGMin(filler, heavyMm, lay.process)
    const massG = (lay.volumeMm3 * filler.densityGcm3) / 1000
    return {
      ...NONE,
      massG,
      wireM: massG / LANDS_SHARE.wire / filler.densityGcm3 / ((Math.PI / 4) * WIRE_MM ** 2),
      arcMin: massG / depositGMin,
      ...gunPasses(lay, gunBeadMm2(depositGMin, filler.densityGcm3)),
    }
  }
  const brazed = brazeRodOf(lay.process)
  const massG = (lay.volumeMm3 * (brazed ? BRAZE_RODS[brazed].densityGcm3 : filler.densityGcm3)) / 1000
  const { arcMin, ...beads } = rodPasses(lay, wallMm, rodMm, filler.densityGcm3)
  const common = {
    ...NONE,
    massG,
    rodMm3: lay.volumeMm3 / LANDS_SHARE.rod,
    ...(brazed ? { passes: 1, beads: 1 } : beads),
  }
  return by === 'flame'
    ? { ...common, flameMin: lay.volumeMm3 / 1000 / (PROCESSES[lay.process].flame?.cm3Min ?? 1) }
    : { ...common, arcMin }
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
