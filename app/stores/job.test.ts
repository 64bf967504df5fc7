import 'fake-indexeddb/auto'
import fc from 'fast-check'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { jobSchema, type Job, type Kit } from '#core/job/job.schema'
import { pictureSchema } from '#core/job/picture.schema'
import { newJob } from '#core/job/new-job'
import { newMend } from '#core/job/new-mend'
import { JOB_VERSION } from '#core/job/version'
import { valueAt } from '#core/job/patch'
import { planJob } from '#core/station/plan-job'
import { db } from '~/db/database'
import { replayJournals } from '~/db/journal'
import { putBack, removeJob } from '~/db/off-the-shelf'
import { addJob, writeChanges } from '~/db/shelf'
import { jobOnTheBench, settled } from '~/at-the-bench.fixture'

/**
 * The plan is worked out here as the worker would, when `answer` is called: so a late answer can be made to come late.
 */
const asked: { job: Job; kit: Kit; answer: () => void; fail: (error: Error) => void }[] = []
let atOnce = false
vi.mock('~/composables/core-worker', () => ({
  planned: (job: Job, kit: Kit) =>
    new Promise((resolve, reject) => {
      const answer = () => resolve(planJob(job, kit))
      asked.push({ job, kit, answer, fail: reject })
      if (atOnce) answer()
    }),
}))
/** Answers what waits, and from now on at once: also what is asked anew because the kit came in late. */
const answerAll = () => {
  atOnce = true
  for (const each of asked) each.answer()
}

/** The browser's own small store, in which the journal lies. */
let kept: Record<string, string> = {}
beforeEach(() => {
  kept = {}
  vi.stubGlobal('localStorage', {
    get length() {
      return Object.keys(kept).length
    },
    key: (n: number) => Object.keys(kept)[n] ?? null,
    getItem: (key: string) => kept[key] ?? null,
    setItem: (key: string, text: string) => {
      kept[key] = text
    },
    removeItem: (key: string) => {
      kept = Object.fromEntries(Object.entries(kept).filter(([each]) => each !== key))
    },
  })
})

const reading = (typed: string, value: number | null) => ({ typed, value })
const DONE = ['mends', '#m', 'done']
const stored = () => db.jobs.get('a') as Promise<Job>

const opened = () => {
  asked.length = 0
  atOnce = false
  return jobOnTheBench({ mends: [newMend('m', 'crack')] })
}
let store: Awaited<ReturnType<typeof opened>>
beforeEach(async () => {
  store = await opened()
})
afterEach(() => store.close())

