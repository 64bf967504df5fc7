import { chromium, type Page, type WebSocketRoute } from '@playwright/test'
import { startServer } from '../bench/server'
import { textOf } from '../core/job/same'
import { seeded } from '../core/quantity/seeded'
import { CHROMIUM, CHROMIUM_ARGS } from '../e2e/chromium'

/**
 * Three browsers on one shop: edits drawn at random on any of them, lines cut and mended at random, clocks years apart;
 * in the end the same jobs must stand in all three, to the letter. `npm run screens -- 1000`. Then how long an edit
 * takes to stand on another screen, medians of fifty.
 */
const edits = Number(process.argv[2] ?? 1000)
const next = seeded(Number(process.argv[3] ?? 7))
const pick = <One>(list: readonly One[]): One => list[Math.floor(next() * list.length)]!
const YEAR_MS = 365 * 86_400_000
const JOB = 'gearbox-cover'
const FIELDS = ['takeIn.wallMm', 'takeIn.heightMm', 'takeIn.lengthMm', 'takeIn.widthMm'] as const

const server = await startServer()
const browser = await chromium.launch({ executablePath: CHROMIUM, args: CHROMIUM_ARGS })

interface Screen {
  page: Page
  away: boolean
  lines: WebSocketRoute[]
}
async function screen(clockMs: number): Promise<Screen> {
  const context = await browser.newContext({ serviceWorkers: 'block', reducedMotion: 'reduce' })
  const one: Screen = { page: await context.newPage(), away: false, lines: [] }
  await context.addInitScript(`{
    const now = Date.now.bind(Date), Real = Date
    globalThis.Date = class extends Real {
      constructor(...given) { if (given.length) super(...given); else super(now() + ${clockMs}) }
      static now() { return now() + ${clockMs} }
    }
  }`)
  await context.routeWebSocket(/\/api\/room\//, line => {
    if (one.away) return void line.close()
    line.connectToServer()
    one.lines.push(line)
  })
  return one
}
async function cut(one: Screen) {
  one.away = true
  for (const line of one.lines.splice(0)) await line.close().catch(() => undefined)
}
const stored = (page: Page): Promise<unknown> =>
  page.evaluate(
    id =>
      new Promise(done => {
        const open = indexedDB.open('wild-sparrow')
        open.onsuccess = () => {
          const asked = open.result.transaction('jobs').objectStore('jobs').get(id)
          asked.onsuccess = () => {
            open.result.close()
            done(asked.result)
          }
        }
      }),
    JOB,
  )
const field = (page: Page, path: string) => page.locator(`input[data-path="${path}"]`)

const screens = [await screen(0), await screen(-6 * YEAR_MS), await screen(5 * YEAR_MS)]
const [desk, ...others] = screens as [Screen, ...Screen[]]
await desk.page.goto(server.address)
await desk.page.getByTestId('import').setInputFiles('demo/larkmoor-bench.json')
await desk.page.locator(`[data-job="${JOB}"]`).waitFor()
for (const other of others) {
  await desk.page.getByRole('button', { name: 'Join another screen' }).click()
  await other.page.goto((await desk.page.getByTestId('pair-link').getAttribute('href'))!)
  await other.page.getByTestId('pair-take-shop').click()
  await other.page.getByText('is on the other.').waitFor()
  await desk.page.getByTestId('pair-link').waitFor({ state: 'detached' })
}
for (const { page } of screens) {
  await page.goto(`${server.address}job/${JOB}/take-in`)
  await field(page, FIELDS[0]).waitFor({ timeout: 60_000 })
}

let cuts = 0
for (let n = 0; n < edits; n++) {
  const one = pick(screens)
  await field(one.page, pick(FIELDS)).fill(`${1 + Math.floor(next() * 400)}`)
  if (next() < 0.04) {
    const other = pick(screens)
    if (other.away) other.away = false
    else {
      cuts += 1
      await cut(other)
    }
  }
}
for (const one of screens) {
  one.away = false
  await one.page.locator('main[data-saving="false"]').waitFor()
}
const began = Date.now()
let texts: string[] = []
while (Date.now() - began < 60_000) {
  texts = await Promise.all(screens.map(async ({ page }) => textOf(await stored(page))))
  if (new Set(texts).size === 1) break
  await new Promise(done => setTimeout(done, 200))
}
console.log(
  new Set(texts).size === 1
    ? `${edits} edits on three screens, ${cuts} cuts, clocks 11 years apart: the same to the letter, ${Date.now() - began} ms after the last was mended.`
    : `${edits} edits: the screens differ after a minute.`,
)

const took: number[] = []
for (let n = 0; n < 50; n++) {
  // Each way has a field of its own: what a hand has just typed stands under it for a moment.
  const [from, to, path] = n % 2 ? [screens[0]!, screens[1]!, FIELDS[0]] : [screens[1]!, screens[0]!, FIELDS[1]]
  const value = `${500 + n}`
  const seen = to.page.waitForFunction(
    ([path, text]) => document.querySelector<HTMLInputElement>(`input[data-path="${path}"]`)?.value.startsWith(text!),
    [path, value] as const,
    { polling: 'raf', timeout: 30_000 },
  )
  const at = performance.now()
  await field(from.page, path).fill(value)
  await seen
  took.push(performance.now() - at)
  await from.page.locator('main[data-saving="false"]').waitFor()
}
took.sort((a, b) => a - b)
console.log(`An edit to another screen: median ${Math.round(took[25]!)} ms, nine in ten ${Math.round(took[45]!)} ms.`)
await browser.close()
server.stop()
process.exit(new Set(texts).size === 1 ? 0 : 1)
