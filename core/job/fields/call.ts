import { PROCESS_NAMES } from '../../process/registry'
import { z } from 'zod'
import { HOW_SURE } from '../how-sure.table'
import { PREFERS } from '../words.table'
import { heldSchema, pullSchema } from './hold.schema'
import { amount, count, list, map, maybePick, pick, reading, words } from './declared'

/** What was decided, and what the decision weighs. */
export const call = {
  decision: maybePick(
    'Your decision',
    { mend: 'mend it', refer: 'send on', decline: 'say no' },
    { help: "Left open, the reckoning's own call stands." },
  ),
  filler: words('Filler, if not the first', 40),
  process: maybePick('Process, if not the first', PROCESS_NAMES),
  access: pick('To reach', { open: 'open', tight: 'tight' }, 'open'),
  school: pick('School on castings', { 'crack-first': '4043 first', 'magnesium-first': '5356 first' }, 'crack-first', {
    help: '4043 flows and resists cracking: the default on a cracked, dirty casting. 5356 for those that scum with 4043, at more cracking and never above about 65 °C.',
  }),
  dilutionPct: reading('pct', 'Base in the bead', { usual: 30, min: 0, max: 100, help: 'about 30 is ordinary' }),
  passes: count('Passes', 1, 6, 1),
  /** Where the part is bolted at its work, and what pulls on it there. */
  heldAt: list('Bolted or clamped here', 12, heldSchema, { knownBy: 'itself', order: 'as-put-in' }),
  pulls: list('What pulls on it', 12, pullSchema, { knownBy: 'itself', order: 'as-put-in' }),
  pullTimes: amount('It comes and goes', z.number().min(1).max(1e10), 'times'),
  /** What the customer would rather have, of ways that are each best in something. */
  prefers: maybePick('The customer would rather have it', PREFERS),
  /** How sure readings are, by the mend they are of and their name; left out, as such things are measured. */
  sure: map('How sure its readings are', z.enum(Object.keys(HOW_SURE) as [keyof typeof HOW_SURE]), true),
}
