import 'fake-indexeddb/auto'
import { effectScope, nextTick, ref, type EffectScope } from 'vue'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { valueAt } from '#core/job/patch'
import type { UnitKey } from '#core/quantity/units.table'
import { jobOnTheBench } from '~/at-the-bench.fixture'
import { useSettings } from '~/stores/settings'
import { useReading } from './use-reading'

vi.mock('~/composables/core-worker', () => ({ planned: () => new Promise(() => undefined) }))

let job: Awaited<ReturnType<typeof jobOnTheBench>>
let scope: EffectScope
const field = (path: string, unit: UnitKey) => scope.run(() => useReading(ref(path), ref(unit)))!
beforeEach(async () => {
  job = await jobOnTheBench()
  scope = effectScope()
})
afterEach(() => {
  scope.stop()
  job.close()
})

describe('a reading as a field', () => {
  it('stores what is typed and what it means, at every keystroke', () => {
    const wall = field('takeIn.wallMm', 'mm')
    wall.take('5/16 in')
    expect(job.job!.takeIn.wallMm).toEqual({ typed: '5/16 in', value: 7.9375 })
    expect(wall.also.value).toBe('7.9 mm · 0.313 in')
    expect(wall.error.value).toBeNull()
  })
  it('asks a German reader about a point between thousands, and keeps the question when the job is opened again', async () => {
    const settings = useSettings()
    settings.language = 'de'
    const wall = field('takeIn.wallMm', 'mm')
    wall.take('1.500 mm')
    expect(job.job!.takeIn.wallMm).toEqual({ typed: '1.500 mm', value: null })
    expect(wall.error.value).toMatch(/thousands or decimals/)
    await job.stored()
    job.close()
    await job.open('a')
    expect(job.job!.takeIn.wallMm).toEqual({ typed: '1.500 mm', value: null })
    settings.language = 'en'
    const height = field('takeIn.heightMm', 'mm')
    height.take('1.500 mm')
    expect(job.job!.takeIn.heightMm.value).toBe(1.5)
    // Understood by whoever typed it: another reader is not asked again.
    settings.language = 'de'
    expect(height.error.value).toBeNull()
    settings.language = 'en'
  })
  it.each<[string, UnitKey, string, string]>([
    ['takeIn.wallMm', 'mm', '8', '8 mm'],
    ['takeIn.wallMm', 'mm', '5/16', '5/16 in'],
    ['takeIn.hotC', 'c', '90', '90 °C'],
    ['weld.flowLMin', 'lMin', '7', '7 L/min'],
    ['weld.enPct', 'pct', '70', '70 %'],
    ['know.dryG', 'g', '512', '512 g'],
  ])('writes the unit behind a bare number left in %s', (path, unit, typed, written) => {
    const one = field(path, unit)
    one.take(typed)
    one.leave()
    expect(one.typed.value).toBe(written)
  })
  it.each<[string, UnitKey, string, string, number]>([
    ['takeIn.wallMm', 'mm', '0.25', '0.25 in', 6.35],
    ['takeIn.hotC', 'c', '212', '212 °F', 100],
    ['weld.flowLMin', 'lMin', '15', '15 cfh', 7.079],
    ['weld.enPct', 'pct', '70', '70 %', 70],
  ])('takes a bare number in %s as the inch reader means it', (path, unit, typed, written, value) => {
    useSettings().system = 'inch'
    const one = field(path, unit)
    expect(written.endsWith(one.bareUnit.value)).toBe(true)
    one.take(typed)
    one.leave()
    expect(one.typed.value).toBe(written)
    expect(
      (
        path.split('.').reduce<unknown>((node, key) => (node as Record<string, unknown>)[key], job.job) as {
          value: number
        }
      ).value,
    ).toBeCloseTo(value, 2)
  })
  it('means the same to a reader of the other system, once its unit is written', () => {
    const wall = field('takeIn.wallMm', 'mm')
    wall.take('8')
    wall.leave()
    useSettings().system = 'inch'
    expect(wall.error.value).toBeNull()
    expect(job.job!.takeIn.wallMm.value).toBe(8)
    expect(wall.also.value).toBe('0.315 in · 8.0 mm')
  })
  it.each(['about eight', '8 volts', '--4 mm', '1/0 in'])(
    'keeps “%s” as typed, without a value, and says what is wrong',
    typed => {
      const wall = field('takeIn.wallMm', 'mm')
      wall.take(typed)
      wall.leave()
      expect(job.job!.takeIn.wallMm).toEqual({ typed, value: null })
      expect(wall.error.value!.length).toBeGreaterThan(4)
      expect(wall.also.value).toBe('')
    },
  )
  it('emptied, is empty and wrong about nothing', () => {
    const wall = field('takeIn.wallMm', 'mm')
    wall.take('8 mm')
    wall.take('')
    expect(job.job!.takeIn.wallMm).toEqual({ typed: '', value: null })
    expect(wall.error.value).toBeNull()
  })
  it('shows an undone text again', async () => {
    const wall = field('takeIn.wallMm', 'mm')
    wall.take('8 mm')
    await nextTick()
    job.undo()
    await nextTick()
    expect(wall.typed.value).toBe('')
  })
  it('keeps no more of a very long text than a file may hold', () => {
    const wall = field('takeIn.wallMm', 'mm')
    wall.take('9'.repeat(200))
    expect(job.job!.takeIn.wallMm.typed).toHaveLength(60)
  })
  it.each<[string, UnitKey, string, RegExp]>([
    ['rebuild.face.toMm', 'mm', '-3 mm', /at least 0 mm/],
    ['takeIn.heightMm', 'mm', '0', /more than 0 mm/],
    ['takeIn.lengthMm', 'mm', '40 m', /at most 20000 mm/],
    ['weld.enPct', 'pct', '120 %', /at most 99 %/],
  ])('says in %s (%s) that %s lies outside its limits, and keeps it as typed', (path, unit, typed, says) => {
    const one = field(path, unit)
    one.take(typed)
    expect(one.error.value).toMatch(says)
    expect(valueAt(job.job, [...path.split('.'), 'typed'])).toBe(typed)
  })
})
