import type { fitSlug } from '../../fit/question'
import type { AnswerTo } from '../../ask/question'
import { capital, count, figure, fine, type Sentence, type StationPlan, type Working } from '../parts'
import { fields as crack } from '../../mend/crack/fields'
import { minutesOf, type Facing, type MendRow } from './mend-row'
import { wayWords } from './way-words'

/** Under this wall round a slug the press holds less than it could, mm: common practice, no source. */
const GOOD_SLUG_WALL_MM = 4
const IN_FREEZER_S = 2 * 3600
const COOLING_S = 600

type Slug = AnswerTo<typeof fitSlug>

/** The slug that a row's thread is given back with; null where it is given back otherwise, or none goes in. */
function slugOf({ back }: MendRow): { answer: Slug; working: Working } | null {
  return back?.way === 'pressed-slug' && back.slug && 'answer' in back.slug ? back.slug : null
}

function slugWhy({ turnToMm, slugMm, cold, clock, reasons }: Slug): Sentence[] {
  return [
    [
      'Slug ',
      fine(turnToMm, 'slug'),
      ' for a bore of ',
      fine(slugMm, 'slug'),
      '; pressed in it strains the boss to ',
      figure(Math.round(cold.hubHoopMPa), 'mPa', 'slug'),
      ', ',
      figure(Math.round(100 / cold.yieldFactor), 'pct', 'slug'),
      ' of the way to yield; it takes ',
      figure(cold.pushOutN, 'n', 'slug'),
      ' to push it out.',
    ],
    clock.seizesS === null
      ? ['It stays loose for a quarter of an hour.']
      : [
          'In the bore there are ',
          figure(clock.seizesS, 's', 'slug'),
          ' before it seizes: half of that if it rubs on one side.',
        ],
    ...reasons.map((reason): Sentence => [`${capital(reason)}.`]),
  ]
}

/** What going in looser would give and ask. */
const looserOf = ({ looser }: Slug): Sentence[] =>
  looser.seizesS === null
    ? []
    : [
        [
          'Loose by ',
          fine(looser.clearanceMm),
          ' going in, there are ',
          figure(looser.seizesS, 's'),
          ' before it seizes; the body then wants ',
          figure(Math.ceil(looser.hubC), 'c'),
          looser.softens ? ', which softens it.' : '.',
        ],
      ]

/** Under this a built-up weld leaves no room for a low spot, mm: common practice, no source. */
const LEAST_PROUD_MM = 0.8

const facingWhy = ({ proudMm }: Facing): Sentence[] => [
  ['Over-built so that the cutter starts in full metal everywhere. Light cuts: each tears less than one heavy one.'],
  ...(proudMm < LEAST_PROUD_MM
    ? [['Under 0.8 mm leaves no room for a low spot: about ', figure(crack.proudMm.usual, 'mm'), ' is usual.']]
    : []),
]

const cutsWorking = ({ cutsMm }: Facing): Working => ({
  title: 'Facing cuts',
  steps: cutsMm.map((cut, index) => ({
    label: index === cutsMm.length - 1 ? 'Last cut' : `Cut ${index + 1}`,
    formula: index === cutsMm.length - 1 ? 'at most 0.25 mm' : 'the rest in equal cuts of at most 0.6 mm',
    value: cut,
    unit: 'mm',
    source: 'common practice, no source',
  })),
})

/** Rebuilding it, in a sentence: what its thread holds, else the steps at the bench. */
export function rebuildCall(row: MendRow): Sentence {
  const planned = row.planned!
  const taken = planned.ways?.ranked.find(each => each.way === planned.way && each.why === null)
  if (taken)
    return [
      `${wayWords(row)}it holds `,
      figure(taken.factor, 'number'),
      ' times what the bolt is tightened to; ',
      figure(minutesOf(planned), 'min'),
      ' in all.',
    ]
  if (row.facing)
    return [
      'Build it ',
      figure(row.facing.proudMm, 'mm'),
      ` proud, then face it in ${count(row.facing.cutsMm.length, 'cut')}, the last `,
      figure(row.facing.cutsMm.at(-1)!, 'mm', 'cuts'),
      '.',
    ]
  const { rebuild } = planned
  return [`${wayWords(row)}${rebuild.length ? `${count(rebuild.length, 'step')} at the bench` : 'nothing to rebuild'}.`]
}

/** Why a mend is rebuilt as it is: the load its thread must hold, its slug, what it springs back by. */
export function rebuildWhy(row: MendRow): Sentence[] {
  const { back, bend, planned, facing } = row
  const slug = slugOf(row)
  return [
    ...(facing ? facingWhy(facing) : []),
    ...(planned?.ways
      ? ([
          [
            'The load is ',
            figure(planned.ways.loadN, 'n'),
            planned.ways.fromTorque
              ? ', from its torque.'
              : ', six tenths of what breaks an 8.8 bolt; give its torque if you know it.',
          ],
        ] as Sentence[])
      : []),
    ...(slug
      ? slugWhy(slug.answer)
      : back?.way === 'pressed-slug' && back.slug && 'reason' in back.slug
        ? [[`No slug: ${back.slug.reason}.`]]
        : []),
    ...(bend === null
      ? []
      : 'reason' in bend
        ? [[`The bend: ${bend.reason}.`]]
        : [
            [
              'Press it back in ',
              `${count(bend.answer.steps.length, 'step')}: it springs back `,
              figure(bend.answer.springMm, 'mm', 'bend'),
              '. Measure after each.',
            ],
          ]),
  ]
}

/** What would make another thing of it. */
export function rebuildChange(row: MendRow): Sentence[] {
  const slug = slugOf(row)
  if (!slug) return []
  return [
    ...looserOf(slug.answer),
    ...(slug.answer.wallMm < GOOD_SLUG_WALL_MM
      ? [['With ', figure(GOOD_SLUG_WALL_MM, 'mm'), ' of wall round the slug the press would hold more.'] as Sentence]
      : []),
  ]
}

/** The working behind what is said of it. */
export function rebuildWorkings(row: MendRow): Record<string, Working> {
  const slug = slugOf(row)
  return {
    ...(slug ? { slug: slug.working } : {}),
    ...(row.bend && 'answer' in row.bend ? { bend: row.bend.working } : {}),
    ...(row.facing ? { cuts: cutsWorking(row.facing) } : {}),
  }
}

/** Clocks worth starting at it. */
export function rebuildClocks({ back }: MendRow): NonNullable<StationPlan['clocks']> {
  if (back?.way !== 'pressed-slug') return []
  return back.cold === 'freezer'
    ? [{ name: 'Slug in the freezer', seconds: IN_FREEZER_S }]
    : [{ name: 'Slug cooling', seconds: COOLING_S }]
}
