import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { readFile } from '../../job/files'
import type { Job } from '../../job/job.schema'
import type { StoredMend } from '../../job/mend.schema'
import { newMend } from '../../job/new-mend'
import { machineStep } from '../../job/mend-steps'
import { serviceHeatC } from '../../job/service-heat'
import { questions } from '../../questions'
import { sentenceText } from '../hand-over/record'
import { planJob } from '../plan-job'
import { mendCall } from './mend-words'
import { rebuildChange, rebuildClocks, rebuildWhy, rebuildWorkings } from './rebuild-words'

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

const named = (id: string) => file.jobs.find(job => job.id === id)!
const reading = (value: number) => ({ typed: String(value), value })
const mendOf = (kind: StoredMend['kind'], readings: StoredMend['readings']): StoredMend => ({
  ...newMend('it', kind),
  readings,
})

const answerOf = (name: string, input: object): object => {
  const asked = questions.ask(name, input)
  if (!asked.ok) throw new Error(JSON.stringify(asked.error))
  return asked.answer as object
}

describe('a thread given back', () => {
  const bracket = named('signal-bracket')
  const { readings } = bracket.mends.find(mend => mend.id === 'bolt')!
  const row = (more: StoredMend['readings'], job = bracket) =>
    planJob({ ...job, mends: [mendOf('thread', { ...readings, ...more })] }, kit).mends.rows[0]!
  const read = (typed: string, value: number) => ({ typed, value })

  it('has the slug that its own question gives, as its readings ask for it', () => {
    const asked = { threadMajorMm: 8, bossMm: 26, depthMm: 16, beneathMm: 24, bodyAlloy: '356', serviceC: 40 }
    const slug = (more: object) => answerOf('fit.slug', { ...asked, ...more })
    const serviceC = serviceHeatC(bracket)
    expect(row({}).back!.slug).toMatchObject({ answer: slug({ serviceC }) })
    const made = row({
      slugMm: read('15 mm', 15),
      cold: 'dry-ice',
      hubC: read('95 °C', 95),
      clearanceMm: read('0.04 mm', 0.04),
      slugAlloy: '6082',
    })
    expect(made.back).toMatchObject({ cold: 'dry-ice', newMetal: { acrossMm: 15 } })
    expect(made.back!.slug).toMatchObject({
      answer: slug({ serviceC, slugMm: 15, cold: 'dry-ice', hubC: 95, clearanceMm: 0.04, slugAlloy: '6082' }),
    })
    expect(row({ slugAlloy: 'unobtainium' })).toMatchObject({ reason: expect.stringContaining('Slug of: ') })
  })
  it('is laid round the slug that goes in, and by the chamfers it has', () => {
    const laid = (more: StoredMend['readings']) => row(more).planned!.depositG
    expect(laid({ slugMm: read('18 mm', 18) }) / laid({ slugMm: read('15 mm', 15) })).toBeCloseTo(18 / 15, 6)
    expect(laid({ chamferMm: read('4 mm', 4) }) / laid({ chamferMm: read('2 mm', 2) })).toBeCloseTo(4, 6)
  })
  it('is compared by the figures of the question that compares', () => {
    const asked = answerOf('boss.compare', {
      designation: 'M8',
      depthMm: 16,
      bossMm: 26,
      torqueNm: 14,
      bodyAlloy: '356',
      filler: row({}).planned!.filler!,
    }) as { loadN: number; ranked: { method: string; factor: number }[] }
    const ranked = new Map(row({}).planned!.ways!.ranked.map(way => [way.way as string, way]))
    for (const way of asked.ranked) expect(ranked.get(way.method)!.factor).toBeCloseTo(way.factor, 9)
    expect(row({}).planned!.ways).toMatchObject({ loadN: asked.loadN, fromTorque: true })
    expect(row({ torqueNm: { typed: '', value: null } }).planned!.ways!.fromTorque).toBe(false)
  })
  it('says why: its load, its slug, how long there is, and what looser would give', () => {
    const one = row({})
    const why = rebuildWhy(one).map(sentence => sentenceText(sentence, 'metric'))
    expect(why[0]).toMatch(/^The load is [\d.]+ N, from its torque\.$/)
    expect(why[1]).toMatch(/^Slug 14\.0\d+ mm for a bore of 14.000 mm; .* to push it out\.$/)
    expect(why[2]).toMatch(/before it seizes/)
    expect(sentenceText(rebuildChange(one)[0]!, 'metric')).toMatch(/^Loose by 0\.05/)
    expect(rebuildClocks(one)).toEqual([{ name: 'Slug in the freezer', seconds: 7200 }])
    expect(rebuildWorkings(one).slug!.steps.length).toBeGreaterThan(5)
    const insert = row({ way: 'wire-insert' })
    expect([rebuildClocks(insert), rebuildChange(insert), rebuildWorkings(insert)]).toEqual([[], [], {}])
    expect(sentenceText(mendCall(one, 'rebuild'), 'metric')).toMatch(/it holds [\d.]+ times what the bolt/)
  })
  it('says of a way that its state rules out why, last and not as one that could be taken', () => {
    const { ranked } = row({ state: ['crooked'] }).planned!.ways!
    const barred = ranked.filter(way => way.why !== null).map(way => way.way)
    expect(barred).toEqual(expect.arrayContaining(['wire-insert', 'solid-insert', 'longer-bolt']))
    expect(ranked.slice(-barred.length).map(way => way.way)).toEqual(barred)
    expect(row({ state: ['crooked'] }).planned!.way).toBe(ranked[0]!.way)
  })
  it('stays off what lies beneath, and is drilled and tapped by no list where a longer bolt does', () => {
    expect(row({ way: 'weld-and-tap', beneathMm: reading(18) }).back!.list!.stopMm).toBe(17)
    const longer = row({ soundMm: reading(16), way: 'longer-bolt' })
    expect(longer.planned!.way).toBe('longer-bolt')
    expect(longer.back).toBeNull()
  })
  it('names each of its steps at the machine apart from the steps of the hand', () => {
    const { back, planned } = row({ way: 'weld-and-tap' })
    const hand = [...planned!.opening, ...planned!.rebuild].map(step => step.code)
    for (const step of back!.list!.steps) expect(hand).not.toContain(machineStep(step.id))
  })
})

