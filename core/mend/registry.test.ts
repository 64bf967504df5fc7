import { describe, expect, it } from 'vitest'
import { z } from 'zod'
import { shapeOf } from '../field/field'
import { RULED_OUT } from './thread/states.table'
import { kindOf, kinds, KIND_IDS, wordsFor } from './registry'

describe('kinds of mend', () => {
  it('are all those of the trade, each once', () =>
    expect([...KIND_IDS].toSorted()).toEqual([
      'bent',
      'bore',
      'boss',
      'break',
      'crack',
      'edge',
      'face',
      'hole',
      'joint',
      'overlay',
      'plate',
      'thread',
      'turned',
      'window',
    ]))
  it('declare each field once, with a label, a unit where it is measured, and a usual value that its own schema takes', () => {
    for (const kind of kinds())
      for (const [key, field] of Object.entries(kind.fields)) {
        expect(field.label.length, `${kind.id}.${key}`).toBeGreaterThan(2)
        if (field.kind === 'reading') expect(field.unit, `${kind.id}.${key}`).toBeDefined()
        if (!field.required)
          expect(field.schema.safeParse(undefined), `${kind.id}.${key}`).toEqual(
            // A name is told by what it stands for.
            field.kind === 'text' ? field.schema.safeParse(field.usual) : { success: true, data: field.usual },
          )
        // One that another may stand in for is missed by both together (`wrongTogether`).
        else expect(field.schema.safeParse(undefined).success, `${kind.id}.${key}`).toBe(field.unless !== undefined)
      }
  })
  it('throw on an unknown id and on a code without words', () => {
    expect(() => kindOf('dent')).toThrow(/dent/)
    expect(() => wordsFor('crack', 'nonsense')).toThrow(/nonsense/)
  })
  it('say each reason for a way ruled out', () => {
    for (const ways of Object.values(RULED_OUT))
      for (const why of Object.values(ways)) expect(wordsFor('boss', why)).toMatch(/\.$/)
  })
  it('read quantities with their units', () => {
    const { fields } = kindOf('hole')
    expect(z.strictObject(shapeOf(fields)).parse({ diameterMm: '1/4 in' })).toMatchObject({
      diameterMm: 6.35,
      through: true,
    })
  })
})
