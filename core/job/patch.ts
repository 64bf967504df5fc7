export type PathKey = string | number
export interface Patch { readonly path: readonly PathKey[], readonly value: unknown }

const FORBIDDEN = new Set(['__proto__', 'prototype', 'constructor'])

/** The value at a path, or undefined where there is nothing. */
export function valueAt(root: unknown, path: readonly PathKey[]): unknown {
  return path.reduce<unknown>((node, key) => node && typeof node === 'object' ? (node as Record<PathKey, unknown>)[key] : undefined, root)
}

/**
 * A copy of the document with one value replaced; what lies off the path is shared, not copied. A value of undefined takes the key away.
 * @throws Error on a path through a value that holds nothing, or through an object's prototype: a mistake in the program
 */
export function applyPatch<T>(root: T, { path, value }: Patch): T {
  if (path.length === 0) return value as T
  const [key, ...rest] = path as [PathKey, ...PathKey[]]
  if (FORBIDDEN.has(String(key))) throw new Error(`no path through ${String(key)}`)
  if (root === null || typeof root !== 'object') throw new Error(`nothing to change at ${String(key)}`)
  const copy = (Array.isArray(root) ? [...root] : { ...root }) as Record<PathKey, unknown>
  const inner = rest.length === 0 ? value : applyPatch(copy[key] ?? {}, { path: rest, value })
  if (inner === undefined && Array.isArray(copy)) copy.splice(Number(key), 1)
  else if (inner === undefined) delete copy[key]
  else copy[key] = inner
  return copy as T
}

/** The patch that takes a document back to what it was at the path. */
export const inverseOf = (root: unknown, { path }: Patch): Patch => ({ path, value: valueAt(root, path) })
