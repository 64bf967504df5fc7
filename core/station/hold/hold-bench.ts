import type { z } from 'zod'
import { NoAnswer } from '../../ask/question'
import type { holdFields } from '../../hold/schema'
import { PULLS, type PulledPlace } from '../../job/fields/hold.schema'
import type { Job } from '../../job/job.schema'
import { isOfKind } from '../../mend/registry'
import { findAlloy } from '../../metal/find-alloy'
import { mechanicalOf } from '../../metal/mechanical.table'
import { softenedMPa } from '../../metal/softened.table'
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
  const { volumeMm3, sizeMm } = measured(shape)
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
  const [cracks, welds]: [Zone[], Zone[]] = [[], []]
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
      cracks.push({ id: `crack-${mark.id}`, kind: 'crack', boxMm: crack as Zone['boxMm'] })
    }
    const filler = findAlloy(planned?.filler ?? '')
    const softMPa = softenedMPa(alloy)
    const softened = boxAlong(mark, line, wallMm / 2 + SOFT_MM, SOFT_MM, wallMm).box
    welds.push(
      { id: `soft-${mark.id}`, kind: 'softened', boxMm: softened as Zone['boxMm'], yieldMPa: softMPa },
      {
        id: `weld-${mark.id}`,
        kind: 'weld',
        boxMm: box as Zone['boxMm'],
        yieldMPa: Math.min(softMPa, filler ? mechanicalOf(filler).proofMPa : softMPa),
      },
    )
    names[`soft-${mark.id}`] = name
    names[`weld-${mark.id}`] = name
  }
  if (!welds.length) throw new NoAnswer('mark on the part where it is mended, along its line')
  return {
    names,
    cases: [
      { id: 'new', asked: { ...shared, zones: [] } },
      ...(cracks.length ? [{ id: 'cracked' as const, asked: { ...shared, zones: cracks } }] : []),
      // What lies over it is said later: the weld lies in what it softened.
      {
        id: 'mended',
        asked: { ...shared, zones: welds.toSorted((a, b) => Number(a.kind === 'weld') - Number(b.kind === 'weld')) },
      },
    ],
  }
}