describe('the job on the bench', () => {
  it('stores each change at once, with the time it was made', async () => {
    store.edit(['takeIn', 'heightMm'], reading('88 mm', 88))
    expect(store.saving).toBe(true)
    await store.stored()
    expect(store.saving).toBe(false)
    expect(await stored()).toMatchObject({
      takeIn: { heightMm: { value: 88 } },
      stamps: { 'takeIn.heightMm': expect.any(String) },
    })
  })
  it('takes typing in one field as one step, and another field as the next', async () => {
    for (const typed of ['8', '88', '88 m', '88 mm']) store.edit(['takeIn', 'heightMm'], reading(typed, null))
    store.edit(['title'], 'Renamed')
    store.undo()
    expect(store.job!.title).toBe('A part')
    store.undo()
    expect(store.job!.takeIn.heightMm.typed).toBe('')
    expect(store.canUndo).toBe(false)
    store.redo()
    expect(store.job!.takeIn.heightMm.typed).toBe('88 mm')
    await store.stored()
    expect((await stored()).takeIn.heightMm.typed).toBe('88 mm')
  })
  it('takes each tick, entry and choice as a deed of its own, however fast they come', () => {
    store.edit(DONE, ['pass-1'])
    store.edit(DONE, ['pass-1', 'pass-2'])
    store.edit(['mends'], [...store.job!.mends, newMend('n', 'crack')])
    store.edit(['mends'], [...store.job!.mends, newMend('o', 'crack')])
    const left = () => [store.job!.mends.map(({ id }) => id).join(''), store.job!.mends[0]!.done.length]
    expect(left()).toEqual(['mno', 2])
    for (const expected of [
      ['mn', 2],
      ['m', 2],
      ['m', 1],
      ['m', 0],
    ]) {
      store.undo()
      expect(left()).toEqual(expected)
    }
    expect(store.canUndo).toBe(false)
  })
  it('makes no change of what is the same, and none without a job', async () => {
    store.edit(['title'], 'A part')
    expect(store.canUndo).toBe(false)
    store.close()
    store.edit(['title'], 'Nobody')
    await store.stored()
    expect((await stored()).title).toBe('A part')
  })
  it('keeps what an instrument writes out of the undo pile', async () => {
    store.edit(['title'], 'B')
    store.keep(['weld', 'arcSpans'], [{ from: '2026-11-12T09:00:00.000Z', to: '2026-11-12T09:00:05.000Z' }])
    store.undo()
    expect(store.job!).toMatchObject({ title: 'A part', weld: { arcSpans: [{}] } })
  })
  it('after any run of changes, undo and redo shows what is stored, and undone to the beginning it is as it came', async () => {
    const step = fc.oneof(
      fc.record({
        do: fc.constant('edit' as const),
        path: fc.constantFrom(['title'], ['takeIn', 'damage'], ['mends', '#m', 'done'], ['open', 'wallMm']),
        value: fc.constantFrom('x', 'y', 'z'),
      }),
      fc.constant({ do: 'undo' as const }),
      fc.constant({ do: 'redo' as const }),
    )
    await fc.assert(
      fc.asyncProperty(fc.array(step, { maxLength: 25 }), async steps => {
        store.close()
        store = await opened()
        const before = JSON.stringify({ ...store.job!, updatedAt: '', stamps: {} })
        for (const one of steps) {
          if (one.do === 'edit') store.edit(one.path, one.value)
          else if (one.do === 'undo') store.undo()
          else store.redo()
        }
        await store.stored()
        for (const path of [['title'], ['takeIn', 'damage'], ['mends', '#m', 'done'], ['open', 'wallMm']])
          expect(valueAt(await stored(), path)).toEqual(valueAt(store.job, path))
        while (store.canUndo) store.undo()
        await store.stored()
        expect(JSON.stringify({ ...(await stored()), updatedAt: '', stamps: {} })).toBe(before)
      }),
      { numRuns: 30, seed: 6 },
    )
  })
})

