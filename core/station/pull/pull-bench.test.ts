import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { NoAnswer } from '../../ask/question'
import { readFile } from '../../job/files'
import type { Job } from '../../job/job.schema'
import { mm } from '../../quantity/stored'
import { questions } from '../../questions'
import { shapeOfPieces } from '../../solid/stored/to-shape'
import { warpInput } from '../../warp/schema'
import type { Watched } from '../../warp/watch'
import { pathLongMm, pathOf, placeAlongMm } from '../../solid/stored/to-shape'
import { notesOnPart, groovesOnPart, stepsOnPart, unmarked } from '../take-in/on-the-part'
import { planJob } from '../plan-job'
import { pullBench } from './pull-bench'
import { bestWay, foretoldWhy, heldSentence, pullSentence, pullWhy } from './pull-says'
import { oneMend } from '../one-mend.fixture'
import { readySetup, partSolid } from '../take-in/part-solid'
import { firstSetup } from '../warm/heat-bench'
import { sentenceText } from '../hand-over/record'

const file = readFile(readFileSync(new URL('../../../demo/larkmoor-bench.json', import.meta.url), 'utf8'))
if (!file.ok) throw new Error('the demo does not read')
const kit = file.kit!
const jobOf = (id: string) => file.jobs.find(job => job.id === id)!
const whole = jobOf('gearbox-cover')
const cover = oneMend(whole, 'flange')
const yoke = jobOf('lamp-yoke')
const shapeOf = (job: Job) => shapeOfPieces(job.shape.pieces)
const benchOf = (job: Job) => pullBench(job, planJob(job, kit), shapeOf(job))
const reason = (job: Job) => {
  try {
    benchOf(job)
    return ''
  } catch (error) {
    return error instanceof NoAnswer ? error.message : 'fault'
  }
}

/** A groove so wide that each of its sides takes several passes. */
const WIDE = { includedDeg: { typed: '120°', value: 120 }, landMm: { typed: '0 mm', value: 0 } }

