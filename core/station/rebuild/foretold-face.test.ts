import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { readFile } from '../../job/files'
import type { Job } from '../../job/job.schema'
import { findAlloy } from '../../metal/find-alloy'
import { mechanicalOf } from '../../metal/mechanical.table'
import { BOW, bowOf, fewOf, foretoldFace } from './foretold-face'
import { lessonsOf } from '../shop/lessons'
import { bowSentence } from '../pull/pull-says'
import { sentenceText } from '../hand-over/record'

/** A face that bows by a parabola, 0.3 mm over 200 mm, 60 mm wide. */
const bowed = Array.from({ length: 11 }, (_, n) => n * 20).flatMap(x =>
  [0, 30, 60].map((y): [number, number, number] => [x, y, 0.3 * (1 - ((x - 100) / 100) ** 2)]),
)
const metal = { mechanical: mechanicalOf(findAlloy('356')!), thickMm: 10 }

describe('a face as it is foretold', () => {
  it('over-built by its bow and a last cut it cleans up; its bow bolted flat locks in 4 E t h ÷ L²', () => {
    const face = foretoldFace({ id: 'w1', name: 'gasket face', mm: 0.3, points: bowed }, 0.05, metal)!
    expect(face.zoneMm).toBeCloseTo(0.3, 6)
    expect(face.overBuildMm).toBeCloseTo(0.5, 9)
    expect(face.bolted!.stressMPa).toBeCloseTo((4 * metal.mechanical.youngMPa * 10 * 0.3) / 200 ** 2, 6)
    // Crowned, it stands on its middle: the ends are lapped for by all of the bow less what may stay.
    expect(face.lap.removeMm).toBeGreaterThan(0.2)
  })
  it('says nothing of too few places, or of ones in a line, nor of bolting without a thickness', () => {
    const entry = { id: 'w1', name: 'face', mm: 0 }
    expect(foretoldFace({ ...entry, points: bowed.slice(0, 3) }, 0.05, metal)).toBeNull()
    expect(foretoldFace({ ...entry, points: bowed.filter(([, y]) => y === 0) }, 0.05, metal)).toBeNull()
    expect(foretoldFace({ ...entry, points: bowed }, 0.05, null)!.bolted).toBeNull()
  })
  it('keeps some dozens of the places looked at', () => {
    const atMm = Array.from({ length: 500 }, (_, n): [number, number] => [n, 2 * n])
    const kept = fewOf({ kind: 'face', minimumZoneMm: 0, shape: 'flat', atMm, heightsMm: atMm.map(([x]) => x / 1000) })
    expect(kept.length).toBeLessThanOrEqual(90)
    expect([kept[0], kept.at(-1)]).toEqual([
      [0, 0, 0],
      [499, 998, 0.499],
    ])
  })
})

describe("a shop's own faces against what was foretold of them", () => {
  const one = { id: 'w1', name: 'gasket face', mm: 0.3, points: bowed }
  const job = (foretold: Job['weld']['foretold']) => ({ weld: { foretold } }) as Job
  it('are paired where one face was foretold and measured', () => {
    expect(bowOf(job([one]), 0.36)!.measuredMm / bowOf(job([one]), 0.36)!.foretoldMm).toBeCloseTo(1.2, 6)
    expect(bowOf(job([one]), null)).toBeNull()
    expect(bowOf(job([one, { ...one, id: 'w2' }]), 0.36)).toBeNull()
    // A bore has no face: it does not count.
    expect(bowOf(job([one, { id: 'w2', name: 'bore', mm: 0.02, points: [] }]), 0.3)!.foretoldMm).toBeCloseTo(0.3, 6)
  })
  it('teach a factor with its interval, which the plan and the foretold face go by once it is taken', () => {
    const file = readFile(readFileSync(new URL('../../../demo/larkmoor-bench.json', import.meta.url), 'utf8'))
    if (!file.ok) throw new Error('the demo shop does not read')
    const { ratio } = lessonsOf(file.jobs, file.kit!).learnt.find(({ key }) => key === BOW)!
    // Geometric mean of 1.12, 1.34 and 0.95, drawn towards one by two jobs' worth.
    expect(ratio.ratio).toBeCloseTo((1.12 * 1.34 * 0.95) ** (1 / 5), 2)
    expect(ratio.low!).toBeLessThan(1)
    expect(ratio.high!).toBeGreaterThan(1.2)
    const learnt = { at: '2026-11-12T09:00:00Z', ratios: { [BOW]: ratio }, odds: null }
    expect(sentenceText(bowSentence(learnt)!, 'metric')).toMatch(
      /came out 1\.\d+ times as bowed .* from three finished jobs/,
    )
    expect(bowSentence(null)).toBeNull()
    expect(foretoldFace(one, 0.05, metal, 1.2)!.zoneMm).toBeCloseTo(0.36, 6)
  })
})
