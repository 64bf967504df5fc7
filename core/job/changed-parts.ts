import { isPlain, isReading, keyed } from './entry-key'
import { same } from './same'

/** An object that is merged key by key: it holds more than single values, such as a picture with its traces. */
export const hasParts = (a: unknown, b: unknown): boolean =>
  isPlain(a) &&
  isPlain(b) &&
  !isReading(a) &&
  !isReading(b) &&
  [...Object.values(a), ...Object.values(b)].some(each => Array.isArray(each) || isPlain(each))

/** Lists whose entries are known by their turn alone, each an object of its own. */
export const inTurn = (a: readonly unknown[], b: readonly unknown[]): boolean => [...a, ...b].every(isPlain)

/**
 * The parts of a value that a change touched, by the names under which a merge times them: the entries of a list that
 * were put in, taken out or changed (`weld.log.#e1`), the keys of what has parts (`mends.#m.readings.capMm`), the turns
 * of a list in turn (`prove.runOut.2`) and its length (`prove.runOut.length`); else the value itself.
 * An entry with an id of its own that was put in is not named unless it was once timed: nobody else has one of that
 * name, and a thermometer puts in thousands.
 * @param at the name of the value @param wasTimed whether a part of that name has a time already
 */
export function changedParts(before: unknown, after: unknown, at: string, wasTimed: WasTimed): string[] {
  if (same(before, after)) return []
  if (Array.isArray(before) && Array.isArray(after)) {
    const [was, is] = [keyed(before), keyed(after)]
    if (was && is) return keysOf(was, is).flatMap(key => partAt(was, is, key, `${at}.#${key}`, wasTimed))
    if (inTurn(before, after)) {
      const turns = Array.from({ length: Math.min(before.length, after.length) }, (_, n) =>
        changedParts(before[n], after[n], `${at}.${n}`, wasTimed),
      )
      return [...turns.flat(), ...(before.length === after.length ? [] : [`${at}.length`])]
    }
    return [at]
  }
  if (!hasParts(before, after)) return [at]
  const [was, is] = [new Map(Object.entries(before as object)), new Map(Object.entries(after as object))]
  return keysOf(was, is).flatMap(key => partAt(was, is, key, `${at}.${key}`, wasTimed))
}

export type WasTimed = (name: string) => boolean
type Parts = ReadonlyMap<string, unknown>
const keysOf = (a: Parts, b: Parts) => [...new Set([...a.keys(), ...b.keys()])]
function partAt(was: Parts, is: Parts, key: string, at: string, wasTimed: WasTimed): string[] {
  if (was.has(key) && is.has(key)) return changedParts(was.get(key), is.get(key), at, wasTimed)
  const putIn = is.get(key)
  const isNew = isPlain(putIn) && typeof putIn.id === 'string' && !wasTimed(at)
  return isNew ? [] : [at]
}
