import { mendKind, PLAIN } from '../kind'
import { CUT_START_MIN, MILL_FIND_MIN, TURN_CUT_MIN } from '../minutes.table'
import { facingCutsMm } from '../../face/facing-cuts'
import { wipe } from '../steps'
import { ringMm3 } from '../volumes'
import { section, sketch } from './drawing'
import { fields } from './fields'
import { words } from './words'

const SCRUB_MIN = 2

/** A groove or land round a turned part: its section all the way round, then turned to size. */
export const turned = mendKind({
  id: 'turned',
  name: 'groove of a turned part',
  fields,
  words,
  sketch,
  section,
  plan: ({ values, bodies: [body], opened }) => {
    const { turnedMm, wideMm, deepMm, proudMm } = values
    const volumeMm3 = ringMm3(turnedMm + 2 * proudMm, Math.max(0, turnedMm - 2 * deepMm), wideMm)
    const laid = [{ side: 1 as const, volumeMm3, runMm: Math.PI * (turnedMm - deepMm), wideMm, goes: 'round' as const }]
    return {
      ...PLAIN,
      wallMm: Math.min(body.wallMm, deepMm),
      joint: 'groove',
      laid,
      refused: 2 * deepMm >= turnedMm ? 'through-middle' : null,
      opening: [...(opened ? [] : [{ code: 'scrub', handMin: CUT_START_MIN + SCRUB_MIN }]), wipe],
      rebuild: [
        {
          code: 'turn-to-size',
          handMin: MILL_FIND_MIN,
          machineMin: facingCutsMm(proudMm).length * TURN_CUT_MIN,
          mill: true,
        },
      ],
      checks: ['look', 'fit', 'run-out'],
    }
  },
})
