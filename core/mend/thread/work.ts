import type { Work, KindInput, Laid, MendWork } from '../kind'
import { PLAIN } from '../kind'
import { wipe } from '../steps'
import type { fields } from './fields'
import { givenBack } from './given-back'
import { slugOf } from './slug'
import { bossOf, LEAST_SLUG_WALL, safeWays } from './ways'

/** A thread is weak over this stretch of what it holds over its load. Judgement. */
const WEAK_FROM = 2
const WEAK_TO = 1
const WEAK_POINTS = -15
/** A slug's wall is thin over this stretch of it over the slug. Judgement. */
const THIN_FROM = 0.25
const THIN_POINTS = -30
const share = (value: number, from: number, to: number) => Math.min(1, Math.max(0, (from - value) / (from - to)))
/** A thread given back in clean metal does better than a crack mended: judgement. */
const PLAIN_POINTS = 2

/** How much of its depth is damaged: as said, else all but what is sound. */
const damagedOf = ({ damagedMm, deepMm, soundMm }: KindInput<typeof fields>['values']): number =>
  Math.min(deepMm, damagedMm ?? Math.max(0, deepMm - soundMm))

/** A thread given back, after whatever else its boss wants laid first. */
export function planThread(
  { values, bodies: [body], part, filler, opened }: KindInput<typeof fields>,
  before: readonly { laid: Laid; work: Work }[],
): MendWork {
  const bossMm = bossOf(values.thread, values.bossMm)
  const chosen = safeWays({
    thread: values.thread,
    deepMm: values.deepMm,
    bossMm,
    torqueNm: values.torqueNm,
    soundMm: values.soundMm,
    damagedMm: damagedOf(values),
    slugMm: values.slugMm,
    states: values.state,
    soak: part.soak,
    body: body.alloy,
    filler,
    wanted: values.way,
  })
  const common = { ...PLAIN, joint: 'groove' as const, ruledOut: chosen.ruledOut, ways: chosen.compared }
  if (!chosen.way)
    return { ...common, wallMm: body.wallMm, laid: [], way: null, refused: values.way ? 'way-ruled-out' : 'no-way' }
  const slug = chosen.way === 'pressed-slug' ? slugOf(values, body.alloy, part.hotC) : null
  if (slug && 'reason' in slug) return { ...common, wallMm: body.wallMm, laid: [], way: chosen.way, refused: 'no-slug' }
  const { laid, removedMm3, opening, rebuild, wallMm, rimMm } = givenBack(chosen.way, {
    thread: values.thread,
    deepMm: values.deepMm,
    damagedMm: damagedOf(values),
    through: values.through,
    hubC: slug ? slug.plan.shrink.hubC : null,
    bossMm,
    states: values.state,
    slug: values,
    opened,
  })
  const welded = laid.length + before.length > 0
  return {
    ...common,
    wallMm: rimMm ?? Math.max(body.wallMm, wallMm),
    way: chosen.way,
    laid: [...before.map(each => each.laid), ...laid],
    removedMm3,
    opening: [...before.map(each => each.work), ...opening, ...(welded ? [wipe] : [])],
    rebuild,
    checks: [
      ...(welded ? ['look'] : []),
      'thread-gauge',
      'torque',
      'fit',
      ...(part.does === 'seal' && values.state.includes('leaking') ? ['leak'] : []),
    ],
    risks: [
      { code: 'plain-thread', points: PLAIN_POINTS },
      { code: 'weak-thread', points: (WEAK_POINTS - PLAIN_POINTS) * share(chosen.factor, WEAK_FROM, WEAK_TO) },
      ...(slug
        ? [
            {
              code: 'slug-wall',
              points: THIN_POINTS * share(slug.plan.wallMm / slug.plan.slugMm, THIN_FROM, LEAST_SLUG_WALL),
            },
          ]
        : []),
    ].filter(risk => risk.points !== 0),
  }
}
