import { keptBy } from '../../ask/kept'
import { NoAnswer } from '../../ask/question'
import type { Job, Kit } from '../../job/job.schema'
import { STATION_IDS, STATION_NAMES, type StationId } from '../../job/stations.table'
import { smallView, type SmallView } from '../../solid/small-view'
import { pathOf, shapeOfPieces } from '../../solid/stored/to-shape'
import { takesOf, toBuy } from './consumables'
import { partSolid } from '../take-in/part-solid'
import { planJob } from '../plan-job'

/** Width and height of a list's drawing, in its own units. */
const DRAWING_BOX: [number, number] = [96, 64]

/** Stations whose few words tell what is known; what they still want is the nearer thing. */
const WANTS_FIRST: readonly StationId[] = ['take-in', 'know']

/** Why a job waits, or what must be seen to before it goes on. */
export interface Wait {
  kind: 'stop' | 'stale' | 'buy' | 'on'
  words: string
}

/** What the shelf says of an open job beside its card: what is done next, and what that waits for. */
export interface ShelfLine {
  id: string
  next: StationId | null
  /** What is done or wanted there, in a few words. */
  says: string
  waits: Wait[]
}

/**
 * What stands in the way of a job, and what is next on it. Pure; from its plan.
 * @throws nothing that the plan itself does not
 */
export function shelfLine(job: Job, kit: Kit): ShelfLine {
  const next = STATION_IDS.find(id => !job.settled[id]) ?? null
  const { decision } = job.call
  if (job.handOver.handedAt) return { id: job.id, next, says: 'handed over', waits: [] }
  if (next !== null && (decision === 'refer' || decision === 'decline'))
    return {
      id: job.id,
      next,
      says: decision === 'refer' ? 'goes to somebody else' : 'turned away',
      waits: [{ kind: 'on', words: decision === 'refer' ? 'to be sent on' : 'to be fetched' }],
    }
  const plan = planJob(job, kit)
  const station = next === null ? null : plan[next]
  return {
    id: job.id,
    next,
    says:
      next !== null && WANTS_FIRST.includes(next) && station!.wants[0]
        ? `wants ${station!.wants[0]}`
        : (station?.short ?? 'to be handed over'),
    waits: [
      ...(station?.held ?? []).map((caution): Wait => ({ kind: 'stop', words: caution.code.replaceAll('-', ' ') })),
      ...STATION_IDS.filter(id => plan[id].changed.length).map((id): Wait => ({
        kind: 'stale',
        words: `${STATION_NAMES[id]}: ${plan[id].changed.map(change => change.what).join(', ')}`,
      })),
      ...toBuy(kit, takesOf(job, plan, kit)).map((words): Wait => ({ kind: 'buy', words })),
    ],
  }
}

const drawnSmall = keptBy(
  'drawn small',
  60,
  ({ shape, lines }: { shape: Parameters<typeof smallView>[0]; lines: Parameters<typeof smallView>[1] }) =>
    smallView(shape, lines, DRAWING_BOX),
)

/** The part from above with its mends on it, for a list; null where nothing says what it looks like, or a file must. */
export function shelfDrawing(job: Pick<Job, 'takeIn' | 'shape'>): SmallView | null {
  const solid = partSolid(job)
  if (!solid || solid.from === 'file') return null
  const lines = job.shape.marks
    .filter(mark => mark.kind === 'mend')
    .flatMap(mark => {
      const path = pathOf(mark)
      return path?.length ? [path] : []
    })
  try {
    return drawnSmall({ shape: shapeOfPieces(solid.solid.pieces), lines })
  } catch (error) {
    if (error instanceof NoAnswer) return null
    throw error
  }
}
