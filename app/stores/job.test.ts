import 'fake-indexeddb/auto'
import fc from 'fast-check'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { Job, Kit } from '#core/job/job.schema'
import { valueAt } from '#core/job/patch'
import { planJob } from '#core/plan/plan-job'
import { db } from '~/db/database'
import { writePatches } from '~/db/shelf'
import { jobOnTheBench, settled } from '~/at-the-bench.fixture'

/** The plan is worked out here as the worker would, when `answer` is called: so a late answer can be made to come late. */
const asked: { job: Job, kit: Kit, answer: () => void, fail: (error: Error) => void }[] = []
vi.mock('~/composables/core-worker', () => ({
  coreWorker: () => ({ plan: (job: Job, kit: Kit) => new Promise((resolve, reject) => { asked.push({ job, kit, answer: () => resolve(planJob(job, kit)), fail: reject }) }) }),
}))

const reading = (typed: string, value: number | null) => ({ typed, value })
const stored = () => db.jobs.get('a') as Promise<Job>

const opened = () => {
  asked.length = 0
  return jobOnTheBench()
}
let store: Awaited<ReturnType<typeof opened>>
beforeEach(async () => { store = await opened() })
afterEach(() => store.close())

describe('the job on the bench', () => {
  it('stores each change at once, with the time it was made', async () => {
    store.edit(['open', 'crackMm'], reading('88 mm', 88))
    expect(store.saving).toBe(true)
    await store.stored()
    expect(store.saving).toBe(false)
    expect(await stored()).toMatchObject({ open: { crackMm: { value: 88 } }, stamps: { 'open.crackMm': expect.any(String) } })
  })
  it('takes typing in one field as one step, and another field as the next', async () => {
    for (const typed of ['8', '88', '88 m', '88 mm']) store.edit(['open', 'crackMm'], reading(typed, null))
    store.edit(['title'], 'Renamed')
    store.undo()
    expect(store.job!.title).toBe('A part')
    store.undo()
    expect(store.job!.open.crackMm.typed).toBe('')
    expect(store.canUndo).toBe(false)
    store.redo()
    expect(store.job!.open.crackMm.typed).toBe('88 mm')
    await store.stored()
    expect((await stored()).open.crackMm.typed).toBe('88 mm')
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
      fc.record({ do: fc.constant('edit' as const), path: fc.constantFrom(['title'], ['takeIn', 'damage'], ['weld', 'passesDone'], ['open', 'wallMm']), value: fc.constantFrom('x', 'y', 'z') }),
      fc.constant({ do: 'undo' as const }), fc.constant({ do: 'redo' as const }),
    )
    await fc.assert(fc.asyncProperty(fc.array(step, { maxLength: 25 }), async (steps) => {
      store.close()
      store = await opened()
      const before = JSON.stringify({ ...store.job!, updatedAt: '', stamps: {} })
      for (const one of steps) {
        if (one.do === 'edit') store.edit(one.path, one.value)
        else if (one.do === 'undo') store.undo()
        else store.redo()
      }
      await store.stored()
      for (const path of [['title'], ['takeIn', 'damage'], ['weld', 'passesDone'], ['open', 'wallMm']]) expect(valueAt(await stored(), path)).toEqual(valueAt(store.job, path))
      while (store.canUndo) store.undo()
      await store.stored()
      expect(JSON.stringify({ ...await stored(), updatedAt: '', stamps: {} })).toBe(before)
    }), { numRuns: 30, seed: 6 })
  })
})

describe('two tabs on one job', () => {
  it('sees what the other has written', async () => {
    await writePatches('a', [{ path: ['takeIn', 'damage'], value: 'seen over there' }], new Date().toISOString())
    await settled()
    expect(store.job!.takeIn.damage).toBe('seen over there')
  })
  it('sees it too where both write at the same moment, so that the next change here starts from both', async () => {
    store.edit(['title'], 'Here')
    await writePatches('a', [{ path: ['weld', 'passesDone'], value: [1] }], new Date().toISOString())
    store.edit(['takeIn', 'damage'], 'here too')
    await store.stored()
    await settled()
    expect(store.job!.weld.passesDone).toEqual([1])
    store.edit(['weld', 'passesDone'], [...store.job!.weld.passesDone, 2])
    await store.stored()
    expect(await stored()).toMatchObject({ title: 'Here', takeIn: { damage: 'here too' }, weld: { passesDone: [1, 2] } })
  })
  it('loses neither\'s entry where both put one into the same list at the same moment, and shows both', async () => {
    await writePatches('a', [{ path: ['weld', 'passesDone'], value: [1] }], new Date().toISOString())
    await settled()
    const there = writePatches('a', [{ path: ['weld', 'passesDone'], value: [1, 2], before: [1] }], new Date().toISOString())
    store.edit(['weld', 'passesDone'], [1, 3])
    await there
    await store.stored()
    await settled()
    expect([...(await stored()).weld.passesDone].toSorted()).toEqual([1, 2, 3])
    expect([...store.job!.weld.passesDone].toSorted()).toEqual([1, 2, 3])
  })
  it('leaves a job alone that the other has taken off the shelf', async () => {
    await db.jobs.delete('a')
    store.edit(['title'], 'Gone')
    await store.stored()
    expect(await db.jobs.count()).toBe(0)
  })
})

describe('what goes wrong', () => {
  it('says that the disk is full, keeps what was typed on the screen, and stores again when there is room', async () => {
    const full = vi.spyOn(db, 'transaction').mockRejectedValueOnce(Object.assign(new Error('Quota exceeded'), { name: 'QuotaExceededError' }))
    store.edit(['title'], 'Too much')
    await store.stored()
    expect(store.saveError).toMatch(/no room left; take the shop out/)
    expect(store.job!.title).toBe('Too much')
    expect((await stored()).title).toBe('A part')
    full.mockRestore()
    store.edit(['takeIn', 'damage'], 'more')
    await store.stored()
    expect(store.saveError).toBeNull()
  })
  it('says that a job is missing', async () => {
    await store.open('nowhere')
    expect(store).toMatchObject({ missing: true, job: null })
  })
})

describe('the plan', () => {
  it('is that of the newest change, however late the answer to an older one comes', async () => {
    store.edit(['open', 'crackMm'], reading('50 mm', 50))
    await settled()
    store.edit(['open', 'crackMm'], reading('60 mm', 60))
    await settled()
    const [older, newer] = asked.slice(-2)
    newer!.answer()
    await settled()
    older!.answer()
    await settled()
    expect(newer!.job.open.crackMm.value).toBe(60)
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
    asked.at(-1)!.answer()
    await settled()
    store.settle('take-in')
    expect(store.job!.settled['take-in']!.basis).toMatchObject({ wall: '8 mm' })
    store.unsettle('take-in')
    expect(store.job!.settled['take-in']).toBeUndefined()
  })
  it('holds a stop caution acknowledged once by name, the last name counting', () => {
    store.acknowledge('chlorinated-solvent', '  A ')
    store.acknowledge('chlorinated-solvent', 'B')
    expect(store.job!.acknowledged.map(entry => entry.name)).toEqual(['B'])
  })
})
