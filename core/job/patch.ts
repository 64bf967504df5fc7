import { entryKey } from './entry-key'

/** A key of an object, a place in a list, or `#` and what an entry of a list is known by. */
export type PathKey = string | number
export interface Patch {
  readonly path: readonly PathKey[]
  readonly value: unknown
}

const FORBIDDEN = new Set(['__proto__', 'prototype', 'constructor'])
const named = (key: PathKey): string | null => (typeof key === 'string' && key.startsWith('#') ? key.slice(1) : null)

/** Where in a list a key leads: its place, or the place of the entry it names; -1 where there is none. */
function placeIn(list: readonly unknown[], key: PathKey): number {
  const name = named(key)
  return name === null ? Number(key) : list.findIndex(entry => entryKey(entry) === name)
}

function step(node: unknown, key: PathKey): unknown {
  if (Array.isArray(node) && key !== 'length') return node[placeIn(node, key)]
  return node && typeof node === 'object' ? (node as Record<PathKey, unknown>)[key] : undefined
}

/** The value at a path, or undefined where there is nothing. */
export const valueAt = (root: unknown, path: readonly PathKey[]): unknown => path.reduce<unknown>(step, root)

/**
 * The path with places in lists put as what stands there is known by, so that it leads to the same entry after others
 * have come or gone.
 */
export function addressed(root: unknown, path: readonly PathKey[]): PathKey[] {
  return path.map((key, n) => {
    const node = valueAt(root, path.slice(0, n))
    if (!Array.isArray(node) || named(key) !== null) return key
    const name = entryKey(node[Number(key)])
    return name !== undefined && node.filter(entry => entryKey(entry) === name).length === 1 ? `#${name}` : key
  })
}

/**
 * A copy of the document with one value replaced; what lies off the path is shared, not copied. A value of undefined
 * takes the key away.
 * A path through an entry that is gone changes nothing.
 * @throws Error on a path through a value that holds nothing, or through an object's prototype: a mistake in the
 * program
 */
export function applyPatch<T>(root: T, { path, value }: Patch): T {
  if (path.length === 0) return value as T
  const [key, ...rest] = path as [PathKey, ...PathKey[]]
  if (FORBIDDEN.has(String(key))) throw new Error(`no path through ${String(key)}`)
  if (root === null || typeof root !== 'object') throw new Error(`nothing to change at ${String(key)}`)
  if (Array.isArray(root)) {
    const place = placeIn(root, key)
    if (named(key) !== null && place < 0) return root
    // Past the end, an entry that is gone: what would come of it is a stump.
    if (rest.length > 0 && root[place] === undefined) return root
    const inner = rest.length === 0 ? value : applyPatch<unknown>(root[place], { path: rest, value })
    if (inner === root[place]) return root
    const list: unknown[] = [...root]
    if (inner === undefined) list.splice(place, 1)
    else list[place] = inner
    return list as T
  }
  const held = (root as Record<PathKey, unknown>)[key]
  const inner = rest.length === 0 ? value : applyPatch(held ?? {}, { path: rest, value })
  if (inner === held && held !== undefined) return root
  const copy = { ...root } as Record<PathKey, unknown>
  if (inner === undefined) delete copy[key]
  else copy[key] = inner
  return copy as T
}

/** The patch that takes a document back to what it was at the path. */
export const inverseOf = (root: unknown, { path }: Patch): Patch => ({ path, value: valueAt(root, path) })