describe('two tabs on one job', () => {
  it('sees what the other has written', async () => {
    await writeChanges('a', [{ path: ['takeIn', 'damage'], value: 'seen over there' }], new Date().toISOString())
    await settled()
    expect(store.job!.takeIn.damage).toBe('seen over there')
  })
  it('writes nothing into a job that a newer program has brought up, and says so', async () => {
    const newer = { ...(await stored()), version: JOB_VERSION + 1 } as unknown as Job
    await db.jobs.put(newer)
    await expect(writeChanges('a', [{ path: ['title'], value: 'of old' }], new Date().toISOString())).rejects.toThrow(
      'load this page anew',
    )
    expect(await db.jobs.get('a')).toEqual(newer)
  })
  it('sees it too where both write at the same moment, so that the next change here starts from both', async () => {
    store.edit(['title'], 'Here')
    await writeChanges('a', [{ path: DONE, value: ['pass-1'] }], new Date().toISOString())
    store.edit(['takeIn', 'damage'], 'here too')
    await store.stored()
    await settled()
    expect(store.job!.mends[0]!.done).toEqual(['pass-1'])
    store.edit(DONE, [...store.job!.mends[0]!.done, 'pass-2'])
    await store.stored()
    expect(await stored()).toMatchObject({
      title: 'Here',
      takeIn: { damage: 'here too' },
      mends: [{ done: ['pass-1', 'pass-2'] }],
    })
  })
  it("loses neither's entry where both put one into the same list at the same moment, and shows both", async () => {
    await writeChanges('a', [{ path: DONE, value: ['pass-1'] }], new Date().toISOString())
    await settled()
    const there = writeChanges(
      'a',
      [{ path: DONE, value: ['pass-1', 'pass-2'], before: ['pass-1'] }],
      new Date().toISOString(),
    )
    store.edit(DONE, ['pass-1', 'pass-3'])
    await there
    await store.stored()
    await settled()
    expect((await stored()).mends[0]!.done.toSorted()).toEqual(['pass-1', 'pass-2', 'pass-3'])
    expect(store.job!.mends[0]!.done.toSorted()).toEqual(['pass-1', 'pass-2', 'pass-3'])
  })
  it("undoes its own picture's name after the other has taken an earlier picture off: no stump, and what is undone is its own", async () => {
    const picture = (id: string) => pictureSchema.parse({ id, name: id, widthPx: 10, heightPx: 10 })
    await writeChanges(
      'a',
      [{ path: ['pictures'], value: [picture('p'), picture('q')], before: [] }],
      new Date().toISOString(),
    )
    await settled()
    store.edit(['pictures', 1, 'name'], 'renamed')
    await store.stored()
    await writeChanges(
      'a',
      [
        {
          path: ['pictures'],
          value: [{ ...picture('q'), name: 'renamed' }],
          before: [picture('p'), { ...picture('q'), name: 'renamed' }],
        },
      ],
      new Date().toISOString(),
    )
    await settled()
    store.undo()
    await store.stored()
    expect((await stored()).pictures).toEqual([picture('q')])
    expect(jobSchema.safeParse(await stored()).success).toBe(true)
  })
  it('undoes what put an entry in, and leaves what the other put in since', async () => {
    const log = (id: string) => ({
      id,
      at: '2026-11-12T09:00:00.000Z',
      pass: 1,
      saw: 'pinhole' as const,
      note: '',
      settings: '',
    })
    store.edit(['weld', 'log'], [log('mine')])
    await store.stored()
    await writeChanges(
      'a',
      [{ path: ['weld', 'log'], value: [log('mine'), log('theirs')], before: [log('mine')] }],
      new Date().toISOString(),
    )
    await settled()
    store.undo()
    await store.stored()
    expect((await stored()).weld.log.map(entry => entry.id)).toEqual(['theirs'])
  })
  it('undoes nothing that the other has written since over its own', async () => {
    store.edit(['takeIn', 'damage'], 'mine')
    store.edit(['title'], 'Mine')
    await store.stored()
    await writeChanges('a', [{ path: ['takeIn', 'damage'], value: 'theirs', before: 'mine' }], new Date().toISOString())
    await settled()
    store.undo()
    store.undo()
    await store.stored()
    expect(await stored()).toMatchObject({ title: 'A part', takeIn: { damage: 'theirs' } })
    expect(store.canUndo).toBe(false)
  })
  it('says what was not stored because the other had changed it later, and stores nothing older over it', async () => {
    const full = vi.spyOn(db, 'transaction').mockRejectedValueOnce(new Error('no room'))
    store.edit(['takeIn', 'wallMm'], reading('77 mm', 77))
    await store.stored()
    full.mockRestore()
    const later = new Date(Date.now() + 1000).toISOString()
    await writeChanges('a', [{ path: ['takeIn', 'wallMm'], value: reading('99 mm', 99), stamp: later }], later)
    await store.tryAgain()
    expect((await stored()).takeIn.wallMm.value).toBe(99)
    expect(store.job!.takeIn.wallMm.value).toBe(99)
    expect(store.overruled).toMatchObject([{ path: ['takeIn', 'wallMm'], mine: { value: 77 }, stands: { value: 99 } }])
    store.overruledHeard()
    expect(store.overruled).toEqual([])
  })
  it('keeps what is typed into a job that was taken off there, for when it is put back there', async () => {
    const taken = await removeJob('a')
    await settled()
    store.edit(['takeIn', 'damage'], 'typed meanwhile')
    await store.stored()
    expect(store.unstored).toEqual(new Set(['takeIn.damage']))
    expect(Object.values(kept).join()).toContain('typed meanwhile')
    await putBack(taken)
    await settled()
    expect((await stored()).takeIn.damage).toBe('typed meanwhile')
    expect(store.unstored.size).toBe(0)
  })
  it('keeps every extra of two tabs that add in the same instant, forty times', async () => {
    const extra = (id: string) => ({ id, name: id, price: 1 })
    for (let n = 0; n < 20; n++) {
      const before = (await stored()).handOver.other
      const there = writeChanges(
        'a',
        [{ path: ['handOver', 'other'], value: [...before, extra(`there${n}`)], before }],
        new Date().toISOString(),
      )
      store.edit(['handOver', 'other'], [...store.job!.handOver.other, extra(`here${n}`)])
      await Promise.all([there, store.stored()])
      await settled()
    }
    expect((await stored()).handOver.other).toHaveLength(40)
    expect(store.job!.handOver.other).toHaveLength(40)
  })
  it('leaves a job alone that the other has taken off the shelf, says so at once, and puts it back as it stands here', async () => {
    await removeJob('a')
    await settled()
    expect(store.gone).toBe(true)
    store.edit(['title'], 'Still wanted')
    await store.stored()
    expect(await db.jobs.count()).toBe(0)
    await store.putBack()
    await settled()
    expect(store.gone).toBe(false)
    expect(await stored()).toMatchObject({ title: 'Still wanted' })
    expect(await db.gone.count()).toBe(0)
    store.edit(['title'], 'And on')
    await store.stored()
    expect((await stored()).title).toBe('And on')
  })
  it('shows a job that was not there when it was opened, as soon as it comes', async () => {
    await store.open('late')
    expect(store.missing).toBe(true)
    await addJob(newJob('late', 'Late', '', '2026-11-12T09:00:00.000Z'))
    await settled()
    expect(store).toMatchObject({ missing: false, job: { title: 'Late' } })
  })
})

