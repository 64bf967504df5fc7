import { mendKind } from '../kind'
import { section, sketch } from './drawing'
import { fields } from './fields'
import { planThread } from './work'
import { words } from './words'

/** A thread in metal that is still there, judged on the state it is in. */
export const thread = mendKind({
  id: 'thread',
  name: 'thread',
  is: ['threaded'],
  fields,
  words,
  finish: 'machined',
  sketch,
  section,
  plan: input => planThread(input, []),
})
