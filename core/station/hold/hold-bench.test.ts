import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { mostMovedMm, towardsYield } from '../../hold/drawn'
import { hold } from '../../hold/run'
import { readFile } from '../../job/files'
import type { Job } from '../../job/job.schema'
import { shapeOfPieces } from '../../solid/stored/to-shape'
import { atOnce } from '../job-given'
import { mm } from '../../quantity/stored'
import { planJob } from '../plan-job'
import { benchSetup } from './bench-setup'
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
    const setup = benchSetup({ asked })
    const held = atOnce(hold(setup))
    const { by, weakest, cells, imbalancePct, life } = held
    expect(Math.max(...towardsYield(setup, held))).toBeGreaterThan(0)
    return { id, by, weakest, cells, imbalancePct, givesMm: mostMovedMm(held), life: life[0] ?? null }
  })
  it('loads the part as it was new, cracked and mended, each with its zones', () => {
    expect(bench.cases.map(({ id }) => id)).toEqual(['new', 'cracked', 'mended', 'filler', 'aged', 'plated'])
    expect(bench.cases[1]!.asked.zones!.map(({ kind }) => kind)).toEqual(['crack'])
    expect(new Set(bench.cases[2]!.asked.zones!.map(({ kind }) => kind))).toEqual(new Set(['softened', 'weld']))
  })
  it('cracked it gives no less than whole, and mended it bears no more than new', () => {
    const of = (id: string) => states.find(state => state.id === id)!
    expect(of('cracked').givesMm).toBeGreaterThanOrEqual(of('new').givesMm * 0.999)
    expect(factorOf(of('mended'))).toBeLessThanOrEqual(factorOf(of('new')) * 1.001)
    for (const { imbalancePct } of states) expect(imbalancePct).toBeLessThan(0.01)
  })
  it('is no weaker with a plate over it or its temper given back, and tells which is the strongest', () => {
    const of = (id: string) => states.find(state => state.id === id)!
    expect(of('plated').givesMm).toBeLessThan(of('mended').givesMm)
    expect(factorOf(of('aged'))).toBeGreaterThanOrEqual(factorOf(of('mended')))
    const said = holdWhy(states).flat().join(' ')
    expect(said).toMatch(/Stronger: |Nothing tried beside it makes it stronger/)
  })
  it('a weld half through a wall of two cells and more leaves the far half open, and is weaker', () => {
    const plate = shapeOfPieces([
      { ...job.shape.pieces[1]!, at: { x: mm(0), y: mm(0), z: mm(0) }, size: job.shape.pieces[1]!.size },
    ]) as Parameters<typeof holdBench>[2]
    const mark = { ...job.shape.marks[0]!, at: { x: mm(80), y: mm(10), z: mm(8) }, path: [[80, 100, 8]] as never }
    const held = [5, 105].map((y, n) => ({
      id: `h${n}`,
      face: 'top' as const,
      at: [5, y, 8] as [number, number, number],
    }))
    const thin: Job = {
      ...LOADED,
      shape: { ...LOADED.shape, marks: [mark] },
      call: {
        ...LOADED.call,
        heldAt: held,
        pulls: [{ id: 'p', face: 'top', at: [150, 55, 8], what: 'pressed', n: 100 }],
      },
    }
    const cases = holdBench(thin, planJob(thin, kit), plate).cases
    const bears = (id: string): HeldState => {
      const asked = cases.find(one => one.id === id)!.asked
      const found = atOnce(hold(benchSetup({ asked })))
      return { ...found, id: 'mended', givesMm: mostMovedMm(found), life: null }
    }
    expect(bears('half').givesMm).toBeGreaterThan(bears('mended').givesMm)
    expect(factorOf(bears('half'))).toBeLessThan(factorOf(bears('mended')))
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
