import { readFileSync, readdirSync, statSync } from 'node:fs'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { gzipSync } from 'node:zlib'
import { chromium, type Page } from '@playwright/test'
import { CHROMIUM, CHROMIUM_ARGS } from '../e2e/chromium'
import { heat } from './heat'
import { photos } from './photo'
import { solids } from './solid'
import { startServer } from './server'
import { longLog, shelf } from './shelf'
import { median, timed } from './timing'
import { turned } from './turned'
import { questions } from '../core/questions'
import { crackIndex } from '../core/crack/crack-index'
import { freezingPath } from '../core/crack/solidification'
import { ALLOYS } from '../core/metal/alloys.table'

const ROOT = fileURLToPath(new URL('..', import.meta.url))
const DEMO = join(ROOT, 'demo/larkmoor-bench.json')

const line = (name: string, value: string) => console.log(`${name.padEnd(58)} ${value}`)
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
  line('job.plan, three mends (limit 20 ms)', ms(timed(40, () => questions.ask('job.plan', example))))
  line(
    'job.plan, ten mends',
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

/**
 * JavaScript the browser loads before the shelf can be used, gzipped; its context lets no service worker fetch more for
 * later. Workers' scripts come beside it: nothing on the page waits for them.
 */
async function firstLoad(page: Page, address: string): Promise<void> {
  console.log('\nFirst load')
  const loaded = new Set<string>()
  const publicDir = join(ROOT, '.output/public')
  page.on('response', response => {
    const { pathname } = new URL(response.url())
    if (pathname.startsWith('/_nuxt/') && pathname.endsWith('.js')) loaded.add(pathname)
  })
  await page.goto(address)
  await page.waitForSelector('h1')
  await page.waitForTimeout(500)
  const isWorker = (path: string) => path.includes('.worker-')
  const kB = (paths: readonly string[]) =>
    (paths.reduce((sum, path) => sum + gzipSync(readFileSync(join(publicDir, path))).length, 0) / 1024).toFixed(0)
  const [pages, workers] = [[...loaded].filter(path => !isWorker(path)), [...loaded].filter(isWorker)]
  line(
    'JavaScript before the shelf can be used, gzipped',
    `${kB(pages)} kB in ${pages.length} files (limit 300); workers beside it: ${kB(workers)} kB in ${workers.length}`,
  )
  if (process.argv.includes('--chunks')) for (const path of loaded) line(path, `${kB([path])} kB`)
  const all = readdirSync(join(publicDir, '_nuxt'))
    .filter(name => name.endsWith('.js'))
    .reduce((sum, name) => sum + statSync(join(publicDir, '_nuxt', name)).size, 0)
  line('all JavaScript of the application, not gzipped', `${(all / 1024).toFixed(0)} kB`)
}

/** From a keystroke in a reading to the new call on screen, painted. */
async function typing(page: Page, address: string): Promise<void> {
  console.log('\nTyping a reading to a new call on screen')
  await page.getByTestId('import').setInputFiles(DEMO)
  await page.getByText(/[1-9]\d* new/).waitFor()
  for (const [station, path, values] of [
    ['open?mend=flange', 'mends.#flange.readings.lengthMm', ['101 mm', '102 mm']],
    ['open', 'takeIn.wallMm', ['8.2 mm', '9.4 mm']],
    ['know', 'know.submergedG', ['1970 g', '1920 g']],
  ] as const) {
    await page.goto(`${address}job/gearbox-cover/${station}`)
    await page.locator(`input[data-path="${path}"]`).waitFor()
    await page.waitForTimeout(600)
    const times: number[] = []
    for (let i = 0; i < 24; i++) {
      times.push(
        await page.evaluate(
          async ([selector, text]) => {
            const input = document.querySelector<HTMLInputElement>(selector!)!
            const begun = performance.now()
            const changed = new Promise<void>(resolve => {
              const watcher = new MutationObserver(() => {
                watcher.disconnect()
                requestAnimationFrame(() => resolve())
              })
              for (const part of document.querySelectorAll('[data-testid="call"], section[aria-label="Why"]'))
                watcher.observe(part, { subtree: true, childList: true, characterData: true })
            })
            input.value = text!
            input.dispatchEvent(new Event('input', { bubbles: true }))
            await changed
            return performance.now() - begun
          },
          [`input[data-path="${path}"]`, values[i % 2]!] as const,
        ),
      )
      await page.waitForTimeout(60)
    }
    line(`${station}: ${path}`, `median ${ms(median(times))}, worst ${ms(Math.max(...times))} (limit 50)`)
  }
}

/** The crack map of 60 × 60 points in the browser's worker, from asking to having it. */
async function map(page: Page, address: string): Promise<void> {
  console.log('\nThe crack map, 60 × 60, in the worker')
  await page.goto(`${address}job/gearbox-cover/call`)
  await page.locator('svg[data-took]').waitFor()
  const times: number[] = []
  for (let i = 0; i < 9; i++) {
    await page.locator('input[data-path="call.dilutionPct"]').fill(`${20 + 3 * i} %`)
    await page.waitForTimeout(900)
    times.push(Number(await page.locator('svg[data-took]').getAttribute('data-took')))
  }
  line('asked and answered', `median ${ms(median(times))} (limit 300)`)
}

if (process.argv.includes('--only-shelf')) {
  const server = await startServer()
  const browser = await chromium.launch({ executablePath: CHROMIUM, args: CHROMIUM_ARGS })
  await shelf(browser, server.address, line).finally(() => browser.close())
  server.stop()
  process.exit(0)
}
core()
whole()
solids(process.argv.includes('--short'))
photos()
if (!process.argv.includes('--no-heat')) heat(process.argv.includes('--short') ? 60 : 600)
if (process.argv.includes('--no-browser')) process.exit(0)
const server = await startServer()
const browser = await chromium.launch({ executablePath: CHROMIUM, args: CHROMIUM_ARGS })
try {
  const first = await browser.newContext({ serviceWorkers: 'block' })
  await firstLoad(await first.newPage(), server.address)
  await first.close()
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  await page.goto(server.address)
  await typing(page, server.address)
  await map(page, server.address)
  await turned(page, server.address, line)
  await longLog(browser, server.address, line)
  await shelf(browser, server.address, line)
} finally {
  await browser.close()
  server.stop()
}
