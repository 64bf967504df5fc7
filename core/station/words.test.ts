import { readFileSync } from 'node:fs'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { z } from 'zod'
import { readFile } from '../job/files'
import { EMPTY_KIT } from '../job/empty-kit'
import { jobSchema, type Job, type Kit } from '../job/job.schema'
import { newJob } from '../job/new-job'
import { newMend } from '../job/new-mend'
import { applyPatch, type Patch } from '../job/patch'
import { STATION_IDS } from '../job/stations.table'
import { SEEN_IN_PUDDLE } from '../job/words.table'
import { mendMade } from './mend-made.fixture'
import { planJob } from './plan-job'
import { plainSentence } from './stale'
import { sentenceText } from './hand-over/record'
import { mendCall } from './mends/mend-words'
import { rebuildChange, rebuildWhy } from './mends/rebuild-words'

/**
 * Whatever is entered, every station speaks in clean sentences: jobs are drawn by changing any choice and any reading
 * of a demo job to anything its schema takes, and all that the plan says of them is read in both unit systems.
 */
const file = readFile(readFileSync(new URL('../../demo/larkmoor-bench.json', import.meta.url), 'utf8'))
if (!file.ok) throw new Error('the demo shop does not read')
const oxygen = { id: 'oxy', name: 'oxygen torch', gas: 'oxy-acetylene', powerW: 9000, efficiencyPct: 35 }
const kits: Kit[] = [file.kit!, { ...file.kit!, torches: [...file.kit!.torches, oxygen] }, EMPTY_KIT]
const jobs = [...file.jobs, newJob('new', 'New part', '', '2026-11-12T09:00:00Z')]

interface Node {
  type?: string
  enum?: unknown[]
  const?: unknown
  anyOf?: Node[]
  properties?: Record<string, Node>
}
const SIZES = [null, 0, -4, 0.02, 0.4, 2.4, 6, 18, 95, 140, 500, 25_000, 1e9]
const OFF_LIMITS = new Set(['id', 'createdAt', 'updatedAt', 'stamps', 'settled', 'acknowledged'])

/** Every single choice and reading of a job, with what it may be changed to. */
function choices(node: Node, path: string[] = []): { path: string[]; values: unknown[] }[] {
  if (path.length === 1 && OFF_LIMITS.has(path[0]!)) return []
  const options =
    node.enum ??
    (node.anyOf?.every(entry => entry.const !== undefined || entry.enum || entry.type === 'null')
      ? node.anyOf.flatMap(entry => entry.enum ?? [entry.const ?? null])
      : undefined)
  if (options) return [{ path, values: options }]
  if (node.type === 'boolean') return [{ path, values: [true, false] }]
  const { properties } = node
  if (!properties) return []
  if (properties.typed && properties.value)
    return [{ path, values: SIZES.map(value => ({ typed: value === null ? '' : String(value), value })) }]
  return Object.entries(properties).flatMap(([key, child]) => choices(child, [...path, key]))
}
/** Free words that the plan reads, and lists. */
const seen = (saw: readonly string[]) =>
  saw.map((one, n) => ({
    id: `l${n}`,
    at: `2026-11-12T09:${10 + n}:00Z`,
    pass: 1 + Math.floor(n / 2),
    saw: one,
    settings: '180 A',
    note: '',
  }))
