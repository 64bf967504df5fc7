import { mendKind, PLAIN } from '../kind'
import { CUT_START_MIN, MILL_FIND_MIN, TURN_CUT_MIN } from '../minutes.table'
import { facingCutCount } from '../../face/facing-cuts'
import { trued } from '../how'
import { finishing, wipe } from '../steps'
import { ringMm3 } from '../volumes'
import { section, sketch } from './drawing'
import { fields } from './fields'
import { words } from './words'

const SCRUB_MIN = 2

/** A groove or land round a turned part: its section all the way round, then turned to size. */
export const turned = mendKind({
  id: 'turned',
  name: 'groove of a turned part',
  is: ['built-up'],
  fields,
  words,
  finish: 'machined',
  turn: 'moved-by-others',
  turned: true,
  sketch,
  section,
  plan: ({ values, bodies: [body], opened, finish }) => {
    const { turnedMm, wideMm, deepMm, proudMm } = values
    if (values.how !== 'laid')
      return {
        ...PLAIN,
        wallMm: Math.min(body.wallMm, deepMm),
        joint: 'groove',
        laid: [],
        way: values.how,
        rebuild: trued(values.how, Math.PI * turnedMm * wideMm, values.how === 'machined' ? deepMm : 0),
        checks: ['look', 'fit', 'run-out'],
      }
    const volumeMm3 = ringMm3(turnedMm + 2 * proudMm, Math.max(0, turnedMm - 2 * deepMm), wideMm)
    // The arc lies on what is under the groove, and on more of it the more is laid.
    const wallMm = Math.min(body.wallMm, deepMm + 2 * proudMm)
    const laid = [{ side: 1 as const, volumeMm3, runMm: Math.PI * turnedMm, wideMm, goes: 'round' as const }]
    return {
      ...PLAIN,
      wallMm,
      rodWallMm: body.wallMm,
      joint: 'groove',
      laid,
      refused: 2 * deepMm >= turnedMm ? 'through-middle' : null,
      opening: [
        ...(opened ? [] : [{ code: 'scrub', trade: 'cut' as const, handMin: CUT_START_MIN + SCRUB_MIN }]),
        wipe,
      ],
      rebuild: finishing(finish, laid, [
        {
          code: 'turn-to-size',
          trade: 'dress',
          handMin: MILL_FIND_MIN,
          machineMin: facingCutCount(proudMm) * TURN_CUT_MIN,
          mill: true,
          cold: true,
        },
      ]),
      checks: ['look', 'fit', 'run-out'],
    }
  },
})
