import type { ListRule } from './declared'
import { declaredAt } from './sections'

/** Lists that are a part of a job by themselves, beside those of its stations. */
const OWN: Readonly<Record<string, ListRule>> = {
  mends: { knownBy: 'itself', order: 'as-put-in' },
  pictures: { knownBy: 'itself', order: 'as-put-in' },
  readings: { knownBy: 'itself', order: 'time' },
  acknowledged: { knownBy: 'itself', order: 'time' },
}

/** What becomes of a field's list in a merge; undefined where it is no list with a rule of its own. */
export const listRuleOf = (field: string): ListRule | undefined =>
  Object.hasOwn(OWN, field) ? OWN[field] : declaredAt(field)?.list
