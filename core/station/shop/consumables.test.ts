import { oneMend } from '../one-mend.fixture'
import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { EMPTY_KIT } from '../../job/empty-kit'
import { readFile } from '../../job/files'
import { amountOf, stockOf, takesOf, toBuy, useOf, weeksLeft, whenToBuy } from './consumables'
import { planJob } from '../plan-job'
import { shelfDrawing, shelfLine } from './shelf-line'

const file = readFile(readFileSync(new URL('../../../demo/larkmoor-bench.json', import.meta.url), 'utf8'))
if (!file.ok) throw new Error('the demo does not read')
const kit = file.kit!
const jobOf = (id: string) => file.jobs.find(job => job.id === id)!
const bracket = oneMend(jobOf('signal-bracket'), 'lug')
const cover = jobOf('gearbox-cover')

describe('what a job takes', () => {
  it('is what its price counts, less the passes laid; nothing once welded or sent on', () => {
    const plan = planJob(bracket, kit)
    const quoted = plan['hand-over'].data.quote!.lines.find(line => line.name === 'Filler')!.quantity
    const { passes } = plan.mends.rows[0]!.log
    const laid = passes.filter(pass => pass.done).length / passes.length
    expect(laid).toBeGreaterThan(0)
    expect(takesOf(bracket, plan, kit)!.rods).toEqual([
      { filler: '4043', rods: expect.closeTo(quoted * (1 - laid), 9) },
    ])
    const welded = { ...bracket, settled: { ...bracket.settled, weld: { at: '2026-11-20T10:00:00Z', basis: {} } } }
    expect(takesOf(welded, planJob(welded, kit), kit)).toBeNull()
    const sent = { ...bracket, call: { ...bracket.call, decision: 'refer' as const } }
    expect(takesOf(sent, planJob(sent, kit), kit)).toBeNull()
  })
  it('is wire by its mass where a gun lays it, priced by its spool, and no rods', () => {
    const gun = {
      ...bracket,
      call: { ...bracket.call, process: 'mig-spool' as const },
      mends: bracket.mends.map(mend => ({ ...mend, done: [] })),
      weld: { ...bracket.weld, log: [] },
    }
    const plan = planJob(gun, kit)
    expect(plan.weld.data.setUp!.set.mig).not.toBeNull()
    const takes = takesOf(gun, plan, kit)!
    expect(takes.rods).toEqual([])
    expect(takes.wire).toHaveLength(1)
    // What lies in the groove, and a twentieth beside it as spatter and stubs.
    expect(takes.wire[0]!.massG).toBeCloseTo(plan.mends.rows[0]!.planned!.depositG / 0.95, 6)
    expect(JSON.stringify(plan.open.call)).toContain(' of wire.')
    expect(JSON.stringify(plan.open.call)).not.toContain('rod')
    const dear = {
      ...kit,
      spools: kit.spools.map(spool => ({ ...spool, filler: takes.wire[0]!.filler, pricePerKg: 3100 })),
    }
    const wire = (of: typeof kit) =>
      planJob(gun, of)['hand-over'].data.quote!.lines.find(line => line.name === 'Wire')!.price
    expect(wire(dear) / wire({ ...dear, spools: [] })).toBeCloseTo(3100 / 30, 6)
    expect(toBuy({ ...kit, spools: [] }, { ...takes, litres: 0 })[0]).toMatch(/^0\.\d+ kg of \d{4} wire$/)
  })
  it('falls short by whole rods and litres, and names what the kit has none of', () => {
    const takes = { rods: [{ filler: '4043', rods: 2.2 }], wire: [], gas: 'argon', litres: 300 }
    expect(toBuy(kit, takes)).toEqual([])
    const poor = { ...kit, rods: [{ ...kit.rods[0]!, count: 1 }], gases: [{ ...kit.gases[0]!, leftL: 120 }] }
    expect(toBuy(poor, takes)).toEqual(['two rods of 4043', '180 L of argon'])
    expect(toBuy(EMPTY_KIT, { ...takes, litres: 0 })).toEqual(['three rods of 4043'])
    expect(toBuy(poor, null)).toEqual([])
  })
  it('stock adds rods of a filler whatever their thickness, and what all open jobs take', () => {
    const stock = stockOf(kit, [
      { rods: [{ filler: '4043', rods: 1.5 }], wire: [{ filler: '4043', massG: 260 }], gas: 'argon', litres: 700 },
      { rods: [{ filler: '4043', rods: 2 }], wire: [{ filler: '4043', massG: 250 }], gas: 'argon', litres: 800 },
    ])
    expect(stock.find(row => row.name === '4043')).toMatchObject({ left: 54, wanted: 4, short: 0 })
    expect(stock.find(row => row.kind === 'wire')).toMatchObject({ name: '4043', left: 0.42, wanted: 0.51 })
    expect(amountOf('wire', 0.0004)).toBe('0.01 kg')
    expect(stock.find(row => row.name === 'argon')).toMatchObject({ left: 1240, wanted: 1500, short: 260 })
  })
  it('says when to buy: before the jobs are through, soon, or not yet; and how long it lasts as it went', () => {
    const row = { id: 'r', kind: 'rods' as const, name: '4043', left: 10, wanted: 12, short: 2 }
    expect(whenToBuy(row)).toBe('buy 2 rods before the open jobs are through')
    expect(whenToBuy({ ...row, wanted: 8, short: 0 })).toContain('buy soon')
    expect(whenToBuy({ ...row, wanted: 3, short: 0 })).toBe('')
    expect(amountOf('gas', 179.2)).toBe('180 L')
    expect(weeksLeft('rods', [row, row], { rodsPerWeek: 4, litresPerWeek: 0, jobs: 5 })).toBe(5)
    expect(weeksLeft('gas', [row], { rodsPerWeek: 4, litresPerWeek: 0, jobs: 5 })).toBeNull()
  })
  it('use a week is what finished jobs noted over the weeks since the first of them', () => {
    const now = Date.parse('2026-11-26T00:00:00Z')
    const job = (weeks: number, usedRods: number | null) => ({
      handedAt: new Date(now - weeks * 7 * 864e5).toISOString(),
      usedRods,
      usedGasL: null,
    })
    expect(useOf([job(4, 6), job(2, 4), job(1, 2), job(40, 99), job(1, null)], now)).toEqual({
      rodsPerWeek: 3,
      litresPerWeek: 0,
      jobs: 3,
    })
    expect(useOf([job(1, 1)], now)).toBeNull()
  })
})