describe('what goes wrong', () => {
  it('says that the disk is full, keeps what was typed on the screen, and stores again when there is room', async () => {
    const full = vi
      .spyOn(db, 'transaction')
      .mockRejectedValueOnce(Object.assign(new Error('Quota exceeded'), { name: 'QuotaExceededError' }))
    store.edit(['title'], 'Too much')
    await store.stored()
    expect(store.saveError).toMatch(/no room left; take the shop out/)
    expect(store.job!.title).toBe('Too much')
    expect((await stored()).title).toBe('A part')
    full.mockRestore()
    expect([...store.unstored]).toEqual(['title'])
    store.edit(['takeIn', 'damage'], 'more')
    await store.stored()
    expect(store.saveError).toBeNull()
    expect(store.unstored.size).toBe(0)
    // What found no room at first is stored with the rest, not taken back.
    expect(await stored()).toMatchObject({ title: 'Too much', takeIn: { damage: 'more' } })
    expect(store.job).toMatchObject({ title: 'Too much', takeIn: { damage: 'more' } })
  })
  it('takes nothing that a file could not bring back, says why, and leaves what was there', async () => {
    expect(store.edit(['handOver', 'other'], [{ id: 'x', name: 'gold', price: 10_000_001 }])).toMatch(/10000000/)
    expect(store.edit(['takeIn', 'newWeeks'], 600)).toMatch(/520/)
    expect(
      store.edit(
        ['handOver', 'other'],
        Array.from({ length: 61 }, (_, n) => ({ id: `x${n}`, name: 'x', price: 1 })),
      ),
    ).not.toBeNull()
    expect(store.edit(['handOver', 'other'], [{ id: 'x', name: 'endless', price: Infinity }])).not.toBeNull()
    expect(store.edit(['title'], '\u200b\u202e ')).not.toBeNull()
    expect(store.refused).toMatchObject({ path: 'title' })
    expect(store.job).toMatchObject({ title: 'A part', takeIn: { newWeeks: null }, handOver: { other: [] } })
    expect(store.edit(['title'], 'Good')).toBeNull()
    expect(store.refused).toBeNull()
  })
  it('left in the middle of storing, has all of it at the next start, once', async () => {
    const full = vi.spyOn(db, 'transaction').mockRejectedValue(new Error('the page is going'))
    for (const typed of ['b', 'br', 'bra', 'brac', 'brack']) store.edit(['title'], typed)
    store.edit(
      ['weld', 'log'],
      [{ id: 'one', at: '2026-11-12T09:00:00.000Z', pass: 1, saw: 'pinhole', note: '', settings: '' }],
    )
    await store.stored()
    full.mockRestore()
    expect((await stored()).title).toBe('A part')
    // Another tab, opened later, finds the journal of the one that went.
    const left = Object.entries(kept).filter(([key]) => key.startsWith('ws-journal:'))
    expect(left).toHaveLength(1)
    kept = { 'ws-journal:gone': left[0]![1] }
    await replayJournals()
    expect(await stored()).toMatchObject({ title: 'brack', weld: { log: [{ id: 'one' }] } })
    expect(kept).toEqual({})
    // A later change is not undone by a journal that turns up again.
    await writeChanges('a', [{ path: ['title'], value: 'Later' }], new Date().toISOString())
    kept = { 'ws-journal:gone': left[0]![1] }
    await replayJournals()
    expect(await stored()).toMatchObject({ title: 'Later', weld: { log: [{ id: 'one' }] } })
  })
  it('left with changes to a job that was taken off, keeps them until it is put back, and forgets those of no job', async () => {
    const taken = await removeJob('a')
    await settled()
    store.edit(['takeIn', 'damage'], 'typed meanwhile')
    await store.stored()
    const left = Object.entries(kept).find(([key]) => key.startsWith('ws-journal:'))![1]
    kept = { 'ws-journal:gone': left, 'ws-journal:nobody': left.replaceAll('"a"', '"never-there"') }
    await replayJournals()
    expect(Object.keys(kept)).toEqual(['ws-journal:gone'])
    store.close()
    await putBack(taken)
    await replayJournals()
    expect((await stored()).takeIn.damage).toBe('typed meanwhile')
    expect(kept).toEqual({})
  })
  it('says that a job is damaged, with its words, and opens none', async () => {
    await db.jobs.put({ id: 'odd', title: 'Bent', pictures: 'none' } as unknown as Job)
    await store.open('odd')
    expect(store).toMatchObject({
      job: null,
      missing: false,
      damaged: { title: 'Bent', text: expect.stringContaining('none') },
    })
  })
  it('says that a job is missing, until another is opened', async () => {
    await store.open('nowhere')
    expect(store).toMatchObject({ missing: true, job: null })
    const opened = store.open('a')
    expect(store.missing).toBe(false)
    await opened
    expect(store.job?.id).toBe('a')
  })
  it('opens the job that was asked for last, however late an earlier one comes, and none once it is left', async () => {
    await db.jobs.add(newJob('slow', 'Slow', '', '2026-11-12T09:00:00.000Z'))
    const slow = await db.jobs.get('slow')
    let arrives = () => {}
    const get = vi.spyOn(db.jobs, 'get').mockImplementationOnce(
      () =>
        new Promise(resolve => {
          arrives = () => resolve(slow)
        }) as ReturnType<typeof db.jobs.get>,
    )
    const overtaken = store.open('slow')
    get.mockRestore()
    await store.open('a')
    arrives()
    await overtaken
    expect(store.job?.id).toBe('a')
    const left = store.open('slow')
    store.close('slow')
    await left
    expect(store.job).toBeNull()
    // The next page asks for its job before the one before is gone.
    await store.open('a')
    const next = store.open('slow')
    store.close('a')
    await next
    expect(store.job?.id).toBe('slow')
  })
})

