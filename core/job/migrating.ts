import type { Plain } from './held'
import type { StoredMend } from './mend.schema'

/** A section without these fields. */
export const without = (section: Plain, fields: readonly string[]): Plain =>
  Object.fromEntries(Object.entries(section).filter(([name]) => !fields.includes(name)))

/** A mend by an id that none of the others has. */
export function named(mend: StoredMend, mends: readonly StoredMend[]): StoredMend {
  const taken = mends.some(one => one.id === mend.id)
  return taken ? named({ ...mend, id: `${mend.id}-` }, mends) : mend
}

/** The later of the times of these fields. */
export const lastOf = (stamps: Plain, fields: readonly string[]): string | undefined =>
  fields
    .map(field => stamps[field])
    .filter(at => typeof at === 'string')
    .toSorted((a, b) => Date.parse(a) - Date.parse(b))
    .at(-1)