describe('a line on the shelf', () => {
  it('says what is next, what is not acknowledged and what is stale', () => {
    const line = shelfLine(cover, kit)
    expect(line.next).toBe('open')
    expect(line.waits).toContainEqual({ kind: 'stop', words: 'chlorinated solvent' })
    expect(line.waits.find(wait => wait.kind === 'stale')!.words).toMatch(/^Warm: Wall at the damage/)
  })
  it('says what is to buy, who is to have it, and what is wanted of a new one', () => {
    expect(shelfLine(oneMend(cover, 'flange'), { ...kit, rods: [] }).waits).toContainEqual({
      kind: 'buy',
      words: 'two rods of 4043',
    })
    expect(shelfLine(jobOf('bar-hanger'), kit)).toMatchObject({ says: 'goes to somebody else' })
    expect(shelfLine(jobOf('press-tray'), kit).says).toMatch(/^wants /)
    expect(shelfLine(jobOf('dome-shutter'), kit)).toMatchObject({ says: 'handed over', waits: [] })
  })
  it('draws the part with its mends inside its box, and nothing where nothing is known', () => {
    const drawing = shelfDrawing(cover)!
    expect(drawing.marks.length).toBeGreaterThan(0)
    const figures = [...drawing.layers.map(({ d }) => d), ...drawing.marks]
      .join(' ')
      .match(/-?\d+(\.\d+)?/g)!
      .map(Number)
    expect(Math.min(...figures)).toBeGreaterThanOrEqual(0)
    expect(Math.max(...figures)).toBeLessThanOrEqual(96)
    expect(shelfDrawing(jobOf('press-tray'))).toBeNull()
  })
})
