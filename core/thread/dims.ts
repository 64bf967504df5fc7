import type { Step } from '../ask/question'
import { MM_PER_INCH } from '../quantity/constants'
import { DRILLS, type Drill } from './drills.table'
import { TAPER_DRILLS } from './taper-drills.table'
import type { System, Thread } from './thread'

/**
 * Full thread height doubled, over the pitch, from which the thread percentage counts: 1.299038 for 60° (ASME B1.1),
 * twice 0.640327 for 55°, 1.2 for BA, 1.6 for taper pipe.
 */
function fullHeight({ flankDeg, taperDeg }: Thread): number {
  if (flankDeg === 55) return 2 * 0.640327
  if (flankDeg === 47.5) return 1.2
  return taperDeg > 0 ? 1.6 : 0.75 * Math.sqrt(3)
}
/** Percentages that are drilled for, and that which is best in aluminium: common practice, no source. */
const LEAST_PCT = 52
const MOST_PCT = 84
const BEST_PCT = 72
const MOST_DRILLS = 8

export interface TapDrill extends Drill {
  threadPct: number
}
export interface ThreadDims extends Omit<Thread, 'usual'> {
  tpi: number
  stressAreaMm2?: number
  tapDrills: TapDrill[]
  working: Step[]
}

/** Diameter that a thread percentage counts from: the major, or on a taper the one at the hand-tight plane. */
const countedFromMm = (thread: Thread) =>
  thread.taperDeg > 0 && thread.flankDeg === 60 ? thread.pitchDiameterMm + 0.8 * thread.pitchMm : thread.majorMm

/** Percentage of full thread that a hole leaves. */
export const threadPct = (thread: Thread, holeMm: number) =>
  (100 * (countedFromMm(thread) - holeMm)) / (fullHeight(thread) * thread.pitchMm)

/** A drill stands for another within this: less than a drill's own play. Common practice, no source. */
const STANDS_FOR_MM = 0.1

/**
 * The standard's own hole for a taper pipe thread; undefined for a parallel one. @throws Error for a taper size that
 * the table lacks: a mistake in the tables
 */
function taperDrill(thread: Thread): Drill | undefined {
  if (thread.taperDeg === 0) return undefined
  const size = thread.system === 'R' ? thread.designation.slice(1) : thread.designation.replace(/-[\d.]+ NPTF?$/, '')
  const found = TAPER_DRILLS[thread.system === 'R' ? 'R' : 'NPT'][size]
  if (!found) throw new Error(`no tap drill for ${thread.designation}`)
  return { mm: found[0], name: found[1] }
}

/**
 * Drills for tapping out of those there are, the best for aluminium first; for a taper pipe thread the standard's own
 * and what stands for it.
 */
export function tapDrills(thread: Thread, drills: readonly Drill[] = DRILLS): TapDrill[] {
  const own = taperDrill(thread)
  if (own) {
    const near = drills
      .filter(drill => Math.abs(drill.mm - own.mm) <= STANDS_FOR_MM && drill.name !== own.name)
      .toSorted((a, b) => Math.abs(a.mm - own.mm) - Math.abs(b.mm - own.mm))
    const has = drills === DRILLS || drills.some(drill => drill.name === own.name)
    return [...(has ? [own] : []), ...near]
      .slice(0, MOST_DRILLS)
      .map(drill => ({ ...drill, threadPct: threadPct(thread, drill.mm) }))
  }
  return drills
    .map(drill => ({ ...drill, threadPct: threadPct(thread, drill.mm) }))
    .filter(drill => drill.threadPct >= LEAST_PCT && drill.threadPct <= MOST_PCT)
    .toSorted((a, b) => Math.abs(a.threadPct - BEST_PCT) - Math.abs(b.threadPct - BEST_PCT))
    .slice(0, MOST_DRILLS)
}

/**
 * Tensile stress area: π/4 ((d2 + d3)/2)², ISO 898-1; for unified threads π/4 (d − 0.9743/n)², ASME B1.1. Parallel 60°
 * threads only.
 */
export function stressAreaMm2(thread: Thread): number | undefined {
  if (thread.flankDeg !== 60 || thread.taperDeg > 0) return undefined
  const unified = thread.system.startsWith('UN')
  return (
    (Math.PI / 4) *
    (unified ? thread.majorMm - 0.9743 * thread.pitchMm : (thread.pitchDiameterMm + thread.minorExternalMm) / 2) ** 2
  )
}

const SOURCE: Readonly<Record<System, string>> = {
  UNC: 'ASME B1.1',
  UNF: 'ASME B1.1',
  UNEF: 'ASME B1.1',
  UN: 'ASME B1.1',
  metric: 'ISO 68-1, 724, 261',
  'metric-fine': 'ISO 68-1, 724, 261',
  BSW: 'BS 84',
  BSF: 'BS 84',
  BA: 'BS 93',
  G: 'ISO 228-1',
  R: 'ISO 7-1',
  Rp: 'ISO 7-1',
  NPT: 'ASME B1.20.1',
  NPTF: 'ASME B1.20.3',
}

/**
 * Basic sizes of a thread with its stress area and tap drills. Exact to the standards' formulas; sizes of the lists
 * from memory.
 */
export function threadDims(thread: Thread): ThreadDims {
  const { usual: _, ...sizes } = thread
  const source = `${SOURCE[thread.system]}, from memory`
  const area = stressAreaMm2(thread)
  const formula =
    thread.flankDeg === 60
      ? thread.taperDeg > 0
        ? 'E1 = D − (0.05 D + 1.1) p + L1/16'
        : 'd − 0.649519 P'
      : thread.flankDeg === 55
        ? 'd − 0.640327 P'
        : 'd − 0.6 P'
  return {
    ...sizes,
    tpi: MM_PER_INCH / thread.pitchMm,
    ...(area === undefined ? {} : { stressAreaMm2: area }),
    tapDrills: tapDrills(thread),
    working: [
      {
        label: 'Major and pitch',
        formula: thread.designation,
        value: `${thread.majorMm.toFixed(3)} mm, ${thread.pitchMm.toFixed(4)} mm`,
        unit: '',
        source,
      },
      { label: 'Pitch diameter', formula, value: thread.pitchDiameterMm, unit: 'mm', source },
      {
        label: 'Minor inside',
        formula:
          thread.flankDeg === 60
            ? thread.taperDeg > 0
              ? 'E1 − 0.8 p'
              : 'd − 1.082532 P'
            : thread.flankDeg === 55
              ? 'd − 1.280654 P'
              : 'd − 1.2 P',
        value: thread.minorInternalMm,
        unit: 'mm',
        source,
      },
      ...(area === undefined
        ? []
        : [
            {
              label: 'Stress area',
              formula: thread.system.startsWith('UN') ? 'π/4 (d − 0.9743/n)²' : 'π/4 ((d2 + d3)/2)²',
              value: area,
              unit: 'mm²',
              source: thread.system.startsWith('UN') ? 'ASME B1.1, from memory' : 'ISO 898-1, from memory',
            },
          ]),
      {
        label: 'Thread percentage of a hole',
        formula: `(d − hole) ÷ (${fullHeight(thread).toFixed(4)} P)`,
        value: '',
        unit: '',
        source,
      },
    ],
  }
}
