import { readdirSync, readFileSync } from 'node:fs'
import { dirname, join, normalize } from 'node:path'
import { fileURLToPath } from 'node:url'
import ts from 'typescript'
import { describe, expect, it } from 'vitest'
import { ringsOf, type Graph } from './rings'

const ROOT = fileURLToPath(new URL('..', import.meta.url))
const isSource = (path: string) => !/\.(?:test|fixture|d)\.ts$/.test(path)
const files = ['core', 'server', 'cli', 'app'].flatMap(house =>
  readdirSync(join(ROOT, house), { recursive: true, encoding: 'utf8' })
    .map(path => `${house}/${path}`)
    .filter(path => path.endsWith('.ts') && isSource(path)),
)
const known = new Set(files)

/** The file that an import means; null where it is a library's or no source of ours. */
function meant(from: string, named: string): string | null {
  const path = named.startsWith('.')
    ? normalize(join(dirname(from), named))
    : named.replace(/^#core\//, 'core/').replace(/^~\//, 'app/')
  return [`${path}.ts`, path, `${path}/index.ts`].find(one => known.has(one)) ?? null
}

/** What each file imports, types as well. */
const imports: Graph = new Map(
  files.map(file => [
    file,
    new Set(
      ts
        .preProcessFile(readFileSync(join(ROOT, file), 'utf8'), true, true)
        .importedFiles.flatMap(({ fileName }) => meant(file, fileName) ?? []),
    ),
  ]),
)
/** The topics of the core, and which uses which. */
function topics(): Graph {
  const topicOf = (path: string) => /^core\/([^/]+)\//.exec(path)?.[1]
  const graph = new Map<string, Set<string>>()
  for (const [file, named] of imports) {
    const from = topicOf(file)
    if (!from) continue
    const to = graph.get(from) ?? graph.set(from, new Set()).get(from)!
    for (const each of named) {
      const topic = topicOf(each)
      if (topic && topic !== from) to.add(topic)
    }
  }
  return graph
}

describe('the house', () => {
  it('is read as it stands', () => {
    expect(files.length).toBeGreaterThan(500)
    expect(imports.get('core/job-plan/plan.ts')).toContain('core/job-plan/lines.ts')
    expect(
      ringsOf(
        new Map([
          ['a', new Set(['b'])],
          ['b', new Set(['c'])],
          ['c', new Set(['a'])],
          ['d', new Set(['a'])],
        ]),
      ),
    ).toEqual([['a', 'b', 'c']])
  })
  it('has no ring of files, types included', () => {
    expect(ringsOf(imports)).toEqual([])
  })
  it('has no ring of topics in the core', () => {
    expect(ringsOf(topics())).toEqual([])
  })
})
