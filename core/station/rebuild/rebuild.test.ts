import { readFileSync } from 'node:fs'
import Parser from 'dxf-parser'
import { PDFDocument } from 'pdf-lib'
import { describe, expect, it } from 'vitest'
import { outlinesDxf } from '../../groove/template'
import { readFile } from '../../job/files'
import { applyPatch } from '../../job/patch'
import { COMBS, combPdf } from '../../thread/comb-pdf'
import { kitDrills } from '../../thread/kit-drills'
import { BOSS_METHODS } from '../../thread/methods.table'
import { bossOutline, outlinesSvg, patchOutline, slugOutline } from './drawings'
import { rebuildWhy } from '../mends/rebuild-words'
import { oneMend } from '../one-mend.fixture'
import { planJob } from '../plan-job'
import { sentenceText } from '../hand-over/record'

const file = readFile(readFileSync(new URL('../../../demo/larkmoor-bench.json', import.meta.url), 'utf8'))
if (!file.ok) throw new Error('the demo does not read')
const kit = file.kit!
const bracket = file.jobs.find(job => job.id === 'signal-bracket')!
const edit = (path: string, value: unknown, job = bracket) => applyPatch(job, { path: path.split('.'), value })
const plan = (job = bracket) => planJob(job, kit).rebuild
const bolt = (readings: object, job = bracket) =>
  planJob(
    edit('mends.#bolt.readings', { ...oneMend(job, 'bolt').mends[0]!.readings, ...readings }, oneMend(job, 'bolt')),
    kit,
  ).mends.rows[0]!

/** By a way that its state leaves: a thread is cast round a screw in a shallow hole only. */
const sound = (way: string) => bolt({ way, deepMm: { typed: '10 mm', value: 10 } })

describe('the list at the machine', () => {
  const by = (way: string) => sound(way).back!.list!
  it.each(BOSS_METHODS)('%s: starts at zero, ends with the real bolt, and says everything in figures', way => {
    const { steps } = by(way)
    expect(steps[0]!.id).toBe('zero')
    expect(steps.at(-1)!.id).toBe('prove')
    expect(new Set(steps.map(step => step.id)).size).toBe(steps.length)
    for (const step of steps) expect(sentenceText(step.say, 'metric')).not.toMatch(/NaN|undefined|Infinity/)
  })
  it('bores before it turns, faces before it drills, and drills before it taps (common practice, no source)', () => {
    const order = by('pressed-slug').steps.map(step => step.id)
    const before = (a: string, b: string) => expect(order.indexOf(a), `${a} before ${b}`).toBeLessThan(order.indexOf(b))
    for (const [a, b] of [
      ['bore', 'turn'],
      ['turn', 'fit'],
      ['fit', 'weld-rim'],
      ['weld-rim', 'face-1'],
      ['face-1', 'drill'],
      ['drill', 'countersink'],
      ['countersink', 'tap'],
    ] as const)
      before(a, b)
  })
  it('stops a millimetre before what lies beneath, and takes its drill out of the kit', () => {
    const { stopMm, tapDrills } = by('weld-and-tap')
    expect(stopMm).toBeLessThanOrEqual(23)
    expect(tapDrills[0]!.name).toBe('6.8 mm')
    expect(tapDrills.every(drill => kitDrills(kit.drills).drills.some(own => own.name === drill.name))).toBe(true)
  })
  it('names tap drills only where the thread itself is drilled for', () => {
    for (const way of BOSS_METHODS) expect(by(way).tapDrills.length > 0, way).toBe(!/insert|screw/.test(way))
  })
  it('has none without a thread, and says why a slug cannot be', () => {
    expect(bolt({ thread: '' })).toMatchObject({ back: null, wants: ['thread'] })
    const narrow = bolt({ bossMm: { typed: '12 mm', value: 12 } })
    expect(narrow).toMatchObject({ back: null, planned: { decision: 'decline', because: ['way-ruled-out'] } })
    expect(narrow.planned!.ruledOut).toContainEqual({ way: 'pressed-slug', why: 'wall-too-thin' })
    const deep = bolt({ facedMm: { typed: '4 mm', value: 4 } })
    expect(sentenceText(rebuildWhy(deep).at(-1)!, 'metric')).toMatch(/^No slug: facing 4 mm takes the whole groove/)
  })
})

