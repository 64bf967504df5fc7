import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { mostMovedMm, towardsYield } from '../../hold/drawn'
import { hold } from '../../hold/run'
import { holdFields } from '../../hold/schema'
import { holdSetup } from '../../hold/setup'
import { readFile } from '../../job/files'
import type { Job } from '../../job/job.schema'
import { shapeOfPieces } from '../../solid/stored/to-shape'
import { atOnce } from '../job-given'
import { planJob } from '../plan-job'
import { holdBench } from './hold-bench'
import { factorOf, holdSentence, holdWhy, zoneWords, type HeldState } from './hold-says'

const file = readFile(readFileSync(new URL('../../../demo/larkmoor-bench.json', import.meta.url), 'utf8'))
if (!file.ok || !file.kit) throw new Error('the demo shop does not read')
const kit = file.kit
const job = file.jobs.find(({ id }) => id === 'gearbox-cover')!
/** Bolted at its flange's corners, and pressed on its middle. */
const LOADED: Job = {
  ...job,
  call: {
    ...job.call,
    heldAt: [
      [8, 8],
      [8, 200],
      [120, 8],
      [120, 200],
    ].map(([x, y], n) => ({ id: `h${n}`, face: 'top' as const, at: [x!, y!, 57.2] as [number, number, number] })),
    pulls: [{ id: 'p', face: 'top', at: [8, 110, 57.2], what: 'pressed', n: 2000 }],
  },
}
const shape = shapeOfPieces(job.shape.pieces) as Parameters<typeof holdBench>[2]
const plan = planJob(LOADED, kit)

describe('the hold bench', () => {
  const bench = holdBench(LOADED, plan, shape)
  const states = bench.cases.map(({ id, asked }): HeldState => {
    const found = holdSetup(holdFields.parse(asked))
    if (!('setup' in found)) throw new Error(JSON.stringify(found.misplaced))
    const held = atOnce(hold(found.setup))
    const { by, weakest, cells, imbalancePct, life } = held
    expect(Math.max(...towardsYield(found.setup, held))).toBeGreaterThan(0)
    return { id, by, weakest, cells, imbalancePct, givesMm: mostMovedMm(held), life: life[0] ?? null }
  })
  it('loads the part as it was new, cracked and mended, each with its zones', () => {
    expect(bench.cases.map(({ id }) => id)).toEqual(['new', 'cracked', 'mended'])
    expect(bench.cases[1]!.asked.zones!.map(({ kind }) => kind)).toEqual(['crack'])
    expect(new Set(bench.cases[2]!.asked.zones!.map(({ kind }) => kind))).toEqual(new Set(['softened', 'weld']))
  })
  it('cracked it gives no less than whole, and mended it bears no more than new', () => {
    const of = (id: string) => states.find(state => state.id === id)!
    expect(of('cracked').givesMm).toBeGreaterThanOrEqual(of('new').givesMm * 0.999)
    expect(factorOf(of('mended'))).toBeLessThanOrEqual(factorOf(of('new')) * 1.001)
    for (const { imbalancePct } of states) expect(imbalancePct).toBeLessThan(0.01)
  })
  it('says what it bears, and that it is an estimate', () => {
    const mended = states.find(({ id }) => id === 'mended')!
    expect(holdSentence(mended)[0]).toBe('Mended as planned it bears ')
    expect(holdWhy(states).flat().join(' ')).toContain('An estimate, not a proof')
    expect(zoneWords('base')).toBe('the plain metal')
    const weak = { ...mended, by: mended.by.map(one => ({ ...one, factor: 0.5 })) }
    expect(
      holdWhy([{ ...weak, id: 'new' }, weak])
        .flat()
        .join(' '),
    ).toContain('mended as new it breaks again')
  })
  it('wants a place that is held, and a load', () => {
    const without = (call: Partial<Job['call']>) => () =>
      holdBench({ ...LOADED, call: { ...LOADED.call, ...call } }, plan, shape)
    expect(without({ heldAt: [] })).toThrow('put down where it is bolted')
    expect(without({ pulls: [] })).toThrow('put down what pulls on it')
    expect(() => holdBench({ ...LOADED, shape: { ...LOADED.shape, marks: [] } }, plan, shape)).toThrow(
      'mark on the part',
    )
  })
})
