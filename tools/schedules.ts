import { schedule } from '../app/db/schedules.fixture'

/**
 * Drawn schedules of two tabs on one job, with failures and cuts (`npm run schedules -- 10000 1`, how many and from
 * which seed): nothing that was said to be stored may be missing, nothing older may win.
 */
const count = Number(process.argv[2] ?? 10_000)
const first = Number(process.argv[3] ?? 1)
let wrong = 0
for (let seed = first; seed < first + count; seed++)
  for (const words of await schedule(seed)) {
    wrong += 1
    console.log(words)
  }
console.log(`${count} schedules from seed ${first}: ${wrong} wrong`)
process.exitCode = wrong ? 1 : 0
