import { createHash } from 'node:crypto'
import { existsSync, readdirSync } from 'node:fs'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'

/** The built public files; beside the server in what was built. */
const publicDir = () =>
  ['../public', '../../public', '../../../public']
    .map(path => fileURLToPath(new URL(path, import.meta.url)))
    .find(path => existsSync(join(path, '_nuxt')))

function filesUnder(root: string, at = ''): string[] {
  return readdirSync(join(root, at), { withFileTypes: true }).flatMap(entry =>
    entry.isDirectory() ? filesUnder(root, `${at}/${entry.name}`) : [`${at}/${entry.name}`],
  )
}

let made: string | null = null

/** The service worker, with the list of everything it is to keep; its version is the list's own hash. */
export default defineEventHandler(async event => {
  setResponseHeaders(event, { 'content-type': 'text/javascript; charset=utf-8', 'cache-control': 'no-cache' })
  const root = publicDir()
  if (!root) return '// Nothing is built here, so nothing is kept.\n'
  if (made === null) {
    const files = ['/', '/boot.js', ...filesUnder(root).filter(path => !/\.(map|gz|br)$/.test(path))].toSorted()
    const version = createHash('sha256').update(files.join()).digest('hex').slice(0, 16)
    const text = String(await useStorage('assets:offline').getItemRaw('sw.js'))
    made = text.replace('__PRECACHE__', JSON.stringify({ version, files }))
  }
  return made
})
