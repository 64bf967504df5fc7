import type { z } from 'zod'
import { NoAnswer } from '../../ask/question'
import type { holdFields } from '../../hold/schema'
import { PULLS, type PulledPlace } from '../../job/fields/hold.schema'
import type { Job } from '../../job/job.schema'
import { isOfKind } from '../../mend/registry'
import { findAlloy } from '../../metal/find-alloy'
import { mechanicalOf } from '../../metal/mechanical.table'
import { beadYieldMPa, softenedMPa } from '../../metal/softened.table'
import type { Triple } from '../../solid/forms'
import { measured } from '../../solid/measure'
import type { Shape } from '../../solid/shape.schema'
import { FACE_AXIS, INWARD } from '../../solid/stored/faces.table'
import type { StoredMark } from '../../solid/stored/stored.schema'
import type { JobPlan } from '../plan-job'
import { weldLine } from '../pull/weld-line'
import { mendedAt } from '../take-in/on-the-part'
import type { HeldCase } from './cases.table'

type HoldAsked = z.input<typeof holdFields>
type Zone = NonNullable<HoldAsked['zones']>[number]

/** A part loaded in one state of its mend. */
export interface HoldCase {
  id: HeldCase
  asked: HoldAsked
}
export interface HoldBench {
  cases: HoldCase[]
  /** Names of zones, by their ids. */
  names: Readonly<Record<string, string>>
}

/** Cells of a run on the bench: a second or two for each state. */
const BENCH_CELLS = 12_000
/** Metal is softened so far beside a weld, mm: the inch of the Aluminum Design Manual, from memory. */
const SOFT_MM = 25
/** A bolt's or a foot's round place on the part, mm across its half. Judgement. */
const PLACE_MM = 12

/** A plate over a mend reaches so far past it; it is so wide, in walls, and no narrower, mm. Judgement. */
const PLATE_PAST_MM = 25
const PLATE_WIDE_WALLS = 5
const PLATE_LEAST_WIDE_MM = 40

const AXES = [0, 1, 2] as const

/** A line on the part as a box along it: as long as it goes, so wide across, through the wall. */
function boxAlong(
  mark: StoredMark,
  line: readonly Triple[],
  halfMm: number,
  endMm: number,
  wallMm: number,
): { box: number[]; across: 0 | 1 | 2 } {
  const deep = FACE_AXIS[mark.face]
  const low = AXES.map(axis => Math.min(...line.map(place => place[axis])))
  const high = AXES.map(axis => Math.max(...line.map(place => place[axis])))
  const [p, q] = AXES.filter(axis => axis !== deep) as [0 | 1 | 2, 0 | 1 | 2]
  const [along, across] = high[p]! - low[p]! >= high[q]! - low[q]! ? [p, q] : [q, p]
  const from = [...low]
  const size = [0, 0, 0]
  from[along] = low[along]! - endMm
  size[along] = high[along]! - low[along]! + 2 * endMm
  const middle = (low[across]! + high[across]!) / 2
  from[across] = middle - halfMm
  size[across] = 2 * halfMm
  size[deep] = wallMm
  from[deep] = INWARD[mark.face] > 0 ? low[deep]! : high[deep]! - wallMm
  return { box: [...from, ...size], across }
}

interface Plate {
  face: StoredMark['face']
  /** x, y, z, then its sizes. */
  box: number[]
}

/** A plate as thick as the wall over a line, no farther out than the part goes. */
function plateOver(mark: StoredMark, line: readonly Triple[], wallMm: number, { originMm, sizeMm }: Extent): Plate {
  const half = Math.max(PLATE_LEAST_WIDE_MM, PLATE_WIDE_WALLS * wallMm) / 2
  const { box } = boxAlong(mark, line, half, PLATE_PAST_MM, wallMm)
  const deep = FACE_AXIS[mark.face]
  // What lies through the wall is turned over to its outside.
  box[deep]! -= INWARD[mark.face] * wallMm
  for (const axis of AXES) {
    if (axis === deep) continue
    const low = Math.max(box[axis]!, originMm[axis])
    const high = Math.min(box[axis]! + box[axis + 3]!, originMm[axis] + sizeMm[axis])
    box[axis] = low
    box[axis + 3] = Math.max(0, high - low)
  }
  return { face: mark.face, box }
}
type Extent = Pick<ReturnType<typeof measured>, 'originMm' | 'sizeMm'>

