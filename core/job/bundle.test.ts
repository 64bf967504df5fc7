import { zipSync, strToU8 } from 'fflate'
import { describe, expect, it } from 'vitest'
import { looksZipped, packBundle, readBundle } from './bundle'
import { jobToText } from './files'
import { newJob } from './new-job'

const JOB = newJob('one', 'Cracked cover', '', '2026-11-26T08:00:00Z')
const FILE = { id: 'p1', jobId: 'one', kind: 'picture' as const, name: 'crack.jpg', type: 'image/jpeg', bytes: Uint8Array.from({ length: 5000 }, (_, n) => n * 37 % 256) }
const reason = (bytes: Uint8Array) => { const read = readBundle(bytes); return read.ok ? '' : `${read.issues[0]!.path} ${read.issues[0]!.message}`.trim() }

describe('jobs and their pictures in one zip', () => {
  it('come back byte for byte', () => {
    const zipped = packBundle(jobToText(JOB), [FILE])
    expect(looksZipped(zipped)).toBe(true)
    expect(readBundle(zipped)).toEqual({ ok: true, jobs: [JOB], kit: null, files: [FILE] })
  })
  it('are refused whole when anything is wrong, and say what', () => {
    const whole = packBundle(jobToText(JOB), [FILE])
    expect(reason(whole.subarray(0, whole.length - 60))).toBe('the zip is broken or cut short')
    expect(reason(zipSync({ 'notes.txt': strToU8('hello') }))).toContain('no jobs.json')
    expect(reason(zipSync({ 'jobs.json': strToU8('{"kind":') }))).toContain('not JSON')
    expect(reason(packBundle(jobToText(JOB), [{ ...FILE, jobId: 'other' }]))).toContain('belongs to a job that is not in the zip')
    expect(reason(zipSync({ 'jobs.json': strToU8(jobToText(JOB)), 'files.json': strToU8(JSON.stringify([{ ...FILE, bytes: undefined }])) }))).toContain('crack.jpg is listed but not in the zip')
    expect(reason(zipSync({ 'jobs.json': strToU8(jobToText(JOB)), 'files.json': strToU8(JSON.stringify([{ ...FILE, bytes: undefined, id: '../../etc' }])) }))).toMatch(/^files.json: 0.id/)
    expect(reason(zipSync({ 'jobs.json': strToU8(jobToText(JOB)), 'files.json': strToU8(JSON.stringify([{ ...FILE, bytes: undefined, type: 'text/html' }])) }))).toMatch(/^files.json: 0.type/)
  })
})
