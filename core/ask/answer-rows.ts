import { figures } from '../quantity/show'
import { KEY_UNITS } from '../quantity/units.table'
import { labelOfKey, unitOfKey } from './fields'

export interface AnswerRows {
  rows: { key: string; label: string; text: string }[]
  tables: { key: string; label: string; columns: string[]; rows: string[][] }[]
}

/** A longer list of numbers says nothing in a cell. */
const MOST_LISTED = 24

function cell(key: string, value: unknown): string {
  if (typeof value === 'number') {
    const { unit } = unitOfKey(key)
    const text = Number.isInteger(value) && Math.abs(value) < 1e9 ? String(value) : figures(value, 4)
    return unit ? `${text} ${KEY_UNITS[unit].symbol}` : text
  }
  if (typeof value === 'boolean') return value ? 'yes' : 'no'
  if (Array.isArray(value) && value.length > MOST_LISTED) return `${value.length} values`
  if (Array.isArray(value))
    return value
      .map(each =>
        typeof each === 'object' ? JSON.stringify(each) : typeof each === 'number' ? figures(each, 4) : String(each),
      )
      .join(', ')
  return value !== null && typeof value === 'object'
    ? Object.entries(value)
        .map(([inner, each]) => `${inner} ${cell('', each)}`)
        .join(', ')
    : String(value ?? '')
}

/** An answer laid out for a page: single values as rows, lists of like things as tables. */
export function answerRows(answer: unknown): AnswerRows {
  const laid: AnswerRows = { rows: [], tables: [] }
  for (const [key, value] of Object.entries(answer as Record<string, unknown>)) {
    const objects =
      Array.isArray(value) &&
      value.length > 0 &&
      value.every(each => each !== null && typeof each === 'object' && !Array.isArray(each))
    if (objects) {
      const rows = value as Record<string, unknown>[]
      const columns = [...new Set(rows.flatMap(row => Object.keys(row)))]
      laid.tables.push({
        key,
        label: labelOfKey(key),
        columns: columns.map(column => labelOfKey(column, typeof rows[0]?.[column] === 'number')),
        rows: rows.map(row => columns.map(column => cell(column, row[column]))),
      })
    } else laid.rows.push({ key, label: labelOfKey(key, typeof value === 'number'), text: cell(key, value) })
  }
  return laid
}
