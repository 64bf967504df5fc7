import { findAlloy } from '../../metal/find-alloy'
import {
  bothSides,
  clean,
  cool,
  eased,
  filled,
  flat,
  heldWidth,
  noCrater,
  ran,
  stands,
  steady,
  throughMost,
  wets,
  type Goal,
} from './goals'
import type { Bench } from './session'

export interface Lesson {
  id: string
  title: string
  /** What to look for, in order. Common practice, no source. */
  look: readonly string[]
  bench: Bench
  goals: readonly Goal[]
  /** The way to travel, mm; drawn faintly on the plate. */
  way: readonly (readonly [xMm: number, yMm: number])[]
  /** It ends by itself after so long, s. */
  longestS: number
}

const alloy = (name: string) => findAlloy(name)!
const PLATE: Bench = {
  plate: { xMm: 60, yMm: 40, zMm: 6 },
  form: { headroomMm: 4 },
  alloy: alloy('6061'),
  filler: alloy('4043'),
  rodMm: 2.4,
  startC: 20,
  dirt: 'clean',
  enPct: 68,
  tungstenMm: 3.2,
  cellMm: 1,
}
const ALONG = [
  [10, 20],
  [50, 20],
] as const
/** Hole and groove of the lessons that fill one, mm. */
const HOLE = { xMm: 30, yMm: 20, acrossMm: 6 }
const GROOVE = { deepMm: 4, halfWideMm: 4, fromMm: 12, toMm: 48 }
const THICK_THIN = { thickMm: 8, thinMm: 4 }

