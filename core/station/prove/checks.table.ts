import type { StationId } from '../../job/stations.table'

export interface CheckRow {
  readonly id: string
  readonly name: string
  /** What it looks at. */
  readonly where: string
  readonly how: string
  /** Where one goes back to when it fails. */
  readonly back: StationId
  readonly caution?: string
}

/** Checks as they are done. Which a job needs, and how long each takes, its plan says. Common practice, no source. */
export const CHECKS: readonly CheckRow[] = [
  {
    id: 'look',
    back: 'weld',
    name: 'Look',
    where: 'the weld and both its ends',
    how: 'Toes, craters, specks, a crack reopened: with a lens, both sides, under a raking light.',
  },
  {
    id: 'flux',
    back: 'weld',
    name: 'Flux washed off',
    where: 'the joint, its far side and every pocket',
    how: 'Hot water and a brush until a drop of clean water dried on it leaves no white: what stays eats the metal for years.',
  },
  {
    id: 'wetted',
    back: 'weld',
    name: 'Wetted through',
    where: 'both edges of the joint, from both sides',
    how: 'Rod runs out to a feather everywhere and shows on the far side; tapped, it rings with the part. Pick at an edge: nothing lifts.',
  },
  {
    id: 'dye',
    back: 'open',
    name: 'Dye',
    where: 'the weld, 25 mm past each end',
    how: 'Clean, dye, ten minutes, wipe, developer: no line may bleed through. Grind flush first where a line is doubtful.',
    caution: 'solvent-fire',
  },
  {
    id: 'flat',
    back: 'rebuild',
    name: 'Flatness of the gasket face',
    where: 'the whole face',
    how: 'Straightedge and feelers across and along, or blue on a true plate: marks out to every edge.',
  },
  {
    id: 'line',
    back: 'rebuild',
    name: 'Alignment against before',
    where: 'bores, diameters and pivots',
    how: 'Measure again what was measured at take-in: bores, diameters, pivots.',
  },
  {
    id: 'pattern',
    back: 'rebuild',
    name: 'Bolt pattern',
    where: 'every bolt hole',
    how: 'Offer up the real mating part: every bolt must start by hand.',
  },
  {
    id: 'leak',
    back: 'weld',
    name: 'Leak',
    where: 'the whole part, filled',
    how: 'Fill with water, or a few kPa of air and soap; hold it and watch. Never working pressure with air.',
    caution: 'pressure-test',
  },
  {
    id: 'hose',
    back: 'weld',
    name: 'Hose',
    where: 'the whole part, from the weather side',
    how: 'A hose over every weld for some minutes, then look for a drop inside: it keeps rain out, and need hold no pressure.',
  },
  {
    id: 'runout',
    back: 'rebuild',
    name: 'Run-out',
    where: 'where it runs true',
    how: 'Between centres or in its own bearings, a dial on the rebuilt place, read at even steps round one turn.',
  },
  {
    id: 'balance',
    back: 'rebuild',
    name: 'Balance',
    where: 'on knife edges or its own axle',
    how: 'Let it come to rest from several places: the heavy side ends below. Take off there, or add opposite.',
  },
  {
    id: 'weight',
    back: 'weld',
    name: 'Weight',
    where: 'the whole part',
    how: 'Weigh it and note it beside what it weighed before: what goes to and fro feels every gram.',
  },
  {
    id: 'thread',
    back: 'rebuild',
    name: 'Thread and torque',
    where: 'every rebuilt thread',
    how: 'Gauge goes, no-go does not; then the real bolt to its torque, twice, with nothing giving.',
  },
  {
    id: 'fit',
    back: 'rebuild',
    name: 'Fit with the real part',
    where: 'where the mating part goes',
    how: 'The real bolt, plug, gasket or bearing goes home by hand.',
  },
  {
    id: 'cause',
    back: 'take-in',
    name: 'The cause put right',
    where: 'where it came from',
    how: 'What broke it is mended or told to the owner, in writing.',
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
  hose: 'hose',
  'run-out': 'runout',
  balance: 'balance',
  torque: 'thread',
  'thread-gauge': 'thread',
  weight: 'weight',
  flux: 'flux',
  wetted: 'wetted',
  cause: 'cause',
}
