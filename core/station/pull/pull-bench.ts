import { said } from '../../job/fields/said'
import { NoAnswer } from '../../ask/question'
import { arcOf, isArc } from '../../process/registry'
import type { Job } from '../../job/job.schema'
import { findAlloy } from '../../metal/find-alloy'
import { mechanicalOf } from '../../metal/mechanical.table'
import { beadYieldMPa } from '../../metal/softened.table'
import type { Triple } from '../../solid/forms'
import { measured } from '../../solid/measure'
import type { Shape } from '../../solid/shape.schema'
import { FACE_AXIS, INWARD, OPPOSITE, type Face } from '../../solid/stored/faces.table'
import type { StoredMark } from '../../solid/stored/stored.schema'
import { pathLongMm, pathOf } from '../../solid/stored/to-shape'
import { beadShrinks } from '../../warp/bead'
import { MOST_BEADS, type WarpInput } from '../../warp/schema'
import { markName, mendedAt } from '../take-in/on-the-part'
import type { JobPlan } from '../plan-job'
import { backSteps, comesRound, halves, quarters } from './parted-line'
import { BAR_MM, strongback } from './strongback'
import { type PullBench, type Way } from './ways.table'
import { weldLine } from './weld-line'

type Solid = Exclude<Shape, { kind: 'voxels' }>

/** Cells of a run on the bench: a few seconds for a whole weld. */
const BENCH_CELLS = 4500
/** Passes after the root shrink this much of the wall: they lie on top, what is under them is hot too. Judgement. */
const OVER_ROOT_DEEP = 0.6
/** More passes than this a side are taken together, so that a run stays short. */
const MOST_A_SIDE = 3

interface Pass {
  side: 1 | 2
  filler: string | null
  powerW: number
  heatJMm: number
}
const ROOM_C = 20
/** Warmed by no more than this, laying it cold is no other way. */
const CHILL_K = 20
const WARMER_K = 80
/** What peening takes of a bead's pull: 0.2 to 0.6 by hand and hammer. Judgement. */
const PEEN_TAKES = 0.4
const SLOW_C = 200
const NARROW = 0.75

/** The passes of the mend at a mark as they are laid, each with its arc's power and the heat it puts into its run. */
function passesOf(job: Job, plan: JobPlan, mark: StoredMark, longMm: number): Pass[] {
  const row = plan.mends.rows.find(each => each.id === mark.mend)
  const planned = row?.planned
  if (!planned) return []
  // The heat of a pass goes into the run that was planned, however long its line was drawn.
  const runMm = planned.run?.longMm ?? longMm
  const arcMin = planned.arcMin - row.log.boilMin
  const middleA = planned.startA === null ? null : (planned.startA + (planned.easedA ?? planned.startA)) / 2
  return row.log.passes.map(({ side, process, filler, ease }) => {
    const a = ease ? (ease.fromA + ease.toA) / 2 : middleA
    const powerW = isArc(process) && a ? a * arcOf(process).volts * arcOf(process).enters : 0
    return { side, filler, powerW, heatJMm: (powerW * arcMin * 60) / planned.passes / runMm }
  })
}

/** Passes of a side taken together until few are left, each with the heat of those it stands for. */
function fewer(passes: readonly Pass[]): Pass[] {
  const count = (side: 1 | 2) => passes.filter(pass => pass.side === side).length
  const every = { 1: Math.ceil(count(1) / MOST_A_SIDE), 2: Math.ceil(count(2) / MOST_A_SIDE) }
  const found: (Pass & { of: number })[] = []
  for (const pass of passes) {
    const open = found.findLast(each => each.side === pass.side)
    if (open && open.of < every[pass.side]) {
      // Together they heat on, yet what one has shrunk the next does not shrink again: the hottest of them counts.
      open.heatJMm = Math.max(open.heatJMm, pass.heatJMm)
      open.of += 1
    } else found.push({ ...pass, of: 1 })
  }
  return found
}

const reordered: Partial<Record<Way['id'], (passes: readonly Pass[]) => Pass[]>> = {
  'one-side': passes => passes.toSorted((a, b) => a.side - b.side),
  'turn-about': passes => {
    const [one, two] = [passes.filter(pass => pass.side === 1), passes.filter(pass => pass.side === 2)]
    return one.flatMap((pass, n) => (two[n] ? [pass, two[n]] : [pass])).concat(two.slice(one.length))
  },
  'roots-first': passes => {
    const roots = [1, 2].flatMap(side => passes.find(pass => pass.side === side) ?? [])
    const fills = passes.filter(pass => !roots.includes(pass))
    return [...roots, ...reordered['turn-about']!(fills)]
  },
}

const HALVES = [', first half', ', second half']
const QUARTERS = [', first quarter', ', the one opposite', ', second quarter', ', last quarter']
/** Ways that part a run, and what its parts are called as they are laid. */
const PARTED: Partial<
  Record<Way['id'], { of: (line: readonly Triple[]) => Triple[][]; words: (part: number) => string }>