export const LESSONS: readonly Lesson[] = [
  {
    id: 'puddle',
    title: 'Make a puddle and hold its width',
    look: [
      'The skin dulls, then a frosted band spreads: oxide going.',
      'A bright spot with a sharp rim comes all at once: that is the puddle. There is no red to warn of it.',
      'It grows by itself as the plate warms: ease the pedal to keep it as wide as it is.',
    ],
    bench: PLATE,
    goals: [heldWidth(6, 10, 5, 0.6), stands, cool],
    way: [[30, 20]],
    longestS: 40,
  },
  {
    id: 'travel',
    title: 'Travel',
    look: [
      'Wait at the start until the puddle is as wide as you want the bead.',
      'Then go steadily; the width tells you the speed. Wider: go faster or ease off. Narrower: wait.',
    ],
    bench: PLATE,
    goals: [ran(35), heldWidth(5, 11, 5, 0.7), stands],
    way: ALONG,
    longestS: 60,
  },
  {
    id: 'feed',
    title: 'Feed when it is bright',
    look: [
      'Rod that touches dull metal sticks or balls up: wait until the puddle is bright.',
      'Dip at the front edge, let it run in, move on, dip again.',
      'Every dip chills the puddle: let it come back before the next.',
    ],
    bench: PLATE,
    goals: [wets(6, 0.8), ran(25), stands],
    way: ALONG,
    longestS: 60,
  },
  {
    id: 'crater',
    title: 'Stop without a crater',
    look: [
      'Metal that freezes last shrinks last. An arc that goes out at once leaves a pit with a crack in it.',
      'Let the pedal up slowly, over a second or two, a dip of rod in the hollow, hold until it is dull.',
    ],
    bench: PLATE,
    goals: [ran(15), noCrater, stands],
    way: [
      [15, 20],
      [40, 20],
    ],
    longestS: 45,
  },
  {
    id: 'root',
    title: 'Melt through without sagging',
    look: [
      'Molten right through, the puddle drops a little and goes quiet: that is a root.',
      'Wait a moment more and it hangs; three times as wide as the metal is thick and it falls.',
      'Ease off or go on as soon as it drops.',
    ],
    bench: { ...PLATE, plate: { xMm: 60, yMm: 40, zMm: 3 } },
    goals: [ran(25), throughMost(0.6), flat, stands],
    way: ALONG,
    longestS: 60,
  },
  {
    id: 'copper',
    title: 'A thin edge with copper behind',
    look: [
      'Two millimetres go from puddle to hole in a moment.',
      'Copper, well pressed on behind it, takes the heat away and holds the metal up.',
      'Little current, close arc, quick travel.',
    ],
    bench: { ...PLATE, plate: { xMm: 60, yMm: 30, zMm: 2 }, form: { headroomMm: 3, backWm2K: 1500 }, rodMm: 1.6 },
    goals: [ran(25), throughMost(0.5), stands],
    way: [
      [12, 15],
      [46, 15],
    ],
    longestS: 45,
  },
  {
    id: 'tungsten',
    title: 'Stay under what the tungsten stands',
    look: [
      'A 1.6 mm tungsten with this much cleaning stands about 100 A. Past that its tip grows a nub.',
      'Then the arc jumps about on it: the puddle strays, and the bead with it.',
      'Dipped into the puddle it is spoilt at once. Either way it has to be ground anew.',
    ],
    bench: { ...PLATE, plate: { xMm: 60, yMm: 40, zMm: 4 }, tungstenMm: 1.6, enPct: 65 },
    goals: [ran(25), steady, stands],
    way: ALONG,
    longestS: 60,
  },
  {
    id: 'thick-thin',
    title: 'Thick against thin',
    look: [
      'Point at the thick side: the thin one takes its heat from the puddle.',
      'Both have to be bright before rod goes in.',
    ],
    bench: {
      ...PLATE,
      plate: { xMm: 60, yMm: 40, zMm: THICK_THIN.thickMm },
      form: { headroomMm: 3, heightMm: (_, y) => (y < 20 ? THICK_THIN.thickMm : THICK_THIN.thinMm) },
    },
    goals: [ran(20), bothSides(0.7), stands],
    way: ALONG,
    longestS: 60,
  },
  {
    id: 'boil-out',
    title: 'Boil out an oil-soaked casting',
    look: [
      'Black specks and scum come up out of the pores: no rod yet.',
      'Hold the puddle and let them float out; what is still there when it freezes stays in.',
      'Let it freeze, grind, and go over it again: the second pass is far cleaner. Here: melt the same place twice.',
    ],
    bench: { ...PLATE, alloy: alloy('A356'), dirt: 'oil-soaked', plate: { xMm: 60, yMm: 40, zMm: 6 } },
    goals: [wets(3, 0.7), clean(12), stands],
    way: [
      [24, 20],
      [36, 20],
    ],
    longestS: 150,
  },
  {
    id: 'hole',
    title: 'Close a hole from the base',
    look: [
      'Melt the rim, feed there, and lead the metal in from the rim to the middle.',
      'Never point the arc through the hole: it eats the rim away.',
      'Short heats: let it go dull between them.',
    ],
    bench: {
      ...PLATE,
      plate: { xMm: 60, yMm: 40, zMm: 4 },
      form: {
        headroomMm: 4,
        backWm2K: 400,
        heightMm: (x, y) => (Math.hypot(x - HOLE.xMm, y - HOLE.yMm) < HOLE.acrossMm / 2 ? 0 : 4),
      },
    },
    goals: [filled(0.9), stands],
    way: [[HOLE.xMm - HOLE.acrossMm / 2 - 2, HOLE.yMm]],
    longestS: 120,
  },
  {
    id: 'layers',
    title: 'Fill a groove in layers',
    look: [
      'Melt the bottom and both walls before the first rod: metal poured on cold walls only lies there.',
      'One layer from end to end, then the next.',
    ],
    bench: {
      ...PLATE,
      plate: { xMm: 60, yMm: 40, zMm: 8 },
      form: {
        headroomMm: 3,
        heightMm: (x, y) => {
          if (x < GROOVE.fromMm || x > GROOVE.toMm) return 8
          return Math.min(8, 8 - GROOVE.deepMm + (Math.abs(y - 20) * GROOVE.deepMm) / GROOVE.halfWideMm)
        },
      },
      startC: 110,
    },
    goals: [filled(0.85), wets(15, 0.7), stands],
    way: [
      [GROOVE.fromMm, 20],
      [GROOVE.toMm, 20],
    ],
    longestS: 180,
  },
  {
    id: 'small-part',
    title: 'Start hot and ease off on a small part',
    look: [
      'It takes a lot to start it and little to keep it going: the part has nowhere to send the heat.',
      'Ease off all the way along, or stop and let it cool.',
    ],
    bench: { ...PLATE, plate: { xMm: 34, yMm: 20, zMm: 5 } },
    goals: [ran(20), heldWidth(5, 12, 4, 0.5), eased(0.85), stands],
    way: [
      [6, 10],
      [28, 10],
    ],
    longestS: 45,
  },
]

export const lessonById = (id: string): Lesson => LESSONS.find(lesson => lesson.id === id) ?? LESSONS[0]!
