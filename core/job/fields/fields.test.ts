import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { outside } from '../../quantity/schema'
import { read } from '../../quantity/read'
import { fieldOf, fieldsOfJob } from '../field'
import { mergeJob } from '../merge'
import { passStep } from '../mend-steps'
import { newMend } from '../new-mend'
import { newJob } from '../new-job'
import type { Declared, Fields } from './declared'
import { listRuleOf } from './lists'
import { said } from './said'
import { declaredAt, SECTIONS, type SectionId } from './sections'

const AT = '2026-11-12T09:00:00Z'
const job = () => newJob('j', 'A cover', '', AT)

/** Every declared field with its path, those of groups too. */
const all = (fields: Fields, path: string): [string, Declared][] =>
  Object.entries(fields).flatMap(([key, field]): [string, Declared][] => [
    [`${path}.${key}`, field],
    ...(field.kind === 'group' ? all(field.fields!, `${path}.${key}`) : []),
  ])
const FIELDS = Object.entries(SECTIONS).flatMap(([id, fields]) => all(fields, id))
const READINGS = FIELDS.filter(([, field]) => field.kind === 'reading')

describe('the fields of a job', () => {
  it.each(FIELDS)('%s is found by its path, and has words to ask for it', (path, field) => {
    expect(declaredAt(path)).toBe(field)
    expect(field.label).not.toBe('')
    if (field.kind === 'pick' || field.kind === 'picks')
      for (const words of Object.values(field.words!)) expect(words).not.toBe('')
  })
  it('leads to the fields of a list entry, and nowhere else', () => {
    expect(declaredAt('prove.compared.2.limitMm')?.usual).toBe(0.1)
    expect(declaredAt('rebuild.holes.#h1.xMm')?.unit).toBe('mm')
    for (const path of [
      '',
      'open',
      'open.nothing',
      'nothing.at.all',
      'open.constructor',
      'mends.0.name',
      'open.capMm.typed',
    ])
      expect(declaredAt(path), path).toBeUndefined()
  })
  it.each(READINGS)('%s begins as its usual, written so that it reads back as that', (path, field) => {
    const { typed, value } = path
      .split('.')
      .reduce<unknown>((node, key) => (node as Record<string, unknown>)[key], job()) as { typed: string; value: null }
    expect(value).toBe(field.usual ?? null)
    if (field.usual === undefined) return expect(typed).toBe('')
    expect(read(typed, field.unit!, 'metric')).toMatchObject({ ok: true, value: field.usual })
    expect(outside(field.usual, field.unit!, field.limits)).toBeNull()
  })
  it('counts an emptied reading as its usual, and one that has none as nothing', () => {
    for (const id of Object.keys(SECTIONS) as SectionId[]) {
      const emptied = job()
      for (const [key, field] of Object.entries<Declared>(SECTIONS[id]))
        if (field.kind === 'reading') (emptied[id] as Record<string, unknown>)[key] = { typed: '', value: null }
      const found = said(emptied, id) as Record<string, unknown>
      for (const [key, field] of Object.entries<Declared>(SECTIONS[id]))
        if (field.kind === 'reading') expect(found[key], `${id}.${key}`).toBe(field.usual ?? null)
    }
  })
  it('takes what was not asked yet for the usual of the part', () => {
    expect(said(job(), 'takeIn')).toMatchObject({ does: 'static', soak: 'handled', moves: 'still', hotC: 40 })
    expect(job().takeIn).toMatchObject({ does: null, soak: null })
  })
  it('times and merges a group key by key, and every other field as one', () => {
    expect(fieldOf(['rebuild', 'face', 'toMm', 'typed'])).toBe('rebuild.face.toMm')
    expect(fieldOf(['prove', 'results', 'look', 'note'])).toBe('prove.results.look')
    expect(fieldOf(['open', 'plateMm'])).toBe('open.plateMm')
    expect(fieldOf(['mends', '#a', 'readings', 'x'])).toBe('mends')
    const names = [...fieldsOfJob(job()).keys()]
    for (const [path, field] of FIELDS)
      if (field.kind !== 'group' && field.kind !== 'map') expect(names, path).toContain(path)
  })
})

describe('lists of a job', () => {
  const lists = FIELDS.filter(([, field]) => field.kind === 'list' || field.kind === 'picks')
  it.each(lists)('%s says how it is merged', path => {
    expect(listRuleOf(path)).toBeDefined()
  })
  it.each(['mends', 'pictures', 'readings', 'acknowledged'])('%s says how it is merged', field => {
    expect(listRuleOf(field)).toBeDefined()
  })
  it('keeps every pass of a mend that either bench has laid', () => {
    const passes = fc.uniqueArray(fc.integer({ min: 1, max: 40 }), { maxLength: 12 })
    fc.assert(
      fc.property(passes, passes, (ours, theirs) => {
        const with_ = (laid: number[]) => ({
          ...job(),
          mends: [{ ...newMend('m', 'crack'), done: laid.map(passStep) }],
        })
        const both = [...new Set([...ours, ...theirs])].map(passStep).toSorted()
        const { mends } = mergeJob(with_(ours), with_(theirs)).job
        expect(mends[0]!.done.toSorted()).toEqual(both)
      }),
      { seed: 3 },
    )
  })
})
