import { describe, expect, it } from 'vitest'
import { machine } from './machine.fixture'
import { HOT_AIR, kit, TORCH } from './whole-jobs/jobs.fixture'
import { planOf, type Answer } from './whole-jobs/whole-job.fixture'

const TIG = kit([machine('ac-tig', 200)])
const CRACK = { id: 'm', kind: 'crack', lengthMm: 50 }
interface Asked {
  alloy?: string
  wallMm?: number
  part?: object
  mends?: object[]
  bench?: object
}
const plan = ({ alloy = '356', wallMm = 6, part = {}, mends = [CRACK], bench = TIG }: Asked): Answer =>
  planOf({
    kit: bench,
    part: { does: 'static', soak: 'dry', massG: 1500, bodies: [{ id: 'a', alloy, wallMm }], ...part },
    mends,
  })
const codes = ({ steps }: Answer) => steps.map(({ code }) => code)
const because = ({ decisions }: Answer) => decisions[0]!.because.map(({ code }) => code)

/** All of these: common practice, no source, unless said. */
describe('what could hurt', () => {
  it('a filler of magnesium on a part that runs hot is refused (handbooks, from memory: not over about 65 °C)', () => {
    const found = plan({ part: { hotC: 200 }, mends: [{ ...CRACK, lays: [{ filler: '5356' }] }] })
    expect(found.decision).toBe('decline')
    expect(because(found)).toContain('filler-never')
  })
  it('a slug that leaves less of its boss is less sure, and one that leaves next to none is refused', () => {
    const chance = (slugMm: number) =>
      plan({ mends: [{ id: 'm', kind: 'boss', thread: 'M12', deepMm: 18, bossMm: 26, slugMm, way: 'pressed-slug' }] })
        .chancePct
    expect(chance(18)).toBeGreaterThanOrEqual(chance(19))
    expect(chance(19)).toBeGreaterThan(chance(21))
    expect(chance(25)).toBe(2)
    expect(chance(25.9)).toBe(2)
  })
  it.each(['2024', '7075', '2017', '2618'])('%s is not welded where it carries load', alloy => {
    const found = plan({ alloy })
    expect(found.decision).toBe('decline')
    expect(codes(found)).toEqual(['take-in'])
  })
  it('nor by a flame, nor where it is the second piece of a joint', () => {
    const oxygen = { id: 'o', name: 'oxygen torch', gas: 'oxy-acetylene', powerW: 9000, efficiencyPct: 35 }
    const flamed = plan({
      alloy: '2024',
      mends: [{ ...CRACK, lays: [{ process: 'oxy-fuel', filler: '4043' }] }],
      bench: kit([], [oxygen]),
    })
    expect(because(flamed)).toContain('not-under-load')
    const joint = { id: 'm', kind: 'joint', joint: 'tee', lengthMm: 60, bodies: ['a', 'b'] }
    const bodies = ['356', '7075'].map((alloy, n) => ({ id: 'ab'[n], alloy, wallMm: 6 }))
    const joined = plan({ part: { bodies }, mends: [joint] })
    expect(because(joined)).toContain('not-under-load')
  })
  it('2219 is made to be welded, and a thread in 7075 is given back cold', () => {
    expect(plan({ alloy: '2219' }).decision).toMatch(/^repair/)
    const cold = plan({ alloy: '7075', mends: [{ id: 'm', kind: 'thread', thread: 'M8', deepMm: 16 }] })
    expect(cold.decision).toBe('repair')
    expect(cold.totals.arcMin).toBe(0)
  })
  it.each(['AZ91D', 'AG40A'])('%s is refused before anything is cut or charged', alloy => {
    const found = plan({ alloy })
    expect(found.decision).toBe('decline')
    expect(codes(found)).toEqual(['take-in'])
  })
  it('what is made to break, and a port whose pressure nobody said, are asked about first', () => {
    expect(plan({ part: { minds: ['made-to-break'] } })).toMatchObject({ decision: 'refer' })
    const port = (part: object) => plan({ part: { minds: ['pressure-port'], ...part } })
    expect(port({}).decision).toBe('refer')
    expect(because(port({}))).toContain('pressure-port')
    const said = port({ pressureMPa: 0.3 })
    expect(said.decision).toBe('repair')
    expect(codes(said)).toContain('check-leak')
    expect(plan({ part: { minds: ['hollow-bolt'] } }).decision).toBe('repair-with-limits')
  })
  it('a word that is none of those asked is refused with those there are', () => {
    expect(() => plan({ part: { minds: ['made-to-brake'] } })).toThrow(/part\.minds.*made-to-break/)
  })
  it('what somebody stands on is mended with limits, proved with dye', () => {
    const found = plan({ part: { stakes: 'person' } })
    expect(found.decision).toBe('repair-with-limits')
    expect(codes(found)).toContain('check-dye')
  })
  it('near fuel there is hot air and no flame', () => {
    const near = { protect: ['fuel'], soak: 'oily' }
    const air = plan({ part: near, bench: kit([machine('ac-tig', 200)], [TORCH, HOT_AIR]) })
    const warmed = air.steps.filter(({ kind }) => kind === 'flame')
    expect(warmed.length).toBeGreaterThan(0)
    expect(warmed.every(({ by }) => by === HOT_AIR.id)).toBe(true)
    const none = plan({ part: near })
    expect(none.steps.filter(({ kind }) => kind === 'flame')).toEqual([])
    expect(none.warm.why).toContain('flame-barred')
  })
  it('grinding says dust and rotating tools wherever something is ground', () => {
    const found = plan({ part: { soak: 'oil-soaked', coating: 'paint' }, mends: [{ ...CRACK, sides: 2 }] })
    const ground = found.steps.filter(({ code }) => /^(groove|grind-out|uncoat|dress)/.test(code))
    expect(ground.length).toBeGreaterThan(3)
    for (const { cautions } of ground)
      expect(cautions).toEqual(expect.arrayContaining(['aluminium-dust', 'rotating-tools']))
  })
})

