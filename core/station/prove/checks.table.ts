import { PROCESSES, type ProcessId } from '../../call/process.table'
import type { Job } from '../../job/job.schema'
import type { StationId } from '../../job/stations.table'

export interface CheckRow {
  readonly id: string
  readonly name: string
  /** What it looks at. */
  readonly where: string
  readonly how: string
  readonly minutes: number
  /** Where one goes back to when it fails. */
  readonly back: StationId
  /** Whether the part wants it; left out, only a mend does. */
  readonly needed?: (job: Job, process: ProcessId) => boolean
  readonly caution?: string
}

const moves = (job: Job, ...ids: string[]) => job.takeIn.mustNotMove.some(id => ids.includes(id))

/** Checks, and which job needs each. Common practice, no source. */
export const CHECKS: readonly CheckRow[] = [
  {
    id: 'look',
    back: 'weld',
    name: 'Look',
    where: 'the weld and both its ends',
    how: 'Toes, craters, specks, a crack reopened: with a lens, both sides, under a raking light.',
    minutes: 3,
    needed: () => true,
  },
  {
    id: 'flux',
    back: 'weld',
    name: 'Flux washed off',
    where: 'the joint, its far side and every pocket',
    how: 'Hot water and a brush until a drop of clean water dried on it leaves no white: what stays eats the metal for years.',
    minutes: 5,
    needed: (_, process) => PROCESSES[process].flux,
  },
  {
    id: 'wetted',
    back: 'weld',
    name: 'Wetted through',
    where: 'both edges of the joint, from both sides',
    how: 'Rod runs out to a feather everywhere and shows on the far side; tapped, it rings with the part. Pick at an edge: nothing lifts.',
    minutes: 3,
    needed: (_, process) => !PROCESSES[process].fusion,
  },
  {
    id: 'dye',
    back: 'open',
    name: 'Dye',
    where: 'the weld, 25 mm past each end',
    how: 'Clean, dye, ten minutes, wipe, developer: no line may bleed through. Grind flush first where a line is doubtful.',
    minutes: 15,
    needed: job => job.takeIn.does !== 'static' || job.takeIn.safetyCritical !== 'none',
    caution: 'solvent-fire',
  },
  {
    id: 'flat',
    back: 'rebuild',
    name: 'Flatness of the gasket face',
    where: 'the whole face',
    how: 'Straightedge and feelers across and along, or blue on a true plate: marks out to every edge.',
    minutes: 8,
    needed: job => moves(job, 'gasket-face'),
  },
  {
    id: 'line',
    back: 'rebuild',
    name: 'Alignment against before',
    where: 'bores, diameters and pivots',
    how: 'Measure again what was measured at take-in: bores, diameters, pivots.',
    minutes: 8,
    needed: job => moves(job, 'bearing-bore', 'locating-diameter', 'pivot-line'),
  },
  {
    id: 'pattern',
    back: 'rebuild',
    name: 'Bolt pattern',
    where: 'every bolt hole',
    how: 'Offer up the real mating part: every bolt must start by hand.',
    minutes: 4,
    needed: job => moves(job, 'bolt-pattern'),
  },
  {
    id: 'leak',
    back: 'weld',
    name: 'Leak',
    where: 'the whole part, filled',
    how: 'Fill with water, or a few kPa of air and soap; hold it and watch. Never working pressure with air.',
    minutes: 15,
    needed: job => job.takeIn.does === 'seal',
    caution: 'pressure-test',
  },
  {
    id: 'runout',
    back: 'rebuild',
    name: 'Run-out',
    where: 'where it runs true',
    how: 'Between centres or in its own bearings, a dial on the rebuilt place, read at even steps round one turn.',
    minutes: 10,
    needed: job => job.takeIn.moves === 'spins' || job.prove.runOut.length > 0,
  },
  {
    id: 'balance',
    back: 'rebuild',
    name: 'Balance',
    where: 'on knife edges or its own axle',
    how: 'Let it come to rest from several places: the heavy side ends below. Take off there, or add opposite.',
    minutes: 12,
    needed: job => job.takeIn.moves === 'spins',
  },
  {
    id: 'weight',
    back: 'weld',
    name: 'Weight',
    where: 'the whole part',
    how: 'Weigh it and note it beside what it weighed before: what goes to and fro feels every gram.',
    minutes: 2,
    needed: job => job.takeIn.moves === 'to-and-fro',
  },
  {
    id: 'thread',
    back: 'rebuild',
    name: 'Thread and torque',
    where: 'every rebuilt thread',
    how: 'Gauge goes, no-go does not; then the real bolt to its torque, twice, with nothing giving.',
    minutes: 6,
  },
  {
    id: 'fit',
    back: 'rebuild',
    name: 'Fit with the real part',
    where: 'where the mating part goes',
    how: 'The real bolt, plug, gasket or bearing goes home by hand.',
    minutes: 4,
    needed: () => true,
  },
  {
    id: 'cause',
    back: 'take-in',
    name: 'The cause put right',
    where: 'where it came from',
    how: 'What broke it is mended or told to the owner, in writing.',
    minutes: 3,
    needed: job => job.takeIn.cause !== 'unknown',
  },
]

/** Which check answers what a mend asks. */
export const CHECK_OF: Readonly<Record<string, string>> = {
  look: 'look',
  dye: 'dye',
  fit: 'fit',
  flatness: 'flat',
  alignment: 'line',
  bore: 'line',
  'bolt-pattern': 'pattern',
  leak: 'leak',
  'run-out': 'runout',
  balance: 'balance',
  torque: 'thread',
  'thread-gauge': 'thread',
  weight: 'weight',
}
