import type { z } from 'zod'
import { figures } from '../quantity/show'
import { labelOfKey, unitOfKey } from './fields'
import { figureMeta, within } from './output'

export interface AnswerRows {
  rows: { key: string; label: string; text: string }[]
  tables: { key: string; label: string; columns: string[]; rows: string[][] }[]
}
type Schema = z.core.$ZodType | undefined

/** A longer list of numbers says nothing in a cell. */
const MOST_LISTED = 24

/** What a value is called: its key without the unit that stands behind the figure. */
function labelOf(key: string, schema: Schema): string {
  const meta = figureMeta(schema)
  if (!meta) return labelOfKey(key, false)
  const named = key.endsWith(meta.suffix) ? key.slice(0, -meta.suffix.length).replace(/_$/, '') : unitOfKey(key).stem
  return named === '' || key.toLowerCase() === meta.suffix.toLowerCase() ? meta.name : labelOfKey(named, false)
}

const number = (value: number) => (Number.isInteger(value) && Math.abs(value) < 1e9 ? String(value) : figures(value, 4))

function cell(value: unknown, schema: Schema): string {
  if (typeof value === 'number') return `${number(value)} ${figureMeta(schema)?.unit ?? ''}`.trim()
  if (typeof value === 'boolean') return value ? 'yes' : 'no'
  if (Array.isArray(value) && value.length > MOST_LISTED) return `${value.length} values`
  if (Array.isArray(value)) {
    const unit = figureMeta(schema)?.unit ?? ''
    const listed = value
      .map(each => (typeof each === 'object' ? JSON.stringify(each) : typeof each === 'number' ? number(each) : each))
      .join(', ')
    return value.some(each => typeof each === 'number') ? `${listed} ${unit}`.trim() : listed
  }
  return value !== null && typeof value === 'object'
    ? Object.entries(value)
        .map(([inner, each]) => {
          const its = within(schema, inner)
          return `${labelOf(inner, its)} ${cell(each, its)}`
        })
        .join(', ')
    : String(value ?? '')
}

/**
 * An answer laid out for a page: single values as rows, lists of like things as tables, each figure in the unit that
 * the question's output declares.
 */
export function answerRows(answer: unknown, output: z.ZodType): AnswerRows {
  const laid: AnswerRows = { rows: [], tables: [] }
  for (const [key, value] of Object.entries(answer as Record<string, unknown>)) {
    const schema = within(output, key)
    const objects =
      Array.isArray(value) &&
      value.length > 0 &&
      value.every(each => each !== null && typeof each === 'object' && !Array.isArray(each))
    if (objects) {
      const rows = value as Record<string, unknown>[]
      const columns = [...new Set(rows.flatMap(row => Object.keys(row)))]
      const entry = within(schema, '0')
      laid.tables.push({
        key,
        label: labelOfKey(key, false),
        columns: columns.map(column => labelOf(column, within(entry, column))),
        rows: rows.map(row => columns.map(column => cell(row[column], within(entry, column)))),
      })
    } else laid.rows.push({ key, label: labelOf(key, schema), text: cell(value, schema) })
  }
  return laid
}