/** Joined to the part all over; null of a part that was read from a file. */
function withPlates(shape: Exclude<Shape, { kind: 'voxels' }>, plates: readonly Plate[]): HoldAsked['shape'] | null {
  if (shape.kind !== 'union') return null
  const parts = plates.map(({ box: [x, y, z, xMm, yMm, zMm] }) => ({
    shape: { kind: 'box' as const, xMm: xMm!, yMm: yMm!, zMm: zMm! },
    atMm: [x!, y!, z!] as Triple,
  }))
  return { ...shape, parts: [...shape.parts, ...parts] }
}

/** What is bolted or pulled where a plate now lies is bolted or pulled on the plate. */
function onPlates(put: Triple, plates: readonly Plate[], wallMm: number, { originMm, sizeMm }: Extent): Triple {
  // A tap on a rounded edge may lie a little off the part.
  const at = put.map((value, axis) =>
    Math.min(Math.max(value, originMm[axis]!), originMm[axis]! + sizeMm[axis]!),
  ) as Triple

  const under = plates.find(({ face, box }) =>
    AXES.every(axis =>
      axis === FACE_AXIS[face]
        ? Math.abs(at[axis] - (INWARD[face] > 0 ? box[axis]! + box[axis + 3]! : box[axis]!)) < wallMm / 2
        : at[axis] >= box[axis]! && at[axis] <= box[axis]! + box[axis + 3]!,
    ),
  )
  if (!under) return put
  const moved: Triple = [...put]
  moved[FACE_AXIS[under.face]] -= INWARD[under.face] * wallMm
  return moved
}

/** The far half of a crack's wall left open behind a weld that goes half through. */
function leftOpen(crack: Zone, face: StoredMark['face']): Zone {
  const boxMm = [...crack.boxMm] as [number, number, number, number, number, number]
  const deep = FACE_AXIS[face]
  boxMm[deep + 3]! /= 2
  if (INWARD[face] > 0) boxMm[deep]! += boxMm[deep + 3]!
  return { ...crack, id: `open-${crack.id}`, boxMm }
}

/** Whether a mark's line goes into the part rather than along its face: no box through the wall lies along that. */
function goesInward(mark: StoredMark, line: readonly Triple[]): boolean {
  const reach = (axis: 0 | 1 | 2) => Math.max(...line.map(at => at[axis])) - Math.min(...line.map(at => at[axis]))
  const deep = FACE_AXIS[mark.face]
  return AXES.every(axis => axis === deep || reach(axis) < reach(deep))
}
/** Whether what is mended there was parted, and not only built up or bored. */
const isBroken = (job: Job, mark: StoredMark): boolean => {
  const mend = job.mends.find(({ id }) => id === mark.mend)
  return mend !== undefined && isOfKind(mend.kind, 'broken-line')
}

function forceOf({ what, face, n }: PulledPlace): Triple {
  const { way } = PULLS[what]
  if (way === 'down') return [0, 0, -n]
  const force: Triple = [0, 0, 0]
  force[FACE_AXIS[face]] = INWARD[face] * n * (way === 'in' ? 1 : -1)
  return force
}

/**
 * What the hold bench asks: the part as it was new, cracked as it came, mended as planned, held and pulled where the
 * job says.
 * @throws NoAnswer with what is wanted
 */
