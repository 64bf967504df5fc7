/**
 * The bench tests that tell families apart: how to do each, how long it takes, what it costs the part.
 * Minutes and harm: judgement, from common practice.
 */
export const TEST_IDS = [
  'mark',
  'form',
  'surface',
  'fracture',
  'density',
  'conductivity',
  'hardness',
  'causticSpot',
  'vinegar',
  'arcTest',
  'composition',
  'use',
] as const
export type TestId = (typeof TEST_IDS)[number]

export interface BenchTest {
  readonly test: TestId
  readonly name: string
  readonly how: string
  readonly minutes: number
  /** It leaves a mark, a stain or a melted spot on the part. */
  readonly destructive: boolean
  /** Code of the caution raised when it is done. */
  readonly caution?: string
}

export const BENCH_TESTS: readonly BenchTest[] = [
  {
    test: 'mark',
    name: 'Cast or stamped mark',
    how: 'Look on the hidden side, inside faces and near the gate for letters and figures; write what is there.',
    minutes: 1,
    destructive: false,
  },
  {
    test: 'form',
    name: 'What it was made from',
    how: 'Sheet, extrusion, forging, casting, or machined so far that nothing of the skin is left.',
    minutes: 0.5,
    destructive: false,
  },
  {
    test: 'surface',
    name: 'Skin on the hidden side',
    how: 'Sand grain, smooth mould skin, ejector marks, rolled finish or long extrusion lines.',
    minutes: 0.5,
    destructive: false,
  },
  {
    test: 'fracture',
    name: 'Face of the break',
    how: 'Granular with no stretch, or bent and necked before it parted.',
    minutes: 1,
    destructive: false,
  },
  {
    test: 'density',
    name: 'Weighed dry and under water',
    how: 'Weigh dry; hang it on a thread under water and weigh again with no bubbles on it; take off the hanger.',
    minutes: 8,
    destructive: false,
  },
  {
    test: 'conductivity',
    name: 'Eddy-current conductivity',
    how: 'Probe on a clean flat of at least 12 mm, away from edges; zero on the reference first.',
    minutes: 3,
    destructive: false,
  },
  {
    test: 'hardness',
    name: 'Brinell or equivalent hardness',
    how: 'Three dents on a thick flat, away from the damage; take the mean.',
    minutes: 5,
    destructive: true,
  },
  {
    test: 'causticSpot',
    name: 'Caustic spot',
    how: 'File a bright spot; one drop of 10–20 % sodium hydroxide for a few minutes; rinse; read the colour.',
    minutes: 6,
    destructive: true,
    caution: 'caustic-spot',
  },
  {
    test: 'vinegar',
    name: 'Vinegar on filings',
    how: 'A few filings, or a filed bright spot, under a drop of vinegar: magnesium fizzes at once, aluminium lies still.',
    minutes: 2,
    destructive: false,
    caution: 'chips-burn',
  },
  {
    test: 'arcTest',
    name: 'A light pass without filler',
    how: 'On the edge of the damage, a short pass with no rod: watch how it wets and what the skin does.',
    minutes: 4,
    destructive: true,
    caution: 'arc-test',
  },
  {
    test: 'composition',
    name: 'Analyser reading',
    how: 'Percent by element from an analyser, on clean bare metal.',
    minutes: 15,
    destructive: false,
  },
  {
    test: 'use',
    name: 'What the part was for',
    how: 'Pick the nearest from the list.',
    minutes: 0.5,
    destructive: false,
  },
]

export const SEEN = {
  form: ['sheet', 'extrusion', 'forging', 'casting', 'machined-all-over'],
  surface: ['sand-grain', 'smooth-mould', 'ejector-marks', 'rolled', 'extrusion-lines'],
  fracture: ['granular', 'stretched'],
  causticSpot: ['black', 'grey-brown', 'clear'],
  vinegar: ['fizz', 'still'],
  arcTest: ['wets-clean', 'black-pepper', 'white-powder', 'bright-flare', 'cracks-behind'],
} as const

export type SeenTest = keyof typeof SEEN
