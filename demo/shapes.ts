import type { Job } from '../core/job/job.schema'
import { mm } from '../core/quantity/stored'
import { startPiece } from '../core/solid/stored/starters.table'
import { markSchema, type StoredMark, type StoredPiece } from '../core/solid/stored/stored.schema'

type Place = readonly [number, number, number]
type Piece = Parameters<typeof startPiece>[1]

const pieces = (list: readonly Piece[]): StoredPiece[] => list.map((piece, n) => startPiece(`p${n + 1}`, piece))
const hole = (diameterMm: number, thickMm: number, at: Place, lies?: 'along' | 'across'): Piece => ({
  kind: 'disc',
  size: { diameterMm, thickMm },
  at,
  cut: true,
  ...(lies && { lies }),
})
const mark = (
  id: string,
  kind: StoredMark['kind'],
  [x, y, z]: Place,
  more: Partial<Omit<StoredMark, 'acrossMm'>> & { acrossMm?: number } = {},
): StoredMark => {
  const { acrossMm, ...rest } = more
  return markSchema.parse({
    id,
    kind,
    at: { x: mm(x), y: mm(y), z: mm(z) },
    ...rest,
    ...(acrossMm && { acrossMm: mm(acrossMm) }),
  })
}
const bolts = (places: readonly (readonly [number, number])[], across: number, z: number) =>
  places.map(([x, y], n) => mark(`bolt-${n + 1}`, 'holes', [x, y, z], { name: `bolt hole ${n + 1}`, acrossMm: across }))

const COVER_BOLTS = [
  [12, 12],
  [267.4, 12],
  [12, 178.5],
  [267.4, 178.5],
] as const
/** Flanged cover, open above: the flange is its sealing face, a bearing bore stands in its floor. */
const COVER: Job['shape'] = {
  mesh: null,
  pieces: pieces([
    { kind: 'flanged-box', size: { xMm: 279.4, yMm: 190.5, zMm: 57.15, wallMm: 8, flangeMm: 24, flangeThickMm: 18 } },
    { kind: 'box', size: { xMm: 160, yMm: 110, zMm: 8 }, at: [60, 40, -8] },
    { kind: 'disc', size: { diameterMm: 76, thickMm: 32 }, at: [152, 57, -12] },
    hole(47, 60, [166.5, 71.5, -20]),
    { kind: 'disc', size: { diameterMm: 28, thickMm: 22 }, at: [52, 80, -14] },
    hole(10, 40, [61, 89, -20]),
    ...COVER_BOLTS.map(([x, y]) => hole(9, 26, [x - 4.5, y - 4.5, 36])),
  ]),
  marks: [
    mark('crack', 'mend', [10, 60, 57.15], {
      mend: 'flange',
      name: 'crack through the flange',
      path: [
        [16, 78, 57.15],
        [11, 100, 57.15],
        [15, 122, 57.15],
        [12, 146, 57.15],
        [10, 168, 57.15],
      ],
    }),
    mark('drain', 'mend', [66, 94, -14], { mend: 'drain', name: 'drain thread stripped', face: 'bottom' }),
    mark('pitted', 'mend', [90, 180, 57.15], { mend: 'gasket', name: 'pitted beside a bolt hole' }),
    mark('face', 'fixed-face', [140, 11, 57.15], { name: 'gasket face' }),
    mark('bore', 'fixed-bore', [190, 95, 14], { name: 'bearing bore', acrossMm: 47 }),
    mark('lip', 'seal', [190, 71, 14], { name: 'lip seal' }),
    ...bolts(COVER_BOLTS, 9, 57.15),
    mark('earth', 'earth', [267.4, 95, 57.15]),
  ],
}