export function holdBench(job: Job, plan: JobPlan, shape: Exclude<Shape, { kind: 'voxels' }>): HoldBench {
  const alloy = findAlloy(plan.know.data.alloy.name)
  if (!alloy) throw new NoAnswer('the alloy is not known yet')
  if (!job.call.heldAt.length) throw new NoAnswer('put down where it is bolted or clamped')
  if (!job.call.pulls.some(({ n }) => n > 0)) throw new NoAnswer('put down what pulls on it, and how hard')
  const { volumeMm3, sizeMm, originMm } = measured(shape)
  const wallMm = job.takeIn.wallMm.value || Math.min(...sizeMm)
  const cellMm = Math.min(wallMm, Math.max(wallMm / 3, Math.cbrt(volumeMm3 / BENCH_CELLS)))
  const shared = {
    shape,
    cellMm,
    alloy: alloy.name,
    fixed: job.call.heldAt.map(({ at }) => ({ atMm: at, radiusMm: PLACE_MM })),
    loads: job.call.pulls
      .filter(({ n }) => n > 0)
      .map(one => ({ id: one.id, on: { atMm: one.at, radiusMm: PLACE_MM }, forceN: forceOf(one) })),
    ...(job.call.pullTimes ? { times: job.call.pullTimes } : {}),
  }
  const names: Record<string, string> = {}
  const softMPa = softenedMPa(alloy)
  const [cracks, open, welds]: [Zone[], Zone[], Zone[]] = [[], [], []]
  const plates: Plate[] = []
  for (const mark of job.shape.marks.filter(one => one.kind === 'mend')) {
    const planned = plan.mends.rows.find(row => row.id === mark.mend)?.planned
    const line = weldLine(mark, planned?.run ?? null)
    if (!line || line.length < 2 || goesInward(mark, line)) continue
    const name = mendedAt(job, mark)
    const { box, across } = boxAlong(mark, line, wallMm / 2, 0, wallMm)
    if (isBroken(job, mark)) {
      const crack = [...box]
      crack[across]! += wallMm / 2
      crack[across + 3] = 0
      const zone: Zone = { id: `crack-${mark.id}`, kind: 'crack', boxMm: crack as Zone['boxMm'] }
      cracks.push(zone)
      // Half a wall wants cells of its own on either side.
      if (2 * cellMm <= wallMm) open.push(leftOpen(zone, mark.face))
      plates.push(plateOver(mark, line, wallMm, { originMm, sizeMm }))
    }
    const filler = findAlloy(planned?.filler ?? '')
    const softened = boxAlong(mark, line, wallMm / 2 + SOFT_MM, SOFT_MM, wallMm).box
    welds.push(
      { id: `soft-${mark.id}`, kind: 'softened', boxMm: softened as Zone['boxMm'], yieldMPa: softMPa },
      { id: `weld-${mark.id}`, kind: 'weld', boxMm: box as Zone['boxMm'], yieldMPa: beadYieldMPa(alloy, filler) },
    )
    names[`soft-${mark.id}`] = name
    names[`weld-${mark.id}`] = name
  }
  if (!welds.length) throw new NoAnswer('mark on the part where it is mended, along its line')
  // What lies over it is said later: the weld lies in what it softened.
  const laid = welds.toSorted((a, b) => Number(a.kind === 'weld') - Number(b.kind === 'weld'))
  const { proofMPa } = mechanicalOf(alloy)
  const next = findAlloy(
    plan.call.data.fillers.find(
      ({ filler, verdict }) => filler !== plan.call.data.filler && (verdict === 'first' || verdict === 'works'),
    )?.filler ?? '',
  )
  const welded = (yieldMPa: number) => laid.map(zone => (zone.kind === 'weld' ? { ...zone, yieldMPa } : zone))
  // The bead has no temper to get back.
  const aged = laid.map(zone => (zone.kind === 'softened' ? { ...zone, yieldMPa: proofMPa } : zone))
  const plated = plates.length ? withPlates(shape, plates) : null
  const raised = (at: Triple) => onPlates(at, plates, wallMm, { originMm, sizeMm })
  return {
    names: next ? { ...names, filler: next.name } : names,
    cases: [
      { id: 'new', asked: { ...shared, zones: [] } },
      ...(cracks.length ? [{ id: 'cracked' as const, asked: { ...shared, zones: cracks } }] : []),
      { id: 'mended', asked: { ...shared, zones: laid } },
      ...(open.length ? [{ id: 'half' as const, asked: { ...shared, zones: [...laid, ...open] } }] : []),
      ...(next ? [{ id: 'filler' as const, asked: { ...shared, zones: welded(beadYieldMPa(alloy, next)) } }] : []),
      ...(softMPa < proofMPa ? [{ id: 'aged' as const, asked: { ...shared, zones: aged } }] : []),
      ...(plated
        ? [
            {
              id: 'plated' as const,
              asked: {
                ...shared,
                shape: plated,
                zones: laid,
                fixed: shared.fixed.map(one => ({ ...one, atMm: raised(one.atMm) })),
                loads: shared.loads.map(one => ({ ...one, on: { ...one.on, atMm: raised(one.on.atMm) } })),
              },
            },
          ]
        : []),
    ],
  }
}