const WRITTEN: { path: string[]; values: unknown[] }[] = [
  {
    path: ['mends'],
    values: [
      ...['M8', 'M10x1', '3/8-16 UNC', 'G1/4', 'R1/2', '0 BA', 'no thread'].map(thread => ({
        thread,
        cold: 'dry-ice',
      })),
      ...(['pressed-slug', 'wire-insert', 'weld-and-tap'] as const).map(way => ({ thread: 'M8', way })),
      { thread: 'M8', way: 'pressed-slug', facedMm: { typed: '4 mm', value: 4 } },
    ].map(readings => [
      { ...newMend('m', 'thread'), readings: { deepMm: { typed: '16 mm', value: 16 }, ...readings } },
      {
        ...newMend('b', 'bent'),
        readings: { bentMm: { typed: '3 mm', value: 3 }, overMm: { typed: '60 mm', value: 60 } },
      },
    ]),
  },
  {
    path: ['mends'],
    values: (
      [
        {},
        { lengthMm: 80 },
        { lengthMm: 80, sides: '2', keepBreak: true, startsIn: 'hole' },
        { lengthMm: 200, closed: true, machined: true, proudMm: 0.5 },
        { lengthMm: 50, machined: true, faceWideMm: 30, rodMm: 1.6 },
        { lengthMm: 50, landMm: 90 },
      ] as Parameters<typeof mendMade>[1][]
    ).flatMap(said => [
      [mendMade('crack', said)],
      [mendMade('crack', said, { opened: true, done: ['pass-1', 'pass-2'] })],
    ]),
  },
  {
    path: ['mends'],
    values: [
      { armWideMm: 30, armHighMm: 12, armLongMm: 110, sides: '2' },
      { armWideMm: 30, armHighMm: 12 },
      { armWideMm: 0.001, armHighMm: 4000, armLongMm: 1 },
      {},
    ].map(arm => [mendMade('plate', { longMm: 40, wideMm: 30, plateMm: 4, ...arm } as Parameters<typeof mendMade>[1])]),
  },
  { path: ['know', 'markText'], values: ['A356', 'LM25', '>AlSi9Cu3<', 'Z410', ''] },
  { path: ['know', 'alloy'], values: ['6061', '7075', 'AZ91D', 'unheard of'] },
  { path: ['know', 'composition'], values: ['Si 7.1, Mg 0.3', 'Cu 4.4 Mg 1.5', 'Zn 80'] },
  { path: ['call', 'filler'], values: ['5356', '4145', 'coat hanger'] },
  {
    path: ['weld', 'log'],
    values: [
      seen(['bubbles', 'bubbles', 'bubbles']),
      seen(['reopens', 'reopens']),
      seen(['tungsten-touched', 'wets-clean', 'sags']),
      seen(['burns-through', 'too-hot', 'scum', 'pinhole']),
    ].map(log => log.filter(entry => entry.saw in SEEN_IN_PUDDLE)),
  },
  {
    path: ['rebuild', 'holes'],
    values: [
      [
        [0, 0],
        [50, 0],
        [25, 40],
      ],
      [
        [0, 0],
        [0, 0],
        [0, 0],
      ],
    ].map(holes =>
      holes.map(([x, y], n) => ({ id: `h${n}`, xMm: { typed: '', value: x }, yMm: { typed: '', value: y } })),
    ),
  },
]
const all = [...WRITTEN, ...choices(z.toJSONSchema(jobSchema, { io: 'input', unrepresentable: 'any' }) as Node)]
const patch = fc
  .constantFrom(...all)
  .chain(({ path, values }) => fc.constantFrom(...values).map((value): Patch => ({ path, value })))
const drawn = fc
  .tuple(fc.constantFrom(...jobs), fc.array(patch, { minLength: 1, maxLength: 12 }), fc.constantFrom(...kits))
  .map(([job, patches, kit]) => ({ job: patches.reduce<Job>((changed, one) => applyPatch(changed, one), job), kit }))

