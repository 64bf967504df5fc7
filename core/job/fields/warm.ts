import { ROOM_C } from '../../arc/least-preheat'
import { heatSetupSchema } from '../../heat/bench/setup.schema'
import { fields as part } from '../../part/fields'
import { WARM_SCHOOLS } from '../../warm/schools.table'
import { list, pick, reading, sameAs, words } from './declared'
import { namesOf } from '../../field/names-of'

/** How the part is warmed. */
export const warm = {
  torch: words('Torch', 64),
  /** How warming is decided where no temperature is said. */
  school: pick('Warming is decided', namesOf(WARM_SCHOOLS), 'decide'),
  /** Empty: decided by the school. */
  targetC: reading('c', 'Warm it to', { min: -60, max: 650 }),
  startC: reading('c', 'It is at', { usual: ROOM_C, min: -60, max: 650 }),
  massG: sameAs(part.massG, { label: 'Weighed', help: 'empty: reckoned from its sizes' }),
  /** Set-ups on the heat bench: one, or two side by side. */
  setups: list('Set-ups on the heat bench', 2, heatSetupSchema, { knownBy: 'turn', order: 'as-put-in' }),
}
