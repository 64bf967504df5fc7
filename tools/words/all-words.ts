import { readFileSync, readdirSync } from 'node:fs'
import { join } from 'node:path'
import { lettersLeft } from '../../core/words/plain'
import { ANSWER_WORDS } from './answer-words'
import { MORE_WORDS } from './more-words'
import { NOT_WORDS } from './not-words'
import { scriptKeys } from './script-words'
import { templateWords } from './vue-words'

const ROOTS = ['app', 'core', 'server']
/** Rooms whose words no reader meets: the languages themselves, and what only the builder is told. */
const LEFT_OUT =
  /(?:\.test\.ts|\.fixture\.ts|\/fixtures\/|^core\/words\/|^core\/heat\/field\/assembly|^core\/station\/find\/topics|^core\/hold\/finite-elements|^core\/screens\/(?:sealed|secret|message|take-job)|^server\/(?:rooms|api\/(?:room|shop))\/)/

function filesUnder(folder: string): string[] {
  return readdirSync(folder, { withFileTypes: true }).flatMap(entry => {
    const path = join(folder, entry.name)
    if (entry.isDirectory()) return filesUnder(path)
    return /\.(?:ts|vue)$/.test(entry.name) ? [path] : []
  })
}

/** The words of one file, in its order. */
export function wordsOf(path: string, source: string): string[] {
  if (!path.endsWith('.vue')) return scriptKeys(source, path)
  const script = /<script setup lang="ts">([\s\S]*?)<\/script>/.exec(source)?.[1] ?? ''
  const { keys, expressions } = templateWords(source)
  return [...scriptKeys(script), ...keys, ...expressions.flatMap(expression => scriptKeys(`(${expression})`))]
}

/** Every word, sentence and template that the program may show, by where it first stands. */
export function allWords(): Map<string, string> {
  const words = new Map<string, string>()
  for (const path of ROOTS.flatMap(filesUnder).sort())
    if (!LEFT_OUT.test(path))
      for (const key of wordsOf(path, readFileSync(path, 'utf8')))
        if (!words.has(key) && !NOT_WORDS.has(key) && lettersLeft(key.replace(/\{\d+\}/g, ' ')) > 0)
          words.set(key, path)
  for (const word of ANSWER_WORDS) if (!words.has(word)) words.set(word, 'core/answers')
  for (const word of MORE_WORDS) if (!words.has(word)) words.set(word, 'core/names')
  return words
}
