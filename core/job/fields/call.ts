import { PROCESS_NAMES } from '../../process/registry'
import { count, maybePick, pick, reading, words } from './declared'

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
}
