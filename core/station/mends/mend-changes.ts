import type { Job } from '../../job/job.schema'
import { kindOf } from '../../mend/registry'
import type { Change } from '../stale'

/** Where a text was too long to keep; what is behind it is told apart by a figure only. */
const CUT_OFF = /…[^…]*$/

/** A mend's readings as a settled station remembers them, by mend and by field; the last one only where it is whole. */
function remembered(text: string): Map<string, Map<string, string>> {
  const cut = CUT_OFF.test(text)
  const mends = text.replace(CUT_OFF, '').split('; ').filter(Boolean)
  return new Map(
    mends.map((mend, m) => {
      const colon = mend.indexOf(': ')
      const items = mend
        .slice(colon + 2)
        .split(', ')
        .filter(Boolean)
      const whole = cut && m === mends.length - 1 ? items.slice(0, -1) : items
      return [
        colon < 0 ? mend.replace(/:\s*$/, '') : mend.slice(0, colon),
        new Map(
          whole.map(item => {
            const space = item.indexOf(' ')
            return space < 0 ? [item, 'yes'] : [item.slice(0, space), item.slice(space + 1)]
          }),
        ),
      ]
    }),
  )
}

/** Readings that a mend has beside its kind's own. */
const OTHERS: Readonly<Record<string, string>> = { open: 'opened already', lays: 'lays' }

/**
 * What changed in the mends under a settled station, a change for each reading, by the names that the form has for
 * them. Where the readings were too many to be remembered one by one, the change is told as one.
 * @param change of the text that `mendsBasis` makes, before and after
 */
export function mendChanges(change: Change, mends: Job['mends']): Change[] {
  const [before, after] = [remembered(change.before), remembered(change.after)]
  const names = [...new Set([...before.keys(), ...after.keys()])]
  const found = names.flatMap(name => {
    const [was, now] = [before.get(name), after.get(name)]
    const mend = mends.find(one => (one.name || one.kind) === name)
    if (!was || !now) return CUT_OFF.test(was ? change.after : change.before) ? [] : [addedOrGone(name, !was)]
    const fields = mend ? kindOf(mend.kind).fields : {}
    return [...new Set([...was.keys(), ...now.keys()])].flatMap(key => {
      const [a, b] = [was.get(key), now.get(key)]
      if (a === b || ((a === undefined || b === undefined) && isCut(change))) return []
      const field = fields[key]
      const said = (value: string | undefined) =>
        value === undefined
          ? ''
          : value === 'true'
            ? 'yes'
            : value === 'false'
              ? 'no'
              : (field?.words?.[value] ?? value)
      return [{ what: `${name}: ${field?.label ?? OTHERS[key] ?? key}`, before: said(a), after: said(b) }]
    })
  })
  return found.length ? found : [{ what: change.what, before: 'other readings', after: 'those of now' }]
}
const isCut = ({ before, after }: Change) => CUT_OFF.test(before) || CUT_OFF.test(after)
const addedOrGone = (name: string, added: boolean): Change =>
  added ? { what: name, before: 'not there', after: 'there' } : { what: name, before: 'there', after: 'not there' }
