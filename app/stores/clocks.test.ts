import 'fake-indexeddb/auto'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { db } from '~/db/database'
import { replayClocks } from '~/db/journal'
import { jobOnTheBench, settled, smallStore } from '~/at-the-bench.fixture'
import { useClocks } from './clocks'

vi.mock('~/composables/core-worker', () => ({ planned: () => new Promise(() => undefined) }))

let clocks: ReturnType<typeof useClocks>
beforeEach(async () => {
  const job = await jobOnTheBench()
  job.close()
  clocks = useClocks()
})
afterEach(() => vi.useRealTimers())

describe('named clocks', () => {
  it('run side by side, the next to ring first, each with its job', async () => {
    await clocks.start('Bake', 3600, 'a')
    await clocks.start(' Post-flow ', 12, 'a')
    await clocks.start('', 60, null)
    await settled()
    expect(clocks.running.map(({ name, jobId }) => [name, jobId])).toEqual([
      ['Post-flow', 'a'],
      ['Clock', null],
      ['Bake', 'a'],
    ])
    expect(clocks.running[0]!.leftS).toBeGreaterThan(10)
    expect(clocks.running[0]!.leftS).toBeLessThanOrEqual(12)
  })
  it('run on this page where they find no room, say so, and are stored once there is some', async () => {
    const put = vi
      .spyOn(db.clocks, 'put')
      .mockRejectedValue(Object.assign(new Error('no room'), { name: 'QuotaExceededError' }))
    await clocks.start('Bake', 3600, 'a')
    expect(clocks.running.map(clock => clock.name)).toEqual(['Bake'])
    expect(clocks.saveError).toMatch(/no room left/)
    put.mockRestore()
    await clocks.tryAgain()
    await settled()
    expect(clocks.saveError).toBeNull()
    expect(await db.clocks.count()).toBe(1)
    expect(clocks.running).toHaveLength(1)
  })
  it('live through a page that is left before they are stored, and are not started again once stopped', async () => {
    const kept = smallStore()
    const put = vi.spyOn(db.clocks, 'put').mockReturnValue(new Promise(() => undefined) as never)
    void clocks.start('Bake', 3600, 'a')
    const [left] = [...kept.values()]
    put.mockRestore()
    expect(JSON.parse(left!)).toMatchObject([{ name: 'Bake', jobId: 'a' }])
    // The same clock, as the tab opened next finds it, beside one that is no clock at all.
    kept.set('ws-journal-clocks:gone', left!)
    kept.set('ws-journal-clocks:odd', '[{"id":4},null]')
    kept.set('ws-journal-clocks:broken', '[{')
    await replayClocks()
    expect(await db.clocks.toArray()).toMatchObject([{ name: 'Bake' }])
    expect([...kept.keys()]).toHaveLength(1)
    await clocks.stop((await db.clocks.toArray())[0]!.id)
    expect(kept.size).toBe(0)
    await replayClocks()
    expect(await db.clocks.count()).toBe(0)
  })
  it('keep their ends in the database: a reload, or a day with the bench shut, changes nothing', async () => {
    await clocks.start('Soak', 600, 'a')
    const [stored] = await db.clocks.toArray()
    expect(stored!.endsAt - stored!.startedAt).toBe(600_000)
    await db.clocks.update(stored!.id, { endsAt: Date.now() - 86_400_000 })
    await settled()
    expect(clocks.running[0]!.leftS).toBeLessThan(-86_000)
  })
  it('are hushed in every tab, and stopped', async () => {
    await clocks.start('Cool', 0, null)
    await settled()
    const { id } = clocks.running[0]!
    await clocks.hush(id)
    await settled()
    expect(clocks.running[0]!.hushed).toBe(true)
    await clocks.stop(id)
    await settled()
    expect(clocks.running).toEqual([])
  })
})
