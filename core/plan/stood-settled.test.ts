import { readFileSync } from 'node:fs'
import { expect, it, describe } from 'vitest'
import { readFile } from '../job/files'
import type { Job } from '../job/job.schema'
import { applyPatch } from '../job/patch'
import { planJob } from './plan-job'

describe('a job of version 3', () => {
  const read = readFile(readFileSync(new URL('../job/fixtures/shop-version-3.json', import.meta.url), 'utf8'))
  if (!read.ok) throw new Error(JSON.stringify(read.issues))
  const [bracket, , plain, cover] = read.jobs as [Job, Job, Job, Job]
  it('stands settled where it stood settled, and a later change of its thread is stale there', () => {
    const plan = (job: Job) => planJob(job, read.kit!)
    for (const job of [bracket, plain, cover])
      for (const id of ['open', 'weld', 'rebuild'] as const)
        expect(plan(job)[id].changed, `${job.id} ${id}`).toEqual([])
    // A bend that is a mend is looked at with dye: one check more, and it says so.
    expect(
      plan(bracket)
        .prove.changed.map(change => change.what)
        .toSorted(),
    ).toEqual(['cautions', 'the call'])
    const bolted = { ...bracket, mends: bracket.mends.slice(0, 1) }
    expect(plan(bolted).prove.changed).toEqual([])
    const other = applyPatch(bracket, { path: ['mends', '#rebuilt-thread', 'readings', 'thread'], value: 'M10' })
    expect(plan(other).rebuild.changed).toContainEqual({ what: 'thread: Thread', before: 'M8', after: 'M10' })
  })
})
