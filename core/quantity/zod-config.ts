import { z } from 'zod'
import { nearest } from './nearest'

/** A longer key says nothing more; nor do more of them. */
const LONGEST_KEY = 40
const MOST_KEYS = 10

interface UnknownKeys {
  code?: string
  keys?: readonly string[]
  inst?: { _zod?: { def?: { shape?: object } } }
}

/** What is said of a key that an object does not know, one line a key, with the nearest that it knows. */
export function unknownKeyWords({ keys = [], inst }: UnknownKeys): string {
  const known = Object.keys(inst?._zod?.def?.shape ?? {})
  return keys
    .slice(0, MOST_KEYS)
    .map(key => {
      const [like] = nearest(key.slice(0, LONGEST_KEY), known, 1)
      return like ? `is not known here; the nearest is ${like}` : 'is not known here: nothing is taken'
    })
    .join('\n')
}

/** What a limit counts, by what it limits. */
const COUNTED: Readonly<Record<string, string>> = { string: ' letters', array: ' entries', set: ' entries' }

interface Limited {
  code?: string
  maximum?: unknown
  minimum?: unknown
  origin?: string
  inclusive?: boolean
}

/** Limits in plain words. */
function limitWords({ code, maximum, minimum, origin = '', inclusive = true }: Limited): string | undefined {
  const counted = COUNTED[origin] ?? ''
  if (code === 'too_big') return `must be ${inclusive ? 'at most' : 'less than'} ${String(maximum)}${counted}`
  return code === 'too_small'
    ? `must be ${inclusive ? 'at least' : 'more than'} ${String(minimum)}${counted}`
    : undefined
}

/**
 * No compiling of schemas at run time: a strict content security policy forbids it, and says so on the console when it
 * is tried.
 */
z.config({
  jitless: true,
  customError: issue =>
    issue.code === 'unrecognized_keys' ? unknownKeyWords(issue as UnknownKeys) : limitWords(issue as Limited),
})
