import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { readFile } from '../job/files'
import { newJob } from '../job/new-job'
import { applyPatch, type Patch } from '../job/patch'
import type { StationId } from '../job/stations.table'
import { CAUTION_CODES, caution } from '../safety/cautions.table'
import { planJob } from './plan-job'

/**
 * Where work can hurt someone the caution stands at that step: what the job says, the station, the code. Common
 * practice, no source.
 */
const file = readFile(readFileSync(new URL('../../demo/larkmoor-bench.json', import.meta.url), 'utf8'))
if (!file.ok) throw new Error('the demo shop does not read')
const kit = {
  ...file.kit!,
  torches: [
    ...file.kit!.torches,
    { id: 'oxy', name: 'oxygen torch', gas: 'oxy-acetylene', powerW: 9000, efficiencyPct: 35 },
  ],
}
const cover = file.jobs.find(job => job.id === 'gearbox-cover')!
const plain = newJob('x', 'X', '', '2026-11-12T09:00:00Z')
const reading = (value: number) => ({ typed: String(value), value })
const planned = (job: typeof cover, changes: readonly (readonly [string, unknown])[]) =>
  planJob(
    changes.reduce((changed, [path, value]) => applyPatch(changed, { path: path.split('.'), value } as Patch), job),
    kit,
  )

type Row = readonly [hazard: string, changes: readonly (readonly [string, unknown])[], station: StationId, code: string]
const HAZARDS: readonly Row[] = [
  ['a fluoroelastomer seal near the heat', [['takeIn.protect', ['fluoro-seal']]], 'take-in', 'seal-acid'],
  ['a closed hollow', [['takeIn.protect', ['closed-hollow']]], 'take-in', 'closed-hollow'],
  ['something that held fuel', [['takeIn.protect', ['fuel']]], 'take-in', 'closed-hollow'],
  ['a wheel', [['takeIn.safetyCritical', 'wheel']], 'call', 'safety-wheel'],
  ['steering or brakes', [['takeIn.safetyCritical', 'steering-brake']], 'call', 'safety-steering-brake'],
  ['lifting gear', [['takeIn.safetyCritical', 'lifting']], 'call', 'safety-lifting'],
  ['a pressure vessel', [['takeIn.safetyCritical', 'pressure']], 'call', 'safety-pressure'],
  ['an aircraft part', [['takeIn.safetyCritical', 'aircraft']], 'call', 'safety-aircraft'],
  ['caustic on the spot', [], 'know', 'caustic-spot'],
  ['filings before magnesium is ruled out', [], 'know', 'chips-burn'],
  ['solvent before an arc', [], 'open', 'chlorinated-solvent'],
  ['solvent near a flame', [], 'open', 'solvent-fire'],
  ['old epoxy under a torch', [['takeIn.earlierRepair', 'epoxy']], 'open', 'old-epoxy'],
  ['paint under an arc', [['takeIn.coating', 'paint']], 'open', 'coating-fume'],
  ['plating under an arc', [['takeIn.coating', 'plated']], 'open', 'coating-fume'],
  ['grinding dust', [], 'open', 'aluminium-dust'],
  ['burrs and discs', [], 'open', 'rotating-tools'],
  ['a flame on the bench', [], 'warm', 'torch-fire'],
  ['hot metal that does not glow', [], 'warm', 'hot-no-glow'],
  ['an arc on an unearthed part', [], 'weld', 'earth-before-arc'],
  ['ultraviolet and ozone', [], 'weld', 'ozone-uv'],
  ['solvent at the arc', [], 'weld', 'chlorinated-solvent'],
  ['noise', [], 'weld', 'pulsed-noise'],
  ['a brazing flame', [['call.process', 'zinc-rod-braze']], 'weld', 'torch-fire'],
  ['a brazed place that someone may weld later', [['call.process', 'zinc-rod-braze']], 'weld', 'braze-no-fusion'],
  ['oxygen on grease', [['call.process', 'oxy-fuel']], 'weld', 'oxygen-fuel'],
  ['welding flux', [['call.process', 'oxy-fuel']], 'weld', 'welding-flux'],
  ['the mill', [], 'rebuild', 'rotating-tools'],
  ['a body heated for a slug', [], 'rebuild', 'hot-no-glow'],
  ['air under pressure', [['takeIn.does', 'seal']], 'prove', 'pressure-test'],
]

