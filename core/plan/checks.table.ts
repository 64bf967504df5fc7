import type { Job } from '../job/job.schema'

export interface CheckRow {
  readonly id: string
  readonly name: string
  /** What it looks at. */
  readonly where: string
  readonly how: string
  readonly minutes: number
  readonly needed: (job: Job) => boolean
  readonly caution?: string
}

const moves = (job: Job, ...ids: string[]) => job.takeIn.mustNotMove.some(id => ids.includes(id))

/** Checks, and which job needs each. Common practice, no source. */
export const CHECKS: readonly CheckRow[] = [
  { id: 'look', name: 'Look', where: 'the weld and both its ends', how: 'Toes, craters, specks, a crack reopened: with a lens, both sides, under a raking light.', minutes: 3, needed: () => true },
  { id: 'dye', name: 'Dye', where: 'the weld, 25 mm past each end', how: 'Clean, dye, ten minutes, wipe, developer: no line may bleed through. Grind flush first where a line is doubtful.', minutes: 15, needed: job => job.takeIn.does !== 'static' || job.takeIn.safetyCritical !== 'none', caution: 'solvent-fire' },
  { id: 'flat', name: 'Flatness of the gasket face', where: 'the whole face', how: 'Straightedge and feelers across and along, or blue on a true plate: marks out to every edge.', minutes: 8, needed: job => moves(job, 'gasket-face') },
  { id: 'line', name: 'Alignment against before', where: 'bores, diameters and pivots', how: 'Measure again what was measured at take-in: bores, diameters, pivots.', minutes: 8, needed: job => moves(job, 'bearing-bore', 'locating-diameter', 'pivot-line') },
  { id: 'pattern', name: 'Bolt pattern', where: 'every bolt hole', how: 'Offer up the real mating part: every bolt must start by hand.', minutes: 4, needed: job => moves(job, 'bolt-pattern') },
  { id: 'leak', name: 'Leak', where: 'the whole part, filled', how: 'Fill with water, or a few kPa of air and soap; hold it and watch. Never working pressure with air.', minutes: 15, needed: job => job.takeIn.does === 'seal', caution: 'pressure-test' },
  { id: 'fit', name: 'Fit with the real part', where: 'where the mating part goes', how: 'The real bolt, plug, gasket or bearing goes home by hand.', minutes: 4, needed: () => true },
  { id: 'cause', name: 'The cause put right', where: 'where it came from', how: 'What broke it is mended or told to the owner, in writing.', minutes: 3, needed: job => job.takeIn.cause !== 'unknown' },
]
