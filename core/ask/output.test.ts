import { describe, expect, it } from 'vitest'
import { z } from 'zod'
import { questions } from '../questions'
import { answerRows } from './answer-rows'
import { unitOfKey } from './fields'
import { figureMeta, of, plain, within } from './output'

const laidOut = (name: string, input: unknown) => {
  const asked = questions.ask(name, input)
  if (!asked.ok) throw new Error(`${name}: ${JSON.stringify(asked.error)}`)
  return answerRows(asked.answer, questions.get(name)!.output)
}

/** Every figure that a schema declares, with the path to it. */
function figuresOf(schema: z.core.$ZodType, path = ''): [string, z.core.$ZodType][] {
  const { def } = (schema as unknown as { _zod: { def: Record<string, unknown> } })._zod
  const inner = [def.innerType, def.element, def.valueType].filter(Boolean) as z.core.$ZodType[]
  const options = [...((def.options as z.core.$ZodType[] | undefined) ?? []), ...inner]
  if (def.type === 'number') return [[path, schema]]
  const shape = Object.entries((def.shape as Record<string, z.core.$ZodType> | undefined) ?? {})
  const items = (def.items as z.core.$ZodType[] | undefined) ?? []
  return [
    ...shape.flatMap(([key, each]) => figuresOf(each, path ? `${path}.${key}` : key)),
    ...options.flatMap(each => figuresOf(each, path)),
    ...items.flatMap(each => figuresOf(each, path)),
  ]
}

describe('what a question answers', () => {
  it.each(questions.names)('%s answers its example as its output declares, nothing more and nothing less', name => {
    const { input, output, solve, example } = questions.get(name)!
    const { answer } = solve(input.parse(example) as never)
    expect(output.safeParse(answer).error?.issues ?? []).toEqual([])
  })
  it.each(questions.names)('%s declares each figure in the unit that its name ends in', name => {
    for (const [path, schema] of figuresOf(questions.get(name)!.output)) {
      const key = path.split('.').at(-1)!
      const meta = figureMeta(schema)
      if (meta && key.length > meta.suffix.length && key.endsWith(meta.suffix)) continue
      // What is no unit's name may come in any; what ends as one must be in it, or in one that ends longer.
      const promised = unitOfKey(key).unit
      expect(promised === null || meta !== undefined, `${name}: ${path}`).toBe(true)
    }
  })
  it('puts units on figures as the output declares them, not as a name happens to end', () => {
    const text = (name: string, input: unknown, key: string) =>
      laidOut(name, input).rows.find(row => row.key === key)?.text
    expect(text('cut.speed', questions.get('cut.speed')!.example, 'feedMmMin')).toMatch(/ mm\/min$/)
    expect(text('leak.decay', questions.get('leak.decay')!.example, 'kPaMin')).toMatch(/ kPa\/min$/)
    expect(text('alloy.density', questions.get('alloy.density')!.example, 'volumeCm3')).toMatch(/ cm³$/)
    expect(text('amps.need', questions.get('amps.need')!.example, 'a')).toMatch(/ A$/)
    expect(text('gas.use', questions.get('gas.use')!.example, 'litres')).toMatch(/ L$/)
  })
  it('names a figure without its unit, and one that is all unit by what it is', () => {
    const label = (name: string, key: string) =>
      laidOut(name, questions.get(name)!.example).rows.find(row => row.key === key)?.label
    expect(label('amps.need', 'a')).toBe('current')
    expect(label('amps.need', 'lowA')).toBe('low')
    expect(label('cut.speed', 'feedMmMin')).toBe('feed')
    expect(label('groove.plan', 'removedAreaMm2')).toBe('removed area')
  })
  it('lays lists of like things out as tables, with their units', () => {
    const { tables } = laidOut('groove.plan', questions.get('groove.plan')!.example)
    const beads = tables.find(table => table.key === 'beads')!
    expect(beads.columns).toContain('height')
    expect(beads.rows[0]![beads.columns.indexOf('height')]).toMatch(/ mm$/)
    expect(beads.rows[0]![beads.columns.indexOf('pass')]).toBe('1')
  })
})

describe('figures of an output', () => {
  const output = z.strictObject({
    list: z.array(of.mm).optional(),
    pair: z.tuple([of.px, of.px]).nullable(),
    by: z.record(z.string(), of.pct),
    one: z.union([z.strictObject({ a: of.a }), z.strictObject({ b: of.hb })]),
    bare: plain,
  })
  it('are found through whatever is wrapped round them', () => {
    expect(figureMeta(within(output, 'list'))?.unit).toBe('mm')
    expect(figureMeta(within(output, 'pair'))?.unit).toBe('px')
    expect(figureMeta(within(within(output, 'by'), 'Si'))?.unit).toBe('%')
    expect(figureMeta(within(within(output, 'one'), 'b'))?.unit).toBe('HB')
  })
  it('have no unit where none is declared', () => {
    expect(figureMeta(within(output, 'bare'))).toBeUndefined()
    expect(figureMeta(within(output, 'nothing'))).toBeUndefined()
    expect(figureMeta(undefined)).toBeUndefined()
  })
  it('of a long list are counted, of a short one named with their unit', () => {
    const laid = (list: number[]) => answerRows({ list }, output).rows[0]!.text
    expect(laid([1, 2.5])).toBe('1, 2.500 mm')
    expect(laid(Array.from({ length: 40 }, (_, n) => n))).toBe('40 values')
  })
})
