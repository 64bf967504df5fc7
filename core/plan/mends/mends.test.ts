import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { readFile } from '../../job/files'
import { planJob } from '../plan-job'

const file = readFile(readFileSync(new URL('../../../demo/larkmoor-bench.json', import.meta.url), 'utf8'))
if (!file.ok) throw new Error('the demo does not read')
const kit = file.kit!
const yoke = file.jobs.find(job => job.id === 'lamp-yoke')!
const phasesOf = (mends: typeof yoke.mends) =>
  planJob({ ...yoke, mends }, kit)
    ['hand-over'].data.phases.map(({ id }) => id)
    .filter(id => id.startsWith('mend-'))

describe('mends in turn', () => {
  // Common practice, no source: a machined face goes on after the others, whose pull would move it.
  it('the hours come in the order the mends are taken on, however they were put in, the face last', () => {
    const ordered = phasesOf(yoke.mends)
    expect(ordered).toHaveLength(3)
    expect(ordered.at(-1)).toBe('mend-pad')
    expect(phasesOf(yoke.mends.toReversed())).toEqual(ordered)
  })

  it('each says its turn and why; one that wants a reading has none, and its hours are not counted', () => {
    const [ear, ...rest] = yoke.mends
    const { mends } = planJob({ ...yoke, mends: [{ ...ear!, readings: {} }, ...rest] }, kit)
    expect(mends.rows.map(({ turn }) => turn?.place ?? null)).toEqual([null, 1, 2])
    expect(mends.rows.at(-1)!.turn).toEqual({ place: 2, of: 2, why: 'true-places-after' })
    expect(phasesOf([{ ...ear!, readings: {} }, ...rest])).toEqual(['mend-clamp', 'mend-pad'])
  })
})