> = {
  'middle-out': { of: halves, words: part => HALVES[part]! },
  quarters: { of: quarters, words: part => QUARTERS[part]! },
  'back-step': { of: backSteps, words: part => `, step ${part + 1}` },
}

/**
 * What the pull bench asks: every pass of the planned weld on its line, what the marks say may not move, and the other
 * ways it could be laid.
 * @throws NoAnswer where nothing that is welded is marked, nothing may move, or the arc's heat is not known yet
 */
export function pullBench(job: Job, plan: JobPlan, shape: Solid): PullBench {
  const alloyName = plan.know.data.alloy.name
  const alloy = findAlloy(alloyName)
  if (!alloy) throw new NoAnswer('the alloy is not known yet')
  const { volumeMm3, sizeMm, originMm } = measured(shape)
  const wallMm = job.takeIn.wallMm.value || Math.min(...sizeMm)
  // A wall thinner than a cell would be lost: one cell through it still bends right.
  const cellMm = Math.min(wallMm, Math.max(wallMm / 3, Math.cbrt(volumeMm3 / BENCH_CELLS)))
  const { warmth } = plan.warm.data
  const preheatC = warmth.need === 'none' ? said(job, 'warm').startC : warmth.toC
  const mended = job.shape.marks.filter(mark => mark.kind === 'mend')
  if (!mended.length) throw new NoAnswer('mark on the part where it is mended, along its line')

  const heatOf = (way: Way['id']) =>
    way === 'warm' ? Math.min(preheatC + WARMER_K, alloy.solidusC - 60) : way === 'cold' ? ROOM_C : preheatC
  const { proofMPa } = mechanicalOf(alloy)
  const lineOf = (mark: StoredMark) =>
    weldLine(mark, plan.mends.rows.find(row => row.id === mark.mend)?.planned?.run ?? null)
  const beadsFor = (way: Way['id']): WarpInput['beads'] =>
    mended.flatMap(mark => {
      const line = lineOf(mark)
      if (!line) return []
      const passes = fewer(passesOf(job, plan, mark, pathLongMm(line))).filter(pass => pass.heatJMm > 0)
      const inOrder = reordered[way]?.(passes) ?? passes
      const peen = way === 'peened' && job.weld.peen === 'leave' ? 'peen' : job.weld.peen
      return inOrder.flatMap(({ side, heatJMm, powerW, filler }, n) => {
        const face = side === 1 ? mark.face : OPPOSITE[mark.face]
        const root = inOrder.findIndex(pass => pass.side === side) === n
        const found = beadShrinks({
          alloy,
          heatJMm: way === 'narrow' ? heatJMm * NARROW : heatJMm,
          powerW,
          wallMm,
          preheatC: heatOf(way),
        })
        const peened = !root && (peen === 'last' || (peen === 'peen' && n < inOrder.length - 1))
        const left = peened ? 1 - PEEN_TAKES : 1
        const deep = root ? found.depthMm : Math.min(found.depthMm, OVER_ROOT_DEEP * wallMm)
        const off = side === 1 ? 0 : INWARD[mark.face] * wallMm
        const moved = line.map(
          place => place.map((value, axis) => (axis === FACE_AXIS[mark.face] ? value + off : value)) as Triple,
        )
        const lines = PARTED[way]?.of(moved) ?? [moved]
        return lines.map((pathMm, part) => ({
          id: `${mendedAt(job, mark)}, pass ${n + 1}${PARTED[way]?.words(part) ?? ''}`,
          pathMm,
          face,
          widthMm: found.widthMm,
          depthMm: deep,
          strainAlong: left * found.strainAlong,
          strainAcross: left * found.strainAcross,
          fills: false,
          yieldMPa: beadYieldMPa(alloy, filler ? findAlloy(filler) : null),
        }))
      })
    })
  const planned = beadsFor('planned')
  if (!planned.length)
    throw new NoAnswer('no arc is laid on what is marked, or its current is not worked out yet: see Weld')

  const { watch, watched, unwatched } = watchedOf(job)
  if (!watch.length && unwatched.length)
    throw new NoAnswer(`${unwatched.map(({ name, wants }) => `${name}: ${wants}`).join('; ')}`)
  if (!watch.length) throw new NoAnswer('mark what may not move: a face, a bore, the holes of a bolt pattern')
  const rests = OPPOSITE[mended[0]!.face]
  const bars = strongback(shape, mended[0]!, lineOf(mended[0]!))
  const holdOf = (way: Way['id']): WarpInput['hold'] =>
    way === 'held'
      ? { pressed: pressedPlaces(job, rests, originMm, sizeMm), on: rests }
      : way === 'strongback' && bars
        ? { pressed: bars.map(atMm => ({ atMm, radiusMm: Math.max(BAR_MM, cellMm) })), on: mended[0]!.face }
        : { free: true }
  const asked = (way: Way['id']): WarpInput => ({
    shape,
    cellMm,
    alloy,
    beads: way === 'planned' || way === 'held' || way === 'strongback' || way === 'slow' ? planned : beadsFor(way),
    ...(way === 'slow' && { slowC: SLOW_C }),
    hold: holdOf(way),
    watch,
    preheatC,
    plastic: true,
    yieldMPa: proofMPa,
  })
  const sides = new Set(planned.map(bead => bead.face)).size
  const ids: Way['id'][] = [
    'planned',
    ...(sides > 1 ? (['one-side', 'turn-about', 'roots-first'] as const) : (['middle-out'] as const)),
    'back-step',
    ...(mended.some(mark => comesRound(lineOf(mark))) ? (['quarters'] as const) : []),
    'held',
    ...(bars ? (['strongback'] as const) : []),
    'warm',
    ...(preheatC > ROOM_C + CHILL_K ? (['cold'] as const) : []),
    'narrow',
    ...(job.weld.peen === 'leave' && beadsFor('peened').some((bead, n) => bead.strainAlong !== planned[n]!.strainAlong)
      ? (['peened'] as const)
      : []),
    'slow',
  ]
  // More beads than a run takes are no way to compare.
  const ways = ids.map(id => ({ id, asked: asked(id) })).filter(({ asked: { beads } }) => beads.length <= MOST_BEADS)
  return { watched, unwatched, ways: ways.filter(({ asked: way }, n) => n === 0 || !isLaidAlike(way, ways[0]!.asked)) }
}

