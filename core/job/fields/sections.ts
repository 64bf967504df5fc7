import { call } from './call'
import type { Declared, Fields } from './declared'
import { handOver } from './hand-over'
import { know } from './know'
import { open } from './open'
import { prove } from './prove'
import { rebuild } from './rebuild'
import { takeIn } from './take-in'
import { warm } from './warm'
import { weld } from './weld'

/** The stations' own parts of a job, each with all that is declared of its fields. */
export const SECTIONS = { takeIn, know, call, open, warm, weld, rebuild, prove, handOver } as const satisfies Record<
  string,
  Fields
>
export type SectionId = keyof typeof SECTIONS

export const isSection = (key: string): key is SectionId => Object.hasOwn(SECTIONS, key)

/**
 * What is declared of the field that a path leads to, such as `open.capMm`, `rebuild.face.toMm` or
 * `prove.compared.2.limitMm`; undefined where the path leads to no declared field.
 */
export function declaredAt(path: string): Declared | undefined {
  const [section = '', ...keys] = path.split('.')
  if (!isSection(section)) return undefined
  let fields: Fields | undefined = SECTIONS[section]
  let found: Declared | undefined
  for (const key of keys) {
    // A place in a list leads to the fields of its entry.
    if (found?.kind === 'list' && /^(\d+|#.+)$/.test(key)) continue
    found = fields && Object.hasOwn(fields, key) ? fields[key] : undefined
    fields = found?.fields
    if (!found) return undefined
  }
  return found
}
