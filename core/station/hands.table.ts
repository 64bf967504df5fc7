import type { Trait } from '../mend/kind'
import { isOfKind } from '../mend/registry'
import { PROCESSES, isTig, isGun, type ProcessId } from '../process/registry'
import type { Job } from '../job/job.schema'
import type { StationId } from '../job/stations.table'

export interface Hand {
  readonly id: string
  readonly at: StationId
  /** What the hand does, and what it is for. */
  readonly text: string
  readonly when: (job: Job, process: ProcessId) => boolean
}

const has = (job: Job, trait: Trait) => job.mends.some(mend => isOfKind(mend.kind, trait))
const cuts = (job: Job) => job.mends.length > 0
/** Grooved from one side alone, as a crack or a break is unless it is said. */
const oneSided = (job: Job) =>
  job.mends.some(({ kind, readings }) => isOfKind(kind, 'broken-line') && Number(readings.sides) !== 2)
const tig = (_: Job, process: ProcessId) => isTig(process)
const gunIs = (process: ProcessId, gun: 'pulsed' | 'stitched') => PROCESSES[process].arc?.gun === gun
const threaded = (job: Job) => has(job, 'threaded')
const FACES = ['gasket-face', 'locating-diameter', 'seat']

/** What practised hands do, in its place. All of it: common practice, no source. */
export const HANDS: readonly Hand[] = [
  {
    id: 'burr-wax',
    at: 'open',
    text: 'Wax, soap or grease on the burr and a light hand: aluminium loads a dry one. It comes off again before the arc.',
    when: cuts,
  },
  {
    id: 'land',
    at: 'open',
    text: 'Where one side is all you can reach, leave a straight land of 1.5 to 3 mm at the bottom: it carries the root until it melts in.',
    when: job => oneSided(job) && (job.takeIn.wallMm.value ?? 0) >= 5,
  },
  {
    id: 'grind-look',
    at: 'open',
    text: 'Grind a little, wash, look; grind again. A dark line in bright metal is crack still.',
    when: job => has(job, 'broken-line'),
  },
  {
    id: 'strike-at-once',
    at: 'warm',
    text: 'Have rod, earth and gas ready before the flame: a warmed place is cold again while one looks for a glove.',
    when: cuts,
  },
  {
    id: 'foot-pulse',
    at: 'weld',
    text: 'Pulse with the foot: up until it wets, down as the rod goes in. It holds an edge that a steady arc would take away.',
    when: tig,
  },
  {
    id: 'keyhole',
    at: 'weld',
    text: 'A small keyhole running ahead of the puddle says that the root goes through; when it closes, slow down or give it more.',
    when: (job, process) => tig(job, process) && oneSided(job),
  },
  {
    id: 'grind-reweld',
    at: 'weld',
    text: 'Specks that stay in a bead are ground out to bright metal and laid again; welding over them only buries them.',
    when: (_, process) => PROCESSES[process].fusion,
  },
  {
    id: 'no-dry-arc',
    at: 'weld',
    text: 'A gun has no arc without wire, so it can’t boil oil out: run a bead, grind nearly all of it away, run again; or take TIG over it first.',
    when: (job, process) => isGun(process) && (job.takeIn.soak === 'oily' || job.takeIn.soak === 'oil-soaked'),
  },
  {
    id: 'small-wire',
    at: 'weld',
    text: 'On a thick wall thin wire pulsed in several beads wets better than one fat bead; arc length by the trim, not by the stick-out.',
    when: (job, process) => gunIs(process, 'pulsed') && (job.takeIn.wallMm.value ?? 0) >= 6,
  },
  {
    id: 'cold-stitch',
    at: 'weld',
    text: 'Cold stitches, one beside the other, each let go dull before the next: a thin sheet holds water so, and does not fall in.',
    when: (_, process) => gunIs(process, 'stitched'),
  },
  {
    id: 'blanket',
    at: 'weld',
    text: 'Cover it when the last pass is down, blanket or dry sand, out of the draught: slow all over is straight.',
    when: (_, process) => PROCESSES[process].fusion,
  },
  {
    id: 'wick',
    at: 'weld',
    text: 'The rod is drawn in by heat: warm beyond the joint and it wicks through. A drip that stands proud has not wetted.',
    when: (_, process) => !PROCESSES[process].fusion,
  },
  {
    id: 'build-before-bore',
    at: 'rebuild',
    text: 'Build up before boring, and bore last: whatever pulls has then pulled.',
    when: job => has(job, 'built-up'),
  },
  {
    id: 'try-bolt',
    at: 'rebuild',
    text: 'Try the bolt by hand in the first turns of the tap before the rest is cut or bored: a crooked start is caught there.',
    when: threaded,
  },
  {
    id: 'wets-out',
    at: 'rebuild',
    text: 'How the first bead wets the old boss decides: wets out clean, build it up; scums and crawls, cut it off and weld a new one on.',
    when: threaded,
  },
  {
    id: 'knurled-plug',
    at: 'rebuild',
    text: 'Knurl or thread a plug that is pressed into tired metal: it then can’t turn while its rim is welded.',
    when: threaded,
  },
  {
    id: 'weld-free-band',
    at: 'rebuild',
    text: 'Keep a band across a locating diameter free of weld: three sound places find the old centre again.',
    when: job =>
      job.takeIn.mustNotMove.includes('locating-diameter') || job.takeIn.mustNotMove.includes('bearing-bore'),
  },
  {
    id: 'bowed-face',
    at: 'rebuild',
    text: 'A face that comes back bowed is lapped, not sealed up; say on the card what bowed it.',
    when: job => job.takeIn.mustNotMove.some(id => FACES.includes(id)) || has(job, 'facing'),
  },
  {
    id: 'ring-test',
    at: 'prove',
    text: 'Tap a brazed joint with a small hammer: one clear note is one piece, a dull one is a joint that lies on.',
    when: (_, process) => !PROCESSES[process].fusion,
  },
]

/** What hands do at a station of this job. */
export const handsAt = (at: StationId, job: Job, process: ProcessId): string[] =>
  HANDS.filter(hand => hand.at === at && hand.when(job, process)).map(hand => hand.text)
