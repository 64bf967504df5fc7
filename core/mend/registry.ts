import { bent } from './bent/plan'
import { bore } from './bore/plan'
import { boss } from './boss/plan'
import { broken } from './break/plan'
import { crack } from './crack/plan'
import { edge } from './edge/plan'
import { face } from './face/plan'
import { hole } from './hole/plan'
import { joint } from './joint/plan'
import type { MendKind, Trait } from './kind'
import { overlay } from './overlay/plan'
import { plate } from './plate/plan'
import { thread } from './thread/plan'
import { turned } from './turned/plan'
import { window } from './window/plan'
import { SHARED_WORDS } from './words'

/** Every kind of mend; a new one adds its line here. */
const KINDS = [
  crack,
  broken,
  hole,
  edge,
  turned,
  window,
  overlay,
  plate,
  joint,
  thread,
  boss,
  face,
  bore,
  bent,
] as const

export type KindId = (typeof KINDS)[number]['id']
export const KIND_IDS = KINDS.map(kind => kind.id) as [KindId, ...KindId[]]

const BY_ID = new Map<string, MendKind>(KINDS.map(kind => [kind.id, kind as unknown as MendKind]))
if (BY_ID.size !== KINDS.length) throw new Error('a kind of mend is registered twice')

/** @throws Error for an unknown id: a mistake in the program */
export function kindOf(id: string): MendKind {
  const found = BY_ID.get(id)
  if (!found) throw new Error(`no kind of mend is called ${id}`)
  return found
}

/** The sentence for a code of a kind. @throws Error where it has none: found by a test */
export function wordsFor(kind: string, code: string): string {
  const found = kindOf(kind).words[code] ?? SHARED_WORDS[code]
  if (found === undefined) throw new Error(`no words for ${code} of a ${kind}`)
  return found
}

/** What a part is judged by at its call before anybody has said what is broken. Judgement. */
export const NOTIONAL = { kind: 'crack', readings: { lengthMm: 80 } } as const satisfies {
  kind: KindId
  readings: object
}

/** Every kind with its fields, for schemas and forms. */
export const kinds = (): readonly MendKind[] => KIND_IDS.map(kindOf)

/** What is wrong with a mend's readings taken together: one wanted unless another is said, a kind's own rule. */
export function wrongTogether(
  kind: MendKind,
  values: Readonly<Record<string, unknown>>,
): { reading: string; message: string }[] {
  const missing = Object.entries(kind.fields)
    .filter(([key, { unless }]) => unless !== undefined && values[key] === undefined && values[unless] === undefined)
    .map(([reading, { unless }]) => ({ reading, message: `is wanted, unless ${unless} is said` }))
  const own = missing.length ? null : kind.check?.(values as never)
  return own ? [...missing, own] : missing
}

/** Whether a kind of mend, by its id, is what is told of such kinds alone. */
export const isOfKind = (id: string, trait: Trait): boolean => kindOf(id).is?.includes(trait) ?? false
