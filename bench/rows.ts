import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { median, paceMs } from './timing'

const KEPT = fileURLToPath(new URL('../.bench/kept.json', import.meta.url))
/** Rows that moved less than this are not worth a look: a machine's own noise. */
const NOISE = 1.25

interface Kept {
  /** What the machine gave then: a plain loop, ms. */
  readonly paceMs: number
  readonly rows: Readonly<Record<string, number>>
}
const rows = new Map<string, number>()

/** A row of the run; the first time in its value, ms or s, is what a later run is compared with. */
export function line(name: string, value: string): void {
  console.log(`${name.padEnd(58)} ${value}`)
  const found = /([\d.]+) (ms|s)\b/.exec(value)
  if (found) rows.set(name, Number(found[1]) * (found[2] === 's' ? 1000 : 1))
}

const now = (): Kept => ({ paceMs: median([paceMs(), paceMs(), paceMs()]), rows: Object.fromEntries(rows) })

/** Keeps this run for later ones to be compared with. */
export function keepRun(): void {
  mkdirSync(new URL('../.bench/', import.meta.url), { recursive: true })
  writeFileSync(KEPT, `${JSON.stringify(now(), null, 2)}\n`)
  console.log(`\n${rows.size} rows kept`)
}

/** Row by row against the kept run, each as a share of what a plain loop took in its own run. */
export function compareRun(): void {
  if (!existsSync(KEPT)) {
    console.log('\nNo run is kept: npm run bench -- --keep')
    return
  }
  const [then, here] = [JSON.parse(readFileSync(KEPT, 'utf8')) as Kept, now()]
  console.log('\nAgainst the kept run, by a plain loop in each: under 1 is faster')
  for (const [name, ms] of Object.entries(here.rows)) {
    const before = then.rows[name]
    if (!before) continue
    const ratio = ms / here.paceMs / (before / then.paceMs)
    const mark = ratio > NOISE ? '  slower' : ratio < 1 / NOISE ? '  faster' : ''
    console.log(`${name.padEnd(58)} ${ratio.toFixed(2)}${mark}`)
  }
}