/** A no says what stands in the way and by how much, and costs the looking. */
describe('a no', () => {
  const no = (bench: object) => {
    const found = plan({ wallMm: 12, part: { does: 'cyclic' }, bench })
    expect(found.decision).toBe('decline')
    expect(codes(found)).toEqual(['take-in'])
    const { because: why } = found.decisions.find(({ of }) => of === 'm')!
    expect(why[0]!.figures!.wantsA).toBeGreaterThan(why[0]!.figures!.hasA!)
    return why[0]!.code
  }
  it('blames the mains where the same machine would do on a stronger supply', () =>
    expect(no(kit([{ ...machine('ac-tig', 300), supplyV: 110, breakerA: 16 }]))).toBe('mains-too-small'))
  it('blames the torch where a bigger one would do', () =>
    expect(no(kit([{ ...machine('ac-tig', 300), torchA: 90 }]))).toBe('torch-too-small'))
  it('blames the machine where it is the machine', () =>
    expect(no(kit([machine('ac-tig', 90)]))).toBe('does-not-melt-in'))
})

describe('rods by the kit', () => {
  const bench = { ...TIG, rods: [{ id: 'r', filler: '4043', diameterMm: 2.4, lengthMm: 500, price: 1, count: 1 }] }
  it('are counted by their own length, rounded once, and what is missing is to buy', () => {
    const found = plan({ wallMm: 8, mends: [{ ...CRACK, lengthMm: 400 }], bench })
    const [out] = found.totals.rodsOut
    expect(out).toMatchObject({ filler: '4043', diameterMm: 2.4 })
    expect(out!.rods).toBe(Math.ceil(out!.count))
    expect(out!.buy).toBe(out!.rods - 1)
    const massG = out!.count * (Math.PI / 4) * 2.4 ** 2 * 500 * 2.69e-3 * 0.9
    expect(massG / found.mends[0]!.depositG).toBeCloseTo(1, 2)
  })
  it('a thickness that was said and is not there is bought, all of it', () => {
    const found = plan({ mends: [{ ...CRACK, rodMm: 1.6 }], bench })
    expect(found.totals.rodsOut).toEqual([
      expect.objectContaining({ diameterMm: 1.6, buy: found.totals.rodsOut[0]!.rods }),
    ])
  })
})

describe('ways that a shop may take', () => {
  it('a dressed bead is run over once more, and it cools again before it is proved', () => {
    const found = plan({ mends: [{ ...CRACK, runOver: true }] })
    const order = codes(found)
    expect(order.indexOf('run-over')).toBeGreaterThan(order.indexOf('dress-rough'))
    expect(order.lastIndexOf('cool')).toBeGreaterThan(order.indexOf('run-over'))
    expect(found.mends[0]!.passes).toBe(plan({}).mends[0]!.passes)
  })
  it('a casting whose earlier weld failed is warmed', () => {
    const strong = kit([machine('ac-tig', 350)])
    expect(plan({ bench: strong }).warm.need).toBe('chill')
    expect(plan({ bench: strong, part: { earlierRepair: 'weld' } }).warm).toMatchObject({
      need: 'preheat',
      why: ['earlier-weld'],
    })
  })
  it('a gun takes what a rod would lay for the better part of an hour, on clean metal', () => {
    const both = kit([machine('ac-tig', 300), machine('mig-pulse', 300)])
    const groove = [{ id: 'm', kind: 'turned', turnedMm: 100, wideMm: 15, deepMm: 7 }]
    const of = (soak: string) => plan({ alloy: '6061', wallMm: 20, part: { soak }, mends: groove, bench: both })
    expect(of('dry').mends[0]!.process).toBe('mig-pulse')
    expect(of('oily').mends[0]!.process).toBe('ac-tig')
    const [pass] = of('dry').steps.filter(step => step.pass === 1)
    expect(pass!.set!.rpm).toBeCloseTo(1 / pass!.minutes, 6)
    expect(plan({ bench: both }).mends[0]!.process).toBe('ac-tig')
  })
  it('one heat for a slug, in the warming and at its step', () => {
    const found = plan({
      mends: [{ id: 'm', kind: 'boss', thread: 'M14x1.5', deepMm: 18, bossMm: 32, way: 'pressed-slug' }],
    })
    expect(found.warm.why).toEqual(['fit-heat'])
    const home = found.steps.find(({ code }) => code === 'shrink-slug')!
    expect(Math.abs(home.foundC! - found.warm.toC)).toBeLessThanOrEqual(5)
  })
})