describe('the groove of a mend', () => {
  const cover = named('gearbox-cover')
  const { readings } = cover.mends[0]!
  const row = (more: Partial<StoredMend>) =>
    planJob({ ...cover, mends: [{ ...mendOf('crack', readings), ...more }] }, kit).mends.rows[0]!

  it('is the one that `groove.plan` reckons: its depth, its run, its stop-holes, its metal', () => {
    const { groove, cutting, planned } = row({})
    if (!cutting || !('answer' in cutting)) throw new Error('not reckoned')
    expect(groove!.shape.depthMm).toBeCloseTo(cutting.answer.depthMm, 9)
    expect(groove!.topWidthMm).toBeCloseTo(cutting.answer.topWidthMm, 9)
    expect(groove!.runMm).toBeCloseTo(cutting.answer.runMm, 9)
    expect(groove!.stopHoles).toHaveLength(cutting.answer.stopHoles.length)
    expect(planned!.depositG).toBeCloseTo(cutting.answer.massG, 6)
    expect(planned!.passes).toBe(cutting.answer.passes)
    expect(groove!.runMm).toBeCloseTo(groove!.alongMm + 2 * 4.7625, 9)
  })
  it('takes less metal from both sides, as much as is said beside it', () => {
    const [one, both] = [row({}), row({ readings: { ...readings, sides: '2' } })]
    expect(one.bothSidesG).toBeCloseTo(both.planned!.depositG, 6)
    expect(both.bothSidesG).toBeNull()
    expect(one.bothSidesG!).toBeLessThan(one.planned!.depositG)
  })
  it('is faced where it is machined: built up proud, over its own width or the one that is said', () => {
    expect(row({}).facing).toMatchObject({
      proudMm: 1.5,
      cutsMm: expect.any(Array),
      wideMm: row({}).groove!.topWidthMm,
    })
    const wide = row({ readings: { ...readings, faceWideMm: reading(30), proudMm: reading(2) } })
    expect(wide.facing).toMatchObject({ proudMm: 2, wideMm: 30 })
    expect(wide.facing!.cutsMm.reduce((sum, cut) => sum + cut, 0)).toBeCloseTo(2, 9)
    // What is machined off is laid first.
    expect(wide.planned!.depositG).toBeGreaterThan(row({}).planned!.depositG)
    const byHand = row({ readings: { ...readings, machined: false } })
    expect(byHand.facing).toBeNull()
    expect(byHand.planned!.rebuild.map(({ code }) => code)).toEqual(['dress-rough'])
    // A seat only where it lies on one, whatever else of the part is a seat.
    const onFace = row({ readings: { ...readings, machined: false, on: ['gasket-face'] } })
    expect(onFace.planned!.rebuild.map(({ code }) => code)).toEqual(['dress-seat'])
  })
  it('is filled with the rod that is said, else with the one that suits the wall', () => {
    const rod = (rodMm?: number) =>
      row({ readings: { lengthMm: reading(60), ...(rodMm ? { rodMm: reading(rodMm) } : {}) } })
    expect([rod().rodMm, rod(1.6).rodMm]).toEqual([3.2, 1.6])
    expect(rod(1.6).planned!.passes).toBeGreaterThan(rod().planned!.passes)
  })
  it('has no ends, stop-holes or length past them where it is a ring', () => {
    const { groove, planned } = row({ readings: { lengthMm: reading(188), closed: true } })
    expect(groove).toMatchObject({ closed: true, runMm: 188, stopHoles: [] })
    expect(planned!.opening.map(step => step.code)).toEqual(['groove', 'wipe'])
  })
  it('has a bead for each pass of its log, on the side and with the number that the log gives it', () => {
    for (const order of ['alternate', 'one-then-other', 'roots-then-fills'] as const) {
      const { groove, log } = row({ order, readings: { lengthMm: reading(60), sides: '2' } })
      expect(log.passes.length).toBeGreaterThan(1)
      expect(
        groove!.beads.map(({ number, side }) => ({ number, side })).toSorted((a, b) => a.number - b.number),
      ).toEqual(log.passes.map(({ number, side }) => ({ number, side })))
    }
  })
  it('is drawn while nothing can lay it, without beads; a fillet has none', () => {
    const { groove, planned } = row({ readings: { lengthMm: reading(60), landMm: reading(100) } })
    expect(groove).toBeNull()
    expect(planned!.decision).toBe('decline')
    expect(planJob(yoke, kit).mends.rows.map(each => each.groove)).toEqual([null, null, null])
  })
})