const FAULTS: readonly [RegExp, string][] = [
  [/undefined|null|NaN|Infinity|\[object/, 'a value that is none'],
  [/ {2}| [.,;:](?!\d)|\.\.|,,|;;|\(\)/, 'a slip of the pen'],
  [/^[a-z](?!\d|[A-Z])/, 'a small first letter'],
  [/[^.!?:)…]$/, 'no stop at its end'],
  [/\d\.\d{7,}/, 'more figures than anyone can measure'],
  [/\bno (minutes?|seconds?|mm)\b/, 'no of a measure'],
]
/** What is wrong with anything a job's plan says. */
function faults({ job, kit }: { job: Job; kit: Kit }): string[] {
  const plan = planJob(job, kit)
  const ofMends = plan.mends.rows
    .flatMap(row => [mendCall(row, 'open'), mendCall(row, 'rebuild'), ...rebuildWhy(row), ...rebuildChange(row)])
    .map(sentence => sentenceText(sentence, 'metric'))
  const ofStations = STATION_IDS.flatMap(id => {
    const { call, why, change, short, cautions, wants, workings } = plan[id]
    const said = [call, ...why, ...change].flatMap(sentence =>
      (['metric', 'inch'] as const).map(system => sentenceText(sentence, system)),
    )
    return [
      ...[...said, ...cautions.map(one => one.text)].flatMap(text =>
        FAULTS.flatMap(([pattern, name]) => (pattern.test(text) ? [`${id}: ${name} in “${text}”`] : [])),
      ),
      ...[short, ...wants].flatMap(text => (/undefined|null|NaN|\[object| {2}/.test(text) ? [`${id}: “${text}”`] : [])),
      ...Object.values(workings).flatMap(({ steps }) =>
        steps.flatMap(({ label, formula }) =>
          /[1-9]\d*\.\d{7,}|0\.0*[1-9]\d{6,}|undefined|NaN/.test(`${label} ${formula}`)
            ? [`${id}: working “${label}: ${formula}”`]
            : [],
        ),
      ),
      ...(short.length > 60 || !short ? [`${id}: “${short}” does not fit the strip`] : []),
    ]
  })
  return [
    ...ofStations,
    ...ofMends.flatMap(text =>
      FAULTS.flatMap(([pattern, name]) => (pattern.test(text) ? [`a mend: ${name} in “${text}”`] : [])),
    ),
  ]
}

describe('a settled station', () => {
  it('is stale whenever its headline or its cautions change, whatever changed them', () => {
    let altered = 0
    fc.assert(
      fc.property(
        fc.constantFrom(...jobs),
        fc.array(patch, { minLength: 1, maxLength: 3 }),
        fc.constantFrom(...kits),
        (job, patches, kit) => {
          const before = planJob(job, kit)
          const settled: Job = {
            ...job,
            settled: Object.fromEntries(
              STATION_IDS.map(id => [id, { at: '2026-11-12T10:00:00Z', basis: { ...before[id].basis } }]),
            ),
          }
          const after = planJob(
            patches.reduce<Job>((changed, one) => applyPatch(changed, one), settled),
            kit,
          )
          for (const id of STATION_IDS) {
            const says = (plan: typeof before) =>
              JSON.stringify([plainSentence(plan[id].call), plan[id].cautions.map(caution => caution.code).toSorted()])
            if (says(after) !== says(before)) {
              altered += 1
              expect(after[id].changed.length, `${id}: ${says(before)} → ${says(after)}`).toBeGreaterThan(0)
            }
          }
        },
      ),
      { numRuns: 250, seed: 44 },
    )
    expect(altered).toBeGreaterThan(100)
  })
})

describe('what a plan says', () => {
  it('finds the choices of a job: stations, and readings with units', () => {
    expect(all.length).toBeGreaterThan(75)
    expect(all.map(({ path }) => path.join('.'))).toEqual(
      expect.arrayContaining([
        'takeIn.does',
        'takeIn.saltWater',
        'takeIn.wallMm',
        'weld.frequencySchool',
        'rebuild.dressing',
        'call.process',
      ]),
    )
  })
  it.each(jobs.map(job => [job.id, job] as const))('of %s as it stands is clean', (_, job) =>
    expect(kits.flatMap(kit => faults({ job, kit }))).toEqual([]),
  )
  // Gathered, not shrunk: what is wrong is a sentence, and the sentence says where it comes from.
  it('of any job that can be entered is clean', () => {
    expect([...new Set(fc.sample(drawn, { numRuns: 600, seed: 41 }).flatMap(faults))]).toEqual([])
  })
  it('and the jobs drawn are jobs that a file may hold', () => {
    for (const { job } of fc.sample(drawn, { numRuns: 100, seed: 42 }))
      expect(jobSchema.safeParse(job).error?.issues ?? []).toEqual([])
  })
  it('is the same each time it is said', () => {
    for (const { job, kit } of fc.sample(drawn, { numRuns: 40, seed: 43 }))
      expect(planJob(job, kit)).toEqual(planJob(job, kit))
  })
})