/** Four holes on a square of 40 mm: a bolt circle of 56.6. */
const BRACKET_BOLTS = [
  [40, 10],
  [80, 10],
  [40, 50],
  [80, 50],
] as const
/** The lug of the pictures: 62 mm long and 38 wide, two holes 18 mm apart near its root, broken across near its tip. */
const LUG_HOLES = [100, 118] as const
const BRACKET: Job['shape'] = {
  mesh: null,
  pieces: pieces([
    { kind: 'plate', size: { lengthMm: 140, widthMm: 60, thickMm: 6 } },
    { kind: 'box', size: { xMm: 6, yMm: 60, zMm: 40 } },
    { kind: 'fillet', size: { longMm: 60, radiusMm: 6 }, at: [6, 0, 6], lies: 'along' },
    { kind: 'lug', size: { longMm: 62, wideMm: 38, thickMm: 6, holeMm: 0 }, at: [90, 27, 6], lies: 'across' },
    ...LUG_HOLES.map(x => hole(6, 12, [x - 3, 24, 13], 'across')),
    ...BRACKET_BOLTS.map(([x, y]) => hole(9, 12, [x - 4.5, y - 4.5, -3])),
  ]),
  marks: [
    mark('lug', 'mend', [91, 27, 46], {
      mend: 'lug',
      name: 'lug broken off',
      face: 'front',
      path: [
        [102, 27, 41],
        [114, 27, 47],
        [127, 27, 44],
      ],
    }),
    ...bolts(BRACKET_BOLTS, 9, 6),
    mark('finished', 'finished-face', [0, 30, 25], { name: 'finished face', face: 'left' }),
  ],
}

const TRAY: Job['shape'] = {
  mesh: null,
  pieces: pieces([
    { kind: 'flanged-box', size: { xMm: 620, yMm: 410, zMm: 90, wallMm: 3, flangeMm: 18, flangeThickMm: 3 } },
  ]),
  marks: [
    mark('long', 'mend', [180, 150, 3], { mend: 'patch-long', name: 'eaten through along the drain' }),
    mark('small', 'mend', [430, 300, 3], { mend: 'patch-small', name: 'pits in the corner' }),
    mark('seam', 'mend', [30, 20, 3], { mend: 'seam', name: 'corner seam', path: [[30, 20, 73]] }),
    mark('floor', 'fixed-face', [320, 200, 0], { name: 'floor', face: 'bottom' }),
  ],
}

const blade = (at: Place, lies: 'up' | 'across' = 'up'): Piece => ({
  kind: lies === 'up' ? 'lug' : 'plate',
  size: lies === 'up' ? { longMm: 215, wideMm: 72, thickMm: 6, holeMm: 0 } : { lengthMm: 72, widthMm: 215, thickMm: 6 },
  at,
})
/** Four blades on a hub: two with rounded tips along, two cut square across. */
const FAN: Job['shape'] = {
  mesh: null,
  pieces: pieces([
    { kind: 'disc', size: { diameterMm: 92, thickMm: 70 } },
    blade([80, 10, 32]),
    { kind: 'plate', size: { lengthMm: 215, widthMm: 72, thickMm: 6 }, at: [-203, 10, 32] },
    blade([10, 80, 32], 'across'),
    blade([10, -203, 32], 'across'),
    hole(28, 90, [32, 32, -10]),
  ]),
  marks: [
    mark('tip', 'mend', [288, 46, 38], { mend: 'tip', name: 'blade tip gone' }),
    mark('seat', 'mend', [46, 60, 70], { mend: 'seat', name: 'bearing seat' }),
    mark('bore', 'fixed-bore', [46, 46, 70], { name: 'hub bore', acrossMm: 28 }),
  ],
}

const YOKE: Job['shape'] = {
  mesh: null,
  pieces: pieces([
    { kind: 'plate', size: { lengthMm: 210, widthMm: 60, thickMm: 4 } },
    { kind: 'lug', size: { longMm: 50, wideMm: 60, thickMm: 4, holeMm: 12 }, at: [0, 0, 0], lies: 'along' },
    { kind: 'disc', size: { diameterMm: 34, thickMm: 22 }, at: [88, 13, 4] },
    hole(12, 40, [99, 24, -5]),
  ]),
  marks: [
    mark('ear', 'mend', [208, 1, 4], { mend: 'ear', name: 'ear lost', path: [[208, 59, 4]] }),
    mark('clamp', 'mend', [105, 30, 26], { mend: 'clamp', name: 'clamp boss split' }),
    mark('pad', 'mend', [40, 30, 4], { mend: 'pad', name: 'pad burnt' }),
  ],
}

/** Shapes of the made-up shop's open jobs, by the job's id. */
export const SHAPES: Readonly<Record<string, Job['shape']>> = {
  'gearbox-cover': COVER,
  'signal-bracket': BRACKET,
  'cider-tray': TRAY,
  'vent-fan': FAN,
  'lamp-yoke': YOKE,
}
