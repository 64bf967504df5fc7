import { mkdirSync, readFileSync, readdirSync, rmSync, writeFileSync } from 'node:fs'
import { allWords } from './words/all-words'

/**
 * Sorts a language's words into one file a room of the house, in the order they stand in the sources, drops what the
 * program no longer says, and lists what it says and the language lacks. Missing words stand in their file as empty
 * texts, to be filled in; the test of completeness fails until they are.
 *
 *     npx tsx tools/write-words.ts [language]
 */
const CONSTANTS: Record<string, string> = { de: 'GERMAN' }
const language = process.argv[2] ?? 'de'
const folder = `core/words/${language}`
mkdirSync(folder, { recursive: true })
const old: Record<string, string> = {}
for (const name of readdirSync(folder))
  if (name.endsWith('.json')) Object.assign(old, JSON.parse(readFileSync(`${folder}/${name}`, 'utf8')))

/** core/station/warm/warm.ts → plan;
 * app/stations/warm/X.vue → station-warm; app/bench/X.vue → bench; server/… → server. */
function roomOf(path: string): string {
  const [root, second = '', third = ''] = path.split('/')
  if (root === 'server') return 'server'
  if (second === 'stations') return `station-${third}`
  return second.includes('.') ? 'app' : second
}

const rooms = new Map<string, Record<string, string>>()
const missing: string[] = []
for (const [key, path] of allWords()) {
  const room = roomOf(path)
  if (!rooms.has(room)) rooms.set(room, {})
  const said = old[key] ?? ''
  if (said === '') missing.push(`${path}: ${JSON.stringify(key)}`)
  rooms.get(room)![key] = said
}
for (const name of readdirSync(folder)) if (name.endsWith('.json')) rmSync(`${folder}/${name}`)
for (const [room, words] of rooms) writeFileSync(`${folder}/${room}.json`, `${JSON.stringify(words, null, 2)}\n`)
const names = [...rooms.keys()].sort()
const name = (room: string) => room.replace(/-(\w)/g, (_all, letter: string) => letter.toUpperCase())
writeFileSync(
  `${folder}/catalogue.ts`,
  [
    "import type { Catalogue } from '../catalogue'",
    ...names.map(room => `import ${name(room)} from './${room}.json'`),
    '',
    '/** All the words of the language, a file for each room of the house (tools/write-words.ts). */',
    `export const ${CONSTANTS[language]}: Catalogue = Object.assign(`,
    '  {},',
    ...names.map(room => `  ${name(room)},`),
    ')',
    '',
  ].join('\n'),
)
console.log(missing.join('\n'))
console.log(`${missing.length} wanted, ${Object.values(Object.fromEntries(rooms)).flatMap(Object.keys).length} in all`)
