import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { readFile } from '../core/job/files'
import { findAlloy } from '../core/metal/find-alloy'
import { measured } from '../core/solid/measure'
import { pathLongMm, pathOf, shapeOfSolid } from '../core/solid/stored/to-shape'
import { planJob } from '../core/station/plan-job'
import { stored as storedReading } from '../core/quantity/stored'
import { measurePhoto } from '../core/photo/measure'
import { layOn, missing } from '../core/groove/template'
import { BROKEN, FLANGE, LOST_MM2, SOUND, lengthMm, makePictures } from './make-pictures'
import { makeShop } from './make-shop'

describe('the made-up shop', () => {
  it('stands in its file as it is made', () =>
    expect(readFileSync(new URL('./larkmoor-bench.json', import.meta.url), 'utf8')).toBe(makeShop()))
  it('keeps away from what the demo may not show', () =>
    expect(makeShop()).not.toMatch(/\b(car|boat|engine|chain ?saw|wheel|motor|tractor|tool ?box)\b/i))
})

describe('the made-up shop agrees with itself', () => {
  const file = readFile(makeShop())
  if (!file.ok) throw new Error('the demo does not read')
  const kit = file.kit!
  const shaped = file.jobs.flatMap(job => {
    const shape = shapeOfSolid(job.shape)
    return shape ? [{ name: job.id, job, seen: measured(shape), plan: planJob(job, kit) }] : []
  })
  const near = (is: number, said: number, share: number) => expect(Math.abs(is / said - 1)).toBeLessThan(share)

  it.each(shaped)('$name: its shape has the sizes that were taken, and the weight', ({ job, seen, plan }) => {
    const { lengthMm, widthMm, heightMm } = job.takeIn
    for (const [n, size] of [lengthMm, widthMm, heightMm].entries()) near(seen.sizeMm[n]!, size.value!, 0.01)
    const alloy = findAlloy(plan.know.data.alloy.name)!
    const said = job.know.dryG.value ?? job.warm.massG.value
    if (said !== null) near((seen.volumeMm3 * alloy.densityGcm3) / 1000, said, 0.02)
  })
  it.each(shaped)('$name: one of its pieces is as thick as its wall', ({ job }) => {
    const thick = job.shape.pieces.flatMap(({ size }) => Object.values(size).map(({ value }) => value!))
    expect(thick.some(mm => Math.abs(mm - job.takeIn.wallMm.value!) < 0.01)).toBe(true)
  })
  it.each(shaped)('$name: a mend marked along a line is as long as it was read', ({ job }) => {
    for (const mark of job.shape.marks.filter(({ kind, path }) => kind === 'mend' && path.length)) {
      const { lengthMm } = job.mends.find(({ id }) => id === mark.mend)!.readings
      near(pathLongMm(pathOf(mark)!), storedReading.parse(lengthMm).value!, 0.1)
    }
  })
  it('minutes that were taken lie by those that were planned, job by job', () => {
    const done = file.jobs.filter(job => Object.keys(job.handOver.actualMin).length)
    expect(done.length).toBeGreaterThan(20)
    for (const job of done) {
      const { phases } = planJob(job, kit)['hand-over'].data
      const taken = phases.reduce((sum, { id }) => sum + (job.handOver.actualMin[id] ?? 0), 0)
      const planned = phases.reduce((sum, { minutes }) => sum + minutes, 0)
      expect(taken / planned, job.id).toBeGreaterThan(0.6)
      expect(taken / planned, job.id).toBeLessThan(1.7)
    }
  })
})

describe('the made-up pictures', () => {
  it('stand in their files as they are made', () => {
    for (const [id, bytes] of Object.entries(makePictures()))
      expect(
        Buffer.compare(readFileSync(new URL(`./pictures/${id}.jpg`, import.meta.url)), Buffer.from(bytes)),
        id,
      ).toBe(0)
  })
  it('measure what they show: the crack by the card, seen at a slant', () => {
    const known = FLANGE.card.map((_, n) => ({
      px: FLANGE.view.toPx(FLANGE.card[n]!),
      mm: (
        [
          [0, 0],
          [85.6, 0],
          [85.6, 54],
          [0, 54],
        ] as const
      )[n]!,
    }))
    expect(measurePhoto(known, FLANGE.crack.map(FLANGE.view.toPx), 1).lengthMm).toBeCloseTo(lengthMm(FLANGE.crack), 6)
  })
  it('the sound lug, turned over on the broken one, shows what it lost', () => {
    const onPart = ({ view, holes, outline, apartMm }: typeof SOUND) => {
      const scale = [
        { px: view.toPx(holes[0]!), mm: [0, 0] as const },
        { px: view.toPx(holes[1]!), mm: [apartMm, 0] as const },
      ]
      return {
        outline: measurePhoto(scale, outline.map(view.toPx), 1).pointsMm,
        holes: measurePhoto(scale, holes.map(view.toPx), 1).pointsMm,
      }
    }
    const [sound, broken] = [onPart(SOUND), onPart(BROKEN)]
    const { place, misfitMm } = layOn(sound.holes, broken.holes, true)
    expect(misfitMm).toBeLessThan(1e-6)
    expect(missing(sound.outline.map(place), broken.outline).areaMm2).toBeCloseTo(LOST_MM2, 0)
  })
})
