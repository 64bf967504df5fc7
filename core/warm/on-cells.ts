import { keptBy } from '../ask/kept'
import { NoAnswer, type Step } from '../ask/question'
import type { PlaceKind } from '../heat/bench/places.table'
import { partKeeper, quickFactor, quickRun } from '../heat/bench/quick'
import { STANDS, type StandId } from '../heat/bench/stands.table'
import { KEEP_SHARE } from '../heat/bench/verdict'
import { aimedAt, spotsAlong } from '../heat/bench/swept'
import { ZONE_MM } from '../heat/bench/zone'
import { forEachCell, slotAt, type Grid } from '../heat/field/grid'
import { probeAt } from '../heat/field/probe'
import { STILL_AIR } from '../heat/lumped'
import { simulateInput, type Simulate } from '../heat/simulate.schema'
import type { Triple } from '../solid/forms'
import type { Shape } from '../solid/shape.schema'
import { FACE_AXIS, INWARD, type Face } from '../solid/stored/faces.table'
import { warmCellMm } from '../solid/stored/mesh-cells'
import { pathLongMm, placeAlongMm } from '../solid/stored/to-shape'
import { airC } from './air'
import { after, heatMap, type HeatMap } from './heat-map'
import { spreadsToMm, type Torch } from './torch-reach'

export interface CellsAsk {
  shape: Shape
  volumeMm3: number
  alloy: string
  /** Where the flame is swept to and fro, and on which side of the part. */
  path: readonly Triple[]
  face: Face
  torch: Torch
  startC: number
  toC: number
  stand: StandId
  /** The flame stays on it while metal is laid, as in brazing: it need not stay warm without. */
  flameStays: boolean
  guards: readonly { kind: PlaceKind; name: string; limitC: number; atMm: Triple }[]
}
export interface OnCells {
  /** How long the flame is on the zone; null where it does not get there in 20 min. */
  onS: number | null
  /** The coldest of the zone as the flame is taken off, and the hottest place under it. */
  zoneC: number
  hottestC: number
  /** The far end of the part at that moment. */
  farC: number
  /** How long the zone then stays within a quarter of the way; `SOAK_S` at most. */
  staysS: number
  where: 'whole' | 'zone'
  /** When the far end has come three quarters of the way too, the flame kept on; null where it has not by then. */
  wholeS: number | null
  curve: { s: number; zoneC: number; farC: number }[]
  /** Those that lie on the metal. */
  guards: { kind: PlaceKind; name: string; limitC: number; hottestC: number }[]
  cells: number
  /** The side that the flame comes from. */
  face: Face
  /** The whole part at some moments, for a drawing in colours. */
  map: HeatMap
  working: Step[]
}

/** Longer with a torch in the hand is not sensible, s: judgement. */
const LONGEST_S = 20 * 60
/** How long the part is looked at once the flame is off, s. */
export const SOAK_S = 240
const READ_EVERY_S = 3
/** The zone is heated on until it stays warm this long without the flame, s, or is this much over, K: judgement. */
const STAYS_S = 60
const OVER_K = 30
/** The part is warm as a whole where its far end has come this share of the zone's way: judgement. */
const WHOLE_SHARE = 0.75
const isInMetal = (grid: Grid, at: Triple): boolean => {
  try {
    probeAt(grid, at, '')
    return true
  } catch (error) {
    if (error instanceof NoAnswer) return false
    throw error
  }
}

/** Places of the weld zone: along the path, and some way about its middle wherever that is metal. */
function zonePlaces(grid: Grid, path: readonly Triple[]): Triple[] {
  const middle = placeAlongMm(path, pathLongMm(path) / 2)
  const about = [0, 1, 2].flatMap(axis =>
    [-ZONE_MM, ZONE_MM].map(way => middle.map((value, n) => (n === axis ? value + way : value)) as Triple),
  )
  return [...spotsAlong(path), ...about].filter(at => isInMetal(grid, at))
}

/** Whether a place lies open to a side of the part: nothing between it and the air there but what it lies on. */
function isOpen(grid: Grid, at: Triple, face: Face): boolean {
  const [axis, out] = [FACE_AXIS[face], -INWARD[face]]
  const cell = at.map((mm, n) => Math.floor((mm - grid.originMm[n]!) / grid.stepMm[n]!)) as [number, number, number]
  const ends = [grid.nx, grid.ny, grid.nz]
  for (cell[axis] += 2 * out; cell[axis] >= 0 && cell[axis] < ends[axis]!; cell[axis] += out)
    if (slotAt(grid, ...cell) >= 0) return false
  return true
}

