import 'fake-indexeddb/auto'
import fc from 'fast-check'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { EMPTY_KIT } from '#core/job/empty-kit'
import { readFile, shopFrame } from '#core/job/files'
import type { Job } from '#core/job/job.schema'
import { changedKit } from '#core/job/merge-kit'
import { newJob } from '#core/job/new-job'
import { db, stoppedClock } from './database'
import { upgradeStored } from './upgrade'
import { mergeInKit, takeInFile, timedKit, writeChanges } from './shelf'

const AT = '2026-11-12T09:00:00.000Z'
const LATER = '2026-11-12T10:00:00.000Z'
const job = (id: string, title = id): Job => newJob(id, title, '', AT)
const reading = (typed: string, value: number | null) => ({ typed, value })
const readKit = async () => (await timedKit()).kit

beforeEach(async () => {
  await Promise.all([
    db.jobs.clear(),
    db.kit.clear(),
    db.clocks.clear(),
    db.facts.clear(),
    db.cards.clear(),
    db.held.clear(),
    db.gone.clear(),
  ])
})

describe('writing changes', () => {
  it('puts a change on the stored job and stamps it', async () => {
    await db.jobs.add(job('a'))
    const written = await writeChanges('a', [{ path: ['open', 'crackMm'], value: reading('88 mm', 88) }], LATER)
    expect(written).toMatchObject({ kind: 'stored', job: { updatedAt: LATER, open: { crackMm: { value: 88 } } } })
    expect(await db.jobs.get('a')).toEqual(written.kind === 'stored' && written.job)
  })
  it('keeps what another tab has changed meanwhile in other fields', async () => {
    await db.jobs.add(job('a'))
    await Promise.all([
      writeChanges('a', [{ path: ['open', 'crackMm'], value: reading('88 mm', 88) }], LATER),
      writeChanges('a', [{ path: ['takeIn', 'wallMm'], value: reading('7 mm', 7) }], LATER),
      writeChanges('a', [{ path: ['title'], value: 'Renamed' }], LATER),
    ])
    expect(await db.jobs.get('a')).toMatchObject({
      title: 'Renamed',
      open: { crackMm: { value: 88 } },
      takeIn: { wallMm: { value: 7 } },
    })
  })
  it('changes nothing of a job that is gone', async () => {
    expect(await writeChanges('gone', [{ path: ['title'], value: 'x' }], LATER)).toEqual({ kind: 'gone' })
    expect(await db.jobs.count()).toBe(0)
  })
  it('writes all of several changes or none: a bad path leaves the job as it was', async () => {
    await db.jobs.add(job('a', 'Before'))
    await expect(
      writeChanges(
        'a',
        [
          { path: ['title'], value: 'After' },
          { path: ['__proto__', 'x'], value: 1 },
        ],
        LATER,
      ),
    ).rejects.toThrow()
    expect(await db.jobs.get('a')).toMatchObject({ title: 'Before', updatedAt: AT })
  })
  it('ends the same for any order of writes to different fields', async () => {
    const edits = [
      ['title', 'T'],
      ['customer', 'C'],
      ['updatedNote', 'N'],
    ] as const
    await fc.assert(
      fc.asyncProperty(fc.shuffledSubarray([0, 1, 2], { minLength: 3 }), async order => {
        await db.jobs.put(job('a'))
        for (const i of order) await writeChanges('a', [{ path: [edits[i]![0]], value: edits[i]![1] }], LATER)
        expect(await db.jobs.get('a')).toMatchObject({ title: 'T', customer: 'C' })
      }),
      { numRuns: 6, seed: 61 },
    )
  })
})

describe('taking a file in', () => {
  it('adds what is new, brings up to date what is older here, and leaves what is newer here', async () => {
    await db.jobs.bulkAdd([job('old', 'here'), { ...job('new', 'here'), updatedAt: LATER }])
    const report = await takeInFile(
      [{ ...job('old', 'from the file'), updatedAt: LATER }, job('new', 'from the file'), job('fresh')],
      null,
    )
    expect(report).toMatchObject({ added: 1, replaced: 1, kept: 1, kit: false })
    expect((await db.jobs.get('old'))!.title).toBe('from the file')
    expect((await db.jobs.get('new'))!.title).toBe('here')
    expect(await db.jobs.count()).toBe(3)
  })
  it('doubles nothing when it comes twice', async () => {
    const jobs = [job('a'), job('b')]
    await takeInFile(jobs, null)
    const once = await db.jobs.toArray()
    expect(await takeInFile(jobs, null)).toMatchObject({ added: 0, replaced: 0, kept: 2, kit: false })
    expect(await db.jobs.toArray()).toEqual(once)
  })
  it('takes a kit only into a bench that has none', async () => {
    const theirs = { ...EMPTY_KIT, shop: 'Theirs' }
    expect((await takeInFile([], theirs)).kit).toBe(true)
    expect((await readKit()).shop).toBe('Theirs')
    expect((await takeInFile([], { ...EMPTY_KIT, shop: 'Others' })).kit).toBe(false)
    expect((await readKit()).shop).toBe('Theirs')
  })
  it('comes to the same whichever of two files is first', async () => {
    const one = [job('a', 'one'), { ...job('b', 'one'), updatedAt: LATER }]
    const two = [{ ...job('a', 'two'), updatedAt: LATER }, job('b', 'two'), job('c', 'two')]
    await takeInFile(one, null)
    await takeInFile(two, null)
    const forwards = await db.jobs.orderBy('id').toArray()
    await db.jobs.clear()
    await takeInFile(two, null)
    await takeInFile(one, null)
    expect(await db.jobs.orderBy('id').toArray()).toEqual(forwards)
  })
})

