/** What of an answer is drawn: a bar for each entry of a list, or one or more lines against a first quantity. */
type ChartRow =
  | {
      readonly kind: 'bars'
      readonly list: string
      readonly name: string
      readonly value: string
      readonly title: string
    }
  | {
      readonly kind: 'lines'
      readonly list: string
      readonly x: string
      readonly y: readonly (readonly [key: string, label: string])[]
      readonly xTitle: string
      readonly yTitle: string
    }
  | {
      readonly kind: 'series'
      readonly x: string
      readonly lists: string
      readonly label: string
      readonly xTitle: string
      readonly yTitle: string
    }

/** Answers that a drawing says more of than a table. A test draws each from its question's example. */
export const CHARTS: Readonly<Record<string, ChartRow>> = {
  'alloy.identify': { kind: 'bars', list: 'families', name: 'name', value: 'probability', title: 'odds' },
  'process.choose': { kind: 'bars', list: 'ranked', name: 'name', value: 'score', title: 'score, of 1' },
  'boss.compare': { kind: 'bars', list: 'ranked', name: 'method', value: 'factor', title: 'times the load it holds' },
  'thread.identify': { kind: 'bars', list: 'ranked', name: 'designation', value: 'probability', title: 'odds' },
  'repair.judge': { kind: 'bars', list: 'parts', name: 'reason', value: 'effect', title: 'points' },
  'job.quote': { kind: 'bars', list: 'lines', name: 'name', value: 'price', title: 'price' },
  'log.learn': { kind: 'bars', list: 'groups', name: 'value', value: 'ratePct', title: '% that held' },
  'thread.dims': { kind: 'bars', list: 'tapDrills', name: 'name', value: 'threadPct', title: '% of a full thread' },
  'fit.slug': {
    kind: 'lines',
    list: 'clock.points',
    x: 's',
    y: [
      ['slugC', 'slug'],
      ['hubC', 'body'],
    ],
    xTitle: 's after it is out of the cold',
    yTitle: '°C',
  },
  'flame.plan': { kind: 'lines', list: 'curve', x: 's', y: [['c', 'under the flame']], xTitle: 's', yTitle: '°C' },
  'heat.preheat': { kind: 'lines', list: 'curve', x: 's', y: [['c', 'the part']], xTitle: 's', yTitle: '°C' },
  'weld.crackIndex': {
    kind: 'lines',
    list: 'curve',
    x: 'solidFraction',
    y: [['temperatureC', 'freezing']],
    xTitle: 'share frozen',
    yTitle: '°C',
  },
  'heat.simulate': { kind: 'series', x: 'times', lists: 'probes', label: 'probe', xTitle: 's', yTitle: '°C' },
}

export type Chart =
  | { kind: 'bars'; title: string; bars: { name: string; value: number }[] }
  | { kind: 'lines'; xTitle: string; yTitle: string; lines: { label: string; points: { x: number; y: number }[] }[] }

const at = (answer: unknown, path: string): unknown =>
  path.split('.').reduce<unknown>((node, key) => (node as Record<string, unknown> | null | undefined)?.[key], answer)
const listAt = (answer: unknown, path: string) => {
  const found = at(answer, path)
  return Array.isArray(found) ? (found as Record<string, unknown>[]) : []
}
const finite = (value: unknown): value is number => typeof value === 'number' && Number.isFinite(value)

/** More bars than this are not read. */
const MOST_BARS = 12

/** The drawing of an answer, or null where its question has none, or this answer gives nothing to draw. */
export function chartOf(question: string, answer: unknown): Chart | null {
  const row = CHARTS[question]
  if (!row) return null
  if (row.kind === 'bars') {
    const bars = listAt(answer, row.list)
      .filter(entry => finite(entry[row.value]))
      .slice(0, MOST_BARS)
      .map(entry => ({ name: String(entry[row.name] ?? ''), value: entry[row.value] as number }))
    return bars.length > 1 ? { kind: 'bars', title: row.title, bars } : null
  }
  const lines =
    row.kind === 'lines'
      ? row.y.map(([key, label]) => ({
          label,
          points: listAt(answer, row.list)
            .filter(entry => finite(entry[row.x]) && finite(entry[key]))
            .map(entry => ({ x: entry[row.x] as number, y: entry[key] as number })),
        }))
      : (at(answer, row.lists) as number[][]).map((values, n) => ({
          label: `${row.label} ${n + 1}`,
          points: values.map((y, each) => ({ x: (at(answer, row.x) as number[])[each]!, y })),
        }))
  return lines.some(line => line.points.length > 1)
    ? { kind: 'lines', xTitle: row.xTitle, yTitle: row.yTitle, lines }
    : null
}
