import { choices } from '../../field/field'
import { fields as thread } from '../thread/fields'
import { STATES } from '../thread/states.table'

export const fields = { ...thread, state: choices('It is', STATES, ['stripped']) }
