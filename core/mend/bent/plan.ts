import { INTERPASS_C } from '../../arc/interpass.table'
import { straighten } from '../../face/straighten'
import { mechanicalOf } from '../../metal/mechanical.table'
import { KIND_POINTS } from '../../call/judge.table'
import { mendKind, PLAIN } from '../kind'
import { PRESS_STEP_MIN } from '../minutes.table'
import { section, sketch } from './drawing'
import { fields } from './fields'
import { words } from './words'

const MEASURE_MIN = 4
/** Warmed to this before it is pressed, where the metal bears it, °C. Common practice, no source. */
const PRESSED_AT_C = 150
/** Bent further than this share of its length it has been drawn too far to trust: judgement. */
const TOO_FAR_SHARE = 0.15
const [PRESSED_POINTS] = KIND_POINTS.bent

/** A rim, flange or ear bent: pressed back warm, in steps, each measured. No metal is laid. */
export const bent = mendKind({
  id: 'bent',
  name: 'bent rim or ear',
  is: ['pressed'],
  fields,
  words,
  finish: 'proud',
  turn: 'first',
  sketch,
  section,
  plan: ({ values, bodies: [body], part }) => {
    const share = values.bentMm / values.overMm
    const { steps } = straighten(values.bentMm, values.overMm, body.wallMm, mechanicalOf(body.alloy))
    return {
      ...PLAIN,
      wallMm: body.wallMm,
      joint: 'flat',
      laid: [],
      refused: share > TOO_FAR_SHARE ? 'bent-too-far' : null,
      risks: [{ code: 'pressed', points: PRESSED_POINTS }],
      opening: [],
      rebuild: [
        {
          code: 'press-back',
          trade: 'fit',
          handMin: steps.length * PRESS_STEP_MIN,
          at: { c: Math.min(PRESSED_AT_C, INTERPASS_C[body.alloy.family].mostC), why: 'press-heat' },
        },
        { code: 'measure-bend', trade: 'check', handMin: MEASURE_MIN, cold: true },
      ],
      checks: ['look', 'dye', part.moves === 'spins' ? 'run-out' : 'alignment'],
    }
  },
})
