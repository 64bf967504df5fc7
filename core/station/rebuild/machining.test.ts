import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { planSlug } from '../../fit/slug'
import { findAlloy } from '../../metal/find-alloy'
import { DRILLS } from '../../thread/drills.table'
import { findThread } from '../../thread/find'
import { THREADS } from '../../thread/list'
import { BOSS_METHODS } from '../../thread/methods.table'
import { machiningList } from './machining'
import { sentenceText } from '../hand-over/record'

const body = findAlloy('356')!
const slugAlloy = findAlloy('6061')!
const straight = THREADS.filter(
  thread => thread.flankDeg === 60 && thread.taperDeg === 0 && thread.majorMm >= 3 && thread.majorMm <= 40,
)
const given = (designation: string, more: object = {}) => ({
  way: 'weld-and-tap' as const,
  thread: findThread(designation)!,
  depthMm: 16,
  beneathMm: null,
  proudMm: 1.5,
  cutsMm: [0.6, 0.65, 0.25],
  slug: null,
  chamferMm: 2.5,
  facedMm: 0.5,
  body,
  slugAlloy,
  drills: DRILLS,
  ...more,
})

describe('the list at the machine, for any thread', () => {
  it('says sound figures for every way, and never goes through what lies beneath', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...straight),
        fc.constantFrom(...BOSS_METHODS),
        fc.double({ min: 6, max: 60, noNaN: true }),
        fc.double({ min: 4, max: 60, noNaN: true }),
        (thread, way, depthMm, beneathMm) => {
          const slug =
            way === 'pressed-slug'
              ? planSlug({
                  threadMajorMm: thread.majorMm,
                  bossMm: thread.majorMm * 3,
                  depthMm,
                  beneathMm,
                  body,
                  slug: slugAlloy,
                  clearanceMm: 0.02,
                  cold: 'freezer',
                  serviceC: 60,
                  chamferMm: 2.5,
                  facedMm: 0.5,
                })
              : null
          const { steps, stopMm } = machiningList(given(thread.designation, { thread, way, depthMm, beneathMm, slug }))
          const text = steps.map(step => sentenceText(step.say, 'metric')).join('\n')
          return (
            stopMm <= beneathMm - 1 + 1e-9 &&
            !/NaN|undefined|Infinity|\s-\d/.test(text) &&
            steps.every(step => !step.spindle || (step.spindle.rpm > 0 && step.spindle.feedMmMin > 0))
          )
        },
      ),
      { seed: 161, numRuns: 150 },
    )
  })
  it('the tap goes its own pitch a turn, and slower in a casting', () => {
    const tap = (more: object = {}) => machiningList(given('M10', more)).steps.find(step => step.id === 'tap')!.spindle!
    expect(tap().feedMmMin / tap().rpm).toBeCloseTo(1.5, 9)
    expect(tap().rpm).toBeLessThan(tap({ way: 'new-boss' }).rpm)
  })
  it('taps a blind hole with the flutes that draw the chip up, a through one with those that drive it on (common practice, no source)', () => {
    const said = (beneathMm: number | null) =>
      sentenceText(machiningList(given('M10', { beneathMm })).steps.find(step => step.id === 'tap')!.say, 'metric')
    expect(said(30)).toContain('spiral-fluted')
    expect(said(null)).toContain('spiral-pointed')
  })
  it('says how much thread is full where the hole ends, and warns of a bottom nobody spoke of', () => {
    const step = (id: string, beneathMm: number | null) =>
      machiningList(given('M10', { depthMm: 20, beneathMm })).steps.find(one => one.id === id)
    const said = (id: string, beneathMm: number | null) => sentenceText(step(id, beneathMm)!.say, 'metric')
    expect(step('drill-under', null)!.why).toContain('sooner, where the hole has a bottom before that')
    expect(step('drill-under', 20)!.why).toContain('1 mm before what lies beneath')
    // Nineteen down, less three pitches of 1.5 mm; less one and a half with the bottoming tap.
    expect(said('tap', 20)).toContain('14.5 mm of full thread.')
    expect(said('bottom', 20)).toContain('16.8 mm of full thread, of 20.0 mm wanted')
    expect(said('tap', 40)).toContain('20.0 mm of full thread.')
    expect(step('bottom', 40)).toBeUndefined()
  })
  it('says so when no drill of the kit will do', () =>
    expect(
      sentenceText(
        machiningList(given('M10', { drills: [{ mm: 3, name: '3 mm' }] })).steps.find(step => step.id === 'drill')!.say,
        'metric',
      ),
    ).toContain('No drill in the kit'))
  it("gives M10 its 8.5 mm drill, 76 % of thread by ASME B1.1's rule, first or near it", () => {
    const { tapDrills } = machiningList(given('M10'))
    expect(
      tapDrills
        .slice(0, 6)
        .map(drill => drill.name)
        .join(),
    ).toMatch(/8\.[56] mm/)
  })
})
