import { chromium, type Browser } from '@playwright/test'
import { CHROMIUM, CHROMIUM_ARGS } from '../e2e/chromium'
import { days } from './day'
import { heat } from './heat'
import { inThePage } from './page'
import { phone } from './phone'
import { photos } from './photo'
import { solids } from './solid'
import { compareRun, keepRun, line } from './rows'
import { startServer } from './server'
import { longLog, shelf } from './shelf'
import { timed } from './timing'
import { turned } from './turned'
import { questions } from '../core/questions'
import { crackIndex } from '../core/crack/crack-index'
import { freezingPath } from '../core/crack/solidification'
import { ALLOYS } from '../core/metal/alloys.table'

const ms = (value: number) => `${value.toFixed(value < 10 ? 2 : 0)} ms`

/** Core questions, median of many runs in one process. */
function core(): void {
  console.log('\nThe core, one process, medians')
  const light = ALLOYS.filter(
    alloy => alloy.form !== 'filler' && alloy.family !== 'magnesium' && alloy.family !== 'zinc-alloy',
  )
  const path = timed(200, i => freezingPath(light[i % light.length]!.pct))
  line('freezing path (the unit the rest are counted in)', ms(path))
  const ratio = (value: number) => `${ms(value)}   ${(value / path).toFixed(1)} × the unit`
  line('weld.crackIndex', ratio(timed(200, i => crackIndex(light[i % light.length]!.pct))))
  line(
    'weld.crackMap, 60 × 60',
    ratio(timed(3, () => questions.ask('weld.crackMap', { base: { alloy: '6061' }, filler: '4043', points: 60 }))),
  )
  const face = Array.from({ length: 200 }, (_, n) => ({
    xMm: (n % 20) * 9 + (n % 3),
    yMm: Math.floor(n / 20) * 11,
    zMm: 0.05 * Math.sin(n) + 0.0001 * (n % 20) ** 2,
  }))
  line(
    'flat.evaluate, 200 points (limit 100 ms)',
    ratio(timed(10, () => questions.ask('flat.evaluate', { points: face }))),
  )
  line('flat.lap, 200 points', ratio(timed(5, () => questions.ask('flat.lap', { points: face, toMm: 0.02 }))))
  for (const name of ['alloy.identify', 'filler.choose', 'groove.plan', 'heat.preheat']) {
    const { example } = questions.get(name)!
    line(name, ratio(timed(60, () => questions.ask(name, example))))
  }
}

/** A whole job, with three mends and with ten. */
function whole(): void {
  const example = questions.get('job.plan')!.example as { mends: object[] }
  line('job.plan, three mends (limit 8 ms)', ms(timed(40, () => questions.ask('job.plan', example))))
  line(
    'job.plan, ten mends (limit 20 ms)',
    ms(
      timed(20, () =>
        questions.ask('job.plan', {
          ...example,
          mends: Array.from({ length: 10 }, (_, n) => ({ ...example.mends[n % 3], id: `m${n}` })),
        }),
      ),
    ),
  )
}

/** Hundreds of plans: other ways, and what matters; and a part under its load. */
function many(): void {
  const { example } = questions.get('job.ways')!
  const asked = questions.ask('job.ways', example)
  const looked = asked.ok ? (asked.answer as { looked: number }).looked : 1
  const ways = timed(3, () => questions.ask('job.ways', example))
  line('job.ways, three mends, a thousand plans (limit 5 s)', ms((1000 * ways) / looked))
  const job = questions.get('job.plan')!.example
  line(
    'job.matters, three mends, 400 draws and its places (limit 2 s)',
    ms(timed(3, () => questions.ask('job.matters', job))),
  )
  line(
    'hold.simulate, 47,000 cells (limit 4 s for 60,000)',
    ms(
      timed(1, () =>
        questions.ask('hold.simulate', {
          shape: { kind: 'flanged-box', xMm: 240, yMm: 160, zMm: 60, wallMm: 6, flangeMm: 20, flangeThickMm: 8 },
          cellMm: 2.2,
          alloy: '356-T6',
          fixed: [{ face: 'left' }],
          loads: [{ id: 'end', on: { face: 'right' }, forceN: [0, 0, -500] }],
        }),
      ),
    ),
  )
}

/** What runs in the browser, each on the built application. */
const BROWSER = {
  page: inThePage,
  phone,
  turned: async (browser: Browser, address: string) => {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
    await turned(page, address, line)
    await page.close()
  },
  log: (browser: Browser, address: string) => longLog(browser, address, line),
  shelf: (browser: Browser, address: string) => shelf(browser, address, line),
}

async function inTheBrowser(rooms: readonly (keyof typeof BROWSER)[]): Promise<void> {
  const server = await startServer()
  const browser = await chromium.launch({ executablePath: CHROMIUM, args: CHROMIUM_ARGS })
  try {
    for (const room of rooms) await BROWSER[room](browser, server.address, line)
  } finally {
    await browser.close()
    server.stop()
  }
}

const asked = (Object.keys(BROWSER) as (keyof typeof BROWSER)[]).filter(room => process.argv.includes(`--only-${room}`))
if (!asked.length) {
  core()
  whole()
  many()
  solids(process.argv.includes('--short'))
  photos()
  days(line)
  if (!process.argv.includes('--no-heat')) heat(process.argv.includes('--short') ? 60 : 600)
}
if (!process.argv.includes('--no-browser'))
  await inTheBrowser(asked.length ? asked : (Object.keys(BROWSER) as (keyof typeof BROWSER)[]))
if (process.argv.includes('--compare')) compareRun()
if (process.argv.includes('--keep')) keepRun()
