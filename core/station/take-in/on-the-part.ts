import type { DrawnGroove } from '../../groove/drawn'
import { PROCESSES } from '../../process/registry'
import type { Job } from '../../job/job.schema'
import type { StationId } from '../../job/stations.table'
import { MUST_NOT_MOVE } from '../../job/words.table'
import { PLACE_KINDS, type PlaceKind } from '../../heat/bench/places.table'
import { kindOf } from '../../mend/registry'
import { verdictWords } from '../verdict-words'
import { MARK_KINDS, type MarkKind } from '../../solid/stored/marks.table'
import type { Triple } from '../../solid/forms'
import type { StoredMark } from '../../solid/stored/stored.schema'
import { pathLongMm, pathOf, placeAlongMm } from '../../solid/stored/to-shape'
import type { MendRow } from '../mends/mend-row'
import { figure, type Sentence } from '../parts'
import type { JobPlan } from '../plan-job'

/** What a station says at a mark on the part: numbered on the drawing, in words beside it. */
export interface PartNote {
  mark: string
  number: number
  words: Sentence
}
/** One pass of the weld on the part, in the order they are laid. */
export interface PartStep {
  mark: string
  side: 1 | 2
  words: string
}

const GUARDED_BY: Partial<Record<MarkKind, PlaceKind>> = {
  seal: 'seal',
  'fluoro-seal': 'fluoro-seal',
  bush: 'bush',
  'bearing-seat': 'bearing-seat',
  'finished-face': 'finished-face',
  clamp: 'held',
}
/** Which of the part's checks looks at which kind of mark. */
const CHECKED_AT: Partial<Record<MarkKind, readonly string[]>> = {
  'fixed-face': ['flat'],
  'fixed-bore': ['line', 'fit', 'runout'],
  'bearing-seat': ['line', 'fit'],
  holes: ['pattern'],
}

/** What a mark is called: by the shop, else by what is mended at it, else by its kind. */
export const markName = (job: Job, mark: StoredMark) => (mark.kind === 'mend' ? mendedAt(job, mark) : nameOf(mark))
const nameOf = (mark: StoredMark) => mark.name || MARK_KINDS[mark.kind].name

/** What is mended at a mark, by its own name. */
export function mendedAt(job: Job, mark: StoredMark): string {
  if (mark.name) return mark.name
  const mend = job.mends.find(each => each.id === mark.mend)
  return mend ? mend.name || kindOf(mend.kind).name : 'a mend not yet named'
}

const hotNote = (mark: StoredMark): Sentence =>
  mark.hotC.value === null ? [nameOf(mark)] : [`${nameOf(mark)}: `, figure(mark.hotC.value, 'c')]

interface Seen {
  job: Job
  plan: JobPlan
  mark: StoredMark
  row: MendRow | undefined
}

const BY_STATION: Record<StationId, (seen: Seen) => Sentence | null> = {
  'take-in': ({ job, mark }) => {
    if (mark.kind === 'hot') return hotNote(mark)
    if (mark.kind !== 'mend') return [nameOf(mark)]
    const path = pathOf(mark)
    const long = path && path.length > 1 ? pathLongMm(path) : 0
    return long > 0 ? [mendedAt(job, mark), ', ', figure(long, 'mm'), ' along its line'] : [mendedAt(job, mark)]
  },
  know: ({ job, mark }) => (mark.kind === 'mend' ? [mendedAt(job, mark), ': look at the fresh metal here'] : null),
  call: ({ job, plan, mark, row }) => {
    if (mark.kind !== 'mend') return null
    const planned = row?.planned
    const says = planned ? verdictWords(planned.decision, planned.chancePct) : plan.call.short
    const chancePct = planned?.chancePct
    return chancePct === undefined
      ? [`${mendedAt(job, mark)}: ${says}`]
      : [`${mendedAt(job, mark)}: ${says}, lasts `, figure(chancePct, 'pct')]
  },
  open: ({ job, mark, row }) => {
    if (mark.kind !== 'mend') return null
    const steps = row?.planned?.opening.length
    const holes = row?.opened ? [] : (row?.groove?.stopHoles ?? [])
    const [hole] = holes
    const name = mendedAt(job, mark)
    if (!hole) return [steps ? `${name}: ${steps} steps` : name]
    return [`${name}: ${steps} steps, ${holes.length} stop-holes of `, figure(hole.diameterMm, 'mm')]
  },
  warm: ({ job, plan, mark }) => {
    const { warmth } = plan.warm.data
    if (mark.kind === 'mend')
      return warmth.need === 'none'
        ? [`${mendedAt(job, mark)}: not warmed`]
        : [`${mendedAt(job, mark)}: `, figure(warmth.toC, 'c'), ' before the arc']
    const place = GUARDED_BY[mark.kind]
    const limitC = place ? PLACE_KINDS[place].limitC : null
    if (mark.kind === 'hot') return hotNote(mark)
    if (limitC === null) return null
    return [`${nameOf(mark)}: not over `, figure(limitC, 'c')]
  },
  weld: ({ job, mark, row }) => {
    if (mark.kind === 'earth') return ['earth clamp here: bright metal, never through a bearing']
    if (mark.kind === 'clamp') return [nameOf(mark)]
    if (mark.kind !== 'mend') return null
    const { passes, process } = row?.planned ?? {}
    if (!passes || !process) return [mendedAt(job, mark)]
    return [`${mendedAt(job, mark)}: ${passes} ${passes > 1 ? 'passes' : 'pass'}, ${PROCESSES[process].name}`]
  },
  rebuild: ({ job, mark, row }) => {
    if (mark.kind === 'fixed-face' || mark.kind === 'fixed-bore') return [`${nameOf(mark)}: measure before it is cut`]
    if (mark.kind !== 'mend' || !row?.planned?.rebuild.length) return null
    const { handMin, machineMin } = row.planned.rebuild.reduce(
      (sum, step) => ({ handMin: sum.handMin + step.handMin, machineMin: sum.machineMin + (step.machineMin ?? 0) }),
      { handMin: 0, machineMin: 0 },
    )
    return [`${mendedAt(job, mark)}: `, figure(handMin + machineMin, 'min'), ' of it at this station']
  },
  prove: ({ job, plan, mark, row }) => {
    const named = (ids: readonly string[]) =>
      plan.prove.data.checks.filter(check => ids.includes(check.id)).map(check => check.name.toLowerCase())
    const found =
      mark.kind === 'mend' ? named(row?.planned?.checks ?? ['look', 'dye']) : named(CHECKED_AT[mark.kind] ?? [])
    if (!found.length) return null
    return [`${mark.kind === 'mend' ? mendedAt(job, mark) : nameOf(mark)}: ${found.join(', ')}`]
  },
  'hand-over': ({ job, mark }) => (mark.kind === 'mend' ? [mendedAt(job, mark)] : null),
}

