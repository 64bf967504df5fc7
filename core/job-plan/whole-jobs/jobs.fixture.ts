import { machine } from '../machine.fixture'
import type { WholeJob } from './whole-job.fixture'

const rod = (filler: string, diameterMm = 2.4) => ({
  id: `r${filler}-${diameterMm * 10}`,
  filler,
  diameterMm,
  lengthMm: 914,
  price: 1,
  count: 20,
})
const RODS = ['4043', '5356'].flatMap(filler => [1.6, 2.4, 3.2].map(mm => rod(filler, mm)))
export const TORCH = { id: 't', name: 'propylene torch', gas: 'propylene', powerW: 2000, efficiencyPct: 35 }
export const HOT_AIR = { id: 'h', name: 'hot-air gun', gas: 'hot air', powerW: 2000, efficiencyPct: 12 }
/** A bench of these machines, torches and rods. */
export const kit = (machines: object[], torches: object[] = [TORCH], rods: object[] = RODS) => ({
  machines,
  rods,
  torches,
  gases: [{ id: 'ar', name: 'argon', cylinderL: 2000, price: 46 }],
})
const cast = (wallMm: number) => [{ id: 'a', alloy: '356', wallMm }]
const TIG_200 = kit([machine('ac-tig', 200, 25)])

/** Four jobs as an old hand writes them down, then those that the trade tells of. Common practice, no source. */
export const WHOLE_JOBS: readonly WholeJob[] = [
  {
    name: 'oil-soaked gearbox cover, sealing flange of 8 mm cracked 110 mm from an edge into a bolt hole, a seal 150 mm off stays on',
    input: {
      kit: TIG_200,
      part: {
        does: 'seal',
        soak: 'oil-soaked',
        lengthMm: 320,
        widthMm: 220,
        heightMm: 60,
        mustNotMove: ['gasket-face', 'bolt-pattern'],
        keptOn: [{ id: 'seal', limitC: 80, atMm: [230, 60, 0] }],
        bodies: cast(8),
      },
      mends: [
        {
          id: 'crack',
          kind: 'crack',
          lengthMm: 110,
          startsIn: 'edge',
          endsIn: 'hole',
          atMm: [80, 60, 0],
          on: ['gasket-face'],
        },
      ],
    },
    active: [55, 90],
    phases: { arc: [6, 9], opening: [12, 20], rebuilding: [15, 25], checks: [20, 30] },
    passes: { crack: [3, 4] },
  },
  {
    name: 'drain boss M14 stripped, thin and oily round it, boss sound: slug shrunk in, rim welded',
    input: {
      kit: TIG_200,
      part: { does: 'seal', soak: 'oily', lengthMm: 220, widthMm: 150, heightMm: 80, bodies: cast(5) },
      mends: [
        {
          id: 'drain',
          kind: 'boss',
          thread: 'M14x1.5',
          deepMm: 18,
          bossMm: 32,
          state: 'stripped',
          way: 'pressed-slug',
        },
      ],
    },
    active: [40, 65],
    phases: { arc: [1, 2.5], warmth: [3, 6] },
    amps: [100, 125],
  },
  {
    name: 'two small plated brackets, a break and two plain holes each, 140 A',
    input: {
      kit: kit([machine('ac-tig', 140)]),
      part: { does: 'static', soak: 'dry', coating: 'plated', alike: 2, massG: 900, bodies: cast(8) },
      mends: [
        { id: 'break', kind: 'break', lengthMm: 25 },
        { id: 'one', kind: 'hole', diameterMm: 8 },
        { id: 'two', kind: 'hole', diameterMm: 8 },
      ],
    },
    active: [22, 30],
    phases: { arc: [3, 4], warmth: [1.5, 5] },
    passes: { one: [2, 3], two: [2, 3], break: [2, 4] },
  },
  {
    name: 'thin cast cover of 3.5 mm, clean, crack of 45 mm with a branch of 15',
    input: {
      kit: TIG_200,
      part: { soak: 'dry', lengthMm: 200, widthMm: 140, heightMm: 30, bodies: cast(3.5) },
      mends: [
        { id: 'crack', kind: 'crack', lengthMm: 45 },
        { id: 'branch', kind: 'crack', lengthMm: 15, startsIn: 'edge' },
      ],
    },
    active: [8, 14],
    phases: { arc: [0.7, 1.5], rebuilding: [1, 2.5] },
    passes: { crack: [1, 1], branch: [1, 1] },
    amps: [95, 145],
    hasNot: ['warm', 'check-dye'],
  },
  {
    name: 'ear broken off a small casting, never oiled, beads from both sides, blended',
    input: {
      kit: TIG_200,
      part: { soak: 'dry', lengthMm: 120, widthMm: 80, heightMm: 40, bodies: cast(8) },
      mends: [{ id: 'ear', kind: 'break', lengthMm: 45 }],
    },
    active: [45, 60],
    phases: { arc: [2, 10] },
  },
  {
    name: 'small bracket, cracked both sides',
    input: {
      kit: TIG_200,
      part: { does: 'static', soak: 'handled', lengthMm: 140, widthMm: 70, heightMm: 40, bodies: cast(8) },
      mends: [
        { id: 'left', kind: 'crack', lengthMm: 40, startsIn: 'edge', sides: 2 },
        { id: 'right', kind: 'crack', lengthMm: 40, startsIn: 'edge', sides: 2 },
      ],
    },
    active: [45, 60],
    phases: { arc: [3, 10] },
  },
  {
    name: 'two small castings: one break, two plain holes in each, 140 A, five minutes of torch',
    input: {
      kit: kit([machine('ac-tig', 140)]),
      part: { does: 'static', soak: 'dry', alike: 2, massG: 1000, bodies: cast(8) },
      mends: [
        { id: 'break', kind: 'break', lengthMm: 25 },
        { id: 'one', kind: 'hole', diameterMm: 6 },
        { id: 'two', kind: 'hole', diameterMm: 6 },
      ],
    },
    active: [20, 28],
    phases: { arc: [3, 4], warmth: [2, 5] },
    passes: { one: [2, 3], two: [2, 3] },
  },
  {
    name: 'rim of a spinning part, cracked, seat side first, seat dressed by hand',
    input: {
      kit: TIG_200,
      part: {
        does: 'cyclic',
        moves: 'spins',
        soak: 'dry',
        massG: 2500,
        mustNotMove: ['locating-diameter'],
        bodies: cast(8),
      },
      mends: [{ id: 'rim', kind: 'crack', lengthMm: 60, startsIn: 'edge', sides: 2, on: ['locating-diameter'] }],
    },
    active: [90, 120],
    phases: { rebuilding: [30, 45] },
  },
  {
    name: 'groove round a turned part of 100 mm, pulsed gun',
    input: {
      kit: kit([machine('mig-pulse', 300)]),
      part: { soak: 'dry', massG: 3000, bodies: [{ id: 'a', alloy: '6061', wallMm: 20 }] },
      mends: [{ id: 'groove', kind: 'turned', turnedMm: 100, wideMm: 15, deepMm: 7 }],
    },
    phases: { arc: [4, 10] },
  },
  {
    name: 'the same groove by TIG',
    input: {
      kit: kit([machine('ac-tig', 300)]),
      part: { soak: 'dry', massG: 3000, bodies: [{ id: 'a', alloy: '6061', wallMm: 20 }] },
      mends: [{ id: 'groove', kind: 'turned', turnedMm: 100, wideMm: 15, deepMm: 7 }],
    },
    active: [60, 90],
  },
  {
    name: 'inner rim of a spinning part, cracked through',
    input: {
      kit: kit([machine('ac-tig', 250)]),
      part: {
        does: 'cyclic',
        moves: 'spins',
        soak: 'handled',
        massG: 9000,
        mustNotMove: ['locating-diameter'],
        bodies: cast(10),
      },
      mends: [
        {
          id: 'rim',
          kind: 'crack',
          lengthMm: 70,
          startsIn: 'edge',
          endsIn: 'edge',
          sides: 2,
          on: ['locating-diameter'],
        },
      ],
    },
    active: [90, 120],
  },
  {
    name: 'corroded sheet box of 3 mm, seam and lapped patches, spool gun',
    input: {
      kit: kit([machine('mig-spool', 200)], []),
      part: {
        does: 'seal',
        soak: 'handled',
        lengthMm: 500,
        widthMm: 400,
        heightMm: 300,
        bodies: [{ id: 'box', alloy: '5052', wallMm: 3 }],
      },
      mends: [
        { id: 'a', kind: 'overlay', wideMm: 200, highMm: 150 },
        { id: 'b', kind: 'overlay', wideMm: 150, highMm: 100 },
        { id: 'c', kind: 'joint', joint: 'corner', lengthMm: 300, sidesWelded: 1 },
      ],
    },
    active: [67, 75],
    phases: { rebuilding: [2, 6] },
    hasNot: ['warm'],
  },
  {
    name: 'blade edge of a turning part, zinc rod, one hand torch at the edge',
    input: {
      kit: kit([], [TORCH]),
      part: { does: 'static', moves: 'spins', soak: 'dry', massG: 4500, bodies: cast(6) },
      mends: [{ id: 'edge', kind: 'edge', longMm: 60, wideMm: 6, highMm: 10 }],
    },
    elapsed: [120, 180],
    phases: { opening: [8, 14], rebuilding: [18, 24] },
    passes: { edge: [1, 1] },
  },
  {
    name: 'tube frame joint, 2 mm 6061, 5356, TIG',
    input: {
      kit: TIG_200,
      part: { does: 'cyclic', soak: 'dry', massG: 1800, bodies: [{ id: 'tube', alloy: '6061', wallMm: 2 }] },
      mends: [
        {
          id: 'joint',
          kind: 'joint',
          joint: 'tee',
          lengthMm: 100,
          sidesWelded: 1,
          lays: [{ process: 'ac-tig', filler: '5356' }],
        },
      ],
    },
    amps: [100, 120],
    passes: { joint: [1, 1] },
    hasNot: ['warm'],
  },
  {
    name: 'ear of 6 mm 6061 plate on a casting of 3.5 mm',
    input: {
      kit: kit([machine('ac-tig', 250)]),
      part: {
        does: 'static',
        soak: 'dry',
        massG: 1500,
        bodies: [
          { id: 'casting', alloy: '356', wallMm: 3.5 },
          { id: 'ear', alloy: '6061', wallMm: 6 },
        ],
      },
      mends: [{ id: 'ear', kind: 'joint', joint: 'tee', bodies: ['casting', 'ear'], lengthMm: 60 }],
    },
    amps: [180, 220],
    passes: { ear: [2, 4] },
  },
  {
    name: 'clean thin sheet of 3 mm',
    input: {
      kit: TIG_200,
      part: { soak: 'dry', massG: 900, bodies: [{ id: 'a', alloy: '5052', wallMm: 3 }] },
      mends: [{ id: 'j', kind: 'joint', joint: 'butt', lengthMm: 150 }],
    },
    amps: [112, 138],
    passes: { j: [1, 1] },
    hasNot: ['warm'],
  },
  {
    name: 'flange of 10 mm beside fuel parts that stay on, hot air',
    judged: true,
    input: {
      kit: kit([machine('ac-tig', 250)], [HOT_AIR]),
      part: {
        does: 'seal',
        soak: 'handled',
        lengthMm: 300,
        widthMm: 200,
        heightMm: 60,
        keptOn: [{ id: 'fuel-parts', limitC: 60, atMm: [280, 180, 0] }],
        bodies: cast(10),
      },
      mends: [{ id: 'flange', kind: 'crack', lengthMm: 40, startsIn: 'edge', atMm: [20, 20, 0] }],
    },
    phases: { warmth: [3, 15] },
    passes: { flange: [2, 4] },
  },
  {
    name: 'drain boss, slug of 19 mm, blind, freezer for hours, one rim',
    input: {
      kit: TIG_200,
      part: { does: 'seal', soak: 'handled', massG: 1200, bodies: cast(5) },
      mends: [
        {
          id: 'drain',
          kind: 'boss',
          thread: 'M12x1.5',
          deepMm: 16,
          bossMm: 30,
          slugMm: 19,
          state: 'stripped',
          way: 'pressed-slug',
        },
      ],
    },
    active: [35, 70],
    phases: { arc: [0.8, 2.5] },
    amps: [100, 125],
  },
  {
    name: 'snapped cast plate, kept break, tacked, both sides, ground flush and run over',
    input: {
      kit: TIG_200,
      part: { soak: 'dry', lengthMm: 160, widthMm: 90, heightMm: 8, bodies: cast(6) },
      mends: [
        { id: 'snap', kind: 'break', lengthMm: 60, finish: 'rough' },
        { id: 'corner', kind: 'crack', lengthMm: 15, startsIn: 'edge', finish: 'rough' },
      ],
    },
    active: [15, 25],
  },
  {
    name: 'half-inch wrought block, bad piece cut out, plate let in, rooted from both sides, capped, milled',
    input: {
      kit: kit([machine('ac-tig', 350, 60)]),
      part: {
        does: 'static',
        soak: 'dry',
        lengthMm: 250,
        widthMm: 150,
        heightMm: 12.7,
        bodies: [{ id: 'a', alloy: '6061', wallMm: 12.7 }],
      },
      mends: [{ id: 'plate', kind: 'window', wideMm: 60, highMm: 40, patchMm: 12.7, finish: 'machined' }],
    },
    active: [70, 150],
    passes: { plate: [4, 10] },
    amps: [270, 330],
    hasNot: ['warm'],
  },
  {
    name: 'oil-soaked case: two plugged holes and a corner, boiled out first',
    input: {
      kit: TIG_200,
      part: { does: 'seal', soak: 'oil-soaked', lengthMm: 300, widthMm: 220, heightMm: 120, bodies: cast(6) },
      mends: [
        { id: 'one', kind: 'hole', diameterMm: 10 },
        { id: 'two', kind: 'hole', diameterMm: 10 },
        { id: 'corner', kind: 'edge', longMm: 30, wideMm: 6, highMm: 10 },
      ],
    },
    active: [50, 110],
    phases: { arc: [5, 22], cleaning: [15, 45] },
  },
  {
    name: 'old casting, three cracks, fuel parts left on, hot air, air-cooled torch of 150 A',
    judged: true,
    input: {
      kit: kit([machine('ac-tig', 150)], [HOT_AIR]),
      part: {
        does: 'seal',
        soak: 'oily',
        lengthMm: 260,
        widthMm: 160,
        heightMm: 80,
        keptOn: [{ id: 'fuel-parts', limitC: 60 }],
        bodies: cast(6),
      },
      mends: [
        { id: 'a', kind: 'crack', lengthMm: 35 },
        { id: 'b', kind: 'crack', lengthMm: 25, startsIn: 'edge' },
        { id: 'c', kind: 'crack', lengthMm: 20, startsIn: 'hole' },
      ],
    },
    active: [50, 90],
    phases: { warmth: [3, 15], arc: [4, 10] },
  },
  {
    name: 'tube of 2.5 mm, crack along the maker’s weld',
    judged: true,
    input: {
      kit: TIG_200,
      part: { does: 'cyclic', soak: 'dry', massG: 2200, bodies: [{ id: 'a', alloy: '6061', wallMm: 2.5 }] },
      mends: [{ id: 'crack', kind: 'crack', lengthMm: 40, alongWeld: true }],
    },
    passes: { crack: [1, 1] },
    active: [15, 30],
    hasNot: ['warm'],
  },
  {
    name: 'cast arm with a plate laid on, machine on 110 V',
    input: {
      kit: kit([{ ...machine('ac-tig', 200, 25), supplyV: 110, breakerA: 25 }]),
      part: { does: 'cyclic', soak: 'handled', massG: 2500, bodies: cast(9) },
      mends: [{ id: 'plate', kind: 'plate', longMm: 80, wideMm: 40, plateMm: 6 }],
    },
    amps: [125, 155],
    phases: { warmth: [4, 12] },
    has: ['warm'],
  },
  {
    name: 'hole in a cast ear crushed: built up round a stainless bolt',
    judged: true,
    input: {
      kit: TIG_200,
      part: { does: 'static', soak: 'dry', massG: 1500, bodies: cast(8) },
      mends: [
        {
          id: 'ear',
          kind: 'thread',
          thread: 'M8',
          deepMm: 14,
          bossMm: 22,
          damagedMm: 5,
          soundMm: 9,
          way: 'cast-on-screw',
        },
      ],
    },
    active: [20, 40],
  },
  {
    name: 'bowed flange after its crack is welded free: lapped, no metal laid',
    judged: true,
    input: {
      kit: TIG_200,
      part: { does: 'seal', soak: 'dry', lengthMm: 250, widthMm: 80, heightMm: 40, bodies: cast(8) },
      mends: [{ id: 'flange', kind: 'face', wideMm: 40, longMm: 220, lowMm: 0.15, how: 'lapped' }],
    },
    active: [25, 60],
    phases: { arc: [0, 0], rebuilding: [10, 30] },
    hasNot: ['warm', 'earth'],
  },
  {
    name: 'end bell broken in two: kept break, a stretch on the register left unwelded',
    judged: true,
    input: {
      kit: TIG_200,
      part: {
        does: 'static',
        soak: 'handled',
        massG: 1200,
        mustNotMove: ['locating-diameter', 'bearing-bore'],
        bodies: cast(6),
      },
      mends: [{ id: 'bell', kind: 'break', lengthMm: 120, unweldedMm: 20, sides: 1, finish: 'rough' }],
    },
    active: [30, 60],
    phases: { arc: [3, 8] },
    passes: { bell: [1, 3] },
  },
  {
    name: 'bent lip of a cast cover, warmed and pressed',
    judged: true,
    input: {
      kit: TIG_200,
      part: { does: 'static', soak: 'dry', massG: 1500, bodies: cast(4) },
      mends: [{ id: 'lip', kind: 'bent', bentMm: 4, overMm: 80 }],
    },
    active: [20, 60],
    has: ['warm', 'press-back', 'measure-bend'],
    hasNot: ['earth'],
  },
  {
    name: 'a crack and its stud hole in a casting of 10 mm, clean, 250 A',
    judged: true,
    input: {
      kit: kit([machine('ac-tig', 250)]),
      part: { does: 'static', soak: 'handled', massG: 5000, bodies: cast(10) },
      mends: [
        { id: 'crack', kind: 'crack', lengthMm: 80, startsIn: 'edge' },
        { id: 'stud', kind: 'thread', thread: 'M10', deepMm: 20, bossMm: 26, state: 'stripped' },
      ],
    },
    active: [40, 90],
    passes: { crack: [2, 6] },
  },
  {
    name: 'six short cracks of a clean cover, one dye run',
    judged: true,
    input: {
      kit: TIG_200,
      part: { does: 'seal', soak: 'handled', lengthMm: 300, widthMm: 200, heightMm: 60, bodies: cast(6) },
      mends: Array.from({ length: 6 }, (_, n) => ({ id: `c${n}`, kind: 'crack', lengthMm: 20 })),
    },
    active: [60, 120],
    phases: { checks: [15, 35] },
    passes: { c0: [1, 3], c5: [1, 3] },
  },
]