describe('the boss in section', () => {
  it("shows the new metal of the way taken: the slug's own bore, the insert's outside (ASME B18.29.1: d + 1.299 P), the whole boss", () => {
    const metal = (way: string) => sound(way).back!.newMetal!
    expect(metal('pressed-slug').acrossMm).toBe(14)
    expect(metal('wire-insert').acrossMm).toBeCloseTo(8 + 1.299038 * 1.25, 4)
    expect(metal('new-boss').acrossMm).toBe(26)
    for (const way of BOSS_METHODS) expect(metal(way).deepMm, way).toBeGreaterThan(0)
  })
})

describe('a box of drills', () => {
  it('is read as it is written', () => {
    const { drills, unread } = kitDrills('1 to 3 by 0.5, 17/64 in; letter F\nNo. 7, f, 6.8, rubbish')
    expect(drills.map(drill => drill.name)).toEqual(
      ['1 mm', '1.5 mm', '2 mm', '2.5 mm', '3 mm', 'No. 7', 'letter F', '17/64 in', '6.8 mm'].toSorted(
        (a, b) => drills.findIndex(drill => drill.name === a) - drills.findIndex(drill => drill.name === b),
      ),
    )
    expect(unread).toEqual(['rubbish'])
    expect(kitDrills(' ').drills.length).toBeGreaterThan(400)
  })
})

describe('slug, boss and patch as drawings', () => {
  const extent = (points: { x: number; y: number }[]) => [
    Math.max(...points.map(at => at.x)) - Math.min(...points.map(at => at.x)),
    Math.max(...points.map(at => at.y)) - Math.min(...points.map(at => at.y)),
  ]
  const layer = (text: string, name: string) =>
    new Parser()
      .parseSync(text)!
      .entities.filter(entity => entity.layer === name)
      .flatMap(entity => (entity as unknown as { vertices: { x: number; y: number }[] }).vertices)
  it('come back in millimetres by another reader', () => {
    expect(extent(layer(outlinesDxf(slugOutline(14.03, 16.5, 2.5)), 'slug'))).toEqual([
      expect.closeTo(16.5, 6),
      expect.closeTo(14.03, 6),
    ])
    expect(extent(layer(outlinesDxf(bossOutline(26, 14, 16, 2.5, 24)), 'boss'))).toEqual([
      expect.closeTo(24, 6),
      expect.closeTo(26, 6),
    ])
    expect(extent(layer(outlinesDxf(patchOutline(80, 50, 6, 3)), 'patch'))).toEqual([
      expect.closeTo(80, 6),
      expect.closeTo(50, 6),
    ])
    expect(extent(layer(outlinesDxf(patchOutline(80, 50, 6, 3)), 'bevel'))).toEqual([
      expect.closeTo(74, 6),
      expect.closeTo(44, 6),
    ])
  })
  it('as SVG have their own size and no way in for a title', () => {
    const svg = outlinesSvg(slugOutline(14, 16, 2.5), '<script>"&')
    expect(svg).toContain('width="26mm"')
    expect(svg).not.toContain('<script>')
  })
})

describe('the face and the holes in the plan', () => {
  it('say what to do with it, and what bolting it flat would lock in', () => {
    const said = plan()
      .why.map(sentence => sentenceText(sentence, 'metric'))
      .join('\n')
    expect(said).toMatch(/The face: 0\.1\d+ mm out of flat, crowned/)
    expect(said).toMatch(/Bolted flat instead, it would lock in \d+/)
    expect(said).toMatch(/Bolt circle 56\.\d+ mm/)
    expect(plan().workings.flat!.steps.length).toBeGreaterThan(2)
  })
  it('say what is wanted', () =>
    expect(plan(edit('rebuild.face.points', bracket.rebuild.face.points.slice(0, 2))).data.face).toEqual({
      reason: 'four readings at least',
    }))
})

describe('the pitch combs', () => {
  it('go on one page, each with a whole number of teeth, from fine to coarse', async () => {
    const pdf = await PDFDocument.load(await combPdf())
    expect(pdf.getPageCount()).toBe(1)
    for (let n = 1; n < COMBS.length; n++) expect(COMBS[n]!.pitchMm).toBeGreaterThanOrEqual(COMBS[n - 1]!.pitchMm)
    expect(COMBS.find(comb => comb.label === '11 an inch')).toMatchObject({ flankDeg: 55, pitchMm: 25.4 / 11 })
  })
})
