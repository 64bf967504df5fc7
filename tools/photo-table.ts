import { blueTrial, branchTrial, cardTrial, threadTrial, traceTrial, type Trial } from '../core/photo/trials.fixture'

/** Reads some hundreds of made pictures whose truth is known, and prints the table that docs/method.md keeps. */
const within = (list: readonly Trial[], limit: number) =>
  list.filter(({ offPct }) => offPct !== null && Math.abs(offPct) <= limit).length
const share = (list: readonly number[], at: number) =>
  [...list].sort((a, b) => a - b)[Math.min(list.length - 1, Math.floor(at * list.length))] ?? Number.NaN

function row(name: string, list: readonly Trial[], limit: number, unit: string): void {
  const offs = list.flatMap(({ offPct }) => (offPct === null ? [] : [Math.abs(offPct)]))
  const cells = [
    name,
    String(list.length),
    `${within(list, limit)} within ${limit} ${unit}`,
    `${list.length - offs.length}`,
    `${share(offs, 0.5).toFixed(2)} ${unit}`,
    `${share(offs, 0.95).toFixed(2)} ${unit}`,
    `${Math.max(...offs).toFixed(2)} ${unit}`,
    `${Math.round(
      share(
        list.map(({ ms }) => ms),
        0.5,
      ),
    )} ms`,
  ]
  console.log(`| ${cells.join(' | ')} |`)
  for (const [n, { offPct, why }] of list.entries())
    if (why ?? Math.abs(offPct!) > limit) console.error(`${name} ${n}: ${why ?? `${offPct!.toFixed(2)} ${unit}`}`)
}
const run = <Out>(count: number, trial: (n: number) => Out) => Array.from({ length: count }, (_, n) => trial(n))

console.log('| what | pictures | good | refused | middle | 95 % under | worst | time |')
console.log('| --- | --- | --- | --- | --- | --- | --- | --- |')
const ROWS: Record<string, () => void> = {
  thread: () => row('pitch of a thread', run(60, threadTrial), 1, '%'),
  blue: () => row('share of blue', run(60, blueTrial), 3, 'points'),
  trace: () => row('length of a crack, two clicks', run(100, traceTrial), 2, '%'),
  branches: () => {
    const list = run(90, branchTrial)
    const right = list.filter(({ had, found }) => had === found).length
    console.error(`branches counted right in ${right} of ${list.length}`)
    row(
      'length of its branches',
      list.filter(({ had }) => had > 0),
      5,
      '%',
    )
  },
  card: () => row('lengths by the card', run(200, cardTrial), 1, '%'),
}
// All of them, or those named.
const named = process.argv.slice(2)
for (const [name, print] of Object.entries(ROWS)) if (!named.length || named.includes(name)) print()