describe('a disk that is full', () => {
  const full = () => Promise.reject(Object.assign(new Error('no room'), { name: 'QuotaExceededError' }))
  it('takes in all of a file or nothing: jobs stand as they were when a picture finds no room', async () => {
    await db.jobs.bulkAdd([job('a', 'here')])
    const put = vi.spyOn(db.held, 'bulkPut').mockImplementation(full as never)
    await expect(
      takeInFile([{ ...job('a', 'from the file'), updatedAt: LATER }, job('b')], { ...EMPTY_KIT, shop: 'Theirs' }, [
        { id: 'p', jobId: 'b', kind: 'picture', name: 'p', type: 'image/png', bytes: new Uint8Array([1]) },
      ]),
    ).rejects.toThrow('no room')
    put.mockRestore()
    expect((await db.jobs.toArray()).map(each => each.title)).toEqual(['here'])
    expect(await db.cards.get('b')).toBeUndefined()
    expect((await readKit()).shop).toBe('')
  })
  it('writes a change with its card or not at all', async () => {
    await db.jobs.add(job('a', 'Before'))
    const put = vi.spyOn(db.cards, 'bulkPut').mockImplementation(full as never)
    await expect(writeChanges('a', [{ path: ['title'], value: 'After' }], LATER)).rejects.toThrow('no room')
    put.mockRestore()
    expect((await db.jobs.get('a'))!.title).toBe('Before')
  })
})

describe('clocks of a shop that is taken in', () => {
  const clock = (id: string, leftMs: number) => ({
    id,
    name: 'Soak',
    jobId: 'a',
    startedAt: Date.now() - 60_000,
    endsAt: Date.now() + leftMs,
  })
  it('go on where they still run; those that ran out, stand here already or were stopped here do not', async () => {
    const here = { ...clock('here', 90_000), name: 'Mine' }
    await db.clocks.add(here)
    await db.gone.put({ id: stoppedClock('stopped'), at: LATER })
    const given = [clock('runs', 60_000), clock('out', -1000), clock('here', 60_000), clock('stopped', 60_000)]
    await takeInFile([], null, [], db, given)
    expect((await db.clocks.toArray()).map(({ id, name }) => `${id} ${name}`).toSorted()).toEqual([
      'here Mine',
      'runs Soak',
    ])
  })
  it('come back from the text of a shop, and an odd one refuses the file', () => {
    const clocks = [clock('runs', 60_000)]
    const [before, after] = shopFrame(EMPTY_KIT, AT, clocks)
    expect(readFile(`${before}${after}`)).toMatchObject({ ok: true, clocks })
    expect(readFile(`${before}${after}`.replace(/"endsAt":\d+/, '"endsAt":"soon"'))).toMatchObject({ ok: false })
    expect(shopFrame(EMPTY_KIT, AT)[0]).not.toContain('clocks')
  })
})

describe('what an earlier version stored', () => {
  it('is brought up to this shape with its card; what cannot be read is left and named', async () => {
    const { readings: _readings, stamps: _stamps, ...older } = job('old', 'Older')
    await db.jobs.bulkAdd([older as Job, { id: 'odd', title: 'Not a job' } as Job])
    expect(await upgradeStored()).toMatchObject([
      { id: 'odd', title: 'Not a job', text: expect.stringContaining('Not a job') },
    ])
    expect(await db.jobs.get('old')).toMatchObject({ readings: [], stamps: {} })
    expect(await db.cards.get('old')).toMatchObject({ title: 'Older', next: 'take-in' })
    expect(await db.jobs.get('odd')).toEqual({ id: 'odd', title: 'Not a job' })
    // And again at every start, as long as it is there.
    expect(await upgradeStored()).toMatchObject([{ id: 'odd' }])
    await db.jobs.delete('odd')
    expect(await upgradeStored()).toEqual([])
  })
})

describe('the kit', () => {
  it('is empty until there is one, and comes back as it was put away', async () => {
    expect(await readKit()).toEqual(EMPTY_KIT)
    const kit = {
      ...EMPTY_KIT,
      ratePerHour: 50,
      gases: [{ id: 'g', name: 'argon', cylinderL: 2000, price: 46, leftL: null }],
    }
    await mergeInKit(changedKit({ kit: EMPTY_KIT, stamps: {} }, kit, LATER))
    expect(await readKit()).toEqual(kit)
  })
})