describe('the machine set up for a mend', () => {
  const bench = (job: Job) => planJob(job, kit).mends.rows
  it('stands at the current that the mend is planned with, by its own wall and joint', () => {
    for (const row of bench(yoke)) {
      const [first] = row.setUps
      expect(first!.set.setA).toBeCloseTo(row.planned!.startA!, 6)
      expect(first!.workings.amps!.input).toMatchObject({ wallMm: row.planned!.wallMm, joint: row.planned!.joint })
      expect(first!.set.duty!.dutyPct).toBeGreaterThan(0)
      expect(first!.set.gas!.litres).toBeGreaterThan(0)
    }
  })
  it('is set once for each process and filler, the gun without wave or tungsten', () => {
    const pad = bench(yoke).find(row => row.id === 'pad')!
    expect(pad.setUps.map(({ process, filler }) => [process, filler])).toEqual([
      ['ac-tig', '4043'],
      ['mig-spool', '4043'],
    ])
    const [tig, gun] = pad.setUps
    expect(tig!.set).toMatchObject({ mig: null, dial: expect.any(Number) })
    expect(gun!.set).toMatchObject({ tig: null, wave: null, mig: { wireMMin: expect.any(Number) } })
  })
  it('goes by what is set by hand, and is none where rod and flame or nothing lays it', () => {
    const byHand = bench({ ...yoke, weld: { ...yoke.weld, currentA: reading(90) } })
    expect(byHand[0]!.setUps[0]!.set).toMatchObject({ byHand: true, setA: 90 })
    expect(bench(named('finder-ring'))[0]!.setUps).toEqual([])
    const brazed = {
      ...yoke.mends[0]!,
      lays: [{ id: 'x', process: 'al-si-braze', filler: '4047', upTo: 'cap' } as const],
    }
    expect(bench({ ...yoke, mends: [brazed] })[0]!.setUps).toEqual([])
  })
})

