import { mendKind } from '../kind'
import { fields } from './fields'
import { planThread } from './work'
import { words } from './words'

/** A thread in metal that is still there, judged on the state it is in. */
export const thread = mendKind({ id: 'thread', name: 'thread', fields, words, plan: input => planThread(input, []) })