describe('the pull bench', () => {
  it('asks for every pass on its line, and for what the marks say may not move', () => {
    const { ways, watched } = benchOf(cover)
    expect(watched.map(each => each.name)).toEqual(['gasket face', 'bearing bore', 'bolt pattern'])
    expect(ways[0]!.id).toBe('planned')
    for (const { asked } of ways)
      expect(warpInput.safeParse({ ...asked, alloy: asked.alloy.name }).error).toBeUndefined()
    const [planned] = ways
    expect(planned!.asked.beads.length).toBeGreaterThan(1)
    expect(planned!.asked.beads[0]!.depthMm).toBeGreaterThan(planned!.asked.beads.at(-1)!.depthMm)
  })
  it('other ways change what their name says and nothing else', () => {
    const { ways } = benchOf(cover)
    const of = (id: string) => ways.find(way => way.id === id)!.asked
    expect(of('held').hold).toHaveProperty('pressed')
    expect(of('held').beads).toEqual(of('planned').beads)
    expect(of('middle-out').beads).toHaveLength(2 * of('planned').beads.length)
    expect(of('warm').beads[0]!.strainAlong!).toBeGreaterThan(of('planned').beads[0]!.strainAlong!)
    const area = (id: string) => of(id).beads[0]!.widthMm * of(id).beads[0]!.depthMm * -of(id).beads[0]!.strainAlong!
    expect(area('narrow')).toBeLessThan(area('planned'))
    expect(of('slow')).toMatchObject({ slowC: 200, beads: of('planned').beads })
    const [planned, peened] = [of('planned').beads, of('peened').beads]
    expect(peened.map((each, n) => Math.round((100 * each.strainAlong!) / planned[n]!.strainAlong!))).toEqual(
      planned.map((_, n) => (n > 0 && n < planned.length - 1 ? 60 : 100)),
    )
    const steps = of('back-step').beads
    expect(steps.map(({ id }) => id).slice(0, 3)).toEqual([1, 2, 3].map(n => expect.stringContaining(`, step ${n}`)))
    // A step ends where the one before it began.
    expect(steps[1]!.pathMm.at(-1)).toEqual(steps[0]!.pathMm[0])
    expect(of('cold').beads[0]!.strainAlong!).toBeLessThan(of('planned').beads[0]!.strainAlong!)
    expect(new Set(ways.map(({ id }) => id)).size).toBe(ways.length)
    // Planned with the sides in turn it begins with both roots: what is planned already is not offered once more.
    const twoSided = benchOf({
      ...cover,
      mends: cover.mends.map(mend => ({ ...mend, readings: { ...mend.readings, sides: '2', ...WIDE } })),
    }).ways
    expect(twoSided[0]!.asked.beads.slice(0, 2).map(({ face }) => face)).toEqual(['top', 'bottom'])
    expect(twoSided.map(({ id }) => id)).not.toContain('roots-first')
    expect(
      twoSided
        .find(({ id }) => id === 'one-side')!
        .asked.beads.slice(0, 2)
        .map(({ face }) => face),
    ).toEqual(['top', 'top'])
    const corners: [number, number, number][] = [
      [150, 60, 57],
      [150, 168, 57],
      [10, 168, 57],
      [10, 61, 57],
    ]
    const marks = cover.shape.marks.map(mark => (mark.kind === 'mend' ? { ...mark, path: corners } : mark))
    const round = benchOf({ ...cover, shape: { ...cover.shape, marks } }).ways.find(way => way.id === 'quarters')!.asked
    expect(ways.map(({ id }) => id)).not.toContain('quarters')
    const [first, opposite, second] = round.beads.map(({ pathMm }) => pathMm)
    const long = pathLongMm([[10, 60, 57.2], ...corners])
    for (const part of [first, opposite, second]) expect(pathLongMm(part as never)).toBeCloseTo(long / 4, 6)
    expect(second![0]).toEqual(first!.at(-1))
    expect(opposite![0]).not.toEqual(first!.at(-1))
    const peens = benchOf({ ...cover, weld: { ...cover.weld, peen: 'last' } }).ways
    expect(peens.map(({ id }) => id)).not.toContain('peened')
    expect(peens[0]!.asked.beads.at(-1)!.strainAlong! / planned.at(-1)!.strainAlong!).toBeCloseTo(0.6, 9)
  })
  it('clamps bars across a run that has room for them, and it springs back less than free (a case of the trade)', () => {
    expect(benchOf(cover).ways.map(way => way.id)).not.toContain('strongback')
    const [piece] = yoke.shape.pieces.filter(each => each.kind === 'plate')
    const size = { lengthMm: mm(112), widthMm: mm(128), thickMm: mm(8) }
    const plate: Job = {
      ...cover,
      shape: {
        mesh: null,
        pieces: [{ ...piece!, size, at: { x: mm(0), y: mm(0), z: mm(0) } }],
        marks: [
          {
            ...cover.shape.marks.find(mark => mark.kind === 'mend')!,
            face: 'top',
            at: { x: mm(36), y: mm(64), z: mm(8) },
            path: [[76, 64, 8]],
          },
          {
            ...cover.shape.marks.find(mark => mark.kind === 'fixed-face')!,
            face: 'top',
            at: { x: mm(20), y: mm(20), z: mm(8) },
          },
        ],
      },
    }
    const { ways } = benchOf(plate)
    const { hold, beads } = ways.find(way => way.id === 'strongback')!.asked
    expect(beads).toEqual(ways[0]!.asked.beads)
    expect(hold).toMatchObject({
      on: 'top',
      pressed: [{ atMm: [46, 4, 8] }, { atMm: [46, 64, 8] }, { atMm: [46, 124, 8] }, {}, {}, {}],
    })
    const bow = (id: string) => {
      const { asked } = ways.find(way => way.id === id)!
      const told = questions.ask('warp.simulate', {
        ...asked,
        beads: asked.beads.slice(0, 2),
        cellMm: 4,
        alloy: asked.alloy.name,
      })
      if (!told.ok) throw new Error(JSON.stringify(told.error))
      return (told.answer as { watched: { minimumZoneMm: number }[] }).watched[0]!.minimumZoneMm
    }
    expect(bow('strongback')).toBeLessThan(bow('planned'))
  })
  it('clamps bars over a patch and past it on both sides, and reads no limit of a seal on a floor', () => {
    const { ways, watched } = benchOf(jobOf('cider-tray'))
    const { hold } = ways.find(way => way.id === 'strongback')!.asked
    expect(hold).toMatchObject({
      on: 'top',
      pressed: [{ atMm: [135, 25, 3] }, { atMm: [135, 150, 3] }, {}, {}, {}, {}],
    })
    expect(watched).toEqual([{ name: 'floor', limitMm: null }])
  })
  it('says what is still wanted', () => {
    const without = (kind: string) => ({
      ...cover,
      shape: { ...cover.shape, marks: cover.shape.marks.filter(mark => mark.kind !== kind) },
    })
    expect(reason(without('mend'))).toContain('mark on the part where it is mended')
    const bare = { ...cover, shape: { ...cover.shape, marks: cover.shape.marks.filter(mark => mark.kind === 'mend') } }
    expect(reason(bare)).toContain('mark what may not move')
  })
  it('says of every mark that is too little said to be watched what it wants, and watches the rest by their names', () => {
    const marks = cover.shape.marks
    const told = (of: typeof marks) => benchOf({ ...cover, shape: { ...cover.shape, marks: of } })
    const bore = told(
      marks.map(mark => (mark.kind === 'fixed-bore' ? { ...mark, acrossMm: { typed: '', value: null } } : mark)),
    )
    expect(bore.watched.map(({ name }) => name)).toEqual(['gasket face', 'bolt pattern'])
    expect(bore.unwatched).toEqual([
      { mark: expect.any(String) as string, name: 'bearing bore', wants: 'its diameter is not said' },
    ])
    const [hole] = marks.filter(mark => mark.kind === 'holes')
    const one = told(marks.filter(mark => mark.kind !== 'holes' || mark === hole))
    expect(one.unwatched.map(({ wants }) => wants)).toEqual(['one hole alone has no pattern: mark the others'])
    expect(benchOf(cover).unwatched).toEqual([])
    const only = marks.flatMap(mark =>
      mark.kind === 'mend'
        ? [mark]
        : mark.kind === 'fixed-bore'
          ? [{ ...mark, acrossMm: { typed: '', value: null } }]
          : [],
    )
    expect(reason({ ...cover, shape: { ...cover.shape, marks: only } })).toContain('its diameter is not said')
  })
  const face = (mm: number): Watched => ({ kind: 'face', minimumZoneMm: mm, shape: 'bent', atMm: [], heightsMm: [] })
  const way = (id: 'planned' | 'held' | 'warm', mm: number) => ({ id, stages: [{ watched: [face(mm)] }] })
  const watched = [{ name: 'gasket face', limitMm: 0.05 }]
  it('names the truest way with what it saves, and none where none is worth another set-up', () => {
    expect(bestWay([way('planned', 0.4), way('held', 0.2), way('warm', 0.3)], watched)).toEqual({
      id: 'held',
      savesPct: expect.closeTo(50, 6) as number,
    })
    expect(bestWay([way('planned', 0.4), way('held', 0.38)], watched)).toBeNull()
    // What no bench measures has nothing to save.
    expect(bestWay([way('planned', 0.0001), way('held', 0)], watched)).toBeNull()
    expect(bestWay([way('planned', 0.4), way('held', 0)], watched)).toMatchObject({ id: 'held' })
  })
  it('gives a band on every figure and says which limit it passes', () => {
    expect(sentenceText(pullSentence(way('planned', 0.4), watched), 'metric')).toMatch(/gasket face .* to /)
    expect(sentenceText(pullSentence(way('planned', 0.0001), watched), 'metric')).toBe(
      'Laid as planned it pulls: gasket face under 0.002 mm.',
    )
    const why = pullWhy(way('planned', 0.4), watched, null).map(sentence => sentenceText(sentence, 'metric'))
    expect(why[0]).toContain('face it after the weld')
    expect(why.at(-1)).toContain('a third either way')
  })
  it('tells what it carries while it is held, how far a crack would run, and nothing of a way that is free', () => {
    const held = heldSentence({ id: 'held', meanMPa: 15.4, heldMeanMPa: 27.8 }, { meanMPa: 17.1 })!
    expect(sentenceText(held, 'metric')).toMatch(
      /^Held \(clamped flat .* 27.8 MPa .* 15.4 MPa let go; laid free, 17.1 MPa/,
    )
    expect(heldSentence({ id: 'warm', meanMPa: 15, heldMeanMPa: null }, { meanMPa: 17 })).toBeNull()
    const tension = { mpa: 80, along: [0, 1, 0] as [number, number, number], atMm: [10, 20, 5] as const }
    const left = { tension, crack: { lengthMm: 9.2 } }
    const why = pullWhy(way('planned', 0.4), watched, null, left).map(each => sentenceText(each, 'metric'))
    expect(why.join(' ')).toContain('about 9.0 mm before the pull has halved')
  })
  it('stands beside what was measured', () => {
    const said = foretoldWhy([{ id: 'w1', name: 'gasket face', mm: 0.4, points: [] }], 0.3).map(each =>
      sentenceText(each, 'metric'),
    )
    expect(said[0]).toMatch(/Foretold.*measured/)
    expect(foretoldWhy([], 0.3)).toEqual([])
  })
})

describe('marks on the part', () => {
  it('are numbered where a station has something to say, by its own words', () => {
    const plan = planJob(cover, kit)
    const words = (station: Parameters<typeof notesOnPart>[0]) =>
      notesOnPart(station, cover, plan).map(note => `${note.number} ${sentenceText(note.words, 'metric')}`)
    expect(words('open')).toEqual(['1 crack through the flange: 4 steps, 2 stop-holes of 3.2 mm'])
    expect(notesOnPart('open', whole, planJob(whole, kit)).map(note => sentenceText(note.words, 'metric'))).toEqual([
      'crack through the flange: 4 steps, 2 stop-holes of 3.2 mm',
      'drain thread stripped: 2 steps',
      'pitted beside a bolt hole: 2 steps',
    ])
    expect(words('weld')[0]).toContain('3 passes, AC TIG')
    expect(words('warm').join()).toContain('lip seal: not over 100 °C')
    expect(words('prove').join()).toContain('gasket face: ')
    expect(unmarked(cover)).toEqual([])
    expect(unmarked({ ...cover, shape: { ...cover.shape, marks: [] } })).toHaveLength(3)
  })
  it('carry the stop-holes past both ends of the crack as it was walked along, and the tacks on it', () => {
    const path = pathOf(cover.shape.marks[0]!)!
    const found = groovesOnPart(cover, planJob(cover, kit))
    const holes = found.filter(each => each.kind === 'stop-hole')
    expect(holes).toHaveLength(2)
    const past = (4.7625 / 111.125) * pathLongMm(path)
    expect(Math.hypot(...holes[0]!.at.map((value, axis) => value - path[0]![axis]!))).toBeCloseTo(past, 2)
    expect(found.filter(each => each.kind === 'tack').length).toBeGreaterThan(1)
    expect(
      placeAlongMm(
        [
          [0, 0, 0],
          [10, 0, 0],
          [10, 20, 0],
        ],
        15,
      ),
    ).toEqual([10, 5, 0])
  })
  it('lay their passes in the order of the plan, mend by mend', () => {
    const steps = stepsOnPart(yoke, planJob(yoke, kit))
    const order = [...new Set(steps.map(step => step.mark))]
    expect(order.length).toBeGreaterThan(1)
    expect(steps.length).toBe(planJob(yoke, kit).mends.rows.reduce((sum, row) => sum + (row.planned?.passes ?? 0), 0))
    // Each with its own number, turn about where that is the order: an arc without rod is no pass.
    const [first, second] = stepsOnPart(cover, planJob(cover, kit))
    expect([first!.words, second!.words]).toEqual([
      'crack through the flange: AC TIG, pass 1 of 3, side 1',
      'crack through the flange: AC TIG, pass 2 of 3, side 1',
    ])
  })
  it('are what the heat bench watches, on the metal of a bore and not in its middle', () => {
    const begun = (job: Job) => firstSetup(job, planJob(job, kit).warm.data)
    const setup = readySetup(cover, begun(cover))
    const zones = (made = begun(whole)) =>
      readySetup(whole, made).places.flatMap(place => (place.kind === 'weld-zone' ? [place.id] : []))
    // A flame is meant for what it is held on; an oven warms every mend.
    expect(zones()).toEqual(['crack'])
    const first = begun(whole)
    const drain = whole.shape.marks.find(mark => mark.id === 'drain')!
    expect(zones({ ...first, heat: { ...first.heat, kind: 'held', at: drain.at } })).toEqual(['drain'])
    expect(zones({ ...first, heat: { ...first.heat, kind: 'oven' } })).toEqual(['crack', 'drain', 'pitted'])
    expect(setup.parts).toEqual(cover.shape.pieces)
    expect(setup.places.map(place => place.kind)).toContain('weld-zone')
    const bore = setup.places.find(place => place.name === 'bearing bore')!
    expect(bore.at.x.value).toBeCloseTo(190 + 47 / 2 + 1, 6)
  })
  it('a part without a shape is a plain block of its sizes, and says so', () => {
    const plain = { ...cover, shape: { pieces: [], mesh: null, marks: [] } }
    expect(partSolid(plain)).toMatchObject({ from: 'sizes', solid: { pieces: [{ kind: 'hollow-box' }] } })
    expect(partSolid({ ...plain, takeIn: { ...plain.takeIn, lengthMm: { typed: '', value: null } } })).toBeNull()
  })
})