/** What a station says at each mark on the part, numbered in the marks' own order. */
export function notesOnPart(station: StationId, job: Job, plan: JobPlan): PartNote[] {
  return job.shape.marks
    .flatMap(mark => {
      const row = plan.mends.rows.find(each => each.id === mark.mend)
      const words = BY_STATION[station]({ job, plan, mark, row })
      return words ? [{ mark: mark.id, words }] : []
    })
    .map((note, n) => ({ ...note, number: n + 1 }))
}

/** Every pass on the part, mend by mend in the order they are taken on, as each mend lays them. */
export function stepsOnPart(job: Job, plan: JobPlan): PartStep[] {
  const of = (mend: string) => job.shape.marks.find(mark => mark.kind === 'mend' && mark.mend === mend)
  const rows = plan.mends.rows
    .filter(row => row.planned && of(row.id))
    .toSorted((a, b) => (a.turn?.place ?? 0) - (b.turn?.place ?? 0))
  return rows.flatMap(row => {
    const mark = of(row.id)!
    const { passes } = row.log
    return passes.map(({ number, side, process }): PartStep => ({
      mark: mark.id,
      side,
      words: `${mendedAt(job, mark)}: ${PROCESSES[process].name}, pass ${number} of ${passes.length}, side ${side}`,
    }))
  })
}

/** What may not move, as marks that still have to be put on the part. */
export const unmarked = (job: Job): string[] => {
  const has = (kind: MarkKind) => job.shape.marks.some(mark => mark.kind === kind)
  return job.takeIn.mustNotMove
    .filter(id =>
      id === 'gasket-face' ? !has('fixed-face') : id === 'bolt-pattern' ? !has('holes') : !has('fixed-bore'),
    )
    .map(id => MUST_NOT_MOVE[id])
}

/** A hole or a tack of a groove, where it comes on the line that was walked along on the part. */
export interface PlacedWork {
  kind: 'stop-hole' | 'tack'
  at: Triple
  /** Of a hole, across it; a tack is drawn as a dot. */
  acrossMm: number | null
  /** Of a tack, its turn. */
  turn: number | null
}

/** The open grooves of a part by the mend they are of. */
const groovesOf = ({ mends }: JobPlan): ReadonlyMap<string, DrawnGroove> =>
  new Map(mends.rows.flatMap(({ id, groove }) => (groove && !groove.closed ? [[id, groove] as const] : [])))

/** Stop-holes and tacks of every groove on its line; what the plan counts along the damage is stretched to it. */
export function groovesOnPart(job: Job, plan: JobPlan): PlacedWork[] {
  const grooves = groovesOf(plan)
  return job.shape.marks.flatMap(mark => {
    const groove = mark.kind === 'mend' && mark.mend ? grooves.get(mark.mend) : undefined
    const path = pathOf(mark)
    if (!path || path.length < 2 || !groove) return []
    const along = (mm: number) => placeAlongMm(path, (mm / groove.alongMm) * pathLongMm(path))
    return [
      ...groove.stopHoles.map(({ alongMm, diameterMm }): PlacedWork => ({
        kind: 'stop-hole',
        at: along(alongMm),
        acrossMm: diameterMm,
        turn: null,
      })),
      ...groove.sequence.tacks.map(({ alongMm }, n): PlacedWork => ({
        kind: 'tack',
        at: along(groove.fromMm + alongMm),
        acrossMm: null,
        turn: n + 1,
      })),
    ]
  })
}
