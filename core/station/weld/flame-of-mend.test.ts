import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { readFile } from '../../job/files'
import type { Job } from '../../job/job.schema'
import type { StoredMend } from '../../job/mend.schema'
import { newMend } from '../../job/new-mend'
import { sentenceText } from '../hand-over/record'
import { mendCall } from '../mends/mend-words'
import { oneMend } from '../one-mend.fixture'
import { planJob } from '../plan-job'
import type { ProcessId } from '../../process/registry'
import { laidWith, layWords } from '../../lay/laid-with'

const file = readFile(readFileSync(new URL('../../../demo/larkmoor-bench.json', import.meta.url), 'utf8'))
if (!file.ok) throw new Error('the demo does not read')
const oxygen = { id: 'oxy', name: 'oxygen torch', gas: 'oxy-acetylene', powerW: 9000, efficiencyPct: 35 }
const kit = { ...file.kit!, torches: [...file.kit!.torches, oxygen] }
const bracket = oneMend(
  file.jobs.find(job => job.id === 'signal-bracket')!,
  'lug',
)
const noShape: Job = { ...bracket, shape: { ...bracket.shape, pieces: [], marks: [] } }
const read = (value: number) => ({ typed: `${value} mm`, value })

/** The bracket's crack laid by one process. */
const asMend = (job: Job, process: ProcessId, more: Partial<StoredMend> = {}): Job => ({
  ...job,
  mends: [
    {
      ...newMend('m', 'crack'),
      readings: job.mends[0]!.readings,
      lays: [{ id: 'l', process, filler: '', upTo: 'cap' }],
      ...more,
    } as StoredMend,
  ],
})
const rowOf = (job: Job) => planJob(job, kit).mends.rows[0]!
const wordsOf = (job: Job) => {
  const { call, why, change } = rowOf(job).says.weld
  return [call, ...why, ...change].map(sentence => sentenceText(sentence, 'metric')).join('\n')
}
describe('rod and flame at a mend', () => {
  it('are what the whole part is told where it is the only one', () => {
    const plan = planJob(asMend(noShape, 'zinc-rod-braze'), kit)
    expect(plan.weld.call).toEqual(plan.mends.rows[0]!.says.weld.call)
    expect(plan.weld.workings.braze).toEqual(plan.mends.rows[0]!.says.weld.workings.braze)
    const picked = planJob({ ...noShape, call: { ...noShape.call, process: 'oxy-fuel' } }, kit).mends.rows[0]!
    expect(picked.flame!.flame!.plan).toEqual(rowOf(asMend(noShape, 'oxy-fuel')).flame!.flame!.plan)
    expect(picked.flame!.flame!.torch.name).toBe('oxygen torch')
  })
  it('say what to do, with its working and its clocks', () => {
    expect(wordsOf(asMend(noShape, 'zinc-rod-braze'))).toMatch(/^Braze it with the .* at 4\d\d °C/)
    expect(wordsOf(asMend(noShape, 'oxy-fuel'))).toMatch(/^Weld it with the oxygen torch/)
    const { clocks, workings, cautions } = rowOf(asMend(noShape, 'zinc-rod-braze')).says.weld
    expect(clocks.map(clock => clock.name)).toEqual(['To brazing heat', 'Slow cool'])
    expect(workings.braze!.steps.length).toBeGreaterThan(3)
    expect(cautions.map(entry => entry.code)).toContain('torch-fire')
  })
  it('are named by what is laid, not by the filler that an arc would lay', () => {
    const row = rowOf(asMend(noShape, 'zinc-rod-braze'))
    expect(sentenceText(mendCall(row, 'weld'), 'metric')).toMatch(
      /^Crack: Braze it with the zinc-aluminium rod at \d+ °C/,
    )
    expect(new Set(row.log.passes.map(pass => pass.by))).toEqual(new Set(['zinc-aluminium rod']))
    expect([laidWith('ac-tig', '5356'), laidWith('ac-tig', null)]).toEqual(['5356', 'none: boils dirt out'])
    expect(layWords('ac-tig', '4043')).toBe('AC TIG, 4043')
  })
  it('are not there for an arc, and nothing of them is said at another station', () => {
    const arc = rowOf(asMend(noShape, 'ac-tig'))
    expect([arc.place, arc.flame]).toEqual([null, null])
    expect(wordsOf(asMend(noShape, 'ac-tig'))).not.toMatch(/propylene|rod at/)
    expect(JSON.stringify(rowOf(asMend(noShape, 'zinc-rod-braze')).says.open.why)).not.toMatch(/torch|flame/)
  })
  it('count the heavier rod on a part that turns: volume × difference of densities × radius', () => {
    const turned = asMend(noShape, 'zinc-rod-braze', {
      kind: 'turned',
      readings: { turnedMm: read(100), wideMm: read(6), deepMm: read(3) },
    })
    const { planned, flame, place } = rowOf(turned)
    expect(place).toMatchObject({ turnsAtMm: 50, volumeMm3: planned!.volumeMm3 })
    // Zinc-aluminium rod 6.6 g/cm³, 356 2.68 (ASM Handbook vol. 2, from memory).
    expect(flame!.braze!.unbalance!.unbalanceGmm).toBeCloseTo((planned!.volumeMm3 / 1000) * (6.6 - 2.68) * 50, -1)
  })
  it('of an edge is warmed as an edge is, sooner than a place in the wall', () => {
    const sizes = { longMm: read(40), wideMm: read(6), highMm: read(3) }
    const edge = rowOf(asMend(noShape, 'zinc-rod-braze', { kind: 'edge', readings: sizes }))
    expect(edge.place).toMatchObject({ atEdge: true, runMm: expect.any(Number) })
    expect(edge.planned!.faceMm2).toBeGreaterThan(0)
  })
  it('without a torch say what they want', () => {
    const { rows } = planJob(asMend(noShape, 'oxy-fuel'), { ...kit, torches: [] }).mends
    expect(rows[0]!.flame).toMatchObject({ flame: null, says: { wants: ['a torch in the kit'] } })
  })
})
