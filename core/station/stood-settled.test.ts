import { readFileSync } from 'node:fs'
import { expect, it, describe } from 'vitest'
import { readFile } from '../job/files'
import type { Job } from '../job/job.schema'
import { applyPatch } from '../job/patch'
import { STATION_IDS } from '../job/stations.table'
import { planJob } from './plan-job'

const shop = (version: number) => {
  const read = readFile(readFileSync(new URL(`../job/fixtures/shop-version-${version}.json`, import.meta.url), 'utf8'))
  if (!read.ok) throw new Error(JSON.stringify(read.issues))
  return { jobs: read.jobs, plan: (job: Job) => planJob(job, read.kit!) }
}
const OF_MENDS = ['open', 'weld', 'rebuild'] as const

describe('a job of version 3', () => {
  const { jobs, plan } = shop(3)
  const [bracket, , plain, cover] = jobs as [Job, Job, Job, Job]
  it('stands settled where it stood settled, and a later change of its thread is stale there', () => {
    for (const job of [bracket, plain, cover])
      for (const id of OF_MENDS) expect(plan(job)[id].changed, `${job.id} ${id}`).toEqual([])
    // A bend that is a mend is looked at with dye: one check more, and it says so.
    expect(
      plan(bracket)
        .prove.changed.map(change => change.what)
        .toSorted(),
    ).toEqual(['cautions', 'the call'])
    const bolted = { ...bracket, mends: bracket.mends.filter(({ kind }) => kind !== 'bent') }
    expect(plan(bolted).prove.changed).toEqual([])
    const other = applyPatch(bracket, { path: ['mends', '#rebuilt-thread', 'readings', 'thread'], value: 'M10' })
    expect(plan(other).rebuild.changed).toContainEqual({ what: 'thread: Thread', before: 'M8', after: 'M10' })
  })
})

describe('a job of version 4', () => {
  const { jobs, plan } = shop(4)
  const [cover, bracket, hanger, shutter, , ring, handed] = jobs as [Job, Job, Job, Job, Job, Job, Job]
  it('stands settled where it stood settled, whatever its crack is now reckoned to take', () => {
    for (const job of [bracket, hanger, shutter, handed])
      for (const id of STATION_IDS) expect(plan(job)[id].changed, `${job.id} ${id}`).toEqual([])
    // What stood stale already stays so.
    expect(plan(cover).warm.changed).toContainEqual({ what: 'wall', before: '1/4 in', after: '0.315 in' })
    expect(plan(ring).open.changed).toContainEqual({ what: 'wall', before: '6 mm', after: '8 mm' })
  })
  it('marks only what rebuilding rests on where a reading of rebuilding alone changes', () => {
    const byHand = applyPatch(bracket, { path: ['mends', '#opening', 'readings', 'machined'], value: false })
    const settled = {
      ...byHand,
      settled: { ...byHand.settled, rebuild: { at: bracket.updatedAt, basis: plan(bracket).rebuild.basis } },
    }
    expect(plan(settled).open.changed).toEqual([])
    expect(plan(settled).rebuild.changed).toContainEqual({
      what: 'crack: Machined afterwards',
      before: 'yes',
      after: 'no',
    })
    // A face that is built up higher is more metal to lay: that is stale where it is laid.
    const high = applyPatch(bracket, {
      path: ['mends', '#opening', 'readings', 'proudMm'],
      value: { typed: '4 mm', value: 4 },
    })
    const laid = {
      ...high,
      settled: { ...high.settled, open: { at: bracket.updatedAt, basis: plan(bracket).open.basis } },
    }
    expect(plan(laid).open.changed.map(({ what }) => what)).toContain('what they take')
  })
  it('knows the length its crack had when it was settled, and a later change of it is stale there', () => {
    const longer = applyPatch(bracket, {
      path: ['mends', '#opening', 'readings', 'lengthMm'],
      value: { typed: '50 mm', value: 50 },
    })
    const crack = { what: 'crack: Crack you can see', before: '42 mm', after: '50 mm' }
    expect(plan(longer).open.changed).toContainEqual(crack)
    const file = JSON.parse(readFileSync(new URL('../job/fixtures/shop-version-4.json', import.meta.url), 'utf8')) as {
      jobs: { open: { crackMm: unknown } }[]
    }
    file.jobs[1]!.open.crackMm = { typed: '50 mm', value: 50 }
    const read = readFile(JSON.stringify(file))
    if (!read.ok) throw new Error(JSON.stringify(read.issues))
    expect(plan(read.jobs[1]!).open.changed).toContainEqual(crack)
  })
})

describe('a job of version 5', () => {
  const { jobs, plan } = shop(5)
  const [cover, bracket, hanger, shutter] = jobs as [Job, Job, Job, Job]
  it('stands settled where it stood settled; a plate that joins its mends is seen where they are opened', () => {
    for (const job of [hanger, shutter])
      for (const id of STATION_IDS) expect(plan(job)[id].changed, `${job.id} ${id}`).toEqual([])
    // What stood stale already stays so, and nothing else of it does.
    expect(STATION_IDS.filter(id => plan(cover)[id].changed.length)).toEqual(['warm'])
    expect(plan(bracket).open.changed.length).toBeGreaterThan(0)
    const long = { path: ['mends', '#arm-plate', 'readings', 'longMm'], value: { typed: '80 mm', value: 80 } }
    expect(plan(bracket).mends.rows.at(-1)!.wants).toEqual(['plate long'])
    expect(plan(applyPatch(bracket, long)).mends.rows.at(-1)!.planned!.price).toBeGreaterThan(0)
  })
})