describe('where work can hurt someone', () => {
  it.each(HAZARDS)('%s: %o at %s has its caution', (_, changes, station, code) => {
    expect(planned(cover, changes)[station].cautions.map(one => one.code)).toContain(code)
  })
  it.each<[string, readonly (readonly [string, unknown])[]]>([
    [
      'by its mark and vinegar',
      [
        ['know.markText', 'AZ91D'],
        ['know.form', 'casting'],
        ['know.vinegar', 'fizz'],
      ],
    ],
    ['by an analyser', [['know.composition', 'Mg 90, Al 9, Zn 1']]],
    ['by name alone', [['know.alloy', 'AZ91D']]],
  ])('magnesium known %s stops every step that judges, grinds, heats or cuts it', (_, changes) => {
    const plan = planned(plain, [...changes, ['takeIn.wallMm', reading(6)]])
    for (const station of ['know', 'call', 'open', 'warm', 'weld', 'rebuild'] as const)
      expect(
        plan[station].held.map(one => one.code),
        station,
      ).toContain('magnesium')
    expect(plan.call.data.processes.every(row => row.verdict === 'never')).toBe(true)
  })
  it('a name for sure is believed before the evidence, and doubted aloud where they part', () => {
    const named = planned(cover, [['know.alloy', '6061']])
    expect(named.know.data.families).toMatchObject([{ id: 'wrought-6xxx', probability: 1 }])
    expect(JSON.stringify(named.know.why)).toContain('look at the name again')
    expect(named.know.short).toBe('6061, as named')
    expect(planned(plain, [['know.alloy', '7075']]).weld.cautions.map(one => one.code)).toContain('strong-alloy')
    expect(planned(plain, [['know.alloy', '6061']]).call.wants).not.toContain('the metal')
  })
  it("a name that is a filler's or nobody's changes nothing", () => {
    for (const name of ['4043', 'unheard of'])
      expect(planned(cover, [['know.alloy', name]]).know.data.families[0]!.id).toBe(
        planJob(cover, kit).know.data.families[0]!.id,
      )
  })
  it('a zinc casting is not struck an arc on', () => {
    const plan = planned(plain, [
      ['know.composition', 'Zn 95, Al 4'],
      ['takeIn.wallMm', reading(4)],
    ])
    expect([...plan.know.cautions, ...plan.call.cautions].map(one => one.code)).toContain('zinc-fume')
  })
  it('until magnesium is ruled out, the part may be magnesium', () =>
    expect(
      planned(plain, [
        ['know.form', 'casting'],
        ['know.vinegar', 'still'],
      ]).know.cautions.map(one => one.code),
    ).toContain('chips-burn'))
  it('every stop of a safety-critical part defers to its maker and to licensed practice', () => {
    for (const code of CAUTION_CODES.filter(one => one.startsWith('safety-'))) {
      expect(caution(code).level, code).toBe('stop')
      expect(caution(code).text, code).toMatch(/maker/)
      expect(caution(code).text, code).toMatch(/licensed|approval/)
    }
  })
  it('a stop is held until someone heeds it by name, and a lesser one holds nothing', () => {
    const held = planned(cover, [
      ['takeIn.protect', ['fluoro-seal']],
      ['acknowledged', []],
    ])
    expect(held['take-in'].held.length).toBeGreaterThan(0)
    const heeded = planned(cover, [
      ['takeIn.protect', ['fluoro-seal']],
      ['acknowledged', [{ code: 'seal-acid', name: 'A hand', at: '2026-11-12T09:00:00Z' }]],
    ])
    expect(heeded['take-in'].held).toEqual([])
    expect(planned(cover, [['acknowledged', []]]).warm.held).toEqual([])
  })
  it('no code is without words, and a code that is none is a fault of the program', () => {
    for (const code of CAUTION_CODES) expect(caution(code).text.length, code).toBeGreaterThan(10)
    expect(() => caution('no such thing')).toThrow('no words for caution')
  })
})
