import 'fake-indexeddb/auto'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { db } from '~/db/database'
import { jobOnTheBench, settled } from '~/at-the-bench.fixture'
import { useClocks } from '~/stores/clocks'
import { useDoing } from './use-doing'

vi.mock('~/composables/core-worker', () => ({ planned: () => new Promise(() => undefined) }))

type Task = Parameters<ReturnType<typeof useDoing>['done']>[0]
const task = (phase: string, minutes: number, unattended = false) =>
  ({ id: `a:${phase}`, jobId: 'a', name: phase, title: 'A part', minutes, unattended }) as Task
const noted = async () => (await db.jobs.get('a'))!.handOver.actualMin

let doing: ReturnType<typeof useDoing>
let clocks: ReturnType<typeof useClocks>
beforeEach(async () => {
  const job = await jobOnTheBench()
  job.close()
  clocks = useClocks()
  doing = useDoing()
})

/** A clock that was started so long ago. */
async function ranFor(minutes: number) {
  await settled()
  await db.clocks.toCollection().modify(clock => {
    clock.startedAt -= minutes * 60_000
  })
  await settled()
}

describe('a task of the day', () => {
  it('is begun, left half way, taken up again and done: all of its minutes go to the job, and are taken back', async () => {
    await doing.start(task('weld', 60))
    await ranFor(20)
    await doing.stop(task('weld', 60))
    expect(doing.noted.value?.words).toContain('left after 20 min')
    await doing.start(task('weld', 60))
    expect(clocks.running[0]!.leftS).toBeLessThanOrEqual(40 * 60)
    await ranFor(15)
    await doing.done(task('weld', 60), undefined)
    expect(await noted()).toEqual({ weld: 35 })
    await doing.noted.value!.undo()
    expect(await noted()).toEqual({})
  })
  it('is begun, left and done once, though pressed twice', async () => {
    await Promise.all([doing.start(task('weld', 60)), doing.start(task('weld', 60))])
    await doing.start(task('weld', 60))
    expect(clocks.running).toHaveLength(1)
    await ranFor(20)
    await Promise.all([doing.stop(task('weld', 60)), doing.stop(task('weld', 60))])
    await doing.stop(task('weld', 60))
    expect(clocks.running).toHaveLength(0)
    await doing.start(task('weld', 60))
    await ranFor(5)
    await Promise.all([doing.done(task('weld', 60), undefined), doing.done(task('weld', 60), undefined)])
    await doing.done(task('weld', 60), undefined)
    expect(await noted()).toEqual({ weld: 25 })
  })
  it('leaves the minutes of others alone, done together with it or taken back after it', async () => {
    await Promise.all([doing.done(task('open', 30), undefined), doing.done(task('weld', 60), undefined)])
    expect(await noted()).toEqual({ open: 30, weld: 60 })
    const { undo } = doing.noted.value!
    await doing.done(task('prove', 10), undefined)
    await undo()
    expect(Object.keys(await noted())).toHaveLength(2)
    expect(await noted()).toMatchObject({ prove: 10 })
  })
  it('starts the clock of what runs by itself after it', async () => {
    await doing.done(task('weld', 60), task('cool', 90, true))
    await settled()
    expect(clocks.running).toMatchObject([{ name: 'cool', jobId: 'a' }])
    expect(clocks.running[0]!.task).toBeUndefined()
  })
})