/** The side from which the flame sees most of its way, the one the mark is on before others; null where none does. */
function flameSide(grid: Grid, { path, face }: Pick<CellsAsk, 'path' | 'face'>): Face | null {
  const spots = spotsAlong(path)
  const seen = (side: Face) => spots.filter(at => isOpen(grid, at, side)).length
  const sides = [face, ...(Object.keys(FACE_AXIS) as Face[]).filter(side => side !== face)]
  const best = sides.reduce((a, b) => (seen(b) > seen(a) ? b : a))
  return seen(best) > 0 ? best : null
}

/** The middle of the metal furthest from a place. */
function farthest(grid: Grid, [x, y, z]: Triple): Triple {
  let [best, most]: [Triple, number] = [[x, y, z], -1]
  const middleOf = (n: number, axis: 0 | 1 | 2) => grid.originMm[axis] + (n + 0.5) * grid.stepMm[axis]
  forEachCell(grid, (_, i, j, k) => {
    const at: Triple = [middleOf(i, 0), middleOf(j, 1), middleOf(k, 2)]
    const away = Math.hypot(at[0] - x, at[1] - y, at[2] - z)
    if (away > most) [best, most] = [at, away]
  })
  return best
}

/** What is asked of the heat bench: the flame on for good, places to read. */
function heatingOn(ask: CellsAsk, cellMm: number, grid: Grid, places: readonly Triple[]): Simulate {
  const { torch, startC } = ask
  const radiusMm = spreadsToMm(torch)
  const spots = spotsAlong(ask.path).map(at => aimedAt(grid, at, ask.face, radiusMm))
  const parsed = simulateInput.safeParse({
    shape: ask.shape,
    cellMm,
    alloy: ask.alloy,
    startC,
    sources: spots.map(atMm => ({
      kind: 'torch',
      powerW: torch.powerW / spots.length,
      efficiencyPct: torch.efficiencyPct,
      face: ask.face,
      atMm,
      radiusMm,
    })),
    losses: {
      filmWm2K: torch.fitted?.filmWm2K ?? STILL_AIR.filmWm2K,
      emissivity: STILL_AIR.emissivity,
      ambientC: startC,
      ...STANDS[ask.stand].losses,
    },
    durationS: LONGEST_S + SOAK_S,
    probes: places.map(([xMm, yMm, zMm]) => ({ xMm, yMm, zMm })),
    readings: (LONGEST_S + SOAK_S) / READ_EVERY_S + 1,
  })
  if (!parsed.success) throw new NoAnswer(parsed.error.issues[0]!.message)
  return parsed.data
}

/** @param n a whole number of readings */
const seconds = (n: number) => n * READ_EVERY_S

const cutOnce = partKeeper()

