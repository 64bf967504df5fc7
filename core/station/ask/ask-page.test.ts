import { describe, expect, it } from 'vitest'
import { questions } from '../../questions'
import { CHARTS, chartOf } from '../../ask/charts'
import { fieldsOf } from '../../ask/fields'
import { groupOf, QUESTION_GROUPS } from './ask-groups.table'
import { FIELD_WORDS, fieldWords } from '../../ask/labels.table'

const fields = questions.names.flatMap(name =>
  fieldsOf(questions.get(name)!).map(field => ({ name, key: field.key, label: field.label })),
)

describe('the page of questions', () => {
  it('every field of every question has its full name', () => {
    expect(fields.filter(({ name, key }) => !fieldWords(name, key)).map(({ name, key }) => `${name}.${key}`)).toEqual(
      [],
    )
    for (const { label } of fields) expect(label).toMatch(/^[A-Z]/)
  })
  it('names no field that no question has', () => {
    const used = new Set(fields.flatMap(({ name, key }) => [key, `${name}.${key}`]))
    expect(Object.keys(FIELD_WORDS).filter(key => !used.has(key))).toEqual([])
  })
  it('every question stands in one group, and no group names one that is not there', () => {
    const grouped = QUESTION_GROUPS.flatMap(group => group.questions)
    expect(new Set(grouped).size).toBe(grouped.length)
    expect([...grouped].sort()).toEqual([...questions.names].sort())
    expect(groupOf('fit.press')!.station).toBe('rebuild')
  })
  it.each(Object.keys(CHARTS))('%s: its example is drawn', name => {
    const asked = questions.ask(name, questions.get(name)!.example)
    expect(asked.ok && chartOf(name, asked.answer)).toBeTruthy()
  })
  it('an answer with nothing in it draws nothing', () => {
    expect(chartOf('alloy.identify', { families: [] })).toBeNull()
    expect(chartOf('fit.slug', {})).toBeNull()
    expect(chartOf('alloy.density', { densityGcm3: 2.7 })).toBeNull()
  })
})
