import { z } from 'zod'
import { NoAnswer, question, type Solved, type Unchanged } from '../ask/question'
import { quantity } from '../quantity/schema'
import { readBlue } from './blue'
import { CARD_IDS, CARDS, cardLeaf } from './card/layout'
import { findCard } from './card/find'
import { exampleOf } from './example'
import { greyOf } from './grey'
import { measurePhoto } from './measure'
import { outlineOf } from './outline'
import type { Picture } from './picture'
import { bytesOf, readPicture } from './read'
import { LINES } from './ridge'
import { measureThread } from './thread/measure'
import { FAINT_SHARE, traceLine } from './trace'
import * as answers from './answers'

const pixels = z.tuple([z.number().min(-1e6).max(1e6), z.number().min(-1e6).max(1e6)], {
  error: 'a pair of pixels [x, y]',
})
const millimetres = z.tuple([quantity('mm'), quantity('mm')], { error: 'a pair of lengths [X, Y]' })

export const photoMeasure = question({
  name: 'photo.measure',
  purpose: 'Length and area of a trace in a picture, by two known points or a flat figure seen at a slant',
  input: z.strictObject({
    known: z
      .array(z.strictObject({ px: pixels, mm: millimetres }))
      .min(2)
      .max(200)
      .refine(known => known.length !== 3, {
        error: 'two points give a scale, four or more a surface; three give neither',
      }),
    trace: z.array(pixels).min(2).max(5000),
    pickPx: z.number().min(0.01).max(100).default(1),
  }),
  output: answers.photoMeasure,
  example: {
    known: [
      { px: [120, 480], mm: [0, 0] },
      { px: [620, 470], mm: [100, 0] },
    ],
    trace: [
      [200, 300],
      [260, 310],
      [330, 290],
    ],
  },
  solve: ({ known, trace, pickPx }) => {
    const { working, ...answer } = measurePhoto(known, trace, pickPx)
    return {
      answer,
      working,
      cautions:
        known.length === 2
          ? [
              {
                code: 'seen-square',
                level: 'note' as const,
                text: 'Two points hold only for a picture taken square on: at a slant use four corners of something flat.',
              },
            ]
          : [],
    }
  },
})

/** A file of 12 million points as a camera writes it, in base64, and room beside it. */
const LONGEST_FILE = 24e6
const file = z
  .string({ error: 'the bytes of the file in base64' })
  .max(LONGEST_FILE)
  .transform((text, context) => {
    const bytes = bytesOf(text)
    if (bytes) return bytes
    context.issues.push({ code: 'custom', message: 'not base64: the bytes of the file, written as text', input: text })
    return z.NEVER
  })
const pictureFields = { png: file.optional(), jpg: file.optional() }
const ONE_PICTURE = { error: 'one picture: png or jpg', path: ['png'] }
const onePicture = ({ png, jpg }: { png?: unknown; jpg?: unknown }) => (png === undefined) !== (jpg === undefined)
const pictureOf = ({ png, jpg }: { png?: Uint8Array; jpg?: Uint8Array }): Picture => readPicture((png ?? jpg)!)

/** A file of a kB may hold a picture that fills a screen. */
const pictureMs = ({ png, jpg }: { png?: Uint8Array; jpg?: Uint8Array }) => 150 + (png ?? jpg)!.length / 1000

const figure = (value: number, places: number) => Number(value.toFixed(places))
const place = ([x, y]: readonly [number, number]): [number, number] => [figure(x, 2), figure(y, 2)]
const within = (picture: Picture, points: readonly (readonly [number, number])[], what: string) => {
  const out = points.find(([x, y]) => x < 0 || y < 0 || x > picture.wide || y > picture.high)
  if (out)
    throw new NoAnswer(
      `${what} at ${place(out).join(', ')} lies outside the picture, which is ${picture.wide} × ${picture.high} points`,
    )
}

export const photoCardFace = question({
  name: 'photo.cardFace',
  purpose: 'What is printed on a scale card: every dark rectangle at its place, to be drawn at its own size',
  input: z.strictObject({ card: z.enum(CARD_IDS).default('M') }),
  output: answers.photoCardFace,
  example: { card: 'M' },
  solve: ({ card }) => {
    const leaves = CARDS[card].leaves.map(leaf => cardLeaf(card, leaf))
    return {
      answer: {
        name: CARDS[card].name,
        leaves: leaves.map(({ id, wideMm, highMm, dark, rulerMm }) => ({
          id,
          wideMm,
          highMm,
          rulerMm,
          dark: dark.map(({ xMm, yMm, wideMm: wide, highMm: high }) => [xMm, yMm, wide, high].map(n => figure(n, 4))),
        })),
      },
      working: [
        {
          label: 'Codes',
          formula: 'version 1, 21 × 21 modules, strongest correction, one in each corner',
          value: leaves.length * 4,
          unit: 'codes',
          source: 'ISO/IEC 18004',
        },
      ],
      cautions: [
        {
          code: 'prove-the-print',
          level: 'note' as const,
          text: 'Lay a rule on the printed line: a printer that fits the page to the paper makes every length wrong.',
        },
      ],
    }
  },
})

