import { zipSync, strToU8 } from 'fflate'
import { describe, expect, it } from 'vitest'
import { looksZipped, packBundle, readBundle } from './bundle'
import { heatSetupSchema } from '../heat/bench/setup.schema'
import { jobToText } from './files'
import { newJob } from './new-job'
import { pictureSchema } from './picture.schema'
import { zipSums } from './zip-sums'

const PICTURE = pictureSchema.parse({ id: 'p1', name: 'crack.jpg', widthPx: 10, heightPx: 10 })
const JOB = { ...newJob('one', 'Cracked cover', '', '2026-11-26T08:00:00Z'), pictures: [PICTURE] }
const FILE = {
  id: 'p1',
  jobId: 'one',
  kind: 'picture' as const,
  name: 'crack.jpg',
  type: 'image/jpeg',
  bytes: Uint8Array.from({ length: 5000 }, (_, n) => [0xff, 0xd8, 0xff][n] ?? (n * 37) % 256),
}
const reason = async (bytes: Uint8Array) => {
  const read = await readBundle(bytes)
  return read.ok ? '' : `${read.issues[0]!.path} ${read.issues[0]!.message}`.trim()
}

describe('jobs and their pictures in one zip', () => {
  it('come back byte for byte', async () => {
    const zipped = packBundle(jobToText(JOB), [FILE])
    expect(looksZipped(zipped)).toBe(true)
    expect(await readBundle(zipped)).toEqual({ ok: true, jobs: [JOB], kit: null, corrected: [], files: [FILE] })
  })
  it('are refused whole when anything is wrong, and say what', async () => {
    const whole = packBundle(jobToText(JOB), [FILE])
    expect(await reason(whole.subarray(0, whole.length - 60))).toBe('the zip is broken or cut short')
    expect(await reason(zipSync({ 'notes.txt': strToU8('hello') }))).toContain('no jobs.json')
    expect(await reason(zipSync({ 'jobs.json': strToU8('{"kind":'), 'files.json': strToU8('[]') }))).toContain(
      'not JSON',
    )
    expect(await reason(packBundle(jobToText(JOB), [{ ...FILE, jobId: 'other' }]))).toContain(
      'belongs to a job that is not in the zip',
    )
    expect(
      await reason(
        zipSync({
          'jobs.json': strToU8(jobToText(JOB)),
          'files.json': strToU8(JSON.stringify([{ ...FILE, bytes: undefined }])),
        }),
      ),
    ).toContain('crack.jpg is listed but not in the zip')
    expect(
      await reason(
        zipSync({
          'jobs.json': strToU8(jobToText(JOB)),
          'files.json': strToU8(JSON.stringify([{ ...FILE, bytes: undefined, id: '../../etc' }])),
        }),
      ),
    ).toMatch(/^files.json: 0.id/)
    expect(
      await reason(
        zipSync({
          'jobs.json': strToU8(jobToText(JOB)),
          'files.json': strToU8(JSON.stringify([{ ...FILE, bytes: undefined, type: 'text/html' }])),
        }),
      ),
    ).toMatch(/^files.json: 0.type/)
  })
  it('are refused without the list that says what the files are', async () =>
    expect(await reason(zipSync({ 'jobs.json': strToU8(jobToText(JOB)) }))).toContain('no files.json'))
  it('know their checksums as another program wrote them', async () => {
    const sums = zipSums(zipSync({ a: strToU8('123456789'), b: new Uint8Array() }))!
    // The check value of CRC-32 (ISO 3309), published with the polynomial.
    expect([sums.get('a'), sums.get('b')]).toEqual([0xcbf43926, 0])
    expect(zipSums(strToU8('no zip'))).toBeNull()
  })
  it('are refused whole, or come out the same, whatever one bit is flipped', async () => {
    const whole = packBundle(jobToText(JOB), [FILE])
    for (let n = 0; n < whole.length * 8; n += Math.max(1, Math.floor((whole.length * 8) / 1500))) {
      const flipped = whole.slice()
      flipped[n >> 3]! ^= 1 << (n & 7)
      const read = await readBundle(flipped)
      if (read.ok) expect(read, `bit ${n}`).toEqual({ ok: true, jobs: [JOB], kit: null, corrected: [], files: [FILE] })
    }
  })
  it.each([
    ['an empty file', new Uint8Array()],
    ['a drawing with script', strToU8('<svg onload="alert(1)"/>')],
    ['one letter over and over', new Uint8Array(3e6).fill(97)],
  ])('are refused with %s typed as a photograph', async (_, bytes) => {
    expect(await reason(packBundle(jobToText(JOB), [{ ...FILE, bytes }]))).toMatch(/crack\.jpg is (empty|not the JPEG)/)
  })
  it('are refused with a file that no picture of the job refers to, and with two under one id', async () => {
    expect(
      await reason(packBundle(jobToText(newJob('one', 'No pictures', '', '2026-11-26T08:00:00Z')), [FILE])),
    ).toContain('is not a picture of the job')
    expect(await reason(packBundle(jobToText(JOB), [FILE, FILE]))).toContain('two files have the id')
  })
  it('take a shape only as triangles of figures', async () => {
    const job = {
      ...JOB,
      warm: { ...JOB.warm, setups: [heatSetupSchema.parse({ parts: [{ kind: 'plate', size: {} }], mesh: 'm1' })] },
    }
    const mesh = (bytes: Uint8Array) =>
      reason(
        packBundle(jobToText(job), [
          { id: 'm1', jobId: 'one', kind: 'mesh', name: 'part.stl', type: 'model/stl', bytes },
        ]),
      )
    expect(await mesh(new Uint8Array(new Float32Array(18).fill(2).buffer))).toBe('')
    expect(await mesh(new Uint8Array(40))).toContain('no list of triangles')
    expect(await mesh(new Uint8Array(new Float32Array(9).fill(NaN).buffer))).toContain('no list of triangles')
  })
})
