import type { z } from 'zod'
import { inside } from '../ask/inside'
import { isPlain, entryKey } from './entry-key'
import { jobSchema } from './job.schema'
import { WORDS } from './text'

/** Paths of a schema that hold a person's words; `*` stands for any entry. */
function wordPaths(schema: z.core.$ZodType, path: readonly string[] = []): string[] {
  if (WORDS.has(schema as z.ZodType)) return [path.join('.')]
  const def = inside(schema)
  if (def.innerType) return wordPaths(def.innerType, path)
  if (def.element) return wordPaths(def.element, [...path, '*'])
  if (def.valueType) return wordPaths(def.valueType, [...path, '*'])
  return def.shape ? Object.entries(def.shape).flatMap(([key, inner]) => wordPaths(inner, [...path, key])) : []
}

let patterns: string[][] | null = null

/** Whether a path leads to a person's words: it fits a path of the schema, `*` fitting anything. */
function isWords(path: readonly string[]): boolean {
  patterns ??= wordPaths(jobSchema).map(each => each.split('.'))
  return patterns.some(
    pattern => pattern.length === path.length && pattern.every((key, n) => key === '*' || key === path[n]),
  )
}

export interface Said {
  readonly field: string
  readonly words: string
}

/** The words that a person wrote in a field's value, each with its place: log notes and names of pictures too. */
export function wordsOf(field: string, value: unknown): Said[] {
  const inside = (path: readonly string[], each: unknown): Said[] => {
    if (typeof each === 'string') return each.trim() && isWords(path) ? [{ field: path.join('.'), words: each }] : []
    if (Array.isArray(each)) return each.flatMap((entry, n) => inside([...path, entryKey(entry) ?? String(n)], entry))
    return isPlain(each) ? Object.entries(each).flatMap(([key, inner]) => inside([...path, key], inner)) : []
  }
  return inside(field.split('.'), value)
}