const NO_CARD = { found: false, cornersPx: [], known: [], mmPerPx: null, tiltDeg: null, leaves: [] }

export const photoCard = question({
  name: 'photo.card',
  purpose: 'The scale card in a picture: where it lies, how far it is turned, and known points for measuring',
  input: z.strictObject(pictureFields).refine(onePicture, ONE_PICTURE),
  output: answers.photoCard,
  costMs: pictureMs,
  get example() {
    return { png: exampleOf('card') }
  },
  solve: (given): Solved<Unchanged<z.output<typeof answers.photoCard>>> => {
    const picture = pictureOf(given)
    const look = findCard(greyOf(picture))
    if ('why' in look) return { answer: { ...NO_CARD, why: look.why }, working: [], cautions: [] }
    const leaves = look.found.map(leaf => ({
      card: leaf.card,
      leaf: leaf.leaf,
      cornersPx: leaf.cornersPx.map(place),
      known: leaf.known.map(({ px, mm }) => ({ px: [figure(px[0], 3), figure(px[1], 3)], mm })),
      mmPerPx: leaf.mmPerPx,
      tiltDeg: figure(leaf.tiltDeg, 2),
      lengthPct: leaf.lengthPct,
      misfitPx: leaf.misfitPx,
      marks: leaf.marks,
    }))
    const first = leaves[0]!
    return {
      answer: { found: true, why: null, ...first, leaves },
      working: [
        {
          label: 'Marks found',
          formula: 'where two dark squares touch, each to a small part of a pixel',
          value: first.marks,
          unit: 'marks',
          source: 'Förstner and Gülch (1987)',
        },
        {
          label: 'Plane of the card',
          formula: 'homography of the marks, least squares; what it leaves',
          value: first.misfitPx,
          unit: 'px',
          source: 'Hartley (1997)',
        },
        {
          label: 'Turned from square on',
          formula: 'from the homography, the line of sight through the middle of the picture',
          value: first.tiltDeg,
          unit: '°',
          source: 'Zhang (2000), for one view',
        },
        {
          label: 'A length over the card is good to',
          formula: 'every mark off by what the plane leaves, squares added',
          value: first.lengthPct,
          unit: '%',
          source: 'GUM (JCGM 100), law of propagation',
        },
      ],
      cautions: [
        {
          code: 'same-plane',
          level: 'note' as const,
          text: 'It holds in the plane the card lies in: what stands higher or lower is seen larger or smaller.',
        },
      ],
    }
  },
})

export const photoTrace = question({
  name: 'photo.trace',
  purpose: 'The way of a crack between clicks: follows a dark or dyed line in a picture',
  input: z
    .strictObject({
      ...pictureFields,
      points: z.array(pixels).min(2, { error: 'two points at least' }).max(200),
      line: z.enum(LINES, { error: 'dark or bright' }).default('dark'),
    })
    .refine(onePicture, ONE_PICTURE),
  output: answers.photoTrace,
  costMs: pictureMs,
  get example() {
    return {
      png: exampleOf('line'),
      points: [
        [24, 60],
        [216, 92],
      ] as [number, number][],
    }
  },
  solve: given => {
    const picture = pictureOf(given)
    within(picture, given.points, 'a point')
    if (given.points.every(([x, y]) => Math.hypot(x - given.points[0]![0], y - given.points[0]![1]) < 2))
      throw new NoAnswer('the points lie on one another: click along the line')
    const traced = traceLine(picture, given.points, given.line)
    return {
      answer: {
        path: traced.path.map(place),
        contrast: figure(traced.contrast, 4),
        seenPct: figure(100 * traced.seenShare, 1),
        lengthPx: traced.lengthPx,
      },
      working: [
        {
          label: 'The line',
          formula: 'cheapest way over the ridges of the picture, over three widths',
          value: traced.path.length,
          unit: 'points',
          source: 'Lindeberg (1998); Hart, Nilsson and Raphael (1968)',
        },
        { label: 'Length', formula: 'sum of its pieces', value: traced.lengthPx, unit: 'px', source: 'plane geometry' },
        {
          label: 'Stands off its sides by',
          formula: '(side − line) / side, the nearer side, middle value',
          value: 100 * traced.contrast,
          unit: '%',
          source: 'judgement',
        },
      ],
      cautions:
        traced.seenShare < FAINT_SHARE
          ? [
              {
                code: 'faint-line',
                level: 'caution' as const,
                text: `On ${Math.round(100 - 100 * traced.seenShare)} % of the way no line is to be seen: the way there is a guess. Click more points, or clean and dye it.`,
              },
            ]
          : [],
    }
  },
})