/** Whether two ways ask for the same beads in the same order, held alike and cooled alike. */
function isLaidAlike(one: WarpInput, other: WarpInput): boolean {
  const told = ({ beads, hold, slowC }: WarpInput) =>
    JSON.stringify([beads.map(bead => ({ ...bead, id: '' })), hold, slowC ?? null])
  return told(one) === told(other)
}

/** What may not move, by its marks: what is read off the part, by its name, and what says too little for that. */
function watchedOf(job: Job): { watch: WarpInput['watch'] } & Pick<PullBench, 'watched' | 'unwatched'> {
  const watch: WarpInput['watch'] = []
  const watched: PullBench['watched'] = []
  const unwatched: PullBench['unwatched'] = []
  const holes = job.shape.marks.filter(mark => mark.kind === 'holes').flatMap(mark => pathOf(mark)?.slice(0, 1) ?? [])
  for (const mark of job.shape.marks) {
    const isRound = mark.kind === 'fixed-bore' || mark.kind === 'bearing-seat'
    if (!isRound && mark.kind !== 'fixed-face') continue
    const [at] = pathOf(mark) ?? []
    const name = markName(job, mark)
    if (!at || (isRound && !mark.acrossMm.value)) {
      unwatched.push({ mark: mark.id, name, wants: at ? 'its diameter is not said' : 'it is not put on the part yet' })
      continue
    }
    if (mark.kind === 'fixed-face') {
      watch.push({ kind: 'face', face: mark.face, atMm: at })
      // A wall or a floor that should stay where it is has no limit of a face that seals.
      const seals = job.takeIn.mustNotMove.includes('gasket-face')
      watched.push({ name, limitMm: seals ? job.rebuild.face.toMm.value : null })
    }
    if (isRound && mark.acrossMm.value) {
      watch.push({
        kind: 'bore',
        axis: (['x', 'y', 'z'] as const)[FACE_AXIS[mark.face]],
        atMm: at,
        diameterMm: mark.acrossMm.value,
      })
      watched.push({ name, limitMm: null })
    }
  }
  if (holes.length > 1) {
    watch.push({ kind: 'holes', atMm: holes })
    watched.push({ name: 'bolt pattern', limitMm: null })
  } else
    for (const mark of job.shape.marks)
      if (mark.kind === 'holes')
        unwatched.push({
          mark: mark.id,
          name: markName(job, mark),
          wants: 'one hole alone has no pattern: mark the others',
        })
  return { watch, watched, unwatched }
}

/** Where it is pressed down: at the clamps marked, else at corners and middles of the face it lies on. */
function pressedPlaces(job: Job, rests: Face, originMm: Triple, sizeMm: Triple) {
  const clamps = job.shape.marks.filter(mark => mark.kind === 'clamp').flatMap(mark => pathOf(mark)?.slice(0, 1) ?? [])
  const radiusMm = Math.max(...sizeMm) / 8
  if (clamps.length > 2) return clamps.map(atMm => ({ atMm, radiusMm }))
  const axis = FACE_AXIS[rests]
  const [p, q] = [(axis + 1) % 3, (axis + 2) % 3]
  const level = INWARD[rests] > 0 ? originMm[axis] : originMm[axis] + sizeMm[axis]
  return [0.25, 0.75].flatMap(u =>
    [0.25, 0.75].map(v => {
      const atMm: Triple = [0, 0, 0]
      atMm[axis] = level
      atMm[p]! = originMm[p]! + u * sizeMm[p]!
      atMm[q]! = originMm[q]! + v * sizeMm[q]!
      return { atMm, radiusMm: Math.max(...sizeMm) / 3 }
    }),
  )
}
