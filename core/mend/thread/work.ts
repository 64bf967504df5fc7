import type { Work, KindInput, Laid, MendWork } from '../kind'
import { PLAIN } from '../kind'
import { wipe } from '../steps'
import type { fields } from './fields'
import { givenBack } from './given-back'
import { bossOf, safeWays } from './ways'

const WEAK_FACTOR = 1.5
const WEAK_POINTS = -15
/** A thread given back in clean metal does better than a crack mended: judgement. */
const PLAIN_POINTS = 2

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
    states: values.state,
    soak: part.soak,
    body: body.alloy,
    filler,
    wanted: values.way,
  })
  const common = { ...PLAIN, joint: 'groove' as const, ruledOut: chosen.ruledOut, ways: chosen.compared }
  if (!chosen.way)
    return { ...common, wallMm: body.wallMm, laid: [], way: null, refused: values.way ? 'way-ruled-out' : 'no-way' }
  const { laid, removedMm3, opening, rebuild, wallMm } = givenBack(chosen.way, {
    thread: values.thread,
    deepMm: values.deepMm,
    bossMm,
    states: values.state,
    slug: values,
    opened,
  })
  const welded = laid.length + before.length > 0
  return {
    ...common,
    wallMm: Math.max(body.wallMm, wallMm),
    way: chosen.way,
    laid: [...before.map(each => each.laid), ...laid],
    removedMm3,
    opening: [...before.map(each => each.work), ...opening, ...(welded ? [wipe] : [])],
    rebuild,
    checks: [
      'look',
      'thread-gauge',
      'torque',
      'fit',
      ...(part.does === 'seal' && values.state.includes('leaking') ? ['leak'] : []),
    ],
    risks: [
      {
        code: chosen.factor < WEAK_FACTOR ? 'weak-thread' : 'plain-thread',
        points: chosen.factor < WEAK_FACTOR ? WEAK_POINTS : PLAIN_POINTS,
      },
    ],
  }
}
