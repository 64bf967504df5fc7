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
    expect(plan(bracket).prove.changed).toEqual([])
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
    expect(plan(cover).warm.changed).toContainEqual({ what: 'Wall at the damage', before: '6.3 mm', after: '8.0 mm' })
    expect(plan(ring).open.changed).toContainEqual({ what: 'Wall at the damage', before: '6.0 mm', after: '8.0 mm' })
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
    expect(plan(laid).open.changed.map(({ what }) => what)).toContain('what the mends come to')
  })
  it('knows the length its crack had when it was settled, and a later change of it is stale there', () => {
    const longer = applyPatch(bracket, {
      path: ['mends', '#opening', 'readings', 'lengthMm'],
      value: { typed: '50 mm', value: 50 },
    })
    const crack = { what: 'crack: Crack you can see', before: '42.0 mm', after: '50.0 mm' }
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
    const long = { path: ['mends', '#arm-plate', 'readings', 'longMm'], value: { typed: '80 mm', value: 80 } }
    expect(plan(bracket).mends.rows.at(-1)!.wants).toEqual(['plate long'])
    expect(plan(applyPatch(bracket, long)).mends.rows.at(-1)!.planned!.price).toBeGreaterThan(0)
  })
})

describe('a job of version 6', () => {
  const { jobs, plan } = shop(6)
  it('stands settled where it stood settled, however its plan is reckoned now; what stood stale stays so', () => {
    for (const job of jobs.filter(({ id }) => id !== 'gearbox-cover'))
      for (const id of STATION_IDS) expect(plan(job)[id].changed, `${job.id} ${id}`).toEqual([])
    const cover = jobs.find(({ id }) => id === 'gearbox-cover')!
    expect(STATION_IDS.filter(id => plan(cover)[id].changed.length)).toEqual(['warm'])
  })
  it('keeps every mend as it was, and says of one on a part with a seat that it lies on it', () => {
    const cover = jobs.find(({ id }) => id === 'gearbox-cover')!
    expect(cover.mends.map(({ id }) => id)).toEqual(['flange', 'drain', 'gasket'])
    expect(cover.mends.map(({ readings }) => readings.on ?? null)).toEqual([null, null, null])
    const rim = jobs.flatMap(({ mends }) => mends).find(({ readings }) => readings.on)
    if (rim) expect(rim.readings.machined).not.toBe(true)
  })
})

describe('what a settled station rests on', () => {
  const { jobs, plan } = shop(6)
  const settledOn = (job: Job): Job => {
    const now = plan(job)
    return {
      ...job,
      settled: Object.fromEntries(STATION_IDS.map(id => [id, { at: job.updatedAt, basis: now[id].basis }])),
    }
  }
  // The last one knows that the others stand.
  const settledAll = (job: Job): Job => settledOn(settledOn(job))
  it('is the same in another unit, and whatever its mends are called', () => {
    for (const job of jobs.map(settledAll)) {
      const wall = job.takeIn.wallMm.value
      const other: Job = {
        ...job,
        takeIn: { ...job.takeIn, wallMm: { typed: `${(wall ?? 0) / 10} cm`, value: wall } },
        mends: job.mends.map((mend, n) => ({ ...mend, name: `Somewhere else ${n}` })),
      }
      for (const id of STATION_IDS) expect(plan(other)[id].changed, `${job.id} ${id}`).toEqual([])
    }
  })
  it('holds no sentence and no name', () => {
    for (const job of jobs)
      for (const [id, { basis }] of Object.entries(settledAll(job).settled))
        for (const [path, value] of Object.entries(basis))
          // What a person wrote is a reading like any other.
          if (typeof value === 'string' && path !== 'takeIn.causeCure') {
            expect(value, `${job.id} ${id} ${path}`).not.toMatch(/[a-z]{3}\. |, [a-z]+ [a-z]+ /)
            for (const { name } of job.mends) if (name.length > 4) expect(value).not.toContain(name)
          }
  })
})