describe('a metal that nobody knows', () => {
  it.each(['thread', 'crack', 'window'] as const)('at a %s is said, and the rest of the job is planned', kind => {
    const readings: StoredMend['readings'] =
      kind === 'thread'
        ? { thread: 'M8', deepMm: reading(16) }
        : kind === 'crack'
          ? { lengthMm: reading(30) }
          : { wideMm: reading(30), highMm: reading(20) }
    const lays = [{ id: 'l', process: null, filler: 'coat hanger', upTo: 'cap' as const }]
    const lug = { ...mendOf('crack', { lengthMm: reading(42) }), id: 'lug' }
    const { mends } = planJob({ ...named('signal-bracket'), mends: [{ ...mendOf(kind, readings), lays }, lug] }, kit)
    expect(mends.rows[0]).toMatchObject({
      planned: null,
      reason: expect.stringMatching(/^Filler: "coat hanger" is not/),
    })
    expect(mends.rows[1]!.log.passes.length).toBeGreaterThan(0)
  })
  it('of the other piece is said too', () => {
    const joint = {
      ...mendOf('joint', { joint: 'tee', lengthMm: reading(60) }),
      other: { alloy: 'tin', wallMm: reading(4) },
    }
    const { rows } = planJob({ ...named('signal-bracket'), mends: [joint] }, kit).mends
    expect(rows[0]!.reason).toMatch(/^The other piece is of: "tin" is not in the alloy table/)
  })
})

describe('a bend that is a mend', () => {
  it('is charged for the presses that it is shown in, and says what it springs back by', () => {
    const bend = mendOf('bent', { bentMm: reading(3), overMm: reading(60) })
    const [row] = planJob({ ...named('signal-bracket'), mends: [bend] }, kit).mends.rows
    const found = row!.bend
    if (!found || !('answer' in found)) throw new Error('not pressed back')
    const press = row!.planned!.rebuild.find(({ code }) => code === 'press-back')
    expect(press!.handMin).toBe(found.answer.steps.length * 8)
    expect(sentenceText(rebuildWhy(row!)[0]!, 'metric')).toMatch(/^Press it back in \w+ steps: it springs back/)
    expect(rebuildWorkings(row!).bend!.steps).toHaveLength(2)
    expect(row).toMatchObject({ planned: { depositG: 0, opening: [] }, back: null, patch: null })
  })
})

describe('a patch let in', () => {
  it('is cut by the outline of its hole, its corners rounded, its bevel half as wide as the groove', () => {
    const patch = mendOf('window', { wideMm: reading(80), highMm: reading(50) })
    const [row] = planJob({ ...named('signal-bracket'), mends: [patch] }, kit).mends.rows
    const span = (layer: string, axis: 0 | 1) => {
      const at = row!.patch!.filter(line => line.layer === layer).flatMap(line => line.pointsMm.map(p => p[axis]))
      return Math.max(...at) - Math.min(...at)
    }
    expect([span('patch', 0), span('patch', 1)]).toEqual([80, 50])
    expect((span('patch', 0) - span('bevel', 0)) / 2).toBeCloseTo(row!.groove!.topWidthMm / 2, 6)
  })
})
