import 'fake-indexeddb/auto'
import fc from 'fast-check'
import { describe, expect, it, vi } from 'vitest'
import { fieldsOfJob } from '#core/job/field'
import { partOut } from '#core/job/out'
import { readFile, shopFrame } from '#core/job/files'
import { newJob } from '#core/job/new-job'
import { planJob } from '#core/station/plan-job'
import { db } from '~/db/database'
import { takeInFile } from '~/db/shelf'
import { filesBench, filesHand } from '~/workers/files-bench'
import { jobOnTheBench } from '~/at-the-bench.fixture'
import { useShop } from './shop'

vi.mock('~/composables/core-worker', () => ({ planned: async (job: never, kit: never) => planJob(job, kit) }))

const { shopFile } = filesBench(async () => null)
const AT = '2026-11-12T10:00:00.000Z'
const odd = fc.oneof(
  fc.string({ maxLength: 800 }),
  fc.string({ unit: 'grapheme', maxLength: 300 }),
  fc.constantFrom('\u202egnorw', '\u0000', '\ud800', '1e999', '£Infinity', '=1+1'),
  fc.double(),
  fc.integer(),
  fc.boolean(),
  fc.constantFrom(null, [], {}, Infinity, NaN, 600, 10_000_001),
  fc.record({ typed: fc.string({ maxLength: 90 }), value: fc.oneof(fc.double(), fc.constant(null)) }),
  fc.array(fc.anything(), { maxLength: 70 }),
  fc.array(
    fc.record({
      id: fc.string({ minLength: 1, maxLength: 5 }),
      name: fc.string({ maxLength: 90 }),
      price: fc.double(),
    }),
    { maxLength: 65 },
  ),
)
const plain = (job: object) => JSON.parse(JSON.stringify(job))

describe('what is typed into a reading', () => {
  it('has its value in every reading of a job, whichever unit it is written in', async () => {
    const store = await jobOnTheBench({
      prove: {
        ...newJob('a', 'x', '', AT).prove,
        runOut: [
          { typed: '', value: null },
          { typed: '', value: null },
        ],
      },
    })
    for (const [path, typed, value] of [
      ['prove.runOut.1', '0.03 mm', 0.03],
      ['takeIn.wallMm', '3/8 in', 9.525],
      ['weld.flowLMin', '15 cfh', 7.0792],
      ['know.hb', '70', 70],
      ['prove.balanceLimitGmm', '5', 5],
      ['prove.leakLimitSccm', '2', 2],
      ['weld.copiedDial', '-40', -40],
    ] as const) {
      expect(store.edit(path.split('.'), { typed, value })).toBeNull()
      await store.stored()
      expect(
        path.split('.').reduce<unknown>((node, key) => (node as Record<string, unknown>)[key], await db.jobs.get('a')),
        path,
      ).toEqual({ typed, value })
    }
  })
})

describe('a backup', () => {
  it('can always be restored into an empty bench, whatever was typed into whatever field, and gives the same back', async () => {
    const fields = [...fieldsOfJob(newJob('a', 'A part', '', AT)).keys()].filter(
      field => !['kind', 'version', 'id', 'takenInAt', 'updatedAt', 'stamps', 'overruled'].includes(field),
    )
    let taken = 0
    await fc.assert(
      fc.asyncProperty(
        fc.array(fc.tuple(fc.constantFrom(...fields), odd), { minLength: 1, maxLength: 12 }),
        async edits => {
          const store = await jobOnTheBench()
          for (const [field, value] of edits) if (store.edit(field.split('.'), value) === null) taken += 1
          await store.stored()
          const stored = await db.jobs.toArray()
          const out = await shopFile(db.name, useShop().kit, AT)
          expect(out.damaged).toEqual([])
          store.close()
          await Promise.all([db.jobs.clear(), db.cards.clear(), db.kit.clear()])
          const read = readFile(await out.blob.text())
          expect(read.ok).toBe(true)
          if (read.ok) await takeInFile(read.jobs, read.kit)
          expect(plain(await db.jobs.toArray())).toEqual(plain(stored))
        },
      ),
      { numRuns: 120, seed: 77 },
    )
    expect(taken).toBeGreaterThan(50)
  })
  it('of many jobs shared among several hands is the same file, and is read the same, whichever of them breaks', async () => {
    await jobOnTheBench()
    const jobs = Array.from({ length: 900 }, (_, n) => newJob(`many-${n}`, `Part ${n}`, '', AT))
    await db.jobs.bulkPut(jobs)
    let asked = 0
    const hand = {
      check: async (found: readonly unknown[]) => filesHand.check(structuredClone(found)),
      write: (database: string, ids: readonly string[]) => filesHand.write(database, ids),
    }
    const broken = {
      check: async () => {
        asked += 1
        throw new Error('gone')
      },
      write: async () => {
        asked += 1
        throw new Error('gone')
      },
    }
    const alone = await shopFile(db.name, useShop().kit, AT)
    const shared = filesBench(
      async () => null,
      () => [hand, broken],
    )
    const text = await (await shared.shopFile(db.name, useShop().kit, AT)).blob.text()
    expect(text).toBe(await alone.blob.text())
    const bytes = new TextEncoder().encode(text)
    const read = await shared.read(bytes)
    expect(read.ok && read.jobs).toEqual(plain(await db.jobs.toArray()))
    const spoilt = text.replace('"title":"Part 700"', '"title":700').replace('"title":"Part 3"', '"titel":"Part 3"')
    const refused = await shared.read(new TextEncoder().encode(spoilt))
    expect(refused).toEqual(readFile(spoilt))
    expect(!refused.ok && refused.issues.map(({ path }) => path)).toEqual(
      expect.arrayContaining([expect.stringMatching(/^jobs\[\d+\]\.title$/)]),
    )
    expect(asked).toBeGreaterThan(1)
  })
  it('lets no damaged job hold back the rest: it goes out apart, named, with its words', () => {
    const sound = [newJob('a', 'Sound', '', AT), newJob('b', 'Sound too', '', AT)]
    for (const bad of [
      { id: 'x', title: 'Bent', pictures: 'none' },
      null,
      7,
      'words',
      { id: 'y' },
      { ...sound[0], id: 'z', settled: { 'hand-over': { at: AT, basis: { checks: 'x'.repeat(300) } } } },
    ]) {
      const out = partOut([sound[0], bad, sound[1]])
      const [before, after] = shopFrame(useShop().kit, AT)
      const read = readFile(`${before}${out.text}${after}`)
      expect(read.ok && read.jobs.map(job => job.id)).toEqual(['a', 'b'])
      expect(out.damaged).toHaveLength(1)
      expect(out.damaged[0]!.why.length).toBeGreaterThan(3)
      expect(JSON.parse(out.damaged[0]!.text)).toEqual(JSON.parse(JSON.stringify(bad)))
    }
  })
  it('holds what a settled station rests on, however much that is', async () => {
    const store = await jobOnTheBench()
    store.edit(['takeIn', 'protect'], ['closed-hollow', 'fuel', 'fluoro-seal'])
    store.edit(['takeIn', 'does'], 'seal')
    await vi.waitFor(() => expect(store.plan).toBeTruthy())
    for (const id of ['take-in', 'know', 'call', 'open', 'warm', 'weld', 'rebuild', 'prove', 'hand-over'] as const)
      await store.settle(id)
    await store.stored()
    expect(Object.keys((await db.jobs.get('a'))!.settled)).toHaveLength(9)
    expect((await shopFile(db.name, useShop().kit, AT)).damaged).toEqual([])
  })
})