function work(ask: CellsAsk): OnCells | null {
  const { torch, startC, toC } = ask
  const cellMm = warmCellMm(ask.volumeMm3)
  const part = cutOnce({ shape: ask.shape, cellMm })
  const zone = zonePlaces(part.grid, ask.path)
  const face = flameSide(part.grid, ask)
  if (!zone.length || !face) return null
  const guards = ask.guards.filter(({ atMm }) => isInMetal(part.grid, atMm))
  const far = farthest(part.grid, placeAlongMm(ask.path, pathLongMm(ask.path) / 2))
  const input = heatingOn({ ...ask, face }, cellMm, part.grid, [...zone, far, ...guards.map(({ atMm }) => atMm)])
  const keepC = toC - KEEP_SHARE * (toC - startC)
  const [stays, soak, longest] = [STAYS_S, SOAK_S, LONGEST_S].map(s => s / READ_EVERY_S) as [number, number, number]
  type Series = readonly (readonly number[])[]
  const coldest = (series: Series, at: number, offAt = at) =>
    Math.min(...zone.map((_, n) => after(reading => series[n]![reading]!, offAt, at, startC)))
  /** Whether the flame may be taken off at a reading, as far as the run has come. */
  const done = (series: Series, offAt: number) =>
    coldest(series, offAt) >= toC &&
    (ask.flameStays || coldest(series, offAt) >= toC + OVER_K || coldest(series, offAt + stays, offAt) >= keepC)
  let off: number | null = null
  const run = quickRun(
    input,
    part,
    series => {
      const last = series[0]!.length - 1
      for (let at = Math.max(1, last - stays - 1); off === null && at <= Math.min(longest, last - stays); at++)
        if (done(series, at)) off = at
      return off !== null && last >= off + soak
    },
    true,
  )
  const offAt: number = off ?? longest
  const farSeries = run.probes[zone.length]!
  const [zoneC, farC] = [coldest(run.probes, offAt), farSeries[offAt]!]
  const end = Math.min(run.times.length - 1, offAt + soak)
  const all = Array.from({ length: end + 1 }, (_, n) => n)
  const fallen = all.find(at => at > offAt && coldest(run.probes, at, offAt) < keepC)
  const way = Math.max(1e-6, Math.min(zoneC, toC) - startC)
  const whole = farSeries.findIndex(c => c - startC >= WHOLE_SHARE * way)
  const found = {
    onS: off === null ? null : seconds(offAt),
    zoneC,
    hottestC: Math.max(...zone.map((_, n) => run.probes[n]![offAt]!)),
    farC,
    staysS: off === null ? 0 : seconds((fallen ?? end) - offAt),
    where: farC - startC >= WHOLE_SHARE * way ? ('whole' as const) : ('zone' as const),
    wholeS: whole < 0 ? null : seconds(whole),
    cells: Math.round(part.grid.count / quickFactor(part) ** 3),
    face,
  }
  return {
    ...found,
    map: heatMap(run, offAt, startC, READ_EVERY_S),
    curve: all.map(at => ({
      s: seconds(at),
      zoneC: coldest(run.probes, at, offAt),
      farC: after(reading => farSeries[reading]!, offAt, at, startC),
    })),
    guards: guards.map(({ kind, name, limitC }, n) => {
      const series = run.probes[zone.length + 1 + n]!
      return {
        kind,
        name,
        limitC,
        hottestC: Math.max(...all.map(at => after(reading => series[reading]!, offAt, at, startC))),
      }
    }),
    working: workingOf(found, (torch.powerW * torch.efficiencyPct) / 100),
  }
}

const workingOf = (
  { cells, onS, farC, staysS }: Pick<OnCells, 'cells' | 'onS' | 'farC' | 'staysS'>,
  absorbedW: number,
): Step[] => [
  {
    label: 'The part in cells',
    formula: 'its own shape, put together to coarse cells',
    value: cells,
    unit: 'cells',
    source: 'heat conduction as on the heat bench (heat.simulate)',
  },
  {
    label: 'Heat into the metal',
    formula: `source × share absorbed, swept along its run`,
    value: absorbedW,
    unit: 'W',
    source: 'share absorbed: judgement',
  },
  {
    label: 'Flame on the zone',
    formula: `until the coldest within ${ZONE_MM} mm of its middle and along the run is there and stays a minute`,
    value: onS ?? 'never',
    unit: 's',
    source: 'finite volumes; the flame taken off by superposition',
  },
  {
    label: 'Far end then',
    formula: 'the metal furthest from the zone',
    value: farC,
    unit: '°C',
    source: 'the same run',
  },
  {
    label: 'It stays warm',
    formula: 'until the zone has fallen a quarter of the way to the air',
    value: staysS,
    unit: 's',
    source: 'the same run',
  },
]

/**
 * A torch swept along a run on the part's own cells: when the zone is warm, what the far end and what must stay cool
 * get, how long it stays warm. Some thousands of cells, one run with the flame on; the flame is taken off by
 * superposition. Null where the run does not lie on the metal, or the part is warm already.
 *
 * Valid below melting and for a torch in the hand, 20 min at most. Accuracy: docs/method.md, *Preheat*; the torch's own
 * share absorbed, a fifth. @throws NoAnswer where the shape cannot be cut, or the heat bench would refuse the set-up
 */
export const onCells = keptBy('warmed on cells', 24, (ask: CellsAsk): OnCells | null =>
  ask.startC === airC(ask.startC) && ask.toC > ask.startC ? work(ask) : null,
)
