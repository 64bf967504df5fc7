import { EDGE_TO_EDGE } from '../../groove/cut'
import { grooved } from '../grooved'
import { mendKind } from '../kind'
import { CUT_MIN_PER_CM3, CUT_START_MIN } from '../minutes.table'
import { planThread } from '../thread/work'
import { bossOf } from '../thread/ways'
import { section, sketch } from './drawing'
import { fields } from './fields'
import { words } from './words'

const GROOVE = { sides: 1, includedDeg: 70, rootRadiusMm: 1.5, landMm: 0, capMm: 1.5 } as const

/** A boss or port cracked, broken open or gone: closed or built anew, then its thread. */
export const boss = mendKind({
  id: 'boss',
  name: 'boss',
  is: ['threaded', 'built-up'],
  fields,
  words,
  finish: 'machined',
  sketch,
  section,
  plan: input => {
    const { values, opened } = input
    const wallMm = (bossOf(values.thread, values.bossMm) - values.thread.majorMm) / 2
    const split =
      values.state.includes('cracked') && !values.state.includes('gone') && wallMm > 0
        ? grooved({ ...EDGE_TO_EDGE, ...GROOVE, wallMm, alongMm: values.deepMm })
        : null
    return planThread(
      input,
      split?.laid.map(laid => ({
        laid,
        work: {
          code: 'open-boss',
          trade: 'cut' as const,
          handMin: opened ? 0 : CUT_START_MIN + (split.removedMm3 / 1000) * CUT_MIN_PER_CM3,
        },
      })) ?? [],
    )
  },
})
