import { threadName } from '../../thread/find'
import { choices, maybe, maybeChoice, needed, neededText, usually } from '../../field/field'
import { STATES, WAYS } from './states.table'

export const fields = {
  thread: neededText('Thread', threadName),
  deepMm: needed('mm', 'How deep it is', { max: 1000 }),
  bossMm: maybe('mm', 'Boss across', { above: 0, max: 1000, help: 'empty: two and a half threads' }),
  beneathMm: maybe('mm', 'Down to what lies beneath', { above: 0, max: 5000, help: 'empty: nothing near' }),
  torqueNm: maybe('nm', 'Tightened to', { above: 0, max: 10_000 }),
  state: choices('It is', STATES, ['stripped']),
  soundMm: usually('mm', 'Sound thread left', 0, { min: 0, max: 1000 }),
  way: maybeChoice('Given back by', WAYS),
}