export const photoThread = question({
  name: 'photo.thread',
  purpose: 'Pitch, diameter and flank angle of a thread seen from the side in a picture',
  input: z
    .strictObject({
      ...pictureFields,
      axis: z.tuple([pixels, pixels], { error: 'two points [[x, y], [x, y]] along the thread' }),
      mmPerPx: z.number({ error: 'millimetres to a pixel, a number' }).min(1e-5).max(100),
    })
    .refine(onePicture, ONE_PICTURE),
  output: answers.photoThread,
  costMs: pictureMs,
  get example() {
    return {
      png: exampleOf('thread'),
      axis: [
        [20, 81],
        [230, 79],
      ] as [[number, number], [number, number]],
      mmPerPx: 0.08,
    }
  },
  solve: given => {
    const picture = pictureOf(given)
    within(picture, given.axis, 'an end of the axis')
    const seen = measureThread(greyOf(picture), given.axis, given.mmPerPx)
    return {
      answer: seen,
      working: [
        {
          label: 'Pitch',
          formula: 'the wave and two overtones that leave least of the edges',
          value: seen.pitchMm,
          unit: 'mm',
          source: 'least squares',
        },
        {
          label: 'Good to',
          formula: 'noise of the edges, the two sides against one another, an axis leaning up to 3°',
          value: seen.uncertaintyMm,
          unit: 'mm',
          source: 'Cramér–Rao bound of a wave in noise; GUM (JCGM 100)',
        },
        {
          label: 'Turns seen',
          formula: 'length with a groove in it / pitch',
          value: seen.turns,
          unit: 'turns',
          source: 'plane geometry',
        },
      ],
      cautions: [
        {
          code: 'scale-counts',
          level: 'note' as const,
          text: 'The scale must hold at the axis of the thread: a card that lies lower is seen smaller.',
        },
        ...(seen.taperDeg !== null && Math.abs(seen.taperDeg) > TAPERED_DEG
          ? [
              {
                code: 'tapered',
                level: 'caution' as const,
                text: 'The two sides run together: a tapered thread, or one seen from its end.',
              },
            ]
          : []),
      ],
    }
  },
})
/** Half of a 1 in 16 taper's included angle (3.58°): beyond it two sides are not parallel by chance. */
const TAPERED_DEG = 1.8

export const photoBlue = question({
  name: 'photo.blue',
  purpose: 'How much of a blued face bears, where, and how evenly, from a picture',
  input: z
    .strictObject({ ...pictureFields, outline: z.array(pixels).min(3).max(2000).optional() })
    .refine(onePicture, ONE_PICTURE),
  output: answers.photoBlue,
  costMs: pictureMs,
  get example() {
    return { png: exampleOf('blue') }
  },
  solve: given => {
    const picture = pictureOf(given)
    const { bears: _, ...seen } = readBlue(picture, given.outline)
    return {
      answer: {
        ...seen,
        sharePct: figure(seen.sharePct, 2),
        uncertaintyPct: figure(seen.uncertaintyPct, 2),
        patches: seen.patches.map(({ sharePct, atPx }) => ({ sharePct: figure(sharePct, 2), atPx: place(atPx) })),
        even: figure(seen.even, 3),
      },
      working: [
        {
          label: 'Blue against bare',
          formula: '(B − R) / (R + G + B), the level with the widest gap between the two crowds',
          value: figure(seen.sharePct, 2),
          unit: '%',
          source: 'Otsu (1979)',
        },
        {
          label: 'Evenness',
          formula: '1 − spread of the fields’ shares / √(p (1 − p))',
          value: figure(seen.even, 3),
          unit: '',
          source: 'judgement',
        },
      ],
      cautions:
        seen.outline === 'whole'
          ? [
              {
                code: 'whole-picture',
                level: 'note' as const,
                text: 'No outline was given or found on a plain ground: the whole picture was taken for the face.',
              },
            ]
          : [],
    }
  },
})

export const photoOutline = question({
  name: 'photo.outline',
  purpose: 'The outline and holes of one object on a plain ground in a picture',
  input: z.strictObject(pictureFields).refine(onePicture, ONE_PICTURE),
  output: answers.photoOutline,
  costMs: pictureMs,
  get example() {
    return { png: exampleOf('outline') }
  },
  solve: given => {
    const found = outlineOf(pictureOf(given))
    if (!found)
      throw new NoAnswer(
        'no single object stands off a plain ground: lay it on a sheet of one colour, with room all round it',
      )
    return {
      answer: { outer: found.outer.map(place), holes: found.holes.map(ring => ring.map(place)), share: found.share },
      working: [
        {
          label: 'Object against ground',
          formula: 'distance of colour from the rim’s, the level with the widest gap; marching squares',
          value: found.outer.length,
          unit: 'points',
          source: 'Otsu (1979); Douglas and Peucker (1973)',
        },
      ],
      cautions: [],
    }
  },
})