describe('the plan', () => {
  it('is that of the newest change, however late the answer to an older one comes', async () => {
    store.edit(['takeIn', 'heightMm'], reading('50 mm', 50))
    await settled()
    store.edit(['takeIn', 'heightMm'], reading('60 mm', 60))
    await settled()
    const [older, newer] = asked.slice(-2)
    newer!.answer()
    await settled()
    older!.answer()
    await settled()
    expect(newer!.job.takeIn.heightMm.value).toBe(60)
    expect(store.plan).toEqual(planJob(newer!.job, newer!.kit))
  })
  it('that cannot be worked out is said, and the next that can takes its place', async () => {
    store.edit(['title'], 'B')
    await settled()
    asked.at(-1)!.fail(new Error('the worker gave up'))
    await settled()
    expect(store.planError).toBe('the worker gave up')
    store.edit(['title'], 'C')
    await settled()
    asked.at(-1)!.answer()
    await settled()
    expect(store.planError).toBeNull()
  })
  it('settled, remembers what the call rests on; opened again, forgets it', async () => {
    store.edit(['takeIn', 'wallMm'], reading('8 mm', 8))
    await settled()
    answerAll()
    await store.settle('take-in')
    expect(store.job!.settled['take-in']!.basis).toMatchObject({ 'takeIn.wallMm': 8 })
    store.unsettle('take-in')
    expect(store.job!.settled['take-in']).toBeUndefined()
  })
  it('settled right after a reading is typed, rests on the plan that knows of it', async () => {
    store.edit(['takeIn', 'wallMm'], reading('9 mm', 9))
    await settled()
    const pressed = store.settle('take-in')
    await settled()
    expect(store.job!.settled['take-in']).toBeUndefined()
    answerAll()
    await pressed
    expect(store.job!.settled['take-in']!.basis).toMatchObject({ 'takeIn.wallMm': 9 })
  })
  it('of a job that was left stands on no other', async () => {
    store.edit(['title'], 'Left')
    await settled()
    const late = asked.at(-1)!
    store.close()
    await settled()
    late.answer()
    await settled()
    expect(store.plan).toBeNull()
  })
  it('holds a stop caution acknowledged once by name, the last name counting', () => {
    store.acknowledge('chlorinated-solvent', '  A ')
    store.acknowledge('chlorinated-solvent', 'B')
    expect(store.job!.acknowledged.map(entry => entry.name)).toEqual(['B'])
  })
})

describe('what a longer piece of work comes to', () => {
  const name = (of: (title: string) => string) => store.bring('a', ['title'], job => of(job.title))
  it('is an edit like any other on the bench', async () => {
    expect(await name(title => `${title} mended`)).toBeNull()
    const after = store.job!.title
    expect(after).toMatch(/ mended$/)
    store.undo()
    expect(`${store.job!.title} mended`).toBe(after)
  })
  it('is stored with its job where that was left, beside what was typed there last', async () => {
    store.edit(['customer'], 'The hall')
    store.edit(['title'], 'Lamp arm')
    store.close()
    expect(await name(title => `${title}, left`)).toBeNull()
    await store.stored()
    expect(await stored()).toMatchObject({ title: 'Lamp arm, left', customer: 'The hall' })
    expect(Object.keys((await stored()).stamps)).toContain('title')
  })
  it('that is no good for its place, or whose job is gone, changes nothing and says why', async () => {
    const before = (await stored()).title
    store.close()
    expect(await name(() => 'x'.repeat(5000))).not.toBeNull()
    await store.stored()
    expect((await stored()).title).toBe(before)
    expect(await store.bring('gone', ['title'], () => 'x')).toContain('no longer on this shelf')
  })
})
